// SPDX-License-Identifier: GPL-3.0-or-later
// How pieces are joined: with web, by glue, their edges turned, from behind; what is cut away; which steps that makes.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/fastening.hpp"

class QCheckBox;
class QComboBox;
class QLabel;

namespace up::app {

class LayerPicture;

class FasteningDialog : public Form {
    Q_OBJECT
public:
    explicit FasteningDialog(FasteningQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const FasteningAnswer& answer() const { return m_answer; }

private:
    /// The quilt with the answer, as far as it goes.
    [[nodiscard]] edit::Edited joined() const;
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    [[nodiscard]] QString said(const quilt::Piece& piece) const;
    void paint(const quilt::Piece& piece);

    FasteningQuestion m_question;
    FasteningAnswer m_answer;
    QComboBox* m_join;
    QCheckBox *m_behind, *m_first;
    QLabel* m_about;
    LayerPicture* m_picture;
};

} // namespace up::app
