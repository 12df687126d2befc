// SPDX-License-Identifier: GPL-3.0-or-later
// A picture for dialogs: drawing lists in millimetres, as large as there is room for.
#pragma once

#include "core/sheet/sheet.hpp"

#include <QTransform>
#include <QWidget>

namespace up::app {

class LayerPicture : public QWidget {
    Q_OBJECT
public:
    explicit LayerPicture(QWidget* parent = nullptr);
    /// `box`: what is shown, mm.
    void show(const shape::Box& box, std::vector<sheet::Layer> layers);
    /// From millimetres to the widget.
    [[nodiscard]] QTransform page() const;

signals:
    /// What is clicked; nothing, perhaps.
    void clicked(const up::sheet::Tag& tag);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    shape::Box m_box;
    std::vector<sheet::Layer> m_layers;
};

} // namespace up::app
