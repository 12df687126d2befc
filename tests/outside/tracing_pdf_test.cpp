// SPDX-License-Identifier: GPL-3.0-or-later
// Tracing pages measured on what poppler renders: every line in its place, tiles that join, numbers twice,
// pages straight onto web.
#include "core/edit/tracing.hpp"
#include "core/plan/block/block_plan.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "output/pages/pages.hpp"
#include "output/pdf/pdf.hpp"
#include "tests/outside/narrowboat.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <cmath>
#include <gtest/gtest.h>
#include <optional>
#include <sstream>

namespace up::output {
namespace {

using shape::Point;
using test::must;
using test::narrowboat;
using test::tool;

constexpr int dpi = 600;
constexpr double dotsPerMm = dpi / 25.4;

/// A page as grey pixels.
struct Picture {
    int width = 0, height = 0;
    std::string pixels;
    [[nodiscard]] bool dark(Point mm) const {
        const int x = static_cast<int>(std::floor(mm.x * dotsPerMm)),
                  y = static_cast<int>(std::floor(mm.y * dotsPerMm));
        if (x < 0 || y < 0 || x >= width || y >= height) return false;
        return static_cast<unsigned char>(
                   pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) +
                          static_cast<std::size_t>(x)]) < 140;
    }
};

std::vector<Picture> rendered(const test::TempDir& dir, const std::vector<sheet::Page>& pages) {
    const auto path = dir.file("sheet.pdf");
    test::writeAll(path, must(writePdf(pages, "Test")));
    std::vector<Picture> out;
    for (std::size_t page = 1; page <= pages.size(); ++page) {
        const auto name = dir.file("page" + std::to_string(page));
        const auto said = tool("pdftoppm -gray -r " + std::to_string(dpi) + " -f " + std::to_string(page) +
                               " -l " + std::to_string(page) + " -singlefile '" + path + "' '" + name + "'");
        EXPECT_EQ(said.code, 0) << said.out;
        const auto bytes = test::readAll(name + ".pgm");
        Picture picture;
        std::sscanf(bytes.c_str(), "P5 %d %d", &picture.width, &picture.height);
        picture.pixels = bytes.substr(bytes.size() - static_cast<std::size_t>(picture.width) *
                                                         static_cast<std::size_t>(picture.height));
        out.push_back(std::move(picture));
    }
    return out;
}

/// How far from `at`, along `across`, the middle of the dark line lies that runs there; nothing where another
/// line or a figure makes it wider, or where there is none within half a millimetre.
std::optional<double> offLine(const Picture& picture, Point at, Point across) {
    constexpr double step = 0.01, reach = 0.5, widest = 0.55; // mm; the pen is 0.35 mm wide
    double first = 0, last = 0;
    bool found = false;
    for (double d = -reach; d <= reach; d += step) {
        if (!picture.dark(at + across * d)) continue;
        if (!found) first = d;
        last = d, found = true;
    }
    if (!found || last - first > widest || last - first < 0.2) return std::nullopt;
    return (first + last) / 2;
}

struct Measured {
    int points = 0;
    double worst = 0, sum = 0;
};

/// All lines of the layout's sheet, on one page.
Measured measured(const Picture& picture, const sheet::Layer& drawing, const plan::TracePlan& trace,
                  const quilt::Layout& layout, int sheet) {
    Measured out;
    for (const auto& [id, outline] : trace.lines) {
        const auto traced = std::find_if(layout.traced.begin(), layout.traced.end(),
                                         [&](const auto& t) { return t.piece == id; });
        if (traced->sheet != sheet) continue;
        const auto region = shape::regionOf(outline, 0.01);
        for (const auto& ring : region.rings)
            for (std::size_t i = 0; i < ring.size(); ++i) {
                const Point a = drawing.place(ring[i]), b = drawing.place(ring[(i + 1) % ring.size()]);
                const double length = shape::distance(a, b);
                if (length < 1.5) continue; // corners are round and short edges bend
                const Point middle = (a + b) * 0.5, across{-(b.y - a.y) / length, (b.x - a.x) / length};
                const auto& clip = *drawing.clip;
                if (middle.x < clip.left + 1 || middle.x > clip.right - 1 || middle.y < clip.top + 1 ||
                    middle.y > clip.bottom - 1)
                    continue;
                const auto off = offLine(picture, middle, across);
                if (!off) continue;
                ++out.points, out.sum += std::abs(*off), out.worst = std::max(out.worst, std::abs(*off));
            }
    }
    return out;
}

