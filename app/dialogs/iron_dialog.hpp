// SPDX-License-Identifier: GPL-3.0-or-later
// A soleplate as it was traced: what it is called, which way its tip points, how long it truly is.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/ironing.hpp"

class QCheckBox;
class QLineEdit;

namespace up::app {

class ClothPicture;

class IronDialog : public Form {
    Q_OBJECT
public:
    explicit IronDialog(IronQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const IronAnswer& answer() const { return m_answer; }

private:
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    IronQuestion m_question;
    IronAnswer m_answer;
    ClothPicture* m_picture;
    QLineEdit *m_name, *m_length;
    QCheckBox* m_upsideDown;
    QString m_lengthBefore; ///< untouched, it is as it was traced
};

} // namespace up::app
