// SPDX-License-Identifier: GPL-3.0-or-later
// How edges are stitched: the kind, its size, how often, how far the needle may jump.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/sewing.hpp"

class QCheckBox;
class QComboBox;
class QFormLayout;
class QHBoxLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QSpinBox;

namespace up::app {

class RepeatPicture;

class StitchDialog : public Form {
    Q_OBJECT
public:
    explicit StitchDialog(StitchQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const StitchAnswer& answer() const { return m_answer; }

private:
    void fill(const quilt::EdgeStitch& edge);
    void addRepeat(QHBoxLayout& body);
    void addOfBlock(QFormLayout& form);
    [[nodiscard]] Result<quilt::Length> between(const QLineEdit& field, measure::System units, double low,
                                                double high) const;
    [[nodiscard]] Result<void> readOfBlock();
    /// Another kind was chosen: what is usual for it.
    void takeUsual();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    StitchQuestion m_question;
    StitchAnswer m_answer;
    QCheckBox* m_asBlock = nullptr;
    QComboBox* m_kind;
    QLineEdit *m_width, *m_length, *m_apart, *m_jump = nullptr;
    QSpinBox *m_passes, *m_mayBe;
    QComboBox* m_beneath = nullptr;
    QLineEdit* m_holds = nullptr;
    RepeatPicture* m_repeat;
    QPushButton* m_lastHole;
    QLabel* m_about;
};

} // namespace up::app
