// SPDX-License-Identifier: GPL-3.0-or-later
// The verb `press`: where the iron goes on a block.
#include "cli/open.hpp"
#include "cli/parts.hpp"
#include "core/plan/fuse/press_plan.hpp"

namespace up::cli {
namespace {

class PressWriter {
public:
    PressWriter(const quilt::Block& block, const plan::PressPlan& plan, const quilt::Web* web)
        : m_block(block), m_plan(plan) {
        if (web && web->longest) m_limit = *web->longest;
    }

    Json ironJson(const std::string& name) const {
        Json turns = Json::array();
        for (const auto turn : m_plan.iron.turns)
            turns.push_back(turn.degrees());
        return {{"name", name}, {"outline", pointsOf(m_plan.iron.outline)}, {"turns", turns}};
    }
    Json stages() const {
        Json out = Json::array();
        for (const auto& stage : m_plan.stages) {
            Json made{{"what", keyOf(stage.kind)}};
            if (stage.unit) made["label"] = std::to_string(stage.unit);
            made["side"] = stage.fromBack ? "back" : "front";
            made["pieces"] = numbersOf(m_block, stage.pieces);
            made["seconds"] = stage.seconds;
            made["presses"] = Json::array();
            for (const auto& planned : stage.presses)
                if (planned.left > 0)
                    made["presses"].push_back({{"at", {planned.press.at.x, planned.press.at.y}},
                                               {"turn", planned.press.turn.degrees()},
                                               {"pieces", numbersOf(m_block, planned.pieces)}});
            if (!stage.unreached.empty()) made["unreached"] = pointsOf(stage.unreached);
            out.push_back(std::move(made));
        }
        return out;
    }
    Json heat() const {
        Json out = Json::array();
        for (const auto& heat : m_plan.heat)
            out.push_back({{"piece", quilt::numberOf(m_block, heat.piece)},
                           {"before", heat.before},
                           {"least", heat.least},
                           {"most", heat.most},
                           {"limit", m_limit}});
        return out;
    }
    Json tests() const {
        Json out = Json::array();
        for (const auto& test : m_plan.tests)
            out.push_back({{"piece", quilt::numberOf(m_block, test.piece)},
                           {"at", {test.at.x, test.at.y}},
                           {"why", keyOf(test.why)}});
        return out;
    }

private:
    const quilt::Block& m_block;
    const plan::PressPlan& m_plan;
    Json m_limit; ///< null: the leaflet says nothing
};

/// As asked for, or the one that the quilt has in use.
std::string ironName(const quilt::Quilt& quilt, const std::string& asked) {
    if (!asked.empty()) return asked;
    const auto* own = find(quilt.irons, quilt.iron);
    return own ? own->name : std::string(keyOf(press::Soleplate::household));
}

} // namespace

Bytes press(const Words& words) {
    const auto opened = openBlock(words);
    if (!opened) return tl::unexpected(opened.error());
    const auto kind = fromKey<press::Soleplate>(words.iron);
    if (!kind && !words.iron.empty())
        return failure(Code::badUse,
                       {"--iron is " + keysInWords<press::Soleplate>() + ", not “" + words.iron + "”"});
    const auto& block = opened->chosen();
    const auto plan = plan::planPressing(opened->quilt, block, plan::planBlock(block),
                                         {kind ? press::ironOf(*kind) : plan::ironOf(opened->quilt)});
    if (!plan) return tl::unexpected(plan.error());
    const PressWriter writer(block, *plan, find(opened->quilt.webs, block.web));
    Json out{{"format", "upstairs-pressing"}, {"version", 1},
             {"block", block.name},           {"iron", writer.ironJson(ironName(opened->quilt, words.iron))},
             {"overlap", plan->overlap.mm()}, {"noIron", numbersOf(block, plan->noIron)},
             {"stages", writer.stages()},     {"heat", writer.heat()},
             {"test", writer.tests()}};
    return out.dump(1) + "\n";
}

} // namespace up::cli
