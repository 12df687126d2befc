// SPDX-License-Identifier: GPL-3.0-or-later
// The verb `bond`: which chunk goes onto which cloth, and what is left of it.
#include "cli/laid_out.hpp"
#include "cli/parts.hpp"
#include "core/edit/cloths.hpp"
#include "core/plan/bond/bond_plan.hpp"
#include "core/quilt/stash.hpp"
#include "core/store/file.hpp"
#include "core/store/stash_file.hpp"
#include "words/bond_words.hpp"

namespace up::cli {
namespace {

Json degrees(const std::optional<measure::Angle>& angle) {
    return angle ? Json(angle->degrees()) : Json(nullptr);
}

/// {"outline": …, "holes": …}
void addArea(Json& to, const shape::Rings& rings) {
    to["outline"] = rings.empty() ? Json::array() : pointsOf(rings.front());
    to["holes"] = Json::array();
    for (std::size_t i = 1; i < rings.size(); ++i)
        to["holes"].push_back(pointsOf(rings[i]));
}

class BondWriter {
public:
    BondWriter(const quilt::Quilt& quilt, const quilt::Block& block, const plan::TracePlan& trace)
        : m_quilt(quilt), m_block(block), m_trace(trace) {}

    Json cloth(const plan::ClothUse& use) const {
        const auto& cloth = the(m_quilt.cloths, use.cloth);
        Json out{{"cloth", cloth.name}, {"fabric", fabricName(cloth.fabric)}};
        addArea(out, cloth.outline);
        out["stripes"] = degrees(cloth.stripes);
        out["chunks"] = Json::array();
        for (const auto& laid : use.chunks) {
            Json chunk{{"chunk", m_trace.chunks[laid.chunk].number},
                       {"pieces", numbersOf(m_block, m_trace.chunks[laid.chunk].pieces)},
                       {"outline", pointsOf(laid.outline.rings.front())},
                       {"wants", degrees(laid.wants)}};
            if (laid.lies != plan::Lies::well) chunk["trouble"] = words::liesWords(laid.lies);
            out["chunks"].push_back(std::move(chunk));
        }
        out["left"] = Json::array();
        for (const auto& left : use.left) {
            Json part = Json::object();
            addArea(part, left.rings);
            out["left"].push_back(std::move(part));
        }
        return out;
    }
    Json missing(const plan::ChunkShort& missing) const {
        const auto& chunk = m_trace.chunks[missing.chunk];
        return {{"fabric", fabricName(chunk.fabric)},
                {"chunk", chunk.number},
                {"pieces", numbersOf(m_block, chunk.pieces)},
                {"needs", {missing.width.mm(), missing.height.mm()}},
                {"why", words::shortWords(m_quilt, chunk, missing)}};
    }

private:
    std::string fabricName(FabricId id) const {
        const auto* fabric = find(m_quilt.fabrics, id);
        return fabric ? fabric->name : "";
    }
    const quilt::Quilt& m_quilt;
    const quilt::Block& m_block;
    const plan::TracePlan& m_trace;
};

/// With the cloths of that file instead of its own.
Result<quilt::Quilt> withStashFile(const quilt::Quilt& quilt, const std::string& path) {
    return store::readFile(path)
        .and_then([&](const std::string& text) { return store::readStash(text, path); })
        .map([&](const quilt::Stash& stash) {
            auto bare = quilt;
            bare.cloths.clear();
            for (std::size_t i = 0; i < bare.blocks.size(); ++i)
                bare.blocks[i].onCloth.clear();
            return quilt::withStash(std::move(bare), stash);
        });
}

} // namespace

Bytes bond(const Words& words) {
    auto opened = openBlock(words);
    if (!opened) return tl::unexpected(opened.error());
    if (!words.stash.empty()) {
        auto with = withStashFile(opened->quilt, words.stash);
        if (!with) return tl::unexpected(with.error());
        opened->quilt = std::move(*with);
    }
    auto laid = laidOut(*opened, words);
    if (!laid) return tl::unexpected(laid.error());
    auto block = std::move(*laid);
    const auto trace = plan::planTrace(opened->quilt, block);
    Job job;
    if (!plan::planBonding(opened->quilt, block, trace).missing.empty())
        block.onCloth = plan::layOnCloth(opened->quilt, block, trace, {}, job);
    the(opened->quilt.blocks, opened->block) = block;
    const auto plan = plan::planBonding(opened->quilt, block, trace);
    const BondWriter writer(opened->quilt, block, trace);
    Json out{{"format", "upstairs-bonding"}, {"version", 1},
             {"block", block.name},          {"margin", press::fabricBeyondWeb.mm()},
             {"cloths", Json::array()},      {"short", Json::array()}};
    for (const auto& use : plan.cloths)
        out["cloths"].push_back(writer.cloth(use));
    for (const auto& missing : plan.missing)
        out["short"].push_back(writer.missing(missing));
    return out.dump(1) + "\n";
}

} // namespace up::cli
