// SPDX-License-Identifier: GPL-3.0-or-later
// Which piece is this? What it measures goes in, pieces at true size come out.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/session/aside.hpp"
#include "core/plan/work/which_plan.hpp"

class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

namespace up::app {

class TruePicture;

class WhichDialog : public Form {
    Q_OBJECT
public:
    WhichDialog(const quilt::Quilt& quilt, BlockId block, QWidget* parent = nullptr);
    /// The piece it is.
    [[nodiscard]] plan::Candidate answer() const;

private:
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    /// Aside: every piece of the quilt is measured.
    void rank();
    struct Ranking {
        std::vector<plan::Candidate> candidates;
        std::vector<std::vector<plan::Fact>> facts; ///< of the first few
    };
    void fill(const Ranking& ranking);
    void showCurrent();

    quilt::Quilt m_quilt;
    BlockId m_block;
    std::vector<plan::Candidate> m_candidates; ///< as listed
    QLineEdit *m_width, *m_height;
    QListWidget* m_list;
    TruePicture* m_picture;
    QLabel* m_about;
    double m_wide = 0, m_high = 0; ///< as typed, mm; 0: nothing yet
    Newest m_newest{this, Pool::answers, Newest::Before::stops};
};

} // namespace up::app
