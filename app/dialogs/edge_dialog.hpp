// SPDX-License-Identifier: GPL-3.0-or-later
// Which stretches of a piece's edge are dotted: they lie beneath another piece or in a seam.
#pragma once

#include "app/questions/edging.hpp"

#include <QDialog>
#include <QWidget>

class QLabel;

namespace up::app {

class EdgePicture : public QWidget {
    Q_OBJECT
public:
    explicit EdgePicture(const EdgeQuestion& question, QWidget* parent = nullptr);
    void setDotted(std::vector<shape::Contour> dotted);
    [[nodiscard]] const std::vector<shape::Contour>& dotted() const { return m_dotted; }
    [[nodiscard]] const std::vector<shape::Contour>& stretches() const { return m_stretches; }
    [[nodiscard]] QPointF pixelOf(shape::Point drawn) const;

signals:
    void changed();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    [[nodiscard]] QTransform toWidget() const; ///< from the piece's drawing
    [[nodiscard]] int stretchAt(QPointF pixel) const;

    const EdgeQuestion& m_question;
    std::vector<shape::Contour> m_stretches, m_dotted;
    int m_pointed = -1;
};

class EdgeDialog : public QDialog {
    Q_OBJECT
public:
    explicit EdgeDialog(EdgeQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const std::vector<shape::Contour>& answer() const { return m_picture->dotted(); }

private:
    void tell();
    EdgeQuestion m_question;
    EdgePicture* m_picture;
    QLabel* m_about;
};

} // namespace up::app
