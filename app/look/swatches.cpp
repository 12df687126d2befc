// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/swatches.hpp"

#include "app/look/look.hpp"

#include <QPixmapCache>

namespace up::app {
namespace {

/// The same picture is asked for at each change of the quilt.
QPixmap fromPicture(const std::string& picture, int side) {
    const auto key = QString("swatch %1 %2").arg(std::hash<std::string>{}(picture)).arg(side);
    QPixmap out;
    if (QPixmapCache::find(key, &out)) return out;
    QPixmap whole;
    if (!whole.loadFromData(QByteArray::fromBase64(QByteArray::fromStdString(picture)), "PNG")) return {};
    out = whole.scaled(side, side, Qt::KeepAspectRatioByExpanding, Qt::SmoothTransformation);
    out = out.copy((out.width() - side) / 2, (out.height() - side) / 2, side, side);
    QPixmapCache::insert(key, out);
    return out;
}

} // namespace

QPixmap swatchPixmap(Colour colour, const std::string& picture, int side) {
    if (!picture.empty())
        if (auto out = fromPicture(picture, side); !out.isNull()) return out;
    QPixmap out(side, side);
    out.fill(look::q(colour));
    return out;
}

} // namespace up::app
