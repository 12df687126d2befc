// SPDX-License-Identifier: GPL-3.0-or-later
// A fusible web as the maker's leaflet describes it: size, papers, first and final pressing.
#pragma once

#include "app/dialogs/form.hpp"
#include "core/quilt/quilt.hpp"

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QSpinBox;

namespace up::app {

class WebDialog : public Form {
    Q_OBJECT
public:
    WebDialog(const quilt::Web& web, measure::System units, QWidget* parent = nullptr);
    /// As entered; meaningful once accepted.
    [[nodiscard]] const quilt::Web& web() const { return m_web; }

private:
    struct PressingFields {
        QDoubleSpinBox* seconds;
        QLineEdit* heat;
        QCheckBox* steam;
    };
    PressingFields addPressing(QFormLayout& form, const QString& which, const char* key,
                               const quilt::Pressing& pressing);
    [[nodiscard]] static quilt::Pressing pressingIn(const PressingFields& fields);
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    quilt::Web m_web;
    measure::System m_units;
    QLineEdit *m_name, *m_width, *m_length;
    QComboBox *m_papers, *m_kind;
    QSpinBox* m_sheets;
    PressingFields m_first{}, m_final{};
    QDoubleSpinBox* m_longest = nullptr;
    QCheckBox *m_fromBack = nullptr, *m_maySew = nullptr;
};

} // namespace up::app
