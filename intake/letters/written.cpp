// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/letters/written.hpp"

#include "core/pattern/written.hpp"
#include "intake/letters/letter_shapes.hpp"

namespace up::intake {
namespace {

std::vector<pattern::Glyph> glyphsOf(const quilt::Written& what) {
    std::vector<pattern::Glyph> out;
    const Typeface typeface{what.family};
    for (auto& letter : lettering(what.text, typeface, emFor(typeface, what.height.mm())).letters) {
        pattern::Glyph glyph;
        shape::Box box;
        for (auto& contour : letter.contours) {
            box.take(boundsOf(contour));
            if (contour.closed && shape::distance(contour.end(), contour.start) > 1e-6)
                contour.lineTo(contour.start);
            contour.closed = false;
            glyph.strokes.push_back(std::move(contour));
        }
        glyph.from = box.left, glyph.to = box.right;
        if (!box.isEmpty()) out.push_back(std::move(glyph));
    }
    return out;
}

} // namespace

Result<std::vector<shape::Contour>> written(const quilt::Written& what) {
    auto glyphs = what.family.empty() ? pattern::singleLines(what.text, what.height.mm())
                                      : Result<std::vector<pattern::Glyph>>(glyphsOf(what));
    if (!glyphs) return tl::unexpected(glyphs.error());
    if (glyphs->empty()) return failure(Code::noLetters);
    if (what.along->empty()) return pattern::bent(*glyphs, what.bend);
    auto line = flattened(what.along->front());
    return pattern::along(*glyphs, line, what.from, what.off.mm());
}

} // namespace up::intake
