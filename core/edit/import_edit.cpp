// SPDX-License-Identifier: GPL-3.0-or-later
// From a drawing to pieces: size, side, fabrics, names.
#include "core/edit/change.hpp"
#include "core/edit/naming.hpp"

#include "core/pattern/pattern.hpp"
#include "core/shape/region.hpp"

#include <algorithm>
#include <cmath>

namespace up::edit {
namespace {

using quilt::Block;

using quilt::Piece;
using shape::Transform;

constexpr double overEdge = 0.2; // mm
constexpr double onePage = 2;    // mm: page and block are one

std::string freeName(const Quilt& quilt, const std::string& wanted) {
    const auto taken = [&](const std::string& name) {
        return std::any_of(quilt.fabrics.begin(), quilt.fabrics.end(),
                           [&](const auto& f) { return f.name == name; });
    };
    if (!taken(wanted)) return wanted;
    for (int i = 2;; ++i)
        if (const auto name = wanted + " " + std::to_string(i); !taken(name)) return name;
}

FabricId fabricOf(Quilt& quilt, Colour colour) {
    for (const auto& fabric : quilt.fabrics)
        if (fabric.colour == colour) return fabric.id;
    const auto name = freeName(quilt, nameFor(colour));
    const FabricId id{quilt.nextId++};
    quilt.fabrics.push_back({id, name, colour, ""});
    quilt.threads.push_back({ThreadId{quilt.nextId++}, name, colour, ""});
    return id;
}

shape::Box extentOf(const quilt::Drawing& drawing) {
    shape::Box box;
    for (const auto& drawn : drawing.shapes)
        box.take(boundsOf(drawn.outline));
    return box;
}

/// `from` scaled by `by` with its middle in the middle of the block.
Transform centred(const shape::Box& from, double by, double width, double height) {
    return Transform::moveBy(width / 2 - from.centre().x * by, height / 2 - from.centre().y * by) *
           Transform::scale(by, by);
}

bool isSamePage(const quilt::Drawing& drawing, double w, double h) {
    return std::abs(drawing.width - w) < onePage && std::abs(drawing.height - h) < onePage;
}

/// So much that `box` fits into w × h.
double scaleInto(const shape::Box& box, double w, double h) {
    return std::min(w / std::max(box.width(), 1e-6), h / std::max(box.height(), 1e-6));
}

/// So much that the page is the block, or so much less that no shape comes nearer to its edge than the
/// margin.
double scaleOfPage(const quilt::Drawing& drawing, double w, double h, double margin) {
    const shape::Box page{0, 0, drawing.width, drawing.height};
    const double whole = scaleInto(page, w, h);
    if (isSamePage(drawing, w, h)) return whole; // it was drawn for this block
    const auto shapes = extentOf(drawing);
    const auto reach = [](double middle, double low, double high, double least, double most) {
        return std::max(middle - std::max(low, least), std::min(high, most) - middle);
    };
    const double across = reach(page.centre().x, shapes.left, shapes.right, 0, page.right),
                 down = reach(page.centre().y, shapes.top, shapes.bottom, 0, page.bottom);
    return std::min(
        {whole, (w / 2 - margin) / std::max(across, 1e-6), (h / 2 - margin) / std::max(down, 1e-6)});
}

double scaleIn(const quilt::Drawing& drawing, double w, double h, const ImportOptions& options) {
    const double margin = std::clamp(options.margin.mm(), 0.0, std::min(w, h) / 8);
    switch (options.fit) {
    case Fit::page: return scaleOfPage(drawing, w, h, margin);
    case Fit::shapes: return scaleInto(extentOf(drawing), w - 2 * margin, h - 2 * margin);
    case Fit::own: break;
    }
    return 1;
}

Transform pageToBlock(const quilt::Drawing& drawing, const Block& block, const ImportOptions& options) {
    const double w = block.width.mm(), h = block.height.mm();
    const bool byPage = options.fit == Fit::page || (options.fit == Fit::own && isSamePage(drawing, w, h));
    const auto fit = centred(byPage ? shape::Box{0, 0, drawing.width, drawing.height} : extentOf(drawing),
                             scaleIn(drawing, w, h, options), w, h);
    return options.givenReversed ? Transform::mirrorAcross(w / 2) * fit : fit;
}

Piece pieceFrom(Quilt& quilt, const Block& block, const quilt::DrawnShape& drawn, const Transform& map) {
    Piece piece{};
    piece.id = PieceId{quilt.nextId++};
    piece.name = drawn.name;
    piece.outline = transformed(drawn.outline, map);
    std::vector<shape::Contour> marks;
    for (const auto& mark : drawn.marks)
        marks.push_back(transformed(mark, map));
    piece.marks = std::move(marks);
    std::vector<shape::Contour> dotted;
    for (const auto& stretch : drawn.dotted)
        dotted.push_back(transformed(stretch, map));
    piece.dotted = std::move(dotted);
    if (drawn.recipe) piece.recipe = pattern::remapped(*drawn.recipe, map);
    piece.fabric = fabricOf(quilt, drawn.fill);
    piece.thread = threadFor(quilt, piece.fabric);
    const auto box = boundsOf(*piece.outline);
    piece.runsOff = box.left < -overEdge || box.top < -overEdge || box.right > block.width.mm() + overEdge ||
                    box.bottom > block.height.mm() + overEdge;
    return piece;
}

/// Its open lines that are no dotted edge, as one.
void addLoose(Quilt& quilt, Block& block, const quilt::Drawing& drawing, const Transform& map) {
    std::vector<shape::Contour> strokes;
    for (const auto& loose : drawing.loose) {
        if (loose.dotted) continue;
        strokes.push_back(transformed(loose.line, map));
        strokes.back().closed = false;
    }
    if (strokes.empty()) return;
    quilt::Line line;
    line.id = LineId{quilt.nextId++};
    line.name = "lines";
    line.strokes = std::move(strokes);
    if (!quilt.threads.empty()) line.thread = quilt.threads.front().id;
    block.lines.push_back(std::move(line));
}

/// Further from the block than any cloth reaches: a tiny page was enlarged to the block.
bool liesFarOff(const Piece& piece) {
    constexpr double far = 2e4; // mm
    const auto box = boundsOf(*piece.outline);
    return !(box.left > -far && box.top > -far && box.right < far && box.bottom < far);
}

/// Nothing that says that the size was guessed.
bool saysItsSize(const quilt::Drawing& drawing) {
    using quilt::Remark;
    return std::none_of(drawing.warnings.begin(), drawing.warnings.end(), [](const auto& w) {
        return w.remark == Remark::sizeAssumed || w.remark == Remark::unitAssumed ||
               w.remark == Remark::dpiAssumed;
    });
}

} // namespace

double scaleFor(const quilt::Drawing& drawing, Length width, Length height, const ImportOptions& options) {
    return scaleIn(drawing, width.mm(), height.mm(), options);
}

Fit usualFit(const quilt::Drawing& drawing, Length width, Length height) {
    const auto extent = extentOf(drawing);
    const bool goesIn = extent.width() <= width.mm() * 1.1 && extent.height() <= height.mm() * 1.1;
    const bool small = std::max(extent.width() / width.mm(), extent.height() / height.mm()) < 0.05;
    return saysItsSize(drawing) && goesIn && !small ? Fit::own : Fit::page;
}

quilt::Drawing withRoles(const quilt::Drawing& drawing, const std::vector<Role>& roles) {
    quilt::Drawing out = drawing;
    out.shapes.clear();
    for (std::size_t i = 0; i < drawing.shapes.size() && i < roles.size(); ++i) {
        const auto& drawn = drawing.shapes[i];
        if (roles[i] == Role::piece) out.shapes.push_back(drawn);
        if (roles[i] != Role::mark) continue;
        const auto middle = boundsOf(drawn.outline).centre();
        for (auto beneath = out.shapes.rbegin(); beneath != out.shapes.rend(); ++beneath) {
            if (!shape::regionOf(beneath->outline).contains(middle)) continue;
            beneath->marks.push_back(drawn.outline.edge);
            beneath->marks.insert(beneath->marks.end(), drawn.outline.holes.begin(),
                                  drawn.outline.holes.end());
            break;
        }
    }
    return out;
}

quilt::Drawing scaled(const quilt::Drawing& drawing, double factor) {
    using quilt::Remark;
    const auto by = Transform::scale(factor, factor);
    auto out = drawing;
    out.width *= factor, out.height *= factor;
    for (auto& drawn : out.shapes) {
        drawn.outline = transformed(drawn.outline, by);
        for (auto* lines : {&drawn.marks, &drawn.dotted})
            for (auto& line : *lines)
                line = transformed(line, by);
        if (drawn.recipe) drawn.recipe = pattern::remapped(*drawn.recipe, by);
    }
    for (auto& loose : out.loose)
        loose.line = transformed(loose.line, by);
    for (auto& over : out.linesOver) {
        over.shape.outline = transformed(over.shape.outline, by);
        for (auto& mark : over.marks)
            mark = transformed(mark, by);
    }
    std::erase_if(out.warnings, [](const quilt::Warning& w) {
        return w.remark == Remark::sizeAssumed || w.remark == Remark::unitAssumed ||
               w.remark == Remark::dpiAssumed;
    });
    return out;
}

bool bringsNumbers(const quilt::Drawing& drawing) {
    const auto count = std::count_if(drawing.shapes.begin(), drawing.shapes.end(), [](const auto& shape) {
        return !shape.name.empty() && shape.name.front() >= '0' && shape.name.front() <= '9';
    });
    return 2 * static_cast<std::size_t>(count) > drawing.shapes.size();
}

Edited addDrawing(const Quilt& quilt, BlockId id, const quilt::Drawing& drawing, const ImportOptions& options,
                  std::int64_t time) {
    if (drawing.width <= 0 || drawing.height <= 0 || drawing.shapes.empty())
        return failure(Code::emptyDrawing, {""});
    return changeBlock(quilt, id, [&](Quilt& out, Block& block) {
        const auto map = pageToBlock(drawing, block, options);
        block.givenReversed = options.givenReversed;
        if (drawing.letters != quilt::Reading::unknown) block.letters = drawing.letters;
        std::vector<std::string> taken;
        for (const auto& piece : block.pieces)
            taken.push_back(piece.name);
        const auto begun = block.pieces.size();
        for (const auto& drawn : drawing.shapes)
            block.pieces.push_back(pieceFrom(out, block, drawn, map));
        const auto names = namesFor(drawing, out.fabrics, options.givenReversed, taken);
        for (std::size_t i = 0; i < names.size(); ++i)
            block.pieces[begun + i].name = names[i];
        if (options.keepLines) addLoose(out, block, drawing, map);
        const auto before = block.pieces.size();
        std::erase_if(block.pieces, liesFarOff);
        const auto added = drawing.shapes.size() - (before - block.pieces.size());
        note(out, {time, id, {}, quilt::Event::imported, std::to_string(added)});
    });
}

} // namespace up::edit
