// SPDX-License-Identifier: GPL-3.0-or-later
// What lies on what, in numbers: the verb order.
#include "cli/open.hpp"
#include "core/plan/block/shine_plan.hpp"
#include "core/plan/block/underlap_plan.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/lay/dry_lay.hpp"
#include "core/plan/lay/roll_call.hpp"
#include "core/stack/knots.hpp"
#include "core/stack/showing.hpp"
#include "core/stack/units.hpp"
#include "words/lay_words.hpp"

#include <array>
#include <map>
#include <nlohmann/json.hpp>

namespace up::cli {
namespace {

using Json = nlohmann::ordered_json;

constexpr std::array spotKeys{"leftEnd", "rightEnd", "top", "bottom", "middle"};
constexpr std::array fromKeys{"leftEdge",   "rightEdge",     "topEdge",
                              "bottomEdge", "uprightCrease", "levelCrease"};
constexpr std::array handKeys{"none", "asDrawn", "mirrored"};

class Orderly {
public:
    Orderly(const quilt::Quilt& quilt, const quilt::Block& block)
        : m_quilt(quilt), m_block(block), m_plan(plan::planBlock(block)) {}

    Json run() const {
        Json out{{"format", "upstairs-order"}, {"version", 1}, {"block", m_block.name}};
        out["pieces"] = pieces();
        out["overlaps"] = Json::array();
        for (const auto& o : m_plan.stack.overlaps)
            out["overlaps"].push_back({{"lower", o.lower + 1}, {"upper", o.upper + 1}, {"area", o.area}});
        out["borders"] = borders();
        out["interwoven"] = knots();
        out["units"] = units();
        out["layers"] = Json::array();
        for (const auto& layer : stack::layersOf(m_plan.regions))
            out["layers"].push_back(layer.area());
        out["background"] = background();
        out["laying"] = laying();
        out["count"] = count();
        return out;
    }

private:
    [[nodiscard]] int number(PieceId piece) const { return quilt::numberOf(m_block, piece); }

    [[nodiscard]] Json pieces() const {
        Json out = Json::array();
        for (std::size_t i = 0; i < m_block.pieces.size(); ++i) {
            const auto& piece = m_block.pieces[i];
            const auto* fabric = find(m_quilt.fabrics, piece.fabric);
            double edge = 0;
            for (const auto& line : m_plan.visibleEdges[i])
                edge += shape::lengthOf(line);
            Json entry{{"number", i + 1},
                       {"label", quilt::labelOf(m_block, piece.id)},
                       {"name", piece.name},
                       {"fabric", fabric ? fabric->name : ""},
                       {"step", m_plan.stack.step[i]},
                       {"free", bool(m_plan.stack.free[i])},
                       {"area", m_plan.regions[i].area()},
                       {"visibleArea", m_plan.visible[i].area()},
                       {"visibleEdge", edge},
                       {"hiddenEdge", Json::array()}};
            for (const auto& hidden : stack::hiddenEdge(m_plan.regions, i, m_plan.above[i]))
                entry["hiddenEdge"].push_back(
                    {{"by", hidden.by + 1}, {"length", shape::lengthOf(hidden.line)}});
            if (piece.liningOf) entry["liningOf"] = number(piece.liningOf);
            out.push_back(std::move(entry));
        }
        return out;
    }

    [[nodiscard]] Json borders() const {
        Json out = Json::array();
        for (const auto& b : plan::planUnderlap(m_quilt, m_block, m_plan, plan::Below::drawn).borders)
            out.push_back({{"lower", number(b.lower)},
                           {"upper", number(b.upper)},
                           {"meets", b.overlap ? "overlap" : "border"},
                           {"because", keyOf(b.reason)}});
        return out;
    }

    [[nodiscard]] Json knots() const {
        Json out = Json::array();
        for (const auto& knot : m_plan.stack.knots) {
            Json entry{{"pieces", Json::array()}};
            for (const std::size_t i : knot)
                entry["pieces"].push_back(i + 1);
            const auto ring = stack::ringIn(knot, m_plan.stack.overlaps);
            if (const auto cut = stack::untied(m_plan.regions, ring, m_block.underlap.mm()))
                entry["cut"] = {
                    {"piece", cut->piece + 1}, {"join", cut->join}, {"at", {cut->spot.x, cut->spot.y}}};
            out.push_back(std::move(entry));
        }
        return out;
    }

