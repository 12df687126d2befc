// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/towpath.hpp"

#include "core/edit/edits.hpp"
#include "core/edit/fitting.hpp"
#include "core/edit/saying.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/tracing.hpp"
#include "core/mend/mend.hpp"
#include "core/plan/block/judge_plan.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/finish/finish_plan.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "core/plan/trace/remains.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "core/store/file.hpp"
#include "core/store/time.hpp"
#include "demo/samples.hpp"
#include "demo/starting.hpp"
#include "intake/svg/svg.hpp"

#include <algorithm>
#include <set>

namespace up::demo {
namespace {

using quilt::Length;
using quilt::Quilt;
using quilt::Step;

/// Oak is printed with grain: it runs along each plank, beam and barrel.
Quilt withGrain(Quilt quilt, BlockId id) {
    const auto pieces = the(quilt.blocks, id).pieces; // the quilt is another one after each edit
    for (const auto& piece : pieces) {
        const auto* fabric = find(quilt.fabrics, piece.fabric);
        if (!fabric || fabric->print == quilt::Print::plain) continue;
        const auto box = boundsOf(*piece.outline);
        quilt = *edit::setGrain(quilt, id, piece.id,
                                measure::Angle::ofDegrees(box.width() >= box.height() ? 0 : 90));
    }
    return quilt;
}

/// Pieces that the sample's last step leaves out: whole chunks while chunks are pressed together, later the
/// upper half.
std::set<PieceId> leftOut(const Quilt& quilt, const quilt::Block& block, const Sample& sample) {
    std::set<PieceId> out;
    if (!sample.halfway) return out;
    if (sample.upTo <= Step::bonded) {
        const auto chunks = plan::planTrace(quilt, block).chunks;
        for (std::size_t i = chunks.size() / 2; i < chunks.size(); ++i)
            out.insert(chunks[i].pieces.begin(), chunks[i].pieces.end());
    } else {
        for (std::size_t i = (block.pieces.size() + 1) / 2; i < block.pieces.size(); ++i)
            out.insert(block.pieces[i].id);
    }
    return out;
}

/// Every step up to the sample's, a quarter of an hour apart from seven in the evening.
Result<Quilt> worked(Quilt quilt, BlockId id, const Sample& sample, std::int64_t time) {
    const auto skipped = leftOut(quilt, the(quilt.blocks, id), sample);
    for (const Step step : every<quilt::Step>()) {
        if (step == Step::toTrace || step > sample.upTo) continue;
        std::vector<PieceId> pieces;
        for (const auto& piece : the(quilt.blocks, id).pieces) {
            const bool waits = step == sample.upTo && skipped.contains(piece.id);
            if (!waits && goesThrough(step, piece.way())) pieces.push_back(piece.id);
        }
        time += 900;
        if (pieces.empty()) continue;
        auto next = edit::record(quilt, id, pieces, step, time);
        if (!next) return next;
        quilt = std::move(*next);
    }
    const auto& block = the(quilt.blocks, id);
    const auto remains = plan::remainsOf(block, plan::planTrace(quilt, block));
    if (!remains.empty()) {
        auto away = edit::putAway(quilt, id, remains, time + 600);
        if (!away) return away;
        quilt = std::move(*away);
    }
    return sample.trimmed ? edit::setTrimmed(quilt, id, time + 900) : Result<Quilt>(quilt);
}

/// What the sample's maker has left as it was drawn, so that there is something to find.
bool isLeft(const quilt::Block& block, const check::Finding& finding) {
    const auto* piece = find(block.pieces, finding.piece);
    const auto* other = find(block.pieces, finding.other);
    if (!piece || block.name != "Narrowboat") return false;
    return (piece->name == "cabin" && other && other->name == "roof") || piece->name == "name panel";
}

/// What the sample's maker may do about a finding, the best first.
std::vector<check::Fix> answersTo(const quilt::Block& block, const check::Finding& finding) {
    using check::Fix;
    using check::Kind;
    const auto* piece = find(block.pieces, finding.piece);
    const bool lined = piece && piece->name == "breast";
    switch (finding.kind) {
    case Kind::shinesThrough: return {lined ? Fix::line : Fix::leaveSo};
    case Kind::peeks:
    case Kind::nearlyPeeks:
    case Kind::reachesTooShort: {
        auto fixes = finding.fixes;
        std::erase(fixes, Fix::leaveSo);
        return fixes;
    }
    default: return {};
    }
}

std::size_t thinParts(const quilt::Block& block) {
    std::size_t count = 0;
    for (const auto& piece : plan::judge(block, plan::planBlock(block)).pieces)
        count += piece.thin.size();
    return count;
}

double areaOf(const Quilt& quilt, BlockId block, PieceId piece) {
    const auto* found = find(the(quilt.blocks, block).pieces, piece);
    return found ? shape::regionOf(*found->outline).area() : 0;
}

constexpr double muchIsLeft = 0.95; // of a piece that is trimmed

/// The block as its maker prepared it: tucked under, trimmed, lined; nothing that makes a part too thin.
Result<Quilt> prepared(Quilt quilt, BlockId id) {
    constexpr int rounds = 3; // one remedy may call for another
    for (int round = 0; round < rounds; ++round) {
        const auto block = the(quilt.blocks, id);
        const auto plan = plan::planBlock(block);
        for (const auto& finding : plan::stackFindings(quilt, block, plan, plan::doubtsOf(block, plan))) {
            if (isLeft(block, finding)) continue;
            const auto before = thinParts(the(quilt.blocks, id));
            for (const auto fix : answersTo(block, finding)) {
                auto next = mend::mended(quilt, finding, fix);
                if (!next) return next;
                if (thinParts(the(next->blocks, id)) > before) continue;
                if (areaOf(*next, id, finding.piece) < muchIsLeft * areaOf(quilt, id, finding.piece))
                    continue;
                quilt = std::move(*next);
                break;
            }
        }
    }
    const auto& block = the(quilt.blocks, id);
    std::vector<PieceId> flame;
    for (const auto& piece : block.pieces)
        if (piece.name.starts_with("flame")) flame.push_back(piece.id);
    return flame.empty() ? Result<Quilt>(std::move(quilt)) : mend::madeUnit(quilt, id, flame);
}

/// Sky above grass, sewn from two strips. Source: arithmetic: 5 3/4 + 4 3/4 in less a seam of 1/2 in = 10 in.
Result<Quilt> onSewnGround(const Quilt& quilt, BlockId id) {
    auto ground = the(quilt.blocks, id).ground;
    const auto ten = Length::ofInches(10, 1);
    ground.rows = true;
    ground.strips = {{Length::ofInches(23, 4), {{fabricNamed(quilt, "mist"), ten}}},
                     {Length::ofInches(19, 4), {{fabricNamed(quilt, "lichen"), ten}}}};
    return edit::setGround(quilt, id, std::move(ground));
}

/// Somebody was called away while counting.
Result<Quilt> halfCounted(const Quilt& quilt, BlockId id) {
    std::vector<PieceId> pieces;
    for (const auto& piece : the(quilt.blocks, id).pieces)
        pieces.push_back(piece.id);
    pieces.resize(pieces.size() * 2 / 3);
    return edit::set(quilt, id, pieces, &quilt::Piece::counted, true);
}

Result<Quilt> withSample(const Quilt& quilt, const std::string& folder, const Sample& sample) {
    const std::int64_t evening = *store::readTime(std::string(sample.day) + "T19:00:00Z");
    auto out = withDrawing(quilt, folder, sample.file, sample.name, sample.background, evening);
    if (!out) return out;
    const BlockId id = out->blocks.back().id;
    if (out) out = withGrain(std::move(*out), id);
    if (out && sample.name == std::string("Windlass")) out = onSewnGround(*out, id);
    if (out) out = prepared(std::move(*out), id);
    if (!out || sample.upTo == Step::toTrace) return out;
    Job job;
    auto layout = plan::layOut(*out, the(out->blocks, id), {0, 60, 1}, job);
    if (!layout) return tl::unexpected(layout.error());
    out = edit::setLayout(*out, id, std::move(*layout), evening + 600);
    if (out) out = worked(std::move(*out), id, sample, evening + 600);
    return out && sample.name == std::string("Water can") ? halfCounted(*out, id) : out;
}

} // namespace

const std::vector<std::string>& drawings() {
    static const std::vector<std::string> names = [] {
        std::vector<std::string> out;
        for (const auto& sample : samples())
            out.emplace_back(sample.file);
        return out;
    }();
    return names;
}

namespace {
/// What was left of other work; lengths invented.
void addOffCuts(Quilt& quilt) {
    const WebId light = quilt.webs.front().id;
    const std::vector<shape::Ring> left{{{0, 0}, {235, 0}, {235, 118}, {128, 118}, {128, 215}, {0, 215}},
                                        {{0, 0}, {150, 0}, {162, 70}, {120, 140}, {0, 130}},
                                        {{0, 12}, {60, 0}, {290, 0}, {290, 74}, {0, 74}}};
    for (const auto& ring : left)
        quilt.offCuts.push_back({OffCutId{quilt.nextId++}, light, {ring}, "the sampler before", ""});
}

void addCloth(Quilt& quilt) {
    int number = 0;
    for (const auto& there : atHand()) {
        quilt::Cloth cloth{};
        cloth.id = ClothId{quilt.nextId++};
        cloth.key = "towpath-" + std::to_string(++number);
        cloth.name = there.name;
        cloth.fabric = fabricNamed(quilt, there.fabric);
        shape::Ring ring;
        for (const auto p : there.outline)
            ring.push_back({p.x * Length::ofInches(1, 1).mm(), p.y * Length::ofInches(1, 1).mm()});
        cloth.outline = {std::move(ring)};
        if (there.stripes) cloth.stripes = measure::Angle::ofDegrees(*there.stripes);
        cloth.scrap = there.scrap, cloth.washed = true;
        quilt.cloths.push_back(std::move(cloth));
    }
}

/// What is left on spools and bobbins, and what lies beneath the stitching; lengths invented.
void addThreadsAndSupplies(Quilt& quilt) {
    const std::vector<std::pair<const char*, int>> metres{
        {"slate grey", 310}, {"iron", 145},       {"cream plain", 420}, {"brick red", 60},
        {"oak", 220},        {"water blue", 180}, {"moss", 95},         {"brass yellow", 25}};
    for (auto& thread : quilt.threads)
        for (const auto& [name, left] : metres)
            if (thread.name == name) {
                thread.spool = Length::ofMm(left * 1000.0), thread.bobbin = Length::ofMm(left * 90.0);
                thread.tex = 30;
            }
    const auto add = [&](const char* name, quilt::Purpose purpose, int width, int length) {
        quilt.supplies.push_back({SupplyId{quilt.nextId++}, name, purpose, Length::ofInches(width, 1),
                                  Length::ofInches(length, 1), "", ""});
    };
    add("Tear-away", quilt::Purpose::stabiliser, 20, 54);
    add("Cotton batting", quilt::Purpose::batting, 45, 60);
}

/// Strips are sewn on as blocks come; the one that is finished was drawn in a little. Measures invented.
Result<Quilt> setInStrips(Quilt quilt) {
    quilt::Setting setting;
    setting.strips = fabricNamed(quilt, "slate grey"), setting.asTheyCome = true;
    setting.borders = {{Length::ofInches(2, 1), fabricNamed(quilt, "deep teal")}};
    Result<Quilt> out = edit::setSetting(quilt, setting, quilt.sashing, quilt.columns);
    for (const auto& block : quilt.blocks) {
        if (!block.trimmed || !out) continue;
        auto fitting = block.fitting;
        fitting.measured = quilt::Measured{Length::ofInches(39, 4), Length::ofInches(157, 16)};
        out = edit::fit(*out, block.id, fitting);
        const auto strips = plan::planFinish(*out, the(out->blocks, block.id)).strips.size();
        for (std::size_t i = 0; i < strips && out; ++i)
            out = edit::stripSewn(*out, block.id, out->log->back().time + 600);
    }
    return out;
}
} // namespace

Result<Quilt> towpath(const std::string& folder) {
    Quilt quilt = startingQuilt();
    for (const auto& sample : samples()) {
        auto next = withSample(quilt, folder, sample);
        if (!next) return next;
        quilt = std::move(*next);
    }
    addOffCuts(quilt);
    addCloth(quilt);
    addThreadsAndSupplies(quilt);
    auto set = setInStrips(std::move(quilt));
    if (!set) return set;
    quilt = std::move(*set);
    auto log = *quilt.log;
    std::stable_sort(log.begin(), log.end(), [](const auto& a, const auto& b) { return a.time < b.time; });
    quilt.log = std::move(log);
    return quilt;
}

} // namespace up::demo
