// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/fold_handle.hpp"

#include "app/look/names.hpp"

#include <QSettings>

namespace up::app {

FoldHandle::FoldHandle(QWidget& part, Way way, const char* key, QString settings, QWidget* parent)
    : QToolButton(parent), m_part(part), m_way(way), m_key(QString("window/") + key),
      m_settings(std::move(settings)) {
    named(this, key);
    setAutoRaise(true);
    setMinimumHeight(32);
    const auto wish = QSettings(m_settings, QSettings::IniFormat).value(m_key);
    if (wish.isValid()) m_wish = wish.toBool() ? Wish::open : Wish::shut;
    connect(this, &QToolButton::clicked, this, &FoldHandle::toggle);
    refresh();
}

/// Not at each click: whoever writes a file waits for the disk.
FoldHandle::~FoldHandle() {
    if (m_isToBeKept) QSettings(m_settings, QSettings::IniFormat).setValue(m_key, m_wish == Wish::open);
}

void FoldHandle::setTight(bool tight) {
    m_tight = tight;
    refresh();
}

void FoldHandle::open(bool open) {
    m_wish = open ? Wish::open : Wish::shut;
    m_isToBeKept = true;
    refresh();
}

void FoldHandle::refresh() {
    const bool open = m_wish == Wish::none ? !m_tight : m_wish == Wish::open;
    m_part.setVisible(open);
    if (m_way == Way::left)
        setArrowType(open ? Qt::LeftArrow : Qt::RightArrow);
    else
        setArrowType(open ? Qt::UpArrow : Qt::DownArrow);
    emit changed(open);
}

} // namespace up::app
