// SPDX-License-Identifier: GPL-3.0-or-later
// How a template comes to the front: traced on the paper, turned over onto the cloth, cut, turned to the
// front.
#pragma once

#include "app/dialogs/form.hpp"
#include "core/quilt/quilt.hpp"

class QLabel;
class QSlider;
class QTimer;

namespace up::app {

class TurnPicture;

class TurnDialog : public Form {
    Q_OBJECT
public:
    /// `chosen` is shown alone; with none, the whole block.
    TurnDialog(const quilt::Quilt& quilt, BlockId block, PieceId chosen, QWidget* parent = nullptr);
    /// 0 at the template, 1 at the front.
    void setProgress(double progress);
    [[nodiscard]] double progress() const { return m_progress; }

private:
    void play();

    TurnPicture* m_picture;
    QLabel* m_words;
    QSlider* m_slider;
    QTimer* m_timer;
    double m_progress = 0;
};

} // namespace up::app
