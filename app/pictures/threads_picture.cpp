// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/threads_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "core/plan/stitch/stitch_lines.hpp"
#include "core/sheet/sheet.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace up::app {
namespace {
constexpr double gap = 8, words = 26, room = 10; // pixels
constexpr double strand = 0.3;                   // mm
} // namespace

namespace {
/// All of the piece, or as much as lets stitches be seen: where most of them lie.
QRectF detailOf(const QRectF& piece, const std::vector<shape::Polyline>& stitches) {
    constexpr double most = 36; // mm
    const auto longest = std::max_element(stitches.begin(), stitches.end(),
                                          [](const auto& a, const auto& b) { return a.size() < b.size(); });
    if (std::max(piece.width(), piece.height()) <= most || longest == stitches.end() || longest->empty())
        return piece.adjusted(-1, -1, 1, 1);
    const auto middle = (*longest)[longest->size() / 2];
    return {middle.x - most / 2, middle.y - most / 2, most, most};
}
} // namespace

ThreadsPicture::ThreadsPicture(const ThreadsQuestion& question, QWidget* parent)
    : QWidget(parent), m_cloth(question.cloth), m_ground(question.ground), m_piece(pathOf(question.piece)),
      m_stitches(question.stitches) {
    m_detail = detailOf(m_piece.boundingRect(), question.stitches);
    setMinimumSize(600, 380);
}

void ThreadsPicture::show(std::vector<ThreadTried> threads, ThreadId chosen) {
    m_threads = std::move(threads);
    m_chosen = chosen;
    update();
}

QRectF ThreadsPicture::tile(int i) const {
    const double wide = (width() - gap * (across - 1)) / across, high = (height() - gap * (down - 1)) / down;
    return {(i % across) * (wide + gap), (i / across) * (high + gap), wide, high};
}

void ThreadsPicture::paintTile(QPainter& painter, int i) const {
    const auto& tried = m_threads[static_cast<std::size_t>(i)];
    const auto all = tile(i);
    const QRectF picture = all.adjusted(0, 0, 0, -words);
    painter.fillRect(picture, look::q(m_ground));
    const double scale = std::min((picture.width() - 2 * room) / m_detail.width(),
                                  (picture.height() - 2 * room) / m_detail.height());
    painter.save();
    painter.setClipRect(picture);
    painter.translate(picture.center());
    painter.scale(scale, scale);
    painter.translate(-m_detail.center());
    painter.fillPath(m_piece, look::q(m_cloth));
    std::vector<Colour> shades{tried.strand};
    shades.insert(shades.end(), tried.more.begin(), tried.more.end());
    for (const auto& [colour, line] : plan::shaded(m_stitches, shades, tried.shadeLength)) {
        const auto path = pathOf(sheet::contoursOf(std::vector<shape::Polyline>{line}));
        painter.strokePath(
            path, QPen(look::q(look::mixed(colour, look::ink, 0.3)), std::max(strand * 1.6, 1.4 / scale)));
        painter.strokePath(path, QPen(look::q(colour), std::max(strand, 1 / scale)));
    }
    painter.restore();
    const bool isChosen = tried.thread == m_chosen;
    painter.setPen(QPen(look::q(isChosen ? look::brass : look::line), isChosen ? 4 : 1));
    painter.drawRect(picture.adjusted(2, 2, -2, -2));
    auto font = this->font();
    font.setBold(isChosen);
    painter.setFont(font);
    painter.setPen(look::q(look::ink));
    const QRectF below(all.left(), picture.bottom(), all.width(), words);
    painter.drawText(
        below, Qt::AlignCenter,
        painter.fontMetrics().elidedText(q(tried.name), Qt::ElideRight, static_cast<int>(below.width())));
}

void ThreadsPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    for (int i = 0; i < tiles && i < static_cast<int>(m_threads.size()); ++i)
        paintTile(painter, i);
}

void ThreadsPicture::mousePressEvent(QMouseEvent* event) {
    for (int i = 0; i < tiles && i < static_cast<int>(m_threads.size()); ++i)
        if (tile(i).contains(event->position())) emit picked(m_threads[static_cast<std::size_t>(i)].thread);
}

} // namespace up::app
