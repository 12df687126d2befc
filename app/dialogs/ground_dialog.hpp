// SPDX-License-Identifier: GPL-3.0-or-later
// A block's background: its cloth, how much larger it is cut, creases, print, and the strips it is sewn from.
#pragma once

#include "app/questions/grounding.hpp"

#include <QDialog>

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

class GroundDialog : public QDialog {
    Q_OBJECT
public:
    explicit GroundDialog(GroundQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] GroundAnswer answer() const { return {m_block.background, m_block.ground}; }

private:
    void buildFields(QVBoxLayout& column);
    void buildStrips(QVBoxLayout& column);
    void fillStrips();
    [[nodiscard]] QComboBox* fabricBox(int row, FabricId chosen);
    /// Fields into the block; what cannot be read is said and leaves the block as it was.
    void read();
    [[nodiscard]] Result<quilt::Ground> readGround() const;
    [[nodiscard]] Result<measure::Length> lengthIn(int row, int column) const;
    void sewFrom(int how);
    void addStrip();
    void addPatch();
    void remove();
    void refresh();

    quilt::Quilt m_quilt;
    quilt::Block m_block;
    QComboBox *m_fabric, *m_sewn;
    QLineEdit* m_larger;
    QCheckBox *m_halves, *m_quarters, *m_diagonals, *m_printed;
    QDoubleSpinBox* m_grain;
    QTableWidget* m_strips;
    QPushButton *m_addStrip, *m_addPatch, *m_remove, *m_even, *m_ok = nullptr;
    QLabel *m_says, *m_trouble;
    LayerPicture* m_picture;
    bool m_filling = false;
};

} // namespace up::app
