// SPDX-License-Identifier: GPL-3.0-or-later
// A cutting machine's mat: what is cut from it, and the blade's way.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "app/questions/machining.hpp"
#include "core/plan/trace/machine_plan.hpp"

namespace up::app {

/// One mat with what is cut from it and the blade's way.
struct MatRun {
    plan::Mat mat;
    sheet::Page page;
    Result<CutRun> run;
    std::vector<std::pair<std::string, shape::Point>> numbers; ///< of the pieces, and where they stand
    bool cut = false;                                          ///< the machine has been through it
};

/// The pieces on the mat that the machine does not refuse.
[[nodiscard]] std::vector<PieceId> cutBy(const MatRun& run);

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
