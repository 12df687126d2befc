// SPDX-License-Identifier: GPL-3.0-or-later
// Lists of a few values: filled, set and read by value, never by row.
#pragma once

#include "core/base/names.hpp"

#include <QComboBox>
#include <initializer_list>
#include <utility>

namespace up::app {

/// `V`: an enum, a number or a yes or no.
template<class V> void offer(QComboBox& box, std::initializer_list<std::pair<V, QString>> values) {
    for (const auto& [value, words] : values)
        box.addItem(words, static_cast<int>(value));
}

/// Every value of the enum, in the words given for each in order.
template<class E, std::size_t n> void offerEvery(QComboBox& box, const std::array<QString, n>& words) {
    for (const E value : every<E>())
        box.addItem(entryOf(words, value), static_cast<int>(value));
}

/// Chooses it; nothing when it is not among those.
template<class V> void choose(QComboBox& box, V value) {
    box.setCurrentIndex(box.findData(static_cast<int>(value)));
}

/// What is chosen.
template<class V> [[nodiscard]] V chosenIn(const QComboBox& box) {
    return static_cast<V>(box.currentData().toInt());
}

} // namespace up::app
