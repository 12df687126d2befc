// SPDX-License-Identifier: GPL-3.0-or-later
// The quilt's fabrics: name, colour, and how much light comes through; with the block as it will look.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/grounding.hpp"
#include "app/session/aside.hpp"

class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QSlider;

namespace up::app {

class LayerPicture;

class FabricDialog : public Form {
    Q_OBJECT
public:
    explicit FabricDialog(FabricQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const FabricAnswer& answer() const { return m_quilt.fabrics; }
    [[nodiscard]] bool isLooking() const { return m_newest.isBusy(); }

private:
    void buildFields();
    void choose(int row);
    void pickColour();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    void look();
    [[nodiscard]] quilt::Fabric* fabric();

    quilt::Quilt m_quilt; ///< with the fabrics as they are being changed
    BlockId m_block;
    QListWidget* m_list;
    QLineEdit* m_name;
    QPushButton* m_colour;
    QComboBox* m_weave;
    QSlider* m_light;
    QLabel *m_lets, *m_says;
    LayerPicture* m_picture;
    int m_row = -1; ///< whose fields are shown
    Newest m_newest;
};

} // namespace up::app
