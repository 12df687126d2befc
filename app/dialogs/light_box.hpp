// SPDX-License-Identifier: GPL-3.0-or-later
// The screen as a light box: drawings at true size on white, to lay web or cloth on and trace.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/lighting.hpp"

class QFrame;
class QLabel;
class QPushButton;

namespace up::app {

/// Fills the screen. The first time, the screen is measured: a card is held to an outline that is made larger
/// or smaller until it fits.
class LightBox : public Form {
    Q_OBJECT
public:
    explicit LightBox(LightBoxQuestion question, QWidget* parent = nullptr);

    [[nodiscard]] bool isMeasuring() const { return m_measuring; }
    /// Where a point of the page now looked at lies, pixels.
    [[nodiscard]] QPointF pixelOf(shape::Point mm) const;
    [[nodiscard]] std::size_t sheet() const { return m_sheet; }
    /// The outline that a card is held to.
    [[nodiscard]] QRectF cardOutline() const;

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent*) override;

private:
    void build();
    void turnTo(std::size_t sheet);
    void move(QPointF by);
    void startMeasuring();
    void keepMeasure();
    void measureKey(QKeyEvent* event);
    void setDots(double dots);
    void refresh();
    void paintSheet(QPainter& painter) const;
    void paintCrosses(QPainter& painter) const;
    void paintCard(QPainter& painter) const;
    [[nodiscard]] const sheet::Page& page() const { return m_question.sheets[m_sheet].page; }
    [[nodiscard]] QRectF free() const; ///< the screen above the bar
    [[nodiscard]] bool isLarger() const;

    LightBoxQuestion m_question;
    std::size_t m_sheet = 0;
    double m_dots = 4; ///< pixels to a millimetre
    QPointF m_moved;   ///< of the page from the middle, pixels
    QPointF m_grabbed; ///< where the mouse was
    bool m_measuring = false;
    QFrame* m_bar;
    QLabel *m_what, *m_how;
    QPushButton *m_back, *m_on, *m_measure, *m_close;
};

} // namespace up::app
