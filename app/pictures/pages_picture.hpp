// SPDX-License-Identifier: GPL-3.0-or-later
// Pages as they come out of the printer, one at a time.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "core/sheet/sheet.hpp"

#include <memory>

namespace up::app {

class PagesPicture : public FittedPicture {
    Q_OBJECT
public:
    explicit PagesPicture(QWidget* parent = nullptr);
    void show(std::shared_ptr<const std::vector<sheet::Page>> pages);
    /// Counted from 0; held within what there is.
    void turnTo(int page);
    [[nodiscard]] int page() const { return m_page; }
    [[nodiscard]] int count() const { return m_pages ? static_cast<int>(m_pages->size()) : 0; }
    [[nodiscard]] QSize sizeHint() const override { return {560, 620}; }

signals:
    void turned();

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    std::shared_ptr<const std::vector<sheet::Page>> m_pages;
    int m_page = 0;
};

} // namespace up::app
