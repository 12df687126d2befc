// SPDX-License-Identifier: GPL-3.0-or-later
// Stabiliser or batting: what it is called and how much of it is there.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/supplying.hpp"

class QComboBox;
class QLineEdit;

namespace up::app {

class SupplyDialog : public Form {
    Q_OBJECT
public:
    SupplyDialog(quilt::Supply supply, measure::System units, QWidget* parent = nullptr);
    [[nodiscard]] const SupplyAnswer& answer() const { return m_answer; }

private:
    [[nodiscard]] Result<void> read() override;

    SupplyAnswer m_answer;
    measure::System m_units;
    QComboBox* m_purpose;
    QLineEdit *m_name, *m_size;
    QString m_sizeBefore; ///< untouched, it stays as it is to the hair
};

} // namespace up::app
