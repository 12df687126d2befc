// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/pages/tiling.hpp"

#include "output/pages/pages.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace up::output {
namespace {

using shape::Box;
using shape::Point;

constexpr double margin = 10; // mm that printers leave white
constexpr double header = 15; // mm
constexpr double footer = 31; // mm: the test square and its words
constexpr double overlap = 12.7;
constexpr Colour ink{0x1f, 0x2a, 0x33}, quiet{0x6a, 0x74, 0x7c};

Box boxOf(const sheet::Item& item) {
    Box box;
    if (const auto* shape = std::get_if<sheet::Shape>(&item))
        for (const auto& contour : shape->contours)
            box.take(boundsOf(contour));
    if (const auto* words = std::get_if<sheet::Words>(&item)) box.take(words->at);
    if (const auto* flag = std::get_if<sheet::Flag>(&item)) box.take(flag->at);
    return box;
}

void cross(sheet::Layer& layer, Point at) {
    constexpr double arm = 3.5;
    layer.items.push_back(
        sheet::line({at.x - arm, at.y}, {at.x + arm, at.y}, {ink, 0.2, sheet::Dash::solid}));
    layer.items.push_back(
        sheet::line({at.x, at.y - arm}, {at.x, at.y + arm}, {ink, 0.2, sheet::Dash::solid}));
}

/// A sheet of paper, upright or on its side, and how many of them in rows and columns.
struct Grid {
    double paperWidth, paperHeight;
    double width, height; ///< of the part of the drawing on one sheet, mm
    int rows, columns;
    [[nodiscard]] int sheets() const { return rows * columns; }
};

int partsFor(double length, double part) {
    return length <= part ? 1 : 1 + static_cast<int>(std::ceil((length - part) / (part - overlap) - 1e-9));
}

Grid gridOn(double paperWidth, double paperHeight, const Box& box) {
    Grid grid{paperWidth, paperHeight, paperWidth - 2 * margin, paperHeight - 2 * margin - header - footer, 0,
              0};
    grid.columns = partsFor(box.width(), grid.width);
    grid.rows = partsFor(box.height(), grid.height);
    return grid;
}

Grid fewestSheets(const measure::Paper& paper, const Box& box) {
    const double w = paper.width.mm(), h = paper.height.mm();
    const Grid upright = gridOn(w, h, box), onItsSide = gridOn(h, w, box);
    return onItsSide.sheets() < upright.sheets() ? onItsSide : upright;
}

/// "Lay column 2 over the crosses on the right, row 2 over those below."
std::string joinWords(const Grid& grid, int row, int column) {
    const bool right = column + 1 < grid.columns, below = row + 1 < grid.rows;
    const std::vector numbers{std::to_string(column + 2), std::to_string(row + 2)};
    if (right && below)
        return words::said(N_("Lay column {0} over the crosses on the right, row {1} over those below."),
                           numbers);
    if (right) return words::said(N_("Lay column {0} over the crosses on the right."), numbers);
    return below ? words::said(N_("Lay row {1} over those below."), numbers) : "";
}

/// In the middle of the strip that two sheets share, so that cross lies on cross; at the corners elsewhere.
void addCrosses(sheet::Layer& frame, const Grid& grid, int row, int column) {
    const auto ends = [](double from, double length, int at, int count) {
        return std::array{at > 0 ? from + overlap / 2 : from,
                          at + 1 < count ? from + length - overlap / 2 : from + length};
    };
    for (const double x : ends(margin, grid.width, column, grid.columns))
        for (const double y : ends(margin + header, grid.height, row, grid.rows))
            cross(frame, {x, y});
}

/// Where outlines of pieces cross a line between two sheets: with `across`, the line x = `at`, else y = `at`.
std::vector<double> crossings(const sheet::Shape& shape, bool across, double at) {
    std::vector<double> out;
    for (const auto& contour : shape.contours) {
        if (!contour.closed) continue;
        const auto line = shape::flattened(contour);
        for (std::size_t i = 0; i < line.size(); ++i) {
            const Point a = line[i], b = line[(i + 1) % line.size()];
            const double from = across ? a.x : a.y, to = across ? b.x : b.y;
            if ((from > at) == (to > at)) continue;
            const double share = (at - from) / (to - from);
            out.push_back(across ? a.y + (b.y - a.y) * share : a.x + (b.x - a.x) * share);
        }
    }
    std::sort(out.begin(), out.end());
    return out;
}

/// A, B, … Z, AA, AB, …
std::string letters(int n) {
    const char last = static_cast<char>('A' + n % 26);
    return (n < 26 ? std::string() : letters(n / 26 - 1)) + last;
}

/// The halves of a piece that two sheets share meet on a line: dotted within the piece, a tick and a letter
/// where its outline crosses. Both sheets draw them, since both draw the strip in whose middle they lie.
class JoinMarks {
public:
    std::vector<sheet::Item> items;
    void add(const Content& content, bool across, double at) {
        for (const auto& item : content.items) {
            const auto* shape = std::get_if<sheet::Shape>(&item);
            if (!shape || !sheet::isSet(shape->tag)) continue;
            const auto found = crossings(*shape, across, at);
            for (std::size_t i = 0; i + 1 < found.size(); i += 2)
                join(across, at, found[i], found[i + 1]);
        }
    }

private:
    void join(bool across, double at, double from, double to) {
        const auto point = [&](double along) { return across ? Point{at, along} : Point{along, at}; };
        const sheet::Pen tick{ink, 0.4, sheet::Dash::solid};
        constexpr double reach = 2.5, away = 4.5, height = 3.6;
        items.push_back(sheet::line(point(from), point(to), {quiet, 0.2, sheet::Dash::dotted}));
        for (const auto& [end, out] : {std::pair{from, -1.0}, std::pair{to, 1.0}}) {
            items.push_back(sheet::line(point(end - reach), point(end + reach), tick));
            const Point label = point(end + out * away);
            items.push_back(sheet::Words{letters(m_count++),
                                         {label.x, label.y + height * 0.35},
                                         height,
                                         ink,
                                         sheet::Align::centre,
                                         true});
        }
    }
    int m_count = 0;
};

std::vector<sheet::Item> joinMarks(const Content& content, const Grid& grid) {
    JoinMarks marks;
    for (int column = 1; column < grid.columns; ++column)
        marks.add(content, true, content.box.left + column * (grid.width - overlap) + overlap / 2);
    for (int row = 1; row < grid.rows; ++row)
        marks.add(content, false, content.box.top + row * (grid.height - overlap) + overlap / 2);
    return std::move(marks.items);
}

sheet::Layer frameOf(const Content& content, const Grid& grid, int row, int column) {
    const double right = grid.paperWidth - margin, bottom = grid.paperHeight - margin;
    sheet::Layer frame{"frame", {}, {}, {}};
    const auto say = [&](std::string text, Point at, double height, sheet::Align align, bool bold,
                         Colour colour = ink) {
        frame.items.push_back(sheet::Words{std::move(text), at, height, colour, align, bold});
    };
    say(content.title, {margin, margin + 4}, 4.6, sheet::Align::left, true);
    say(content.side, {margin, margin + 9.2}, 3.8, sheet::Align::left, false);
    say(words::said(N_("Row {0} of {1}, column {2} of {3}"),
                    {std::to_string(row + 1), std::to_string(grid.rows), std::to_string(column + 1),
                     std::to_string(grid.columns)}),
        {right, margin + 4}, 4.2, sheet::Align::right, true);
    const double squareTop = bottom - testSquare;
    frame.items.push_back(sheet::box({margin, squareTop, margin + testSquare, bottom}, std::nullopt,
                                     sheet::Pen{ink, 0.2, sheet::Dash::solid}));
    say("1 in", {margin + testSquare / 2, squareTop + 14}, 4.2, sheet::Align::centre, true);
    say(words::tr("Print at 100 %, not “fit to page”. This square must measure exactly 1 in (25.4 mm)."),
        {margin + testSquare + 4, squareTop + 10}, 3.4, sheet::Align::left, false);
    say(content.advice, {margin + testSquare + 4, squareTop + 16}, 3.4, sheet::Align::left, false, quiet);
    say(joinWords(grid, row, column), {margin + testSquare + 4, squareTop + 22}, 3.4, sheet::Align::left,
        true);
    addCrosses(frame, grid, row, column);
    return frame;
}

} // namespace

