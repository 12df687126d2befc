// SPDX-License-Identifier: GPL-3.0-or-later
// How the stripes run over a piece: as seen from the front, and what that means on the paper side.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/pictures/stripes_picture.hpp"

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;

namespace up::app {

class StripesDialog : public Form {
    Q_OBJECT
public:
    explicit StripesDialog(StripesQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] StripesAnswer answer() const;

private:
    [[nodiscard]] Result<void> read() override { return {}; } // every choice is one
    void follow(bool well) override;
    [[nodiscard]] QString says() const;

    StripesQuestion m_question;
    StripesPicture* m_picture;
    QComboBox* m_print;
    QDoubleSpinBox *m_direction, *m_within;
    QCheckBox* m_matters;
    QLabel* m_says;
};

} // namespace up::app
