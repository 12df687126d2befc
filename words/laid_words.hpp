// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid along lines or set at places, in words.
#pragma once

#include "core/lead/tapes.hpp"
#include "core/plan/finish/bias_plan.hpp"
#include "core/plan/finish/laid_plan.hpp"
#include "core/plan/work/now_plan.hpp"

#include <string>
#include <vector>

namespace up::words {

[[nodiscard]] std::string trimName(quilt::Trim trim);
[[nodiscard]] std::string laidEndName(quilt::LaidEnd end);
/// "3/8 in wide stem, cut 1 1/4 in × 7 3/4 in"; "12 buttons, 1/4 in across".
[[nodiscard]] std::string laidWords(const quilt::Quilt& quilt, const quilt::Block& block,
                                    const quilt::Line& line);
/// How it is held, and what becomes of its ends.
[[nodiscard]] std::string laidHowWords(const quilt::Quilt& quilt, const quilt::Line& line);

struct LaidSaid {
    std::string what, because, deed; ///< on the button
};
[[nodiscard]] LaidSaid laidSaid(const quilt::Quilt& quilt, const quilt::Block& block,
                                const plan::LaidNow& now);

/// "3 strips of reed green, cut at 45° from 1 piece of cloth; no joins".
[[nodiscard]] std::string biasWords(const quilt::Quilt& quilt, const plan::BiasPlan& plan);

/// The same of strips, frames and borders; then each cut across, with what is cut from it.
[[nodiscard]] std::vector<std::string> settingCutWords(const quilt::Quilt& quilt,
                                                       const plan::StripsCut& plan);

/// "Ribbon, 1/4 in wide: 12 1/2 in to get"; "12 dots, 1/8 in across, to get".
[[nodiscard]] std::string amountWords(const quilt::Quilt& quilt, const plan::TrimAmount& amount);

/// How many tapes, and which ends nothing covers.
[[nodiscard]] std::string leadingWords(const lead::Leading& leading);

/// Above a picture of one of its pieces of cloth.
[[nodiscard]] std::string biasCaption(const quilt::Quilt& quilt, const plan::StripsCut& plan,
                                      std::size_t cloth);

} // namespace up::words
