// SPDX-License-Identifier: GPL-3.0-or-later
// The narrowboat laid out, for what is printed of it.
#pragma once

#include "core/plan/trace/lay_out.hpp"
#include "intake/svg/svg.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

namespace up::test {

/// On a roll, or on three sheets of 12 by 12 in.
[[nodiscard]] inline quilt::Quilt narrowboat(bool inSheets = false) {
    const auto path = source("demo/drawings/narrowboat.svg");
    const auto side = measure::Length::ofInches(9, 1), sheet = measure::Length::ofInches(12, 1);
    auto quilt = must(edit::addBlock(quilt::emptyQuilt("Q"), "Narrowboat", side, side));
    quilt =
        must(edit::addDrawing(quilt, quilt.blocks[0].id, must(intake::readSvg(readAll(path), path)), {}, 1));
    if (inSheets) {
        auto& web = quilt.webs.front();
        web.width = sheet, web.stock = quilt::Packet{3, sheet};
    }
    Job job;
    auto layout = must(plan::layOut(quilt, quilt.blocks[0], {0, 1, 1}, job));
    return must(edit::setLayout(quilt, quilt.blocks[0].id, std::move(layout), 2));
}

} // namespace up::test
