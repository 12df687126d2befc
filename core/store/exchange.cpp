// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/exchange.hpp"

#include "core/shape/contours_sorted.hpp"
#include "core/store/codec.hpp"

#include <algorithm>
#include <cmath>

namespace up::store {
namespace {

quilt::DrawnShape shapeFrom(const Node& node) {
    quilt::DrawnShape drawn;
    drawn.name = node.has("name") ? node.at("name").text() : "";
    if (node.has("fill")) {
        const auto colour = colourFromHex(node.at("fill").text());
        if (!colour) node.at("fill").complain("a colour such as #27496d");
        drawn.fill = *colour;
    }
    std::vector<shape::Contour> contours;
    for (const auto& ring : ringsFrom(node))
        contours.push_back(shape::contourThrough(ring));
    auto sorted = shape::sortContours(contours, shape::Fill::evenOdd);
    if (sorted.outlines.empty()) node.at("outline").complain("an outline with some area");
    drawn.outline = std::move(sorted.outlines.front());
    return drawn;
}

layout::Sheet sheetFrom(const Node& node) {
    layout::Sheet sheet;
    sheet.id = node.at("id").text();
    if (node.has("outline")) {
        sheet.outline = shape::regionOf(ringsFrom(node));
        const auto box = sheet.outline.bounds();
        sheet.width = box.right;
        sheet.height = box.bottom;
    } else {
        sheet.width = node.at("width").number(0.001, 1e5);
        sheet.height = node.at("height").number(0.001, 1e5);
    }
    sheet.count = node.has("count") ? static_cast<int>(node.at("count").whole(1, 10'000)) : 1;
    return sheet;
}

layout::Spot spotFrom(const Node& node, const std::vector<layout::Sheet>& sheets) {
    const auto id = node.at("sheet").text();
    const auto sheet =
        std::find_if(sheets.begin(), sheets.end(), [&](const layout::Sheet& s) { return s.id == id; });
    if (sheet == sheets.end()) node.at("sheet").complain("the id of a sheet");
    return {static_cast<std::size_t>(sheet - sheets.begin()),
            node.has("sheetIndex") ? static_cast<int>(node.at("sheetIndex").whole(0, sheet->count - 1)) : 0,
            node.at("rotation").number(-36000, 36000), node.at("x").number(-1e5, 1e5),
            node.at("y").number(-1e5, 1e5)};
}

layout::Part partFrom(const Node& node, const std::vector<layout::Sheet>& sheets) {
    layout::Part part;
    part.id = node.at("id").text();
    part.copies = node.has("copies") ? static_cast<int>(node.at("copies").whole(1, 100'000)) : 1;
    part.shape = shape::regionOf(ringsFrom(node));
    if (part.shape.area() < 1e-3) node.at("outline").complain("an outline with some area");
    if (node.has("group")) part.group = node.at("group").text();
    if (node.has("fixed")) {
        part.fixed = spotFrom(node.at("fixed"), sheets);
        if (part.copies != 1) node.at("copies").complain("1 where the piece is fixed");
    }
    if (!node.has("rotations") || node.at("rotations").raw() == "any") return part;
    for (const auto& turn : node.at("rotations").items())
        part.rotations.push_back(turn.number(-36000, 36000));
    if (part.rotations.empty()) node.at("rotations").complain("\"any\" or at least one angle");
    return part;
}

template<class Read>
auto guarded(const std::string& text, const std::string& file, const char* format, Read read)
    -> Result<decltype(read(std::declval<Node>()))> {
    auto json = parseJson(text, file);
    if (!json) return tl::unexpected(json.error());
    if (auto ok = expectFormat(*json, file, format, 1); !ok) return tl::unexpected(ok.error());
    try {
        return read(Node(*json, ""));
    } catch (const Damaged& damage) {
        return failure(Code::damaged,
                       {file, damage.place.empty() ? "the top" : damage.place, damage.expected});
    }
}

} // namespace

namespace {

const char* nameOf(quilt::Origin origin) {
    switch (origin) {
    case quilt::Origin::fill: return "fill";
    case quilt::Origin::outline: return "outline";
    case quilt::Origin::band: return "band";
    }
    return "fill";
}

} // namespace

namespace {

/// As coarse as allowed, but with three points at least.
shape::Ring ringOf(const shape::Contour& contour, double tolerance) {
    auto ring = flattened(contour, tolerance);
    for (double finer = tolerance / 8; ring.size() < 3 && finer > 1e-6; finer /= 8)
        ring = flattened(contour, finer);
    return ring;
}

} // namespace

std::string writePieces(const quilt::Drawing& drawing, const std::vector<std::string>& warnings) {
    Json out{{"format", "upstairs-pieces"},
             {"version", 1},
             {"unit", "mm"},
             {"page", {drawing.width, drawing.height}},
             {"pieces", Json::array()},
             {"warnings", warnings}};
    // Small pages finer than the format asks for: their pieces will be enlarged.
    const double tolerance =
        std::clamp(std::hypot(drawing.width, drawing.height) / 10'000, 0.0005, shape::defaultTolerance);
    for (const auto& drawn : drawing.shapes) {
        Json piece{{"name", drawn.name},
                   {"fill", hex(drawn.fill)},
                   {"from", nameOf(drawn.origin)},
                   {"outline", ringToJson(ringOf(drawn.outline.edge, tolerance))},
                   {"holes", Json::array()}};
        for (const auto& hole : drawn.outline.holes)
            piece["holes"].push_back(ringToJson(ringOf(hole, tolerance)));
        out["pieces"].push_back(std::move(piece));
    }
    return dumpReadably(out);
}

Result<quilt::Drawing> readPieces(const std::string& text, const std::string& file) {
    return guarded(text, file, "upstairs-pieces", [](const Node& node) {
        quilt::Drawing drawing;
        shape::Box box;
        for (const auto& piece : node.at("pieces").items()) {
            drawing.shapes.push_back(shapeFrom(piece));
            box.take(boundsOf(drawing.shapes.back().outline));
        }
        const auto home = shape::Transform::moveBy(-box.left, -box.top);
        for (auto& drawn : drawing.shapes)
            drawn.outline = transformed(drawn.outline, home);
        drawing.width = box.width();
        drawing.height = box.height();
        return drawing;
    });
}

Result<layout::NestJob> readNestJob(const std::string& text, const std::string& file) {
    return guarded(text, file, "upstairs-nest-job", [](const Node& node) {
        layout::NestJob job;
        for (const auto& sheet : node.at("sheets").items())
            job.sheets.push_back(sheetFrom(sheet));
        if (job.sheets.empty()) node.at("sheets").complain("at least one sheet");
        job.spacing = node.has("spacing") ? node.at("spacing").number(0, 1e4) : 0;
        if (node.has("groupSpacing")) job.groupSpacing = node.at("groupSpacing").number(job.spacing, 1e4);
        for (const auto& part : node.at("pieces").items())
            job.parts.push_back(partFrom(part, job.sheets));
        return job;
    });
}

std::string writeNestLayout(const layout::NestJob& job, const layout::NestLayout& layout) {
    Json out{{"format", "upstairs-nest-layout"},
             {"version", 1},
             {"placed", Json::array()},
             {"unplaced", Json::array()}};
    for (const auto& p : layout.placed)
        out["placed"].push_back({{"piece", job.parts[p.part].id},
                                 {"copy", p.copy},
                                 {"sheet", job.sheets[p.sheet].id},
                                 {"sheetIndex", p.sheetIndex},
                                 {"rotation", p.rotation},
                                 {"x", p.x},
                                 {"y", p.y}});
    for (const auto& u : layout.unplaced)
        out["unplaced"].push_back(
            {{"piece", job.parts[u.part].id},
             {"copy", u.copy},
             {"reason", u.why == layout::WhyNot::noRoomLeft ? "no room left" : "larger than every sheet"}});
    return dumpReadably(out);
}

bool looksLike(const std::string& text, const std::string& format) {
    const auto json = parseJson(text, "");
    if (!json || !json->is_object() || !json->contains("format")) return false;
    const auto& found = (*json)["format"];
    return found.is_string() && found.get<std::string>() == format;
}

} // namespace up::store
