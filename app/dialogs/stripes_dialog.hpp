// SPDX-License-Identifier: GPL-3.0-or-later
// How the stripes run over a piece: as seen from the front, and what that means on the paper side.
#pragma once

#include "app/pictures/stripes_picture.hpp"

#include <QDialog>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;

namespace up::app {

class StripesDialog : public QDialog {
    Q_OBJECT
public:
    explicit StripesDialog(StripesQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] StripesAnswer answer() const;

private:
    void refresh();
    [[nodiscard]] QString says() const;

    StripesQuestion m_question;
    StripesPicture* m_picture;
    QComboBox* m_print;
    QDoubleSpinBox *m_direction, *m_within;
    QCheckBox* m_matters;
    QLabel* m_says;
};

} // namespace up::app
