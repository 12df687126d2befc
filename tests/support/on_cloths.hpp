// SPDX-License-Identifier: GPL-3.0-or-later
// A small block whose chunks are rough cut and wait for cloth.
#pragma once

#include "core/edit/cloths.hpp"
#include "core/edit/tracing.hpp"
#include "core/plan/bond/bond_plan.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::test {

inline constexpr Colour red{0xaa, 0x33, 0x22}, blue{0x22, 0x44, 0xaa};

/// A block of two red squares far apart and a blue one, laid out one by one and rough cut.
class OnCloths : public ::testing::Test {
protected:
    void SetUp() override {
        quilt = must(edit::addBlock(quilt::emptyQuilt("test"), "Lock", measure::Length::ofInches(9, 1),
                                    measure::Length::ofInches(9, 1)));
        block = quilt.blocks.back().id;
        quilt = must(edit::addDrawing(quilt, block,
                                      drawingOf({{"one", square(20, 20, 40), red},
                                                 {"two", square(120, 20, 40), red},
                                                 {"sky", square(120, 120, 60), blue}}),
                                      {false, edit::Fit::own}, 0));
        for (const auto& piece : of().pieces)
            pieces.push_back(piece.id);
        Job job;
        auto layout = must(plan::layOut(quilt, of(), {0, 4, 1, quilt::School::oneByOne}, job));
        quilt = must(edit::setLayout(quilt, block, std::move(layout), 0));
        for (const auto step : {quilt::Step::traced, quilt::Step::roughCut})
            quilt = must(edit::record(quilt, block, pieces, step, 0));
    }
    const quilt::Block& of() const { return the(quilt.blocks, block); }
    plan::TracePlan trace() const { return plan::planTrace(quilt, of()); }
    FabricId fabric(std::size_t piece) const { return of().pieces[piece].fabric; }
    ClothId add(const std::string& name, FabricId cloth, double width, double height) {
        quilt::Cloth made{};
        made.name = name, made.fabric = cloth, made.key = name;
        made.outline = shape::rectangle({0, 0, width, height}).rings;
        quilt = must(edit::putCloth(quilt, std::move(made)));
        return quilt.cloths.back().id;
    }
    void lay() {
        Job job;
        quilt = must(edit::layOnCloth(quilt, block, plan::layOnCloth(quilt, of(), trace(), {}, job)));
    }
    std::size_t chunkOf(std::size_t piece) const {
        const auto chunks = trace().chunks;
        for (std::size_t i = 0; i < chunks.size(); ++i)
            if (chunks[i].pieces.front() == pieces[piece]) return i;
        return chunks.size();
    }
    void bond(const std::vector<std::size_t>& which) {
        std::vector<std::size_t> chunks;
        std::vector<PieceId> done;
        for (const auto piece : which)
            chunks.push_back(chunkOf(piece)), done.push_back(pieces[piece]);
        quilt = must(
            edit::bondOnCloth(quilt, block, done, plan::leftWhenBonded(quilt, of(), trace(), chunks), 1));
    }
    double clothArea() const {
        double area = 0;
        for (const auto& cloth : quilt.cloths)
            area += geosArea(shape::Region{cloth.outline});
        return area;
    }

    quilt::Quilt quilt;
    BlockId block;
    std::vector<PieceId> pieces;
};

} // namespace up::test
