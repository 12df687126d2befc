// SPDX-License-Identifier: GPL-3.0-or-later
// A thread: name, colour, and what is left of it, typed in metres or weighed.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/supplying.hpp"

class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace up::app {

class ThreadDialog : public Form {
    Q_OBJECT
public:
    explicit ThreadDialog(quilt::Thread thread, QWidget* parent = nullptr);
    [[nodiscard]] const ThreadAnswer& answer() const { return m_answer; }

private:
    void fill();
    void pickColour();
    /// What is on the spool follows from what it weighs.
    void weigh();
    [[nodiscard]] Result<void> read() override;

    ThreadAnswer m_answer;
    QLineEdit* m_name;
    QPushButton* m_colour;
    QDoubleSpinBox *m_spool, *m_bobbin, *m_tex, *m_grams;
};

} // namespace up::app
