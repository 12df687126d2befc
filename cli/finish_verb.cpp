// SPDX-License-Identifier: GPL-3.0-or-later
// The verb `finish`: what blocks are trimmed to, their strips and lines, what is laid on them, and the quilt's top.
#include "cli/open.hpp"
#include "cli/parts.hpp"
#include "core/plan/cut/by_template.hpp"
#include "core/plan/finish/bias_plan.hpp"
#include "core/plan/finish/finish_plan.hpp"
#include "core/plan/finish/laid_plan.hpp"
#include "core/plan/finish/line_plan.hpp"
#include "core/plan/stitch/cut_away.hpp"
#include "core/quilt/laying.hpp"
#include "core/store/quilt_file.hpp"

namespace up::cli {
namespace {

Json sizeOf(const fit::Extent& extent) {
    return {extent.wide.mm(), extent.high.mm()};
}

Json stripOf(const plan::FitStrip& strip) {
    return {{"what", strip.isFrame ? "frame" : "strip"},
            {"side", keyOf(strip.side)},
            {"cut", {strip.cutLong.mm(), strip.cutWide.mm()}},
            {"finished", strip.finished.mm()},
            {"more", strip.more.mm()},
            {"sewn", strip.sewn}};
}

/// Stitched by hand: lines, and the floss that they take.
void addLines(Json& out, const quilt::Quilt& quilt, const quilt::Block& block) {
    const auto plan = plan::planLines(block);
    const auto nameOf = [&](ThreadId id) {
        const auto* thread = find(quilt.threads, id);
        return thread ? Json(thread->name) : Json();
    };
    out["lines"] = Json::array(), out["floss"] = Json::array();
    for (const auto& line : block.lines)
        out["lines"].push_back({{"line", line.name},
                                {"stitch", keyOf(line.stitch)},
                                {"length", lengthOf(line).mm()},
                                {"strands", line.strands},
                                {"thread", nameOf(line.thread)},
                                {"drawn", line.drawn},
                                {"parts", Json::array()}});
    for (const auto& part : plan.parts)
        for (std::size_t i = 0; i < block.lines.size(); ++i)
            if (block.lines[i].id == part.line)
                out["lines"][i]["parts"].push_back(
                    {{"stitches", part.stitches.size()}, {"floss", part.floss.mm()}, {"sewn", part.sewn}});
    for (const auto& use : plan.floss) {
        Json needles = Json::array();
        for (const auto& needleful : use.plan.needlefuls) {
            Json parts = Json::array(), from = Json::array();
            for (const auto demand : needleful.demands) {
                const auto& part = plan.parts[use.parts[demand]];
                parts.push_back({{"line", the(block.lines, part.line).name}, {"part", part.part + 1}});
            }
            for (const auto& split : needleful.from)
                from.push_back({{"cut", split.cut + 1}, {"strands", split.strands}});
            needles.push_back({{"parts", std::move(parts)},
                               {"strands", needleful.strands},
                               {"length", needleful.length},
                               {"from", std::move(from)}});
        }
        out["floss"].push_back({{"thread", nameOf(use.thread)},
                                {"cuts", use.plan.cuts},
                                {"left", use.plan.left()},
                                {"least", use.plan.least},
                                {"needles", std::move(needles)}});
    }
}

/// Laid along lines and set at places.
/// Pieces without web, and those where something is cut away.
Json joinedOf(const quilt::Block& block) {
    Json all = Json::array();
    const auto plan = plan::planBlock(block);
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        const auto& piece = block.pieces[i];
        const auto cut = plan::cutAwayOf(block, plan, i);
        if (!piece.isOffWeb() && !cut) continue;
        const auto one = plan::templateOf(piece);
        const auto next = piece.next();
        Json steps = Json::array();
        for (const auto step : every<quilt::Step>())
            if (step != quilt::Step::toTrace && goesThrough(step, piece.way())) steps.push_back(keyOf(step));
        all.push_back({{"piece", piece.id.value},
                       {"join", keyOf(piece.join)},
                       {"steps", steps},
                       {"step", keyOf(piece.work.step)},
                       {"cutWide", one.cut.bounds().width()},
                       {"cutHigh", one.cut.bounds().height()},
                       {"clips", one.folding.clips.size()},
                       {"gathered", one.folding.isRound}});
        if (next) all.back()["next"] = keyOf(*next);
        if (!cut) continue;
        Json through = Json::array();
        for (const auto id : cut->through)
            through.push_back(id.value);
        all.back()["cutAway"] = {
            {"fromBack", cut->fromBack}, {"area", cut->where.area()}, {"through", std::move(through)}};
    }
    return all;
}

Json laidOf(const quilt::Quilt& quilt, const quilt::Block& block) {
    Json out = Json::array();
    const auto plan = plan::planLaid(block);
    for (const auto& line : block.lines) {
        if (!line.laid) continue;
        const auto* fabric = find(quilt.fabrics, line.laid->fabric);
        Json one{{"line", line.name},
                 {"what", keyOf(line.laid->trim)},
                 {"width", line.laid->width.mm()},
                 {"cutWide", plan::cutWide(*line.laid).mm()},
                 {"fabric", fabric ? Json(fabric->name) : Json()},
                 {"glued", line.laid->glued},
                 {"melts", line.laid->melts},
                 {"called", line.laid->called},
                 {"done", line.laid->done},
                 {"places", Json::array()},
                 {"strips", Json::array()}};
        for (const auto p : thingsAt(line))
            one["places"].push_back({p.x, p.y});
        for (const auto& strip : plan.strips)
            if (strip.line == line.id)
                one["strips"].push_back(
                    {{"along", strip.along.mm()},
                     {"cutLong", strip.cutLong.mm()},
                     {"begin", keyOf(strip.begin)},
                     {"end", keyOf(strip.end)},
                     {"corners", strip.corners},
                     {"tooTight", strip.tooTight ? Json(strip.tooTight->radius) : Json()}});
        out.push_back(std::move(one));
    }
    return out;
}

/// Strips of one fabric and where they are cut.
Json cutOf(const quilt::Quilt& quilt, const plan::StripsCut& plan) {
    const auto* fabric = find(quilt.fabrics, plan.fabric);
    Json out{{"fabric", fabric ? Json(fabric->name) : Json()},
             {"buy", plan.buy ? Json(plan.buy->mm()) : Json()},
             {"joins", plan.cutting.joins},
             {"area", plan.cutting.area},
             {"least", plan.cutting.least},
             {"unmet", plan.cutting.unmet},
             {"cloths", Json::array()},
             {"strips", Json::array()},
             {"bands", Json::array()}};
    for (std::size_t i = 0; i < plan.sizes.size(); ++i)
        out["cloths"].push_back({{"name", plan.buy ? Json() : Json(the(quilt.cloths, plan.cloths[i]).name)},
                                 {"size", {plan.sizes[i].wide, plan.sizes[i].high}}});
    for (const auto& strip : plan.strips)
        out["strips"].push_back({{"wide", strip.wide}, {"length", strip.length}});
    for (const auto& band : plan.cutting.bands) {
        Json parts = Json::array();
        for (const auto& part : band.parts)
            parts.push_back({{"strip", part.strip}, {"length", part.length}});
        out["bands"].push_back(
            {{"cloth", band.cloth}, {"at", band.at}, {"wide", band.wide}, {"parts", std::move(parts)}});
    }
    return out;
}

Json blockOf(const quilt::Quilt& quilt, const quilt::Block& block) {
    const auto plan = plan::planFinish(quilt, block);
    const auto drawn = plan::drawnIn(quilt, block);
    Json out{{"block", block.name},
             {"finished", {block.width.mm(), block.height.mm()}},
             {"cut", sizeOf(plan.cut)},
             {"measured", plan.has ? sizeOf(*plan.has) : Json()},
             {"trimmed", block.trimmed},
             {"trimTo", sizeOf(plan.trimTo)},
             {"lacking", sizeOf(plan.trimming.lacking)}};
    if (plan.trimming.seam) out["narrowSeam"] = plan.trimming.seam->mm();
    if (const auto& frame = plan.trimming.frame)
        out["frame"] = {{"finished", frame->finished.mm()},
                        {"cutWide", frame->cutWide.mm()},
                        {"trimTo", sizeOf(frame->trimTo)}};
    out["strips"] = Json::array();
    for (const auto& strip : plan.strips)
        out["strips"].push_back(stripOf(strip));
    out["unit"] = sizeOf(plan.unit);
    out["missing"] = sizeOf(plan.lacking);
    out["drawnIn"] = {{"share", drawn.share}, {"blocks", drawn.blocks}};
    out["oversize"] = plan::oversizeFor(quilt, block).mm();
    addLines(out, quilt, block);
    out["laid"] = laidOf(quilt, block);
    out["quilting"] = keyOf(block.quilting);
    out["joined"] = joinedOf(block);
    return out;
}

} // namespace

