// SPDX-License-Identifier: GPL-3.0-or-later
// Copies of a piece, a cut through it, or halves made whole, seen before it is done.
#pragma once

#include "app/questions/arranging.hpp"

#include <QDialog>

class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QSpinBox;

namespace up::app {

class ArrangePicture;

class ArrangeDialog : public QDialog {
    Q_OBJECT
public:
    explicit ArrangeDialog(ArrangeQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const edit::Arrangement& answer() const { return m_how; }

private:
    void buildFields(QFormLayout& form);
    void choose(edit::Arrange what);
    void readFields();
    /// Puts the measures of `how` into the fields, tries it and shows what comes of it.
    void take(const edit::Arrangement& how);
    void tell(const edit::Edited& result);

    ArrangeQuestion m_question;
    edit::Arrangement m_how;
    ArrangePicture* m_picture;
    QListWidget* m_what;
    QFormLayout* m_form = nullptr;
    QSpinBox* m_count = nullptr;
    QLineEdit *m_right = nullptr, *m_down = nullptr;
    QComboBox* m_other = nullptr;
    QLabel *m_about, *m_trouble;
    QPushButton* m_do = nullptr;
};

} // namespace up::app
