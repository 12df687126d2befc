// SPDX-License-Identifier: GPL-3.0-or-later
// The stair along the top: Landing, eight treads each a little higher, Stash and Logbook.
#pragma once

#include "app/session/session.hpp"
#include "core/plan/work/progress.hpp"

#include <QWidget>

namespace up::app {

class Stair : public QWidget {
    Q_OBJECT
public:
    explicit Stair(Session& session, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override { return {900, 86}; }
    /// Where to click for a view.
    [[nodiscard]] QRect placeOf(View view) const;

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    bool event(QEvent* event) override;

private:
    void paintTread(QPainter& painter, View view) const;
    [[nodiscard]] std::optional<View> viewAt(QPoint at) const;

    Session& m_session;
};

} // namespace up::app
