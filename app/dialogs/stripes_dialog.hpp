// SPDX-License-Identifier: GPL-3.0-or-later
// How the stripes run over a piece: as seen from the front, and what that means on the paper side.
#pragma once

#include "app/questions/striping.hpp"

#include <QDialog>
#include <QPainterPath>
#include <QWidget>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;

namespace up::app {

/// The piece twice: from the front and as it is traced; a drag on either turns the stripes.
class StripesPicture : public QWidget {
    Q_OBJECT
public:
    explicit StripesPicture(const StripesQuestion& question, QWidget* parent = nullptr);
    void show(const StripesAnswer& answer);
    /// The middle of the front picture, in pixels.
    [[nodiscard]] QPointF middle() const { return {width() / 4.0, height() / 2.0}; }

signals:
    /// Seen from the front: 0° to the right, 90° down.
    void turned(double degrees);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override { mouseMoveEvent(event); }
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    void paintSide(QPainter& painter, bool front) const;
    QPainterPath m_outline; ///< mm, about its middle, from the front
    double m_reach = 1;     ///< mm from the middle to the farthest point
    QColor m_cloth;
    StripesAnswer m_answer;
};

class StripesDialog : public QDialog {
    Q_OBJECT
public:
    explicit StripesDialog(StripesQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] StripesAnswer answer() const;

private:
    void refresh();
    [[nodiscard]] QString says() const;

    StripesQuestion m_question;
    StripesPicture* m_picture;
    QComboBox* m_print;
    QDoubleSpinBox *m_direction, *m_within;
    QCheckBox* m_matters;
    QLabel* m_says;
};

} // namespace up::app
