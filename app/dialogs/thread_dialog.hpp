// SPDX-License-Identifier: GPL-3.0-or-later
// A thread: name, colour, and what is left of it, typed in metres or weighed.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/supplying.hpp"

class QDoubleSpinBox;
class QFormLayout;
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
    void addShades(QFormLayout& form);
    void showColours();
    void pickColour();
    void pickShade();
    /// What is on the spool follows from what it weighs.
    void weigh();
    [[nodiscard]] Result<void> read() override;

    ThreadAnswer m_answer;
    QLineEdit* m_name;
    QPushButton *m_colour, *m_shade, *m_plain;
    QDoubleSpinBox *m_spool, *m_bobbin, *m_tex, *m_grams, *m_shadeLength;
    QLabel* m_shades;
};

} // namespace up::app
