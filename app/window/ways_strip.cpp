// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/ways_strip.hpp"

#include "app/canvas/mat_layout.hpp"
#include "app/canvas/painter.hpp"
#include "app/commands/trace_commands.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/views/trace_sheet.hpp"
#include "words/trace_words.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <algorithm>
#include <array>

namespace up::app {
namespace {

constexpr std::array<const char*, 4> cardKeys{"way.0", "way.1", "way.2", "way.3"};

/// Web from the roll or the packet, in mm²; off-cuts cost nothing.
double newWeb(const Way& way) {
    double out = 0;
    for (const auto& sheet : way.plan.sheets)
        if (!sheet.from.offCut) out += sheet.area.area();
    return out;
}

/// What each way is best at, where ways differ by more than a hair.
std::vector<QString> bestAt(const std::vector<Way>& ways) {
    std::vector<QString> out(ways.size());
    if (ways.size() < 2) return out;
    const auto least = [&](auto value, const QString& words) {
        double low = value(ways.front()), high = low;
        for (const auto& way : ways)
            low = std::min(low, value(way)), high = std::max(high, value(way));
        for (std::size_t i = 0; i < ways.size(); ++i)
            if (high - low > 0.01 * high && value(ways[i]) <= low * 1.001 && ways[i].cost.unplaced == 0)
                out[i] += (out[i].isEmpty() ? "" : ", ") + words;
    };
    least(newWeb, tr("least web"));
    least([](const Way& way) { return static_cast<double>(way.cost.chunks); }, tr("fewest cuts"));
    return out;
}

} // namespace

WayCard::WayCard(const Session& session, Way way, QString best, QWidget* parent)
    : QAbstractButton(parent), m_session(session), m_way(std::move(way)), m_best(std::move(best)) {
    setCursor(Qt::PointingHandCursor);
    setFocusPolicy(Qt::TabFocus);
    setMinimumSize(150, 104);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setToolTip(q(words::schoolWords(m_way.school)));
    setAccessibleName(q(words::schoolName(m_way.school)));
    describe();
}

void WayCard::describe() {
    const auto& quilt = m_session.quilt();
    setAccessibleDescription(
        q(words::costWords(quilt, m_way.cost) + ", " + words::cutsWords(quilt, m_way.cost)));
    update();
}

void WayCard::setWay(Way way) {
    m_way = std::move(way);
    m_picture = {};
    describe();
}

void WayCard::setChosen(bool chosen) {
    if (m_chosen == chosen) return;
    m_chosen = chosen;
    update();
}

/// The sheets with their outlines, small.
QPixmap WayCard::pictureOf(QSize size) const {
    QPixmap out(size * devicePixelRatioF());
    out.setDevicePixelRatio(devicePixelRatioF());
    out.fill(Qt::transparent);
    Scene scene;
    const drawn::TraceDrawing drawing{m_session.quilt(), *m_session.block(), m_way.layout, m_way.plan};
    scene.flowing = true;
    for (const auto& sheet : m_way.plan.sheets) {
        scene.panels.push_back(sheetPanel(drawing, sheet, drawn::For::small));
        scene.panels.back().caption.clear();
    }
    if (scene.panels.empty()) return out;
    QPainter painter(&out);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto shelves = shelvesFor(scene, QRectF({}, QSizeF(size)));
    for (std::size_t i = 0; i < shelves.size(); ++i) {
        const auto& panel = scene.panels[i];
        QTransform page;
        page.translate(shelves[i].drawing.left(), shelves[i].drawing.top());
        page.scale(shelves[i].scale, shelves[i].scale);
        page.translate(-panel.box.left, -panel.box.top);
        for (const auto& layer : panel.layers)
            paintLayer(painter, layer, page);
    }
    return out;
}

void WayCard::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF all = QRectF(rect()).adjusted(1.5, 1.5, -1.5, -1.5);
    painter.setBrush(Qt::white);
    painter.setPen(
        QPen(look::q(m_chosen || hasFocus() || underMouse() ? look::brass : look::line), m_chosen ? 3 : 1.5));
    painter.drawRoundedRect(all, 6, 6);
    const double picture = std::min(120.0, all.width() * 0.46);
    const QSize room = QSizeF(picture, all.height() - 16).toSize();
    if (m_picture.isNull() || m_picture.size() != room * devicePixelRatioF()) m_picture = pictureOf(room);
    painter.drawPixmap(all.topLeft() + QPointF(8, 8), m_picture);
    QRectF words(all.left() + picture + 16, all.top() + 6, all.width() - picture - 22, all.height() - 12);
    const auto write = [&](const QString& text, int size, bool bold, Colour colour) {
        QFont font = painter.font();
        font.setPixelSize(size), font.setBold(bold);
        painter.setFont(font);
        painter.setPen(look::q(colour));
        QRectF used;
        painter.drawText(words, Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, text, &used);
        words.setTop(used.bottom() + 1);
    };
    const auto& quilt = m_session.quilt();
    write((m_chosen ? "✓ " : "") + q(words::schoolName(m_way.school)), 15, true, look::ink);
    write(q(words::briefCost(quilt, m_way.cost)), 13, false, look::ink);
    write(q(words::cutsWords(quilt, m_way.cost)), 13, false, look::slate);
    if (m_way.cost.unplaced > 0)
        write(tr("%1 without room").arg(m_way.cost.unplaced), 13, true, look::rust);
    else if (!m_best.isEmpty())
        write(m_best, 13, true, look::moss);
}

