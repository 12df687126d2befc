// SPDX-License-Identifier: GPL-3.0-or-later
// How the pages of a pattern lie beside each other.
#pragma once

#include "app/dialogs/form.hpp"
#include "core/measure/say.hpp"
#include "intake/pages/pages.hpp"

class QLabel;
class QLineEdit;
class QSpinBox;

namespace up::app {

class JoinPicture;

class JoinDialog : public Form {
    Q_OBJECT
public:
    JoinDialog(std::vector<quilt::Drawing> pages, measure::System units, QWidget* parent = nullptr);
    [[nodiscard]] const intake::PageGrid& answer() const;

private:
    [[nodiscard]] Result<void> read() override;
    std::vector<quilt::Drawing> m_pages;
    measure::System m_units;
    JoinPicture* m_picture;
    QSpinBox* m_columns;
    QLineEdit *m_across, *m_down;
    QLabel* m_says;
};

} // namespace up::app
