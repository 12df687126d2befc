// SPDX-License-Identifier: GPL-3.0-or-later
// A picture for dialogs: drawing lists in millimetres, as large as there is room for.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "core/sheet/sheet.hpp"

namespace up::app {

class LayerPicture : public FittedPicture {
    Q_OBJECT
public:
    explicit LayerPicture(QWidget* parent = nullptr);
    /// `box`: what is shown, mm.
    void show(const shape::Box& box, std::vector<sheet::Layer> layers);

signals:
    /// What is clicked; nothing, perhaps.
    void clicked(const up::sheet::Tag& tag);

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    shape::Box m_box;
    std::vector<sheet::Layer> m_layers;
};

} // namespace up::app
