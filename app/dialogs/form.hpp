// SPDX-License-Identifier: GPL-3.0-or-later
// The base of the dialogs that ask: whatever is changed, everything is read anew. What cannot be read is told
// of in one sentence and holds back the button that accepts; nothing of it is left once it can.
#pragma once

#include "core/base/error.hpp"

#include <QDialog>
#include <initializer_list>

class QLabel;
class QPushButton;
class QVBoxLayout;

namespace up::app {

class Form : public QDialog {
public:
    /// What is wrong with what stands there now; empty when it can be accepted.
    [[nodiscard]] QString trouble() const;
    [[nodiscard]] QPushButton* acceptButton() const { return m_accept; }
    /// Only when everything can be read.
    void accept() override;

protected:
    Form(const QString& title, QWidget* parent);

    /// At the foot of the column: the line for what is wrong, the button that accepts, named `key`, and
    /// *Cancel*. Calls `changed` once.
    void addFoot(QVBoxLayout& column, const QString& accept, const char* key);
    /// A change of any of these is a change of the form. Texts, choices, ticks, numbers, sliders and tables.
    void watch(std::initializer_list<QWidget*> fields);
    /// Reads everything and tells what is wrong.
    void changed();

    /// All fields into the answer, as far as they can be read; what is wrong with the first that cannot.
    [[nodiscard]] virtual Result<void> read() = 0;
    /// After each reading, `well` or not: pictures and sentences that follow from the answer.
    virtual void follow(bool well) { (void)well; }

private:
    QLabel* m_trouble;
    QPushButton* m_accept = nullptr;
    bool m_reading = false;
};

} // namespace up::app
