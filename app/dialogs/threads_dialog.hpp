// SPDX-License-Identifier: GPL-3.0-or-later
// Which thread suits a piece: several side by side on it.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/sewing.hpp"

class QComboBox;
class QLabel;

namespace up::app {

class ThreadsPicture;

class ThreadsDialog : public Form {
    Q_OBJECT
public:
    explicit ThreadsDialog(ThreadsQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] ThreadId answer() const { return m_answer; }

private:
    /// What matches first, or what stands out.
    void sort();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    ThreadsQuestion m_question;
    ThreadId m_answer;
    QComboBox *m_order, *m_thread;
    ThreadsPicture* m_picture;
    QLabel* m_about;
};

} // namespace up::app
