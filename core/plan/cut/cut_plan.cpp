// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/cut/cut_plan.hpp"

#include "core/press/patch.hpp"
#include "core/shape/likeness.hpp"

#include <algorithm>
#include <cmath>

namespace up::plan {
namespace {

using quilt::Piece;
using quilt::Step;

double edgeOf(const Piece& piece) {
    double out = 0;
    for (const auto& ring : shape::regionOf(*piece.outline).rings) {
        shape::Polyline line(ring);
        line.push_back(ring.front());
        out += shape::lengthOf(line);
    }
    return out;
}

const shape::Outline* lineOf(const TracePlan& trace, PieceId piece) {
    const auto at = std::find_if(trace.lines.begin(), trace.lines.end(),
                                 [&](const auto& line) { return line.first == piece; });
    return at == trace.lines.end() ? nullptr : &at->second;
}

/// As large as each other to a ruler on cloth.
bool areAsLarge(const press::Patch& a, const press::Patch& b) {
    const auto near = [](measure::Length x, measure::Length y) {
        return std::abs(x.mm() - y.mm()) <= std::max(6.4, 0.12 * std::max(x.mm(), y.mm()));
    };
    return near(a.width, b.width) && near(a.height, b.height);
}

std::vector<LookAlikes> alikeIn(const quilt::Block& block) {
    struct Known {
        const Piece* piece;
        press::Patch box;
        shape::Profile profile;
    };
    std::vector<Known> known;
    for (const auto& piece : block.pieces) {
        if (piece.work.step >= Step::laid) continue;
        const auto region = shape::regionOf(*piece.outline);
        if (region.isEmpty()) continue;
        known.push_back({&piece, press::boxRound(region), {}});
    }
    const auto profileOf = [](Known& one) -> const shape::Profile& {
        if (one.profile.isEmpty())
            one.profile = shape::Profile(shape::islands(shape::regionOf(*one.piece->outline)).front());
        return one.profile;
    };
    std::vector<LookAlikes> out;
    std::vector<bool> told(known.size(), false);
    for (std::size_t i = 0; i < known.size(); ++i) {
        LookAlikes group{known[i].piece->id};
        for (std::size_t j = i + 1; j < known.size(); ++j) {
            if (told[j] || known[i].piece->fabric != known[j].piece->fabric ||
                !areAsLarge(known[i].box, known[j].box))
                continue;
            const auto& a = profileOf(known[i]);
            const auto match = shape::match(a, profileOf(known[j]), shape::likenessTolerance(a));
            if (match && !match->mirrored) continue; // either will do
            group.push_back(known[j].piece->id);
            told[j] = true;
        }
        if (group.size() > 1) out.push_back(std::move(group));
    }
    return out;
}

} // namespace

std::optional<double> paceOf(const quilt::Quilt& quilt) {
    constexpr std::int64_t sitting = 3600; // seconds
    struct Cutting {
        std::int64_t time = 0;
        double length = 0;
    };
    std::vector<Cutting> done; // what was cut at one moment
    for (const auto& entry : *quilt.log) {
        if (entry.what != quilt::Event::cleanCut) continue;
        const auto* block = find(quilt.blocks, entry.block);
        const auto* piece = block ? find(block->pieces, entry.piece) : nullptr;
        if (!piece) continue;
        if (done.empty() || done.back().time != entry.time) done.push_back({entry.time, 0});
        done.back().length += edgeOf(*piece);
    }
    std::vector<double> paces;
    for (std::size_t i = 1; i < done.size(); ++i) {
        const auto passed = done[i].time - done[i - 1].time;
        if (passed > 0 && passed < sitting)
            paces.push_back(done[i].length * 60 / static_cast<double>(passed));
    }
    if (paces.size() < 3) return std::nullopt;
    std::nth_element(paces.begin(), paces.begin() + static_cast<std::ptrdiff_t>(paces.size() / 2),
                     paces.end());
    return paces[paces.size() / 2];
}

CutPlan planCutting(const quilt::Quilt& quilt, const quilt::Block& block, const TracePlan& trace,
                    const CutPlan* before) {
    CutPlan out;
    const auto pace = paceOf(quilt);
    out.pace = pace.value_or(usualPace);
    out.learnt = pace.has_value();
    for (std::size_t i = 0; i < trace.chunks.size(); ++i) {
        ChunkCuts chunk;
        chunk.chunk = i;
        std::vector<cut::Shape> shapes;
        for (const auto id : trace.chunks[i].pieces) {
            const auto& piece = the(block.pieces, id);
            const auto* line = lineOf(trace, id);
            if (piece.work.step < Step::bonded || piece.work.step >= Step::cleanCut || !line) continue;
            chunk.pieces.push_back(id);
            shapes.push_back({shape::regionOf(*line), static_cast<bool>(piece.liningOf)});
        }
        if (chunk.pieces.empty()) continue;
        chunk.cuts = cut::cutsOf(shapes);
        for (const auto& one : chunk.cuts)
            chunk.length += one.length;
        chunk.minutes = chunk.length / out.pace;
        out.chunks.push_back(std::move(chunk));
    }
    for (const auto& piece : block.pieces)
        if (piece.work.step < Step::laid) out.compared.emplace_back(piece.id, piece.fabric, piece.outline);
    out.alike = before && before->compared == out.compared ? before->alike : alikeIn(block);
    return out;
}

MarkAdvice adviceForMarks(const quilt::Block& block, const BlockPlan& plan, std::size_t index) {
    const auto& piece = block.pieces[index];
    MarkAdvice out;
    std::vector<shape::Region> covers;
    for (std::size_t upper = 0; upper < block.pieces.size(); ++upper) {
        const auto beneath = plan.beneath(upper);
        const bool lies = std::find(beneath.begin(), beneath.end(), index) != beneath.end();
        if (!lies && upper != index) continue;
        if (lies) covers.push_back(plan.regions[upper]);
        for (const auto& edge : plan.visibleEdges[upper])
            covers.push_back(shape::band(edge, false, 2 * block.edge.width.mm()));
    }
    const auto cover = shape::unite(covers);
    const auto by = quilt::placing(piece);
    for (const auto& mark : *piece.marks) {
        auto line = flattened(transformed(mark, by));
        if (mark.closed && !line.empty()) line.push_back(line.front());
        out.length += shape::lengthOf(line);
        for (const auto& part : shape::inside(line, cover))
            out.covered += shape::lengthOf(part);
    }
    if (piece.marksStitched) out.covered = out.length;
    constexpr double nearlyAll = 0.97;
    if (out.length > 0 && out.covered >= nearlyAll * out.length) out.pen = Pen::permanent;
    return out;
}

} // namespace up::plan
