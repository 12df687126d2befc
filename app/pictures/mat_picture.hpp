// SPDX-License-Identifier: GPL-3.0-or-later
// A cutting machine's mat: what is cut from it, and the blade's way.
#pragma once

#include "app/devices/mat_runs.hpp"
#include "app/pictures/fitted_picture.hpp"

namespace up::app {

class MatPicture : public FittedPicture {
    Q_OBJECT
public:
    explicit MatPicture(QWidget* parent = nullptr);
    /// None: an empty mat of that size.
    void show(const MatRun* run, double width, double height);
    /// How far the blade has come, 0 … 1; all of its way is drawn when nothing is said.
    void setProgress(std::optional<double> progress);

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;

private:
    void paintNumbers(QPainter& painter, double scale) const;
    void paintWay(QPainter& painter, double scale) const;
    const MatRun* m_run = nullptr;
    double m_width = 300, m_height = 300;
    std::optional<double> m_progress;
};

} // namespace up::app
