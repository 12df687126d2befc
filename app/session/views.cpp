// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/views.hpp"

#include "words/sentences.hpp"

#include <QObject>

namespace up::app {

using quilt::Tread;

std::optional<Tread> treadOf(View view) {
    if (view < View::draw || view > View::finish) return std::nullopt;
    return static_cast<Tread>(static_cast<int>(view) - static_cast<int>(View::draw));
}

View viewOf(Tread tread) {
    return static_cast<View>(static_cast<int>(tread) + static_cast<int>(View::draw));
}

namespace {

struct Words {
    View view;
    QString name, key;
};

/// Of the views without a tread.
std::array<Words, 3> others() {
    return {{{View::landing, QObject::tr("Landing"), "0"},
             {View::stash, QObject::tr("Stash"), "9"},
             {View::logbook, QObject::tr("Logbook"), "L"}}};
}

} // namespace

QString nameOf(View view) {
    if (const auto tread = treadOf(view)) return QString::fromStdString(words::treadName(*tread));
    for (const auto& other : others())
        if (other.view == view) return other.name;
    return {};
}

QString keyTo(View view) {
    if (const auto tread = treadOf(view)) return QString::number(static_cast<int>(*tread) + 1);
    for (const auto& other : others())
        if (other.view == view) return other.key;
    return {};
}

std::optional<View> viewNamed(const QString& name) {
    return fromKey<View>(name.toLower().toStdString());
}

} // namespace up::app
