// SPDX-License-Identifier: GPL-3.0-or-later
// Verbs that make files: import, new, nest, export, demo.
#include "cli/open.hpp"
#include "core/base/place.hpp"
#include "core/edit/edits.hpp"
#include "core/edit/naming.hpp"
#include "core/layout/groups.hpp"
#include "core/layout/nest.hpp"
#include "core/measure/say.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "core/store/exchange.hpp"
#include "core/store/quilt_file.hpp"
#include "demo/towpath.hpp"
#include "demo/ways.hpp"
#include "intake/pages/pages.hpp"
#include "output/dxf/dxf.hpp"
#include "output/pages/pages.hpp"
#include "output/pdf/pdf.hpp"
#include "output/svg/svg.hpp"

#include <algorithm>
#include <ctime>
#include <filesystem>

namespace up::cli {
namespace {

std::int64_t now() {
    return static_cast<std::int64_t>(std::time(nullptr));
}

} // namespace

namespace {

/// The pages of all files, row by row, as one.
Result<quilt::Drawing> openPages(const Words& words) {
    const auto overlap = measure::readLength(words.overlap);
    if (!overlap) return tl::unexpected(overlap.error());
    if (overlap->mm() < 0) return failure(Code::badLength, {words.overlap});
    std::vector<quilt::Drawing> pages;
    for (const auto& file : words.files)
        for (int page = 1, last = pagesIn(file); page <= last; ++page) {
            auto drawing = openDrawing(file, page, words.dpi);
            if (!drawing) return drawing;
            pages.push_back(std::move(*drawing));
        }
    const int columns = words.columns > 0 ? words.columns : static_cast<int>(pages.size());
    return intake::joinPages(pages, {columns, overlap->mm(), overlap->mm(), {}});
}

} // namespace

Bytes import(const Words& words) {
    const bool together = words.files.size() > 1 || words.columns > 0;
    const auto drawing =
        together ? openPages(words) : openDrawing(words.files.front(), words.page, words.dpi);
    if (!drawing) return tl::unexpected(drawing.error());
    auto named = *drawing;
    const auto names = edit::namesFor(named);
    for (std::size_t i = 0; i < names.size(); ++i)
        if (named.shapes[i].name.empty()) named.shapes[i].name = names[i]; // an id stays, whoever gave it
    return store::writePieces(named, warningsOf(named));
}

Bytes makeNew(const Words& words) {
    const auto size = measure::readSize(words.finished);
    if (!size) return tl::unexpected(size.error());
    const auto name = edit::properName(words.name); // before anything is read
    if (!name) return tl::unexpected(name.error());
    const auto margin = measure::readLength(words.margin);
    if (!margin) return tl::unexpected(margin.error());
    if (margin->mm() < 0) return failure(Code::badLength, {words.margin});
    auto quilt = edit::addBlock(quilt::emptyQuilt(*name), *name, size->width, size->height);
    for (const auto& file : words.files) {
        if (!quilt) break;
        const auto drawing = openDrawing(file);
        if (!drawing) return tl::unexpected(drawing.error());
        quilt = edit::addDrawing(*quilt, quilt->blocks.back().id, *drawing,
                                 {words.reversed, words.ownSize ? edit::Fit::own : edit::Fit::page, *margin},
                                 now());
    }
    if (!quilt) return tl::unexpected(quilt.error());
    return store::writeQuilt(*quilt);
}

Bytes nest(const Words& words) {
    const auto text = store::readFile(words.file);
    if (!text) return tl::unexpected(text.error());
    const auto job = store::readNestJob(*text, words.file);
    if (!job) return tl::unexpected(job.error());
    Job control;
    const layout::NestOptions options{words.seconds.value_or(2), words.rounds, words.seed};
    return store::writeNestLayout(*job, job->groupSpacing > 0 ? layout::nestInGroups(*job, options, control)
                                                              : layout::nest(*job, options, control));
}

Bytes exportSheets(const Words& words) {
    const bool pages = words.what == "tracing" || words.what == "placement" || words.what == "web" ||
                       words.what == "templates";
    if (!pages && words.what != "cut")
        return failure(Code::badUse,
                       {"--what is tracing, templates, web, placement or cut, not “" + words.what + "”"});
    if ((pages && words.as != "pdf") ||
        (!pages && words.as != "svg" && words.as != "dxf" && words.as != "dxf2000"))
        return failure(Code::badUse,
                       {"tracing, templates, web and placement sheets are written as pdf, cut files as "
                        "svg, dxf or dxf2000; choose --as " +
                        std::string(pages ? "pdf" : "svg, dxf or dxf2000")});
    if (words.paper != "letter" && words.paper != "a4")
        return failure(Code::badUse, {"--paper is letter or a4, not “" + words.paper + "”"});
    auto opened = openBlock(words);
    if (!opened) return tl::unexpected(opened.error());
    const auto& block = opened->chosen();
    if (!pages) {
        const auto sheet = output::cutSheet(opened->quilt, block);
        if (!sheet) return tl::unexpected(sheet.error());
        if (words.as == "svg") return output::writeSvg(*sheet);
        return output::writeDxf(*sheet,
                                words.as == "dxf" ? output::DxfVersion::r12 : output::DxfVersion::r2000);
    }
    output::PageOptions options{words.paper == "a4" ? measure::a4 : measure::letter};
    if (!words.square.empty()) {
        const auto square = measure::readLength(words.square);
        if (!square) return tl::unexpected(square.error());
        if (square->mm() < output::leastSquare || square->mm() > output::mostSquare)
            return failure(Code::absurdSize,
                           {"printed square", measure::sayInches(*square, 64),
                            measure::sayInches(measure::Length::ofMm(output::leastSquare), 64),
                            measure::sayInches(measure::Length::ofMm(output::mostSquare), 64)});
        options.square = square->mm();
    }
    const auto placing = words.mirrored ? output::mirroredPlacementPages
                         : words.guides ? output::guidePages
                                        : output::placementPages;
    if (words.what == "placement")
        return placing(opened->quilt, block, options).and_then([&](const auto& made) {
            return output::writePdf(made, block.name);
        });
    if (words.what == "templates" && std::none_of(block.pieces.begin(), block.pieces.end(),
                                                  [](const auto& piece) { return piece.isOffWeb(); }))
        return failure(Code::badUse, {"only pieces without web have templates, and all of “" + block.name +
                                      "” are fused; choose --what tracing"});
    if (words.what == "templates")
        return output::templatePages(opened->quilt, block, options).and_then([&](const auto& made) {
            return output::writePdf(made, block.name);
        });
    auto laidOut = block;
    if (!block.layout) {
        Job control;
        auto found = plan::layOut(opened->quilt, block, {0, 6, 1}, control);
        if (!found) return tl::unexpected(found.error());
        laidOut.layout = std::move(*found);
    }
    const auto made = words.what == "web" ? output::webPages(opened->quilt, laidOut, options)
                                          : output::tracingPages(opened->quilt, laidOut, options);
    if (!made) return tl::unexpected(made.error());
    return output::writePdf(*made, block.name);
}

Bytes demo(const Words& words) {
    namespace fs = std::filesystem;
    if (words.out == "-") return failure(Code::badUse, {"demo writes several files: give a folder with -o"});
    const auto from = dataFolder() + "/drawings";
    const auto quilt = demo::towpath(from);
    if (!quilt) return tl::unexpected(quilt.error());
    std::error_code wrong;
    fs::create_directories(words.out, wrong);
    if (wrong) return failure(Code::cannotWrite, {words.out, wrong.message()});
    for (const auto& name : demo::drawings()) {
        const auto text = store::readFile(from + "/" + name);
        if (!text) return text;
        if (auto written = store::writeFile(words.out + "/" + name, *text); !written)
            return tl::unexpected(written.error());
    }
    if (auto saved = store::saveQuilt(words.out + "/towpath.upstairs", *quilt); !saved)
        return tl::unexpected(saved.error());
    const auto ways = demo::otherWays(from);
    if (!ways) return tl::unexpected(ways.error());
    if (auto saved = store::saveQuilt(words.out + "/other-ways.upstairs", *ways); !saved)
        return tl::unexpected(saved.error());
    return std::string();
}

} // namespace up::cli