WaysStrip::WaysStrip(Session& session, LayoutJob& layout, TraceCommands& commands, QWidget* parent)
    : QWidget(parent), m_session(session), m_layout(layout), m_commands(commands),
      m_row(new QHBoxLayout(this)) {
    m_row->setContentsMargins(0, 0, 0, 0);
    m_row->setSpacing(8);
    connect(&m_session, &Session::changed, this, [this](Change change) {
        if (change != Change::file) refresh();
    });
    connect(&m_layout, &LayoutJob::waysChanged, this, &WaysStrip::refresh);
    refresh();
}

void WaysStrip::addCards() {
    const auto best = bestAt(*m_ways);
    for (std::size_t i = 0; i < m_ways->size(); ++i) {
        const auto& way = (*m_ways)[i];
        auto* card =
            named(new WayCard(m_session, way, best[i], this), cardKeys[static_cast<std::size_t>(way.school)]);
        connect(card, &QAbstractButton::clicked, this,
                [this, ways = m_ways, i] { m_commands.choose((*ways)[i]); });
        m_row->addWidget(card);
        m_cards.push_back(card);
    }
}

/// Which is chosen, and how that one lies since it was taken.
void WaysStrip::refreshCards() {
    const auto* block = m_session.block();
    for (std::size_t i = 0; i < m_cards.size(); ++i) {
        auto way = (*m_ways)[i];
        const bool chosen = block->layout && block->school == way.school;
        m_cards[i]->setChosen(chosen);
        m_cards[i]->describe();
        if (m_cards[i]->way().layout == (chosen ? *block->layout : way.layout)) continue;
        if (chosen) {
            way.layout = *block->layout;
            way.plan = m_session.derived().trace();
            way.cost = plan::costOf(way.plan, way.layout);
        }
        m_cards[i]->setWay(std::move(way));
    }
}

void WaysStrip::addWaiting() {
    m_row->addWidget(new QLabel(tr("Trying the other ways to lay it out…"), this));
    auto* stop = named(new QPushButton(tr("Stop"), this), "ways.stop");
    connect(stop, &QPushButton::clicked, this, [this] { m_layout.stopComparing(); });
    m_row->addWidget(stop);
    m_row->addStretch();
}

void WaysStrip::clear() {
    while (auto* item = m_row->takeAt(0)) {
        if (auto* widget = item->widget()) widget->hide(), widget->deleteLater();
        delete item;
    }
    m_cards.clear();
    m_ways.reset();
}

void WaysStrip::refresh() {
    const bool here = m_session.view() == View::trace && m_session.block();
    auto ways = here && !m_layout.isComparing() ? m_layout.ways() : nullptr;
    if (ways && ways->size() < 2) ways.reset();
    if (!ways || ways != m_ways) clear();
    if (here && m_layout.isComparing()) {
        addWaiting();
    } else if (ways) {
        if (!m_ways) m_ways = std::move(ways), addCards();
        refreshCards();
    }
    setVisible(m_row->count() > 0);
}

} // namespace up::app
