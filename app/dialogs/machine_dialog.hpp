// SPDX-License-Identifier: GPL-3.0-or-later
// A block for the cutting machine: which pieces, on which mats, the blade's way, how long, what it refuses.
#pragma once

#include "app/dialogs/machining.hpp"
#include "core/plan/machine_plan.hpp"

#include <QDialog>
#include <QWidget>

class QCheckBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

namespace up::app {

/// One mat with what is cut from it and the blade's way.
struct MatRun {
    plan::Mat mat;
    sheet::Page page;
    Result<CutRun> run;
    std::vector<std::pair<int, shape::Point>> numbers; ///< of the pieces, and where they stand
};

class MatPicture : public QWidget {
    Q_OBJECT
public:
    explicit MatPicture(QWidget* parent = nullptr);
    /// None: an empty mat of that size.
    void show(const MatRun* run, double width, double height);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void paintNumbers(QPainter& painter, double scale) const;
    const MatRun* m_run = nullptr;
    double m_width = 300, m_height = 300;
};

class MachineDialog : public QDialog {
    Q_OBJECT
public:
    explicit MachineDialog(MachineQuestion question, QWidget* parent = nullptr);
    ~MachineDialog() override;
    [[nodiscard]] bool isBusy() const { return m_busy; }
    [[nodiscard]] const std::vector<MatRun>& runs() const { return m_runs; }

private:
    struct Found {
        Result<plan::MachinePlan> plan;
        std::vector<MatRun> runs;
    };
    void plan();
    void take(Found found);
    void refresh();
    void write(CutFormat format);
    [[nodiscard]] QString summary() const;
    [[nodiscard]] QString refusals() const;
    [[nodiscard]] const quilt::Block& block() const {
        return *quilt::find(m_question.quilt.blocks, m_question.block);
    }

    MachineQuestion m_question;
    MatPicture* m_picture;
    QListWidget* m_mats;
    QCheckBox *m_small, *m_byFabric;
    QLineEdit* m_below;
    QLabel *m_says, *m_refused;
    QPushButton *m_svg, *m_dxf;
    std::shared_ptr<up::Job> m_job;
    plan::MachinePlan m_plan;
    std::vector<MatRun> m_runs;
    bool m_busy = false, m_again = false;
};

} // namespace up::app
