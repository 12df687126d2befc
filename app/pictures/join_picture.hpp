// SPDX-License-Identifier: GPL-3.0-or-later
// Pages of one pattern beside each other; a page is dragged until its lines go on in the next.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "intake/pages/pages.hpp"

#include <QPainterPath>

namespace up::app {

class JoinPicture : public FittedPicture {
    Q_OBJECT
public:
    explicit JoinPicture(const std::vector<quilt::Drawing>& pages, QWidget* parent = nullptr);
    void setGrid(intake::PageGrid grid);
    [[nodiscard]] const intake::PageGrid& grid() const { return m_grid; }
    /// Moves every page to where its lines go on from its neighbours'; how many were matched.
    int matchAll();

signals:
    /// A page was let go, and whether its lines match its neighbours' there.
    void dropped(bool matches);

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

    [[nodiscard]] QTransform toWidget() const override;

private:
    [[nodiscard]] std::vector<std::size_t> neighboursOf(std::size_t page) const;
    /// Snaps the page to its neighbours' lines if they agree within `reach` mm.
    bool match(std::size_t page, double reach);

    const std::vector<quilt::Drawing>& m_pages;
    std::vector<QPainterPath> m_paths; ///< mm on each page
    intake::PageGrid m_grid;
    QTransform m_map; ///< kept while a page is dragged
    int m_held = -1;
    QPointF m_last;
};

} // namespace up::app
