// SPDX-License-Identifier: GPL-3.0-or-later
// Verbs that say what the window would show: layout, check, which.
#include "cli/laid_out.hpp"
#include "cli/parts.hpp"
#include "core/check/rows.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "core/plan/work/which_plan.hpp"
#include "core/store/quilt_file.hpp"
#include "words/finding_words.hpp"
#include "words/which_words.hpp"

namespace up::cli {
namespace {

std::string fabricName(const quilt::Quilt& quilt, FabricId id) {
    const auto* fabric = find(quilt.fabrics, id);
    return fabric ? fabric->name : "";
}

std::string text(const Json& json) {
    return json.dump(1) + "\n";
}

} // namespace

Bytes which(const Words& words) {
    const auto opened = openBlock(words);
    if (!opened) return tl::unexpected(opened.error());
    const auto size = measure::readSize(words.size);
    if (!size) return tl::unexpected(size.error());
    if (size->width.mm() <= 0 || size->height.mm() <= 0) return failure(Code::badLength, {words.size});
    const auto& block = opened->chosen();
    constexpr std::size_t most = 10, compared = 6;
    auto found = plan::whichPiece(opened->quilt, block.id, size->width.mm(), size->height.mm());
    if (found.size() > most) found.resize(most);
    auto close = found;
    std::erase_if(close, [](const auto& candidate) { return !candidate.fits; });
    if (close.size() > compared) close.resize(compared);
    const auto facts = plan::tellApart(opened->quilt, close);
    Json out{{"format", "upstairs-which"}, {"version", 1}, {"candidates", Json::array()}};
    for (std::size_t i = 0; i < found.size(); ++i) {
        const auto& owner = the(opened->quilt.blocks, found[i].block);
        out["candidates"].push_back({{"block", owner.name},
                                     {"number", quilt::numberOf(owner, found[i].piece)},
                                     {"name", the(owner.pieces, found[i].piece).name},
                                     {"fits", found[i].fits},
                                     {"off", found[i].off},
                                     {"turn", found[i].turn.degrees()},
                                     {"tells", i < facts.size() ? words::factsWords(facts[i]) : ""}});
    }
    return text(out);
}

Bytes layout(const Words& words) {
    const auto opened = openBlock(words);
    if (!opened) return tl::unexpected(opened.error());
    const auto laid = laidOut(*opened, words);
    if (!laid) return tl::unexpected(laid.error());
    const auto& block = *laid;
    const auto trace = plan::planTrace(opened->quilt, block);
    const auto cost = plan::costOf(trace, *block.layout);
    const auto* web = find(opened->quilt.webs, block.web);
    const auto usedOfLast = trace.sheets.empty() ? 0 : trace.sheets.back().used.mm();
    Json out{{"format", "upstairs-layout"},
             {"version", 1},
             {"block", block.name},
             {"web", web->name},
             {"school", keyOf(block.school)},
             {"sheets", trace.sheets.size()},
             {"used", usedOfLast},
             {"cost",
              {{"roll", cost.roll.mm()},
               {"sheets", cost.sheets},
               {"offCuts", cost.offCuts},
               {"roughCuts", cost.chunks},
               {"cutLength", cost.cuts.mm()}}},
             {"webSheets", Json::array()},
             {"chunks", Json::array()},
             {"traced", Json::array()},
             {"unplaced", Json::array()}};
    for (const auto& use : trace.sheets)
        out["webSheets"].push_back({{"sheet", use.number},
                                    {"offCut", use.from.offCut.value},
                                    {"used", use.used.mm()},
                                    {"taken", use.taken}});
    for (const auto& chunk : trace.chunks)
        out["chunks"].push_back({{"chunk", chunk.number},
                                 {"fabric", fabricName(opened->quilt, chunk.fabric)},
                                 {"sheet", chunk.sheet},
                                 {"pieces", numbersOf(block, chunk.pieces)},
                                 {"outline", pointsOf(chunk.roughCut.rings.front())},
                                 {"patch", {chunk.patch.width.mm(), chunk.patch.height.mm()}}});
    for (const auto& t : block.layout->traced)
        out["traced"].push_back({{"piece", quilt::numberOf(block, t.piece)},
                                 {"sheet", t.sheet},
                                 {"x", t.x},
                                 {"y", t.y},
                                 {"turn", t.turn.degrees()}});
    for (const auto& u : block.layout->unplaced)
        out["unplaced"].push_back({{"piece", quilt::numberOf(block, u.piece)}, {"reason", keyOf(u.reason)}});
    return text(out);
}

namespace {

/// {"length": 3.2}, in mm, mm² and shares of 1; pieces by their numbers.
struct ArgJson {
    const quilt::Quilt& quilt;
    const quilt::Block& block;
    Json operator()(PieceId piece) const { return {{"piece", quilt::numberOf(block, piece)}}; }
    Json operator()(const std::vector<PieceId>& pieces) const {
        return {{"pieces", numbersOf(block, pieces)}};
    }
    Json operator()(BlockId) const { return {{"block", block.name}}; }
    Json operator()(WebId id) const {
        const auto* web = find(quilt.webs, id);
        return {{"web", web ? web->name : ""}};
    }
    Json operator()(FabricId id) const { return {{"fabric", fabricName(quilt, id)}}; }
    Json operator()(LineId id) const {
        const auto* line = find(block.lines, id);
        return {{"line", line ? Json(line->name) : Json()}};
    }
    Json operator()(ThreadId id) const {
        const auto* thread = find(quilt.threads, id);
        return {{"thread", thread ? thread->name : ""}};
    }
    Json operator()(quilt::Step step) const { return {{"step", keyOf(step)}}; }
    Json operator()(measure::Length length) const { return {{"length", length.mm()}}; }
    Json operator()(check::Fine fine) const { return {{"length", fine.length.mm()}}; }
    Json operator()(check::Yarn yarn) const { return {{"length", yarn.length.mm()}}; }
    Json operator()(check::Area area) const { return {{"area", area.mm2}}; }
    Json operator()(check::Share share) const { return {{"share", share.part}}; }
    Json operator()(check::Count count) const { return {{"count", count.number}}; }
};

Json entryOf(const quilt::Quilt& quilt, const check::Finding& finding) {
    const auto& block = the(quilt.blocks, finding.block);
    Json entry{{"severity", keyOf(finding.severity())}, {"code", keyOf(finding.kind)}, {"block", block.name}};
    if (finding.piece) entry["piece"] = quilt::numberOf(block, finding.piece);
    if (finding.spot) entry["at"] = {finding.spot->x, finding.spot->y};
    if (finding.other) entry["other"] = quilt::numberOf(block, finding.other);
    entry["args"] = Json::array();
    for (const auto& arg : finding.args)
        entry["args"].push_back(std::visit(ArgJson{quilt, block}, arg));
    entry["says"] = words::sentence(quilt, finding);
    for (const auto fix : finding.fixes) {
        entry["fixes"].push_back(words::fixWords(fix));
        entry["remedies"].push_back(keyOf(fix));
    }
    return entry;
}

} // namespace

Bytes check(const Words& words) {
    const auto quilt = store::loadQuilt(words.file);
    if (!quilt) return tl::unexpected(quilt.error());
    Json out{{"format", "upstairs-checks"}, {"version", 1}, {"findings", Json::array()}};
    const auto found = plan::checkQuilt(*quilt);
    for (const auto& row : check::rowsOf(found.open))
        for (const auto& finding : row.findings)
            out["findings"].push_back(entryOf(*quilt, finding));
    for (const auto& finding : found.left)
        out["leftSo"].push_back(entryOf(*quilt, finding));
    return text(out);
}

} // namespace up::cli
