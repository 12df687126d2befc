// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/canvas/painter.hpp"

#include "app/look/text.hpp"

#include "app/canvas/stroking.hpp"
#include "app/look/look.hpp"

#include <QPainter>
#include <QPixmapCache>
#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

QPointF qt(shape::Point p) {
    return {p.x, p.y};
}

QFont fontOf(const QPainter& painter, double pixels, bool bold) {
    QFont font = painter.font();
    font.setPixelSize(std::max(1, static_cast<int>(std::lround(pixels))));
    font.setBold(bold);
    return font;
}

double scaleOf(const QTransform& t) {
    return std::sqrt(std::abs(t.determinant()));
}

void paintShape(QPainter& painter, const sheet::Shape& shape, const QTransform& map) {
    const QPainterPath path = map.map(pathOf(shape.contours));
    if (const auto seen = inSight(painter)) {
        constexpr double edge = 30; // pixels: wider than any pen
        if (!seen->adjusted(-edge, -edge, edge, edge).intersects(path.boundingRect().adjusted(0, 0, 1, 1)))
            return;
    }
    if (shape.fill) {
        QColor colour = look::q(*shape.fill);
        colour.setAlphaF(static_cast<float>(shape.opacity));
        painter.fillPath(path, colour);
    }
    if (!shape.pen) return;
    // Hairlines stay visible when the drawing is small.
    const double width = std::max(1.0, shape.pen->width * scaleOf(map));
    QPen pen(look::q(shape.pen->colour), width);
    pen.setCapStyle(Qt::RoundCap);
    pen.setJoinStyle(Qt::RoundJoin);
    if (const auto [on, off] = sheet::lengthsOf(shape.pen->dash); off > 0) {
        // Never so short that a screen shows a grey line, or dashes as dots.
        const double leastOn = shape.pen->dash == sheet::Dash::dashed ? 5 : 1.5; // pixels
        constexpr double leastGap = 4;
        pen.setDashPattern(
            {std::max(leastOn, on * scaleOf(map)) / width, std::max(leastGap, off * scaleOf(map)) / width});
        pen.setCapStyle(Qt::FlatCap);
        pen.setJoinStyle(
            Qt::BevelJoin); // dashes are short: nobody sees their joins, but rounding them takes time
    }
    stroke(painter, path, pen);
}

void paintWords(QPainter& painter, const sheet::Words& words, const QTransform& map) {
    painter.setFont(fontOf(painter, words.height * scaleOf(map), words.bold));
    painter.setPen(look::q(words.colour));
    const auto text = q(words.text);
    const double width = painter.fontMetrics().horizontalAdvance(text);
    QPointF at = map.map(qt(words.at));
    if (words.align == sheet::Align::centre) at.rx() -= width / 2;
    if (words.align == sheet::Align::right) at.rx() -= width;
    painter.drawText(at, text);
}

struct FlagShape {
    QPolygonF outline;
    QRectF cloth;
};

/// A pennant whose point is the way it looks; as large as its piece allows, but always large enough to read.
FlagShape flagShape(const sheet::Flag& flag, QPointF at, double scale) {
    const double letters = static_cast<double>(std::max<std::size_t>(flag.label.size(), 1));
    const double h = std::round(std::clamp(flag.height * scale, 13.0, 18.0)), w = h * (0.55 + 0.35 * letters),
                 nose = h * 0.4;
    const double sign = flag.pointsLeft ? -1 : 1;
    const double back = at.x() - sign * w / 2, front = at.x() + sign * w / 2, y = at.y() - h / 2;
    FlagShape out;
    out.outline << QPointF(back, y) << QPointF(front, y) << QPointF(front + sign * nose, at.y())
                << QPointF(front, y + h) << QPointF(back, y + h);
    out.cloth = QRectF(std::min(back, front), y, w, h);
    return out;
}

/// A flag and how far it stands from its place, in pixels.
struct Standing {
    const sheet::Flag* flag;
    QPointF aside;
    QRectF box;
};

double coveredOf(const QRectF& box, const std::vector<Standing>& others) {
    double covered = 0;
    for (const auto& other : others)
        if (const auto both = other.box.intersected(box); both.isValid())
            covered += both.width() * both.height();
    return covered / std::max(1.0, box.width() * box.height());
}

/// Flags that cover each other step aside, those of the larger pieces first; where hundreds lie on each other
/// some give way, and come out again as one zooms in.
std::vector<Standing> standingFlags(const sheet::Layer& layer, const QTransform& map) {
    constexpr double little = 0.12, most = 0.55; // of a flag may be covered
    constexpr std::size_t crowd = 150;           // so many have no room to step aside
    std::vector<const sheet::Flag*> flags;
    for (const auto& item : layer.items)
        if (const auto* flag = std::get_if<sheet::Flag>(&item)) flags.push_back(flag);
    std::stable_sort(flags.begin(), flags.end(),
                     [](const auto* one, const auto* other) { return one->height < other->height; });
    std::vector<Standing> out;
    for (const auto* flag : flags) {
        const auto box = flagShape(*flag, map.map(qt(flag->at)), scaleOf(map)).outline.boundingRect();
        Standing best{flag, {}, box};
        double least = coveredOf(box, out);
        for (int way = 0; least > little && flags.size() < crowd && way < 16; ++way) {
            const double angle = way * M_PI / 4, far = way < 8 ? 1.05 : 1.7;
            const QPointF aside(std::cos(angle) * far * box.width() * 0.8,
                                std::sin(angle) * far * box.height());
            const double covered = coveredOf(box.translated(aside), out);
            if (covered < least - 0.05) least = covered, best = {flag, aside, box.translated(aside)};
        }
        if (least <= most) out.push_back(best);
    }
    return out;
}

