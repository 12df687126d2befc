// SPDX-License-Identifier: GPL-3.0-or-later
// True size on a screen: what was measured with a card, else what the screen says of itself.
#pragma once

#include <QString>

class QScreen;

namespace up::app {

/// Pixels of the toolkit to a millimetre; 96 to an inch when nothing sensible is known.
[[nodiscard]] double dotsPerMm(const QScreen* screen);
[[nodiscard]] bool isMeasured(const QScreen* screen);
/// Until the program ends, and in the settings file for the next time when one is given.
void setDotsPerMm(const QScreen* screen, double dots, const QString& settings = {});
/// What was measured before, from the settings file.
void loadTrueSizes(const QString& settings);

/// Cards for paying have one size. Source: ISO/IEC 7810, ID-1: 85.60 × 53.98 mm.
inline constexpr double cardWidth = 85.60, cardHeight = 53.98;

} // namespace up::app
