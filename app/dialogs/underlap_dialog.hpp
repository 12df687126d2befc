// SPDX-License-Identifier: GPL-3.0-or-later
// How pieces tuck under each other: by how much, and of each two that meet which goes below, and why.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/grounding.hpp"
#include "app/session/aside.hpp"

class QLabel;
class QLineEdit;
class QPushButton;
class QRadioButton;
class QTableWidget;
class QVBoxLayout;

namespace up::app {

class LayerPicture;

class UnderlapDialog : public Form {
    Q_OBJECT
public:
    explicit UnderlapDialog(UnderlapQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] UnderlapAnswer answer() const;
    /// Still working out how the pieces will grow.
    [[nodiscard]] bool isLooking() const { return m_newest.isBusy(); }

private:
    void buildFields(QVBoxLayout& column);
    void decide();
    void fill();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    void turnRound();
    void asBefore();
    void look();
    void paint();
    [[nodiscard]] const plan::UnderlapPlan::Border* chosen() const;
    [[nodiscard]] quilt::Block& block() { return quilt::the(m_quilt.blocks, m_id); }
    [[nodiscard]] const quilt::Block& block() const { return quilt::the(m_quilt.blocks, m_id); }

    quilt::Quilt m_quilt; ///< with what is said so far
    BlockId m_id;
    plan::BlockPlan m_plan;
    plan::UnderlapPlan m_borders;
    quilt::Block m_grown; ///< as it will be; the block itself until that is known
    QLineEdit* m_amount;
    QRadioButton *m_drawn, *m_lighter;
    QTableWidget* m_table;
    QPushButton *m_turn, *m_back;
    QLabel* m_says;
    LayerPicture* m_picture;
    Newest m_newest;
};

} // namespace up::app
