// SPDX-License-Identifier: GPL-3.0-or-later
// Folds a part of the window away and back: by itself where there is no room for it, else as the user likes it, which
// is remembered.
#pragma once

#include <QToolButton>

namespace up::app {

class FoldHandle : public QToolButton {
    Q_OBJECT
public:
    /// Which way the part goes: an arrow says so.
    enum class Way : std::uint8_t { left, up };
    /// `key` names the handle and, in the file `settings`, what the user wants of it.
    FoldHandle(QWidget& part, Way way, const char* key, QString settings, QWidget* parent);
    ~FoldHandle() override;

    /// There is no room for it: it folds unless the user has said otherwise.
    void setTight(bool tight);
    [[nodiscard]] bool isOpen() const { return !m_part.isHidden(); }
    /// By the user.
    void toggle() { open(!isOpen()); }
    void open(bool open);

signals:
    void changed(bool open);

private:
    enum class Wish : std::uint8_t { none, open, shut };
    void refresh();

    QWidget& m_part;
    Way m_way;
    QString m_key, m_settings;
    Wish m_wish = Wish::none;
    bool m_tight = false, m_isToBeKept = false;
};

} // namespace up::app
