// SPDX-License-Identifier: GPL-3.0-or-later
// A drawing larger than the paper as rows and columns of pages that overlap and match.
#pragma once

#include "core/measure/paper.hpp"
#include "core/sheet/sheet.hpp"

namespace up::output {

struct Content {
    std::vector<sheet::Item> items;
    shape::Box box;     ///< what must be on the pages, mm
    std::string title;  ///< "Narrowboat: tracing layout"
    std::string side;   ///< which side this is
    std::string advice; ///< what to do with the sheet
};

/// Pages of `paper` at true size, upright or on its side, whichever needs fewer; neighbouring pages repeat a
/// strip of half an inch with crosses in its middle that lie on each other. Pages on which nothing of the
/// items' boxes lies are left out; row and column stay as counted. A closed outline with a tag that lies on
/// two sheets has its line of joining and lettered marks where it crosses that. Each page: title, side, row
/// and column, crosses, what joins it, the test square.
[[nodiscard]] std::vector<sheet::Page> tiled(const Content& content, const measure::Paper& paper);

/// All that is drawn on the page so much larger, about its upper left corner; the paper stays as it is.
void enlarge(sheet::Page& page, double by);

} // namespace up::output
