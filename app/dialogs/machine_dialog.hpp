// SPDX-License-Identifier: GPL-3.0-or-later
// A block for the cutting machine: which pieces, on which mats, the blade's way, how long, what it refuses.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/pictures/mat_picture.hpp"
#include "app/questions/machining.hpp"
#include "app/session/aside.hpp"

#include <QElapsedTimer>
#include <QTimer>

class QCheckBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

namespace up::app {

class MachineDialog : public Form {
    Q_OBJECT
public:
    explicit MachineDialog(MachineQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] bool isBusy() const { return m_newest.isBusy(); }
    [[nodiscard]] bool isCutting() const { return m_blade.isActive(); }
    [[nodiscard]] const std::vector<MatRun>& runs() const { return m_found.mats; }

private:
    void build();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    /// Sends the mat to the machine, or stops it.
    void act() override;
    /// Aside: mats are laid out, and the machine is asked what it makes of them.
    void plan();
    void take(const Result<MatRuns>& found);
    void refresh();
    void write(CutFormat format);
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
    QPushButton *m_svg = nullptr, *m_dxf = nullptr;
    QTimer m_blade; ///< moves it
    QElapsedTimer m_since;
    plan::MachineOptions m_options;                ///< as the fields say
    std::optional<plan::MachineOptions> m_planned; ///< what the mats were last asked for with
    MatRuns m_found;
    std::size_t m_row = 0; ///< the mat that is being cut
    Newest m_newest{this, Pool::errands, Newest::Before::stops};
};

} // namespace up::app
