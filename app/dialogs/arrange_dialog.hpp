// SPDX-License-Identifier: GPL-3.0-or-later
// Copies of a piece, a cut through it, or halves made whole, seen before it is done.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/arranging.hpp"

class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QSpinBox;

namespace up::app {

class ArrangePicture;

class ArrangeDialog : public Form {
    Q_OBJECT
public:
    explicit ArrangeDialog(ArrangeQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const edit::Arrangement& answer() const { return m_how; }

private:
    void buildFields(QFormLayout& form);
    void choose(edit::Arrange what);
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    /// Puts the measures of `how` into the fields.
    void take(const edit::Arrangement& how);

    ArrangeQuestion m_question;
    edit::Arrangement m_how;
    ArrangePicture* m_picture;
    QListWidget* m_what;
    QFormLayout* m_form = nullptr;
    QSpinBox* m_count = nullptr;
    QLineEdit *m_right = nullptr, *m_down = nullptr;
    QComboBox* m_other = nullptr;
    QLabel* m_about;
    std::optional<quilt::Quilt> m_result; ///< what comes of it
};

} // namespace up::app
