// SPDX-License-Identifier: GPL-3.0-or-later
// A block's background: its cloth, how much larger it is cut, creases, print, and the strips it is sewn from.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/grounding.hpp"

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QTableWidget;
class QVBoxLayout;

namespace up::app {

class LayerPicture;

class GroundDialog : public Form {
    Q_OBJECT
public:
    explicit GroundDialog(GroundQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] GroundAnswer answer() const { return {m_block.background, m_block.ground}; }

private:
    void buildFields(QVBoxLayout& column);
    void buildStrips(QVBoxLayout& column);
    void fillStrips();
    [[nodiscard]] QComboBox* fabricBox(int row, FabricId chosen);
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    [[nodiscard]] Result<quilt::Ground> readGround() const;
    [[nodiscard]] Result<measure::Length> lengthIn(int row, int column) const;
    void sewFrom();
    void addStrip();
    void addPatch();
    void remove();

    quilt::Quilt m_quilt;
    quilt::Block m_block;
    QComboBox *m_fabric, *m_sewn;
    QLineEdit* m_larger;
    QCheckBox *m_halves, *m_quarters, *m_diagonals, *m_printed;
    QDoubleSpinBox* m_grain;
    QTableWidget* m_strips;
    QPushButton *m_addStrip, *m_addPatch, *m_remove, *m_even;
    QLabel* m_says;
    LayerPicture* m_picture;
};

} // namespace up::app