TEST(TracingPages, EveryLineIsWithinATenthOfAMillimetreOfItsPlace) {
    const auto quilt = narrowboat(false);
    const auto& block = quilt.blocks[0];
    const auto trace = plan::planTrace(quilt, block);
    ASSERT_EQ(trace.sheets.size(), 1U);
    const auto pages = must(tracingPages(quilt, block, {measure::letter}));
    ASSERT_GT(pages.size(), 1U) << "tiled";
    const test::TempDir dir;
    const auto pictures = rendered(dir, pages);
    int points = 0;
    for (std::size_t i = 0; i < pages.size(); ++i) {
        const auto found = measured(pictures[i], pages[i].layers[0], trace, *block.layout, 0);
        points += found.points;
        EXPECT_LT(found.worst, 0.1) << "page " << i + 1 << ", " << found.points << " places";
    }
    EXPECT_GT(points, 150);
}

/// The middles of the crosses in the page's frame: pairs of lines 7 mm long.
std::vector<Point> crossesOf(const sheet::Page& page) {
    std::vector<Point> out;
    for (const auto& item : page.layers[1].items)
        if (const auto* line = std::get_if<sheet::Shape>(&item)) {
            const auto box = boundsOf(line->contours.front());
            if (std::abs(box.width() - 7) < 1e-6 && box.height() < 1e-6) out.push_back(box.centre());
        }
    return out;
}

TEST(TracingPages, TilesJoinWhereTheirCrossesLieOnEachOther) {
    const auto quilt = narrowboat(false);
    const auto pages = must(tracingPages(quilt, quilt.blocks[0], {measure::letter}));
    const test::TempDir dir;
    const auto pictures = rendered(dir, pages);
    int joined = 0;
    for (std::size_t i = 0; i < pages.size(); ++i)
        for (const auto& cross : crossesOf(pages[i])) {
            // It is printed there: both arms are dark, their middle within a tenth of a millimetre.
            const auto across = offLine(pictures[i], cross + Point{2.5, 0}, {0, 1});
            const auto down = offLine(pictures[i], cross + Point{0, 2.5}, {1, 0});
            if (across && down) {
                EXPECT_LT(std::abs(*across), 0.1);
                EXPECT_LT(std::abs(*down), 0.1);
            }
            const Point onSheet = pages[i].layers[0].place.inverse()(cross);
            for (std::size_t k = i + 1; k < pages.size(); ++k)
                for (const auto& other : crossesOf(pages[k]))
                    if (const double away =
                            shape::distance(onSheet, pages[k].layers[0].place.inverse()(other));
                        away < 5) {
                        EXPECT_LT(away, 0.1);
                        ++joined;
                    }
        }
    EXPECT_GE(joined, 2) << "two crosses where two pages meet";
}

TEST(TracingPages, NumbersStandInThePieceAndAgainInTheMargin) {
    const auto quilt = narrowboat(true);
    const auto& block = quilt.blocks[0];
    const auto pages = must(webPages(quilt, block, {}));
    const test::TempDir dir;
    const auto path = dir.file("sheet.pdf");
    test::writeAll(path, must(writePdf(pages, "Test")));
    std::istringstream words(tool("pdftotext -raw '" + path + "' -").out);
    std::map<std::string, int> seen;
    for (std::string word; words >> word;)
        ++seen[word];
    for (std::size_t i = 1; i <= block.pieces.size(); ++i)
        EXPECT_GE(seen[std::to_string(i)], 2) << "number " << i;
}

