// SPDX-License-Identifier: GPL-3.0-or-later
// Which stretches of a piece's edge are dotted: they lie beneath another piece or in a seam.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/pictures/edge_picture.hpp"

class QLabel;

namespace up::app {

class EdgeDialog : public Form {
    Q_OBJECT
public:
    explicit EdgeDialog(EdgeQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const std::vector<shape::Contour>& answer() const { return m_picture->dotted(); }

private:
    [[nodiscard]] Result<void> read() override { return {}; } // every choice is one
    void follow(bool well) override;
    EdgeQuestion m_question;
    EdgePicture* m_picture;
    QLabel* m_about;
};

} // namespace up::app
