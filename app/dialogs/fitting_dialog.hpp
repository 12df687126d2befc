// SPDX-License-Identifier: GPL-3.0-or-later
// What a block measures once it is stitched, and the strips that fit it into its place.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/fitting.hpp"

class QCheckBox;
class QLabel;
class QLineEdit;

namespace up::app {

class FittingDialog : public Form {
    Q_OBJECT
public:
    explicit FittingDialog(FittingQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const FittingAnswer& answer() const { return m_answer; }

private:
    [[nodiscard]] Result<quilt::Length> lengthIn(const QLineEdit& field) const;
    [[nodiscard]] Result<void> readMeasured();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    FittingQuestion m_question;
    FittingAnswer m_answer;
    QLineEdit *m_wide, *m_high, *m_seam, *m_frame;
    QCheckBox *m_asQuilt, *m_top, *m_bottom, *m_left, *m_right, *m_sidesFirst;
    QLabel* m_about;
};

} // namespace up::app