/// Numbers in the margin are grey and bold; none lies on another, also where pieces lie close together.
TEST(TracingPages, NumbersInTheMarginKeepOutOfEachOthersWay) {
    std::vector<test::Drawn> drawn;
    for (int i = 0; i < 16; ++i)
        drawn.push_back({"p" + std::to_string(i), test::square(20 + 12.0 * (i % 4), 20 + 12.0 * (i / 4), 8)});
    auto quilt = test::quiltOf(drawn);
    Job job;
    quilt = must(edit::changeLayout(quilt, quilt.blocks[0].id,
                                    must(plan::layOut(quilt, quilt.blocks[0], {0, 2, 1}, job))));
    std::vector<sheet::Words> numbers;
    for (const auto& item : must(tracingPages(quilt, quilt.blocks[0], {measure::letter}))[0].layers[0].items)
        if (const auto* words = std::get_if<sheet::Words>(&item);
            words && words->bold && words->colour == Colour{0x8a, 0x92, 0x98})
            numbers.push_back(*words);
    EXPECT_GE(numbers.size(), 8U);
    for (const auto& a : numbers)
        for (const auto& b : numbers) {
            if (&a == &b) break;
            EXPECT_GT(shape::distance(a.at, b.at), 0.6 * std::max(a.height, b.height))
                << a.text << " and " << b.text;
        }
}

TEST(WebPages, AreAsLargeAsTheWebsSheetsWithEveryLineInPlace) {
    const auto quilt = narrowboat(true);
    const auto& block = quilt.blocks[0];
    const auto trace = plan::planTrace(quilt, block);
    const auto pages = must(webPages(quilt, block, {}));
    ASSERT_EQ(pages.size(), trace.sheets.size());
    const test::TempDir dir;
    const auto pictures = rendered(dir, pages);
    for (std::size_t i = 0; i < pages.size(); ++i) {
        EXPECT_NEAR(pictures[i].width / dotsPerMm, 12 * 25.4, 0.1);
        const auto found =
            measured(pictures[i], pages[i].layers[0], trace, *block.layout, trace.sheets[i].number);
        EXPECT_GT(found.points, 20);
        EXPECT_LT(found.worst, 0.1);
    }
}

TEST(WebPages, NeedWebThatComesInSheets) {
    const auto quilt = narrowboat(false);
    EXPECT_EQ(webPages(quilt, quilt.blocks[0], {}).error().code, Code::webIsARoll);
}

TEST(TracingPages, ShowGrainAndWindows) {
    auto quilt = narrowboat(false);
    const auto& piece = quilt.blocks[0].pieces[1];
    const auto count = [](const quilt::Quilt& q) {
        std::size_t out = 0;
        for (const auto& page : must(tracingPages(q, q.blocks[0], {measure::letter})))
            out += page.layers[0].items.size();
        return out;
    };
    const auto before = count(quilt);
    const auto layout = *quilt.blocks[0].layout;
    auto printed = must(edit::setPrint(quilt, piece.fabric, quilt::Print::striped, {}));
    printed = must(edit::setGrain(printed, printed.blocks[0].id, piece.id, measure::Angle::ofDegrees(10)));
    printed = must(edit::changeLayout(printed, printed.blocks[0].id, layout));
    EXPECT_GT(count(printed), before) << "an arrow";
    auto large = test::quiltOf({{"large", test::square(20, 20, 120)}});
    Job job;
    auto found = must(plan::layOut(large, large.blocks[0], {0, 1, 1}, job));
    large = must(edit::changeLayout(large, large.blocks[0].id, found));
    found.traced.front().window = true;
    const auto cuts = [](const quilt::Quilt& q) { // for the scissors
        std::size_t out = 0;
        for (const auto& page : must(tracingPages(q, q.blocks[0], {measure::letter})))
            for (const auto& item : page.layers[0].items)
                if (const auto* line = std::get_if<sheet::Shape>(&item); line && line->pen)
                    out += line->pen->dash == sheet::Dash::dashed;
        return out;
    };
    EXPECT_EQ(cuts(must(edit::changeLayout(large, large.blocks[0].id, found))), cuts(large) + 1)
        << "a window";
}

} // namespace
} // namespace up::output
