// SPDX-License-Identifier: GPL-3.0-or-later
// The base of the dialogs that ask: whatever is changed, everything is read anew. What cannot be read is told
// of in one sentence and holds back the button that accepts; nothing of it is left once it can.
#pragma once

#include "core/base/error.hpp"

#include <QDialog>
#include <initializer_list>

class QDialogButtonBox;
class QLabel;
class QPushButton;
class QVBoxLayout;

namespace up::app {

class Form : public QDialog {
public:
    /// What is told to be wrong; empty when nothing is.
    [[nodiscard]] QString trouble() const;
    [[nodiscard]] QPushButton* acceptButton() const { return m_accept; }
    /// Only when everything can be read.
    void accept() override;

protected:
    Form(const QString& title, QWidget* parent);

    /// At the foot of the column: the line for what is wrong, the button that accepts, named `key`, and
    /// *Cancel*. Calls `changed` once.
    void addFoot(QVBoxLayout& column, const QString& accept, const char* key);
    /// The same for a form that does things and stays: the button asks for `act`, Enter presses none, and the
    /// last says *Close*.
    void addActingFoot(QVBoxLayout& column, const QString& act, const char* key);
    /// Another button at the foot; it is held back as the first is.
    [[nodiscard]] QPushButton* addButton(const QString& text, const char* key);
    /// One that says that the thing is not there any more, and accepts.
    void addGone(const char* key, bool& gone);
    /// Only something that is looked at: *Close*.
    void addClosingFoot(QVBoxLayout& column);
    /// A change of any of these is a change of the form. Texts, choices, ticks, numbers, sliders and tables.
    void watch(std::initializer_list<QWidget*> fields);
    /// Reads everything and tells what is wrong.
    void changed();

    /// All fields into the answer, as far as they can be read; what is wrong with the first that cannot.
    [[nodiscard]] virtual Result<void> read() { return {}; }
    /// After each reading, `well` or not: pictures and sentences that follow from the answer.
    virtual void follow(bool well) { (void)well; }
    /// What the button at the foot of an acting form does.
    virtual void act() {}
    /// All fields could be read.
    [[nodiscard]] bool well() const { return m_wrong.isEmpty(); }
    /// What is wrong beyond the fields, as long as it is: a printer that refuses. Empty: nothing any more.
    void complain(const QString& sentence);

private:
    void buildFoot(QVBoxLayout& column, const QString& last);
    void showTrouble();

    QLabel* m_trouble;
    QString m_beyond; ///< what is wrong beyond the fields
    QString m_wrong;  ///< with the fields
    QDialogButtonBox* m_buttons = nullptr;
    QPushButton* m_accept = nullptr;
    bool m_reading = false;
};

} // namespace up::app
