// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/true_size.hpp"

#include <QHash>
#include <QScreen>
#include <QSettings>

namespace up::app {
namespace {

constexpr const char* group = "screens";
constexpr double least = 1, most = 40; // pixels to a millimetre: anything else is a slip

QHash<QString, double>& measured() {
    static QHash<QString, double> all;
    return all;
}

/// A screen is known again by its name and how many pixels it has.
QString keyOf(const QScreen* screen) {
    if (!screen) return "none";
    return QString("%1 %2x%3").arg(screen->name()).arg(screen->size().width()).arg(screen->size().height());
}

} // namespace

bool isMeasured(const QScreen* screen) {
    return measured().contains(keyOf(screen));
}

double dotsPerMm(const QScreen* screen) {
    if (isMeasured(screen)) return measured().value(keyOf(screen));
    // In logical pixels already: Qt divides the screen's size in those by its size in millimetres.
    const double dpi = screen ? screen->physicalDotsPerInch() : 96;
    return (dpi > 40 && dpi < 600 ? dpi : 96) / 25.4;
}

void setDotsPerMm(const QScreen* screen, double dots, const QString& settings) {
    if (dots < least || dots > most) return;
    measured()[keyOf(screen)] = dots;
    if (settings.isEmpty()) return;
    QSettings file(settings, QSettings::IniFormat);
    file.beginGroup(group);
    file.setValue(keyOf(screen), dots);
}

void loadTrueSizes(const QString& settings) {
    QSettings file(settings, QSettings::IniFormat);
    file.beginGroup(group);
    for (const auto& key : file.childKeys())
        if (const double dots = file.value(key).toDouble(); dots >= least && dots <= most)
            measured()[key] = dots;
}

} // namespace up::app
