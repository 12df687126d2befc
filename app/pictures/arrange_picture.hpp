// SPDX-License-Identifier: GPL-3.0-or-later
// The block as it would be, with handles for the line, the centre or the step.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "app/questions/arranging.hpp"

namespace up::app {

class ArrangePicture : public FittedPicture {
    Q_OBJECT
public:
    explicit ArrangePicture(const ArrangeQuestion& question, QWidget* parent = nullptr);
    /// `result`: the quilt as it would be; what is new or changed in it is shown strongly.
    void show(const quilt::Quilt& result, const edit::Arrangement& how);
    [[nodiscard]] QSize sizeHint() const override { return {480, 480}; }

signals:
    void moved(const edit::Arrangement& how);

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override { m_held = -1; }

private:
    [[nodiscard]] std::vector<shape::Point> handles() const;
    void paintGuides(QPainter& painter, const QTransform& map) const;

    const ArrangeQuestion& m_question;
    shape::Point m_start; ///< the middle of the piece as it is now
    quilt::Quilt m_result;
    edit::Arrangement m_how;
    int m_held = -1;
};

} // namespace up::app
