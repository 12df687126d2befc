// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/light_box.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/look/true_size.hpp"

#include <QFrame>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QScreen>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

constexpr double crossEvery = 50.8; // mm: two inches
constexpr double step = 25.4;       // mm that an arrow key moves the drawing by

} // namespace

LightBox::LightBox(LightBoxQuestion question, QWidget* parent)
    : Form(tr("Light box"), parent), m_question(std::move(question)), m_bar(new QFrame(this)),
      m_what(new QLabel(m_bar)), m_how(new QLabel(m_bar)),
      m_back(named(new QPushButton("◀", m_bar), "light.back")),
      m_on(named(new QPushButton("▶", m_bar), "light.on")),
      m_measure(named(new QPushButton(m_bar), "light.measure")),
      m_close(named(new QPushButton(tr("Close"), m_bar), "light.close")) {
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    m_dots = dotsPerMm(screen());
    m_measuring = !isMeasured(screen());
    build();
    setGeometry(screen()->geometry()); // where nobody manages windows, that must do
    setWindowState(windowState() | Qt::WindowFullScreen);
    turnTo(0);
}

void LightBox::build() {
    m_bar->setAutoFillBackground(true);
    auto* row = new QHBoxLayout(m_bar);
    m_what->setTextFormat(Qt::PlainText), m_how->setTextFormat(Qt::PlainText);
    QFont bold = m_what->font();
    bold.setBold(true);
    m_what->setFont(bold);
    m_how->setWordWrap(true);
    row->addWidget(m_back);
    row->addWidget(m_on);
    auto* words = new QVBoxLayout;
    words->setSpacing(0);
    words->addWidget(m_what);
    words->addWidget(m_how);
    row->addSpacing(8);
    row->addLayout(words, 1);
    row->addWidget(m_measure);
    row->addWidget(m_close);
    for (auto* button : {m_back, m_on, m_measure, m_close}) {
        button->setAutoDefault(false);
        button->setFocusPolicy(Qt::NoFocus); // arrow keys move the drawing
    }
    connect(m_back, &QPushButton::clicked, this, [this] { turnTo(m_sheet > 0 ? m_sheet - 1 : 0); });
    connect(m_on, &QPushButton::clicked, this, [this] { turnTo(m_sheet + 1); });
    connect(m_measure, &QPushButton::clicked, this,
            [this] { m_measuring ? keepMeasure() : startMeasuring(); });
    connect(m_close, &QPushButton::clicked, this, &QDialog::reject);
}

void LightBox::resizeEvent(QResizeEvent*) {
    turnTo(m_sheet); // what begins at the corner depends on how much there is room for
}

QRectF LightBox::free() const {
    return QRectF(0, 0, width(), height() - m_bar->height());
}

bool LightBox::isLarger() const {
    return page().width * m_dots > free().width() || page().height * m_dots > free().height();
}

QPointF LightBox::pixelOf(shape::Point mm) const {
    const QPointF corner = free().center() - QPointF(page().width, page().height) * (m_dots / 2) + m_moved;
    return corner + QPointF(mm.x, mm.y) * m_dots;
}

void LightBox::turnTo(std::size_t sheet) {
    m_sheet = std::min(sheet, m_question.sheets.size() - 1);
    m_moved = {};
    refresh();
    // What does not fit begins at its upper left corner.
    const QPointF corner = pixelOf({0, 0});
    move({std::max(0.0, -corner.x()), std::max(0.0, -corner.y())});
}

/// The drawing's middle stays on the screen.
void LightBox::move(QPointF by) {
    const double acrossMost = page().width * m_dots / 2, downMost = page().height * m_dots / 2;
    m_moved = {std::clamp(m_moved.x() + by.x(), -acrossMost, acrossMost),
               std::clamp(m_moved.y() + by.y(), -downMost, downMost)};
    update();
}

void LightBox::startMeasuring() {
    m_measuring = true;
    refresh();
}

void LightBox::keepMeasure() {
    setDotsPerMm(screen(), m_dots, m_question.settings);
    m_measuring = false;
    turnTo(m_sheet);
}

void LightBox::setDots(double dots) {
    m_dots = std::clamp(dots, 1.0, 40.0);
    update();
}

void LightBox::measureKey(QKeyEvent* event) {
    const double by = event->modifiers().testFlag(Qt::ShiftModifier) ? 1.01 : 1.001;
    switch (event->key()) {
    case Qt::Key_Right:
    case Qt::Key_Up:
    case Qt::Key_Plus: return setDots(m_dots * by);
    case Qt::Key_Left:
    case Qt::Key_Down:
    case Qt::Key_Minus: return setDots(m_dots / by);
    case Qt::Key_Return:
    case Qt::Key_Enter: return keepMeasure();
    default: QDialog::keyPressEvent(event);
    }
}