Bytes finish(const Words& words) {
    const auto quilt = store::loadQuilt(words.file);
    if (!quilt) return tl::unexpected(quilt.error());
    const auto wall = plan::planWall(*quilt);
    Json out{
        {"format", "upstairs-finishing"}, {"version", 1}, {"quilt", quilt->name}, {"blocks", Json::array()}};
    for (const auto& block : quilt->blocks)
        out["blocks"].push_back(blockOf(*quilt, block));
    out["bias"] = Json::array(), out["setting"] = Json::array();
    for (const auto& plan : plan::planBias(*quilt))
        out["bias"].push_back(cutOf(*quilt, plan));
    for (const auto& plan : plan::planSettingCut(*quilt))
        out["setting"].push_back(cutOf(*quilt, plan));
    out["trimmings"] = Json::array();
    for (const auto& amount : plan::trimmingsToGet(*quilt)) {
        const auto* fabric = find(quilt->fabrics, amount.fabric);
        out["trimmings"].push_back({{"what", keyOf(amount.trim)},
                                    {"width", amount.width.mm()},
                                    {"fabric", fabric ? Json(fabric->name) : Json()},
                                    {"length", amount.length.mm()},
                                    {"things", amount.things}});
    }
    out["rows"] = Json::array();
    for (const auto& row : wall.rows)
        out["rows"].push_back(sizeOf(row));
    out["narrowerRows"] = wall.narrower;
    out["lowerBlocks"] = Json::array();
    for (const auto unit : wall.lower)
        out["lowerBlocks"].push_back(quilt->blocks[unit].name);
    out["inner"] = sizeOf(wall.inner), out["top"] = sizeOf(wall.top);
    out["borders"] = Json::array();
    for (const auto& border : wall.borders)
        out["borders"].push_back(
            {{"cutWide", border.cutWide.mm()}, {"sides", border.sides.mm()}, {"ends", border.ends.mm()}});
    const auto finishing = fit::finishingOf(wall.top, fit::usualClothWide, fit::usualBinding);
    out["backing"] = sizeOf(finishing.backing), out["batting"] = sizeOf(finishing.batting);
    out["binding"] = {{"length", finishing.binding.mm()},
                      {"cutWide", fit::usualBinding.mm()},
                      {"clothWide", fit::usualClothWide.mm()},
                      {"strips", finishing.bindingStrips}};
    return out.dump(1) + "\n";
}

} // namespace up::cli
