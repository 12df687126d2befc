// SPDX-License-Identifier: GPL-3.0-or-later
// How the blocks come together: rows, strips between them, borders round them.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/fitting.hpp"

#include <array>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QSpinBox;

namespace up::app {

class SettingDialog : public Form {
    Q_OBJECT
public:
    explicit SettingDialog(SettingQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const SettingAnswer& answer() const { return m_answer; }

private:
    struct BorderRow {
        QLineEdit* width;
        QComboBox* fabric;
    };
    [[nodiscard]] QComboBox* fabricBox(const char* key, FabricId chosen);
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    SettingQuestion m_question;
    SettingAnswer m_answer;
    QSpinBox* m_columns;
    QLineEdit* m_sashing;
    QComboBox* m_strips;
    QCheckBox *m_outer, *m_asTheyCome;
    std::array<BorderRow, 2> m_borders{};
    QLabel* m_about;
};

} // namespace up::app
