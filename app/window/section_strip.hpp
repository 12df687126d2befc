// SPDX-License-Identifier: GPL-3.0-or-later
// Beneath the mat while laying: the stack from the side along a line across the block. Each piece is a tread
// that stands on those beneath it; a tread dragged over or under another restacks the two.
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
    /// Where the treads of a piece are drawn, from the left.
    [[nodiscard]] std::vector<QRectF> treadsOf(PieceId piece) const;

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

private:
    void refresh();
    [[nodiscard]] QRectF rectOf(const stack::Tread& tread) const;
    [[nodiscard]] const stack::Tread* at(QPointF pixel) const;
    [[nodiscard]] const stack::Tread* target() const;
    void paintTread(QPainter& painter, const stack::Tread& tread, QRectF rect) const;
    void drop();

    Session& m_session;
    Mending& m_mending;
    std::vector<stack::Tread> m_treads;
    std::vector<stack::Over> m_pairs; ///< what lies on what
    std::vector<std::size_t> m_order; ///< bottom first, as they say
    double m_length = 1;              ///< of the line, mm
    int m_levels = 1;
    bool m_tight = false;
    std::optional<stack::Tread> m_held;
    QPointF m_from, m_now;
};

} // namespace up::app