std::vector<sheet::Page> tiled(const Content& content, const measure::Paper& paper) {
    const Grid grid = fewestSheets(paper, content.box);
    std::vector<Box> boxes;
    for (const auto& item : content.items)
        boxes.push_back(boxOf(item));
    const auto marks = joinMarks(content, grid);
    auto drawn = content.items;
    drawn.insert(drawn.end(), marks.begin(), marks.end());
    std::vector<sheet::Page> pages;
    for (int row = 0; row < grid.rows; ++row) {
        for (int column = 0; column < grid.columns; ++column) {
            const double x = content.box.left + column * (grid.width - overlap),
                         y = content.box.top + row * (grid.height - overlap);
            const Box part{x, y, x + grid.width, y + grid.height};
            if (std::none_of(boxes.begin(), boxes.end(), [&](const Box& b) { return b.meets(part); }))
                continue;
            sheet::Layer drawing{
                "drawing", drawn, shape::Transform::moveBy(margin - x, margin + header - y),
                Box{margin, margin + header, margin + grid.width, margin + header + grid.height}};
            pages.push_back({grid.paperWidth,
                             grid.paperHeight,
                             {std::move(drawing), frameOf(content, grid, row, column)}});
        }
    }
    return pages;
}

void enlarge(sheet::Page& page, double by) {
    const auto scale = shape::Transform::scale(by, by);
    for (auto& layer : page.layers) {
        layer.place = scale * layer.place;
        if (layer.clip)
            layer.clip = Box{layer.clip->left * by, layer.clip->top * by, layer.clip->right * by,
                             layer.clip->bottom * by};
    }
}

} // namespace up::output
