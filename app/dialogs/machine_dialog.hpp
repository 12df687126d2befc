// SPDX-License-Identifier: GPL-3.0-or-later
// A block for the cutting machine: which pieces, on which mats, the blade's way, how long, what it refuses.
#pragma once

#include "app/pictures/mat_picture.hpp"

#include <QDialog>
#include <QElapsedTimer>
#include <QTimer>

class QCheckBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

namespace up::app {

class MachineDialog : public QDialog {
    Q_OBJECT
public:
    explicit MachineDialog(MachineQuestion question, QWidget* parent = nullptr);
    ~MachineDialog() override;
    [[nodiscard]] bool isBusy() const { return m_busy; }
    [[nodiscard]] bool isCutting() const { return m_blade.isActive(); }
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
    /// Sends the mat to the machine, or stops it.
    void cutOrStop();
    void tick();
    void fillMats();
    void refreshButtons();
    [[nodiscard]] QString summary() const;
    [[nodiscard]] QString refusals() const;
    [[nodiscard]] const quilt::Block& block() const {
        return quilt::the(m_question.quilt.blocks, m_question.block);
    }

    MachineQuestion m_question;
    MatPicture* m_picture;
    QListWidget* m_mats;
    QCheckBox *m_small, *m_byFabric;
    QLineEdit* m_below;
    QLabel *m_says, *m_refused;
    QPushButton *m_send, *m_svg, *m_dxf;
    QTimer m_blade; ///< moves it
    QElapsedTimer m_since;
    std::shared_ptr<up::Job> m_job;
    plan::MachinePlan m_plan;
    std::vector<MatRun> m_runs;
    std::size_t m_row = 0; ///< the mat that is being cut
    bool m_busy = false, m_again = false;
};

} // namespace up::app
