// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/turn_dialog.hpp"

#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/turn_picture.hpp"

#include <QLabel>
#include <QPushButton>
#include <QSlider>
#include <QTimer>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {
namespace {

constexpr int frame = 33, wholeWay = 9000; // ms
constexpr int steps = 1000;

QString wordsFor(TurnStage stage) {
    switch (stage) {
    case TurnStage::traced:
        return tr("1. Trace it mirrored on the paper of the web. Left: as it shall be seen.");
    case TurnStage::ontoCloth: return tr("2. Press the web, paper up, onto the wrong side of the cloth.");
    case TurnStage::cut: return tr("3. Cut on the line. The paper side is still mirrored.");
    case TurnStage::toFront:
        return tr("4. Turn the piece over: the right side of the cloth looks as it shall.");
    }
    return {};
}

} // namespace

TurnDialog::TurnDialog(const quilt::Quilt& quilt, BlockId block, PieceId chosen, QWidget* parent)
    : Form(tr("Why it is traced mirrored"), parent),
      m_picture(named(new TurnPicture(quilt, block, chosen, this), "turn.picture")),
      m_words(new QLabel(this)), m_slider(named(new QSlider(Qt::Horizontal, this), "turn.slider")),
      m_timer(new QTimer(this)) {
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_picture, 1);
    m_words->setWordWrap(true);
    m_words->setMinimumHeight(28);
    column->addWidget(m_words);
    m_slider->setRange(0, steps);
    column->addWidget(m_slider);
    addClosingFoot(*column);
    connect(addButton(tr("Play again"), "turn.play"), &QPushButton::clicked, this, &TurnDialog::play);
    connect(m_slider, &QSlider::sliderMoved, this, [this](int value) {
        m_timer->stop();
        setProgress(static_cast<double>(value) / steps);
    });
    m_timer->setInterval(frame);
    connect(m_timer, &QTimer::timeout, this, [this] {
        const double next = m_progress + static_cast<double>(frame) / wholeWay;
        setProgress(next);
        if (next >= 1) m_timer->stop();
    });
    resize(860, 560);
    play();
}

void TurnDialog::play() {
    setProgress(0);
    m_timer->start();
}

void TurnDialog::setProgress(double progress) {
    m_progress = std::min(progress, 1.0);
    m_picture->setProgress(m_progress);
    m_words->setText(wordsFor(stageAt(m_progress)));
    const QSignalBlocker quiet(m_slider);
    m_slider->setValue(static_cast<int>(std::lround(m_progress * steps)));
}

} // namespace up::app
