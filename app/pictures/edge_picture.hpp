// SPDX-License-Identifier: GPL-3.0-or-later
// A piece's edge in stretches: a click makes one dotted, or a cut line again.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "app/questions/edging.hpp"

namespace up::app {

class EdgePicture : public FittedPicture {
    Q_OBJECT
public:
    explicit EdgePicture(const EdgeQuestion& question, QWidget* parent = nullptr);
    void setDotted(std::vector<shape::Contour> dotted);
    [[nodiscard]] const std::vector<shape::Contour>& dotted() const { return m_dotted; }
    [[nodiscard]] const std::vector<shape::Contour>& stretches() const { return m_stretches; }

signals:
    void changed();

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    [[nodiscard]] int stretchAt(QPointF pixel) const;

    const EdgeQuestion& m_question;
    std::vector<shape::Contour> m_stretches, m_dotted;
    int m_pointed = -1;
};

} // namespace up::app
