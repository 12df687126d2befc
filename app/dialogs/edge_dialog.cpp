// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/edge_dialog.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "core/shape/stretches.hpp"
#include "core/sheet/sheet.hpp"

#include <QDialogButtonBox>
#include <QLabel>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace up::app {
namespace {

constexpr double edgeMargin = 36, reach = 14; // pixels
constexpr double sameLine = 1.0;              // mm

const quilt::Piece& pieceOf(const EdgeQuestion& question) {
    return quilt::the(quilt::the(question.quilt.blocks, question.block).pieces, question.piece);
}

} // namespace

EdgePicture::EdgePicture(const EdgeQuestion& question, QWidget* parent)
    : QWidget(parent), m_question(question) {
    const auto& outline = *pieceOf(question).outline;
    m_stretches = shape::stretchesOf(outline.edge);
    for (const auto& hole : outline.holes)
        for (auto& stretch : shape::stretchesOf(hole))
            m_stretches.push_back(std::move(stretch));
    m_dotted = *pieceOf(question).dotted;
    setMinimumSize(420, 360);
    setMouseTracking(true);
    setCursor(Qt::PointingHandCursor);
}

void EdgePicture::setDotted(std::vector<shape::Contour> dotted) {
    m_dotted = std::move(dotted);
    update();
    emit changed();
}

QTransform EdgePicture::toWidget() const {
    const auto box = boundsOf(*pieceOf(m_question).outline);
    const double scale = std::min((width() - 2 * edgeMargin) / std::max(box.width(), 1.0),
                                  (height() - 2 * edgeMargin) / std::max(box.height(), 1.0));
    const auto middle = box.centre();
    return QTransform::fromTranslate(width() / 2.0, height() / 2.0)
        .scale(scale, scale)
        .translate(-middle.x, -middle.y);
}

QPointF EdgePicture::pixelOf(shape::Point drawn) const {
    return toWidget().map(QPointF(drawn.x, drawn.y));
}

int EdgePicture::stretchAt(QPointF pixel) const {
    const QTransform map = toWidget();
    const QPointF at = map.inverted().map(pixel);
    double nearest = reach / map.m11();
    int out = -1;
    for (std::size_t i = 0; i < m_stretches.size(); ++i)
        if (const double away = distanceTo(m_stretches[i], {at.x(), at.y()}); away < nearest)
            nearest = away, out = static_cast<int>(i);
    return out;
}

void EdgePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), look::q(look::panel));
    const QTransform map = toWidget();
    const auto& piece = pieceOf(m_question);
    const auto* fabric = quilt::find(m_question.quilt.fabrics, piece.fabric);
    QColor cloth = fabric ? look::q(fabric->colour) : look::q(look::webPaper);
    cloth.setAlphaF(0.35F);
    painter.fillPath(map.map(pathOf(sheet::contoursOf(*piece.outline))), cloth);
    for (std::size_t i = 0; i < m_stretches.size(); ++i) {
        const bool pointed = static_cast<int>(i) == m_pointed;
        const QPainterPath path = map.map(pathOf({m_stretches[i]}));
        if (pointed) painter.strokePath(path, QPen(look::q(look::brassBright), 9));
        painter.strokePath(path, QPen(look::q(look::ink), 2.4));
    }
    for (const auto& line : m_dotted) {
        const QPainterPath path = map.map(pathOf({line}));
        painter.strokePath(path, QPen(look::q(look::panel), 4));
        painter.strokePath(path, QPen(look::q(look::rust), 3, Qt::DotLine, Qt::FlatCap));
    }
    painter.setBrush(look::q(look::ink));
    painter.setPen(Qt::NoPen);
    for (const auto& stretch : m_stretches)
        painter.drawEllipse(pixelOf(stretch.start), 3.5, 3.5);
}

void EdgePicture::mouseMoveEvent(QMouseEvent* event) {
    m_pointed = stretchAt(event->position());
    update();
}

/// From cut line to dotted and back.
void EdgePicture::mousePressEvent(QMouseEvent* event) {
    const int at = stretchAt(event->position());
    if (at < 0) return;
    const auto& stretch = m_stretches[static_cast<std::size_t>(at)];
    auto dotted = m_dotted;
    const bool was = liesAlong(stretch, dotted, sameLine);
    std::erase_if(dotted, [&](const shape::Contour& line) { return liesAlong(line, {stretch}, sameLine); });
    if (!was) dotted.push_back(stretch);
    setDotted(std::move(dotted));
}

EdgeDialog::EdgeDialog(EdgeQuestion question, QWidget* parent)
    : QDialog(parent), m_question(std::move(question)),
      m_picture(named(new EdgePicture(m_question, this), "edges.picture")), m_about(new QLabel(this)) {
    setWindowTitle("Dotted edges of " + QString::fromStdString(pieceOf(m_question).name));
    auto* column = new QVBoxLayout(this);
    auto* help =
        new QLabel("Click a stretch of the edge that lies beneath another piece or in a seam: it becomes "
                   "dotted and is neither turned nor stitched.",
                   this);
    help->setWordWrap(true);
    column->addWidget(help);
    column->addWidget(m_picture, 1);
    column->addWidget(m_about);
    auto* buttons = new QDialogButtonBox(this);
    auto* set = named(buttons->addButton("Set the edges", QDialogButtonBox::AcceptRole), "edges.set");
    auto* hidden =
        named(buttons->addButton("What is hidden now", QDialogButtonBox::ActionRole), "edges.hidden");
    auto* none = named(buttons->addButton("None", QDialogButtonBox::ActionRole), "edges.none");
    buttons->addButton("Cancel", QDialogButtonBox::RejectRole);
    hidden->setEnabled(!m_question.hidden.empty());
    column->addWidget(buttons);
    connect(set, &QPushButton::clicked, this, &QDialog::accept);
    connect(hidden, &QPushButton::clicked, this, [this] { m_picture->setDotted(m_question.hidden); });
    connect(none, &QPushButton::clicked, this, [this] { m_picture->setDotted({}); });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(m_picture, &EdgePicture::changed, this, &EdgeDialog::tell);
    resize(760, 600);
    tell();
}

void EdgeDialog::tell() {
    double mm = 0;
    for (const auto& line : m_picture->dotted())
        mm += shape::lengthOf(flattened(line));
    m_about->setText(m_picture->dotted().empty()
                         ? QString("The whole edge is a cut line.")
                         : QString("%1 of the edge are dotted.")
                               .arg(QString::fromStdString(
                                   measure::say(measure::Length::ofMm(mm), m_question.quilt.units))));
}

} // namespace up::app