/// Painted once for each number, cloth and size: setting hundreds of numbers at every step of a drag takes
/// longer than all the shapes.
QPixmap flagPicture(const sheet::Flag& flag, double scale, const QPainter& painter, QPointF* corner) {
    constexpr double room = 2; // pixels, for the pen
    const auto [outline, cloth] = flagShape(flag, {}, scale);
    const QRectF box = outline.boundingRect().adjusted(-room, -room, room, room);
    *corner = box.topLeft();
    const double dots = painter.device()->devicePixelRatioF();
    const auto key = QString("flag %1 %2 %3 %4 %5")
                         .arg(q(flag.label), look::q(flag.colour).name())
                         .arg(cloth.height())
                         .arg(flag.pointsLeft)
                         .arg(dots);
    QPixmap out;
    if (QPixmapCache::find(key, &out)) return out;
    out = QPixmap((box.size() * dots).toSize());
    out.setDevicePixelRatio(dots);
    out.fill(Qt::transparent);
    QPainter inner(&out);
    inner.setRenderHint(QPainter::Antialiasing);
    inner.translate(-box.topLeft());
    inner.setFont(fontOf(painter, cloth.height() * 0.76, true));
    inner.setBrush(look::q(flag.colour));
    inner.setPen(QPen(look::q(look::inkOn(flag.colour)), 1.2));
    inner.drawPolygon(outline);
    inner.drawText(cloth, Qt::AlignCenter, q(flag.label));
    QPixmapCache::insert(key, out);
    return out;
}

} // namespace

QTransform toQt(const shape::Transform& t) {
    return {t.a, t.b, t.c, t.d, t.e, t.f};
}

QTransform fitted(const QRectF& area, const QRectF& room) {
    constexpr double least = 1e-3; // mm
    const double scale = std::min(room.width() / std::max(area.width(), least),
                                  room.height() / std::max(area.height(), least));
    const double by = area.isEmpty() ? 1 : std::max(scale, 1e-6);
    return QTransform::fromTranslate(room.center().x(), room.center().y())
        .scale(by, by)
        .translate(-area.center().x(), -area.center().y());
}

QPainterPath pathOf(const std::vector<shape::Contour>& contours) {
    QPainterPath path; // odd-even fill is the default
    for (const auto& contour : contours) {
        path.moveTo(qt(contour.start));
        for (const auto& c : contour.curves)
            path.cubicTo(qt(c.control1), qt(c.control2), qt(c.end));
        if (contour.closed) path.closeSubpath();
    }
    return path;
}

void paintLayer(QPainter& painter, const sheet::Layer& layer, const QTransform& page) {
    const QTransform map = toQt(layer.place) * page;
    painter.save();
    if (layer.clip)
        painter.setClipRect(page.mapRect(QRectF(layer.clip->left, layer.clip->top, layer.clip->width(),
                                                layer.clip->height())),
                            Qt::IntersectClip);
    for (const auto& item : layer.items) {
        if (const auto* shape = std::get_if<sheet::Shape>(&item)) paintShape(painter, *shape, map);
        if (const auto* words = std::get_if<sheet::Words>(&item)) paintWords(painter, *words, map);
    }
    painter.restore();
}

void paintFlags(QPainter& painter, const sheet::Layer& layer, const QTransform& page) {
    const QTransform map = toQt(layer.place) * page;
    const auto flags = standingFlags(layer, map);
    for (const auto& [flag, aside, box] : flags) {
        if (aside.isNull()) continue;
        const QPointF at = map.map(qt(flag->at));
        for (const auto& [colour, width] : {std::pair{look::panel, 3.0}, std::pair{look::ink, 1.2}}) {
            painter.setPen(QPen(look::q(colour), width));
            painter.drawLine(at, at + aside);
        }
    }
    for (const auto& [flag, aside, box] : flags) {
        QPointF corner;
        const auto picture = flagPicture(*flag, scaleOf(map), painter, &corner);
        painter.drawPixmap((map.map(qt(flag->at)) + aside + corner).toPoint(),
                           picture); // on whole pixels: crisp
    }
}

sheet::Tag tagAt(const std::vector<sheet::Layer>& layers, const QTransform& page, QPointF pixel) {
    for (auto layer = layers.rbegin(); layer != layers.rend(); ++layer) {
        const QTransform map = toQt(layer->place) * page;
        const auto flags = standingFlags(*layer, map);
        for (auto one = flags.rbegin(); one != flags.rend(); ++one)
            if (sheet::isSet(one->flag->tag) &&
                flagShape(*one->flag, map.map(qt(one->flag->at)) + one->aside, scaleOf(map))
                    .outline.containsPoint(pixel, Qt::OddEvenFill))
                return one->flag->tag;
    }
    for (auto layer = layers.rbegin(); layer != layers.rend(); ++layer) {
        const QTransform map = toQt(layer->place) * page;
        for (auto item = layer->items.rbegin(); item != layer->items.rend(); ++item)
            if (const auto* shape = std::get_if<sheet::Shape>(&*item); shape && sheet::isSet(shape->tag))
                if (map.map(pathOf(shape->contours)).contains(pixel)) return shape->tag;
    }
    return {};
}

} // namespace up::app