void LightBox::keyPressEvent(QKeyEvent* event) {
    if (m_measuring) return measureKey(event);
    const double far = step * m_dots;
    switch (event->key()) { // the drawing comes the way one wants to look
    case Qt::Key_Left: return move({far, 0});
    case Qt::Key_Right: return move({-far, 0});
    case Qt::Key_Up: return move({0, far});
    case Qt::Key_Down: return move({0, -far});
    case Qt::Key_PageUp: return turnTo(m_sheet > 0 ? m_sheet - 1 : 0);
    case Qt::Key_PageDown:
    case Qt::Key_Space: return turnTo((m_sheet + 1) % m_question.sheets.size());
    case Qt::Key_C: return startMeasuring();
    default: QDialog::keyPressEvent(event);
    }
}

void LightBox::mousePressEvent(QMouseEvent* event) {
    m_grabbed = event->position();
}

void LightBox::mouseMoveEvent(QMouseEvent* event) {
    if (!event->buttons().testFlag(Qt::LeftButton)) return;
    if (m_measuring) // the card's right edge follows, its middle stays
        setDots(std::abs(event->position().x() - free().center().x()) * 2 / cardWidth);
    else
        move(event->position() - m_grabbed);
    m_grabbed = event->position();
}

QRectF LightBox::cardOutline() const {
    const QSizeF size(cardWidth * m_dots, cardHeight * m_dots);
    return {free().center() - QPointF(size.width(), size.height()) / 2, size};
}

void LightBox::refresh() {
    const auto& sheet = m_question.sheets[m_sheet];
    m_back->setVisible(!m_measuring), m_on->setVisible(!m_measuring);
    m_back->setEnabled(m_sheet > 0), m_on->setEnabled(m_sheet + 1 < m_question.sheets.size());
    m_measure->setText(m_measuring ? tr("It fits") : tr("Measure the screen…"));
    m_what->setText(
        m_measuring ? tr("How large is this screen?")
                    : (sheet.reversed ? tr("◀ Paper side · %1") : tr("▶ Front · %1")).arg(q(sheet.title)));
    m_how->setText(
        m_measuring
            ? tr("Drag the outline, or press ← and →, until it is as large as the card you hold to it.")
            : (isLarger() ? tr("Arrow keys move it; lay the web down again cross on cross.") + " "
                          : QString()) +
                  tr("Tape the web lightly, trace softly; keep water and glue away."));
    const int high = std::max(m_bar->layout()->heightForWidth(width()), 52);
    m_bar->setGeometry(0, height() - high, width(), high);
    update();
}

void LightBox::paintCrosses(QPainter& painter) const {
    painter.setPen(QPen(look::q(look::line), 1));
    const double arm = 2.5 * m_dots;
    for (double x = crossEvery / 2; x < page().width; x += crossEvery)
        for (double y = crossEvery / 2; y < page().height; y += crossEvery) {
            const QPointF at = pixelOf({x, y});
            painter.drawLine(at - QPointF(arm, 0), at + QPointF(arm, 0));
            painter.drawLine(at - QPointF(0, arm), at + QPointF(0, arm));
        }
}

void LightBox::paintSheet(QPainter& painter) const {
    if (isLarger()) paintCrosses(painter);
    const QPointF corner = pixelOf({0, 0});
    const auto map = QTransform::fromTranslate(corner.x(), corner.y()).scale(m_dots, m_dots);
    for (const auto& layer : page().layers)
        paintLayer(painter, layer, map);
}

void LightBox::paintCard(QPainter& painter) const {
    const QRectF card = cardOutline();
    constexpr double corner = 3.18; // mm. Source: ISO/IEC 7810, ID-1
    painter.setPen(QPen(look::q(look::ink), 2));
    painter.setBrush(look::q(look::webPaper));
    painter.drawRoundedRect(card, corner * m_dots, corner * m_dots);
    painter.drawText(card.adjusted(20, 0, -20, 0), Qt::AlignCenter | Qt::TextWordWrap,
                     tr("Hold a bank card, or another card of that size, flat against the screen."));
    const bool inches = m_question.units == measure::System::inches;
    const double length = inches ? 101.6 : 100; // mm
    const double y = card.bottom() + 60, x = free().center().x() - length * m_dots / 2;
    painter.drawLine(QPointF(x, y), QPointF(x + length * m_dots, y));
    for (int i = 0; i <= 4; ++i) {
        const double at = x + length * m_dots * i / 4;
        painter.drawLine(QPointF(at, y - 10), QPointF(at, y + 10));
    }
    painter.drawText(QRectF(x, y + 14, length * m_dots, 30), Qt::AlignCenter,
                     inches ? tr("or a ruler: 4 in from end to end")
                            : tr("or a ruler: 100 mm from end to end"));
}

void LightBox::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), Qt::white);
    painter.setClipRect(free());
    if (m_measuring)
        paintCard(painter);
    else
        paintSheet(painter);
}

} // namespace up::app
