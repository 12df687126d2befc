// SPDX-License-Identifier: GPL-3.0-or-later
// Beneath the mat while laying: the stack from the side along a line across the block. Each piece is a ledge
// that stands on those beneath it; a ledge dragged over or under another restacks the two.
#pragma once

#include "app/session/mending.hpp"
#include "core/stack/section.hpp"

#include <QWidget>

namespace up::app {

class SectionStrip : public QWidget {
    Q_OBJECT
public:
    SectionStrip(Session& session, Mending& mending, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override { return {300, 128}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {200, 84}; }
    /// There is no room for it: the mat needs it more.
    void setTight(bool tight);
    /// Where the ledges of a piece are drawn, from the left.
    [[nodiscard]] std::vector<QRectF> treadsOf(PieceId piece) const;

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

private:
    void refresh();
    [[nodiscard]] QRectF rectOf(const stack::Ledge& ledge) const;
    [[nodiscard]] const stack::Ledge* at(QPointF pixel) const;
    [[nodiscard]] const stack::Ledge* target() const;
    void paintLedge(QPainter& painter, const stack::Ledge& ledge, QRectF rect) const;
    void drop();

    Session& m_session;
    Mending& m_mending;
    std::vector<stack::Ledge> m_ledges;
    std::vector<stack::Pair> m_pairs; ///< what lies on what
    std::vector<std::size_t> m_order; ///< bottom first, as they say
    double m_length = 1;              ///< of the line, mm
    int m_levels = 1;
    bool m_tight = false;
    std::optional<stack::Ledge> m_held;
    QPointF m_from, m_now;
};

} // namespace up::app