    /// Those that are made, and those that the overlaps suggest.
    [[nodiscard]] Json units() const {
        Json out = Json::array();
        std::map<int, Json> made;
        for (std::size_t i = 0; i < m_block.pieces.size(); ++i)
            if (const int unit = m_block.pieces[i].unit; unit != 0) made[unit].push_back(i + 1);
        for (auto& [unit, members] : made)
            out.push_back({{"made", true}, {"pieces", std::move(members)}});
        for (const auto& unit : plan::suggestedUnits(m_block, m_plan)) {
            Json entry{{"made", false}, {"pieces", Json::array()}};
            for (const auto id : unit)
                entry["pieces"].push_back(number(id));
            out.push_back(std::move(entry));
        }
        return out;
    }

    [[nodiscard]] static Json sum(const plan::SeamSum& seams) {
        Json out{{"cut", Json::array()}, {"sewn", seams.sewn.mm()}};
        for (const auto cut : seams.cut)
            out["cut"].push_back(cut.mm());
        return out;
    }

    [[nodiscard]] Json background() const {
        const auto ground = plan::planGround(m_block);
        Json out{{"width", ground.wide.mm()},
                 {"height", ground.high.mm()},
                 {"shortWidth", ground.shortWide.mm()},
                 {"shortHeight", ground.shortHigh.mm()},
                 {"across", nullptr},
                 {"along", Json::array()}};
        if (!ground.across.cut.empty()) out["across"] = sum(ground.across);
        for (const auto& strip : ground.along)
            out["along"].push_back(sum(strip));
        return out;
    }

    /// Step by step, guides too.
    [[nodiscard]] Json laying() const {
        Json out = Json::array();
        const auto steps = plan::placementSteps(m_plan, plan::planGround(m_block));
        for (const auto& step : plan::dryLay(steps)) {
            Json entry{{"piece", step.piece + 1},
                       {"forAMoment", step.forAMoment},
                       {"guide", step.guide ? Json(*step.guide + 1) : Json()},
                       {"tucks", Json::array()},
                       {"measures", Json::array()},
                       {"words", words::stepWords(m_block, step, m_quilt.units)}};
            for (const auto& tuck : step.tucks)
                entry["tucks"].push_back({{"under", tuck.upper + 1}, {"depth", tuck.depth.mm()}});
            for (const auto& m : step.measures)
                entry["measures"].push_back({{"spot", spotKeys[static_cast<std::size_t>(m.spot)]},
                                             {"tip", m.isTip},
                                             {"from", fromKeys[static_cast<std::size_t>(m.from)]},
                                             {"away", m.away.mm()},
                                             {"at", {m.at.x, m.at.y}}});
            out.push_back(std::move(entry));
        }
        return out;
    }

    [[nodiscard]] Json count() const {
        Json out = Json::array();
        const auto call = plan::rollCall(m_block, plan::judge(m_block, m_plan));
        for (const auto& heap : call.heaps) {
            Json entry{{"pieces", Json::array()},
                       {"hand", handKeys[static_cast<std::size_t>(heap.hand)]},
                       {"here", heap.here},
                       {"missing", heap.missing},
                       {"notCut", heap.notCut}};
            for (const std::size_t i : heap.pieces)
                entry["pieces"].push_back(i + 1);
            out.push_back(std::move(entry));
        }
        return out;
    }

    const quilt::Quilt& m_quilt;
    const quilt::Block& m_block;
    plan::BlockPlan m_plan;
};

} // namespace

Bytes order(const Words& words) {
    const auto opened = openBlock(words);
    if (!opened) return tl::unexpected(opened.error());
    return Orderly(opened->quilt, opened->chosen()).run().dump(1) + "\n";
}

} // namespace up::cli
