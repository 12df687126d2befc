// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/reading/reading.hpp"

#include "core/base/text.hpp"
#include "core/shape/path.hpp"
#include "intake/tool/tool.hpp"

#include <algorithm>
#include <cairo.h>
#include <cctype>
#include <cmath>
#include <cstdlib>
#include <fcntl.h>
#include <memory>
#include <sstream>
#include <unistd.h>

namespace up::intake {
namespace {

using quilt::Reading;

constexpr int longSide = 1600;       // dots: letters a sixteenth of an inch high on a Letter page still read
constexpr double sureWord = 60;      // of 100, as the recognition says
constexpr int leastLetters = 3;      // in all
constexpr double letterShare = 0.04; // of the drawing's extent: a larger shape is no letter

/// A file that is gone when this is.
class Scratch {
public:
    explicit Scratch(const std::string& bytes) {
        const auto* folder = std::getenv("TMPDIR");
        m_path = std::string(folder && *folder ? folder : "/tmp") + "/upstairs-letters-XXXXXX";
        const int file = ::mkstemp(m_path.data());
        if (file < 0) return;
        m_good = ::write(file, bytes.data(), bytes.size()) == static_cast<ssize_t>(bytes.size());
        ::close(file);
    }
    ~Scratch() {
        if (!m_path.empty()) ::unlink(m_path.c_str());
    }
    Scratch(const Scratch&) = delete;
    Scratch& operator=(const Scratch&) = delete;
    [[nodiscard]] bool isGood() const { return m_good; }
    [[nodiscard]] const std::string& path() const { return m_path; }

private:
    std::string m_path;
    bool m_good = false;
};

Picture fitting(const Picture& page) {
    const int most = std::max(page.width, page.height);
    return most > 2 * longSide ? shrunk(page, most / longSide) : page;
}

std::string asPgm(const Picture& page, bool mirrored) {
    std::string out = "P5\n" + std::to_string(page.width) + " " + std::to_string(page.height) + "\n255\n";
    out.reserve(out.size() + page.grey.size());
    for (int y = 0; y < page.height; ++y)
        for (int x = 0; x < page.width; ++x)
            out += static_cast<char>(page.at(mirrored ? page.width - 1 - x : x, y));
    return out;
}

/// Letters in words that were read for certain; the last two columns of a row are certainty and word.
int lettersIn(const std::string& table) {
    std::istringstream rows(table);
    int letters = 0;
    for (std::string row; std::getline(rows, row);) {
        const auto tab = row.rfind('\t');
        if (tab == std::string::npos) continue;
        const auto before = row.rfind('\t', tab - 1);
        const auto word = row.substr(tab + 1);
        const auto count = std::count_if(word.begin(), word.end(),
                                         [](char c) { return std::isalpha(static_cast<unsigned char>(c)); });
        const bool plain = count >= 2 && count == static_cast<std::ptrdiff_t>(word.size());
        if (plain && before != std::string::npos && std::atof(row.c_str() + before + 1) >= sureWord)
            letters += static_cast<int>(count);
    }
    return letters;
}

int lettersOn(const Picture& page, bool mirrored) {
    const Scratch file(asPgm(page, mirrored));
    if (!file.isGood()) return 0;
    const auto answer = runTool({"tesseract", file.path(), "stdout", "--psm", "11", "-l", "eng", "tsv"});
    return answer.end == ToolAnswer::End::good ? lettersIn(answer.out) : 0;
}

struct Ink {
    shape::Box box;
    std::vector<const shape::Outline*> outlines;
};

/// What may be letters: shapes that are small beside the whole.
Ink smallShapes(const quilt::Drawing& drawing) {
    shape::Box all;
    for (const auto& drawn : drawing.shapes)
        all.take(boundsOf(drawn.outline));
    Ink out;
    for (const auto& drawn : drawing.shapes) {
        const auto box = boundsOf(drawn.outline);
        if (box.width() * box.height() > letterShare * all.width() * all.height()) continue;
        out.outlines.push_back(&drawn.outline);
        out.box.take(box);
    }
    return out;
}

void trace(cairo_t* on, const shape::Contour& contour) {
    cairo_move_to(on, contour.start.x, contour.start.y);
    for (const auto& c : contour.curves)
        cairo_curve_to(on, c.control1.x, c.control1.y, c.control2.x, c.control2.y, c.end.x, c.end.y);
    cairo_close_path(on);
}

Picture painted(const Ink& ink) {
    const auto box = ink.box.grownBy(std::max(ink.box.width(), ink.box.height()) * 0.05 + 1);
    const double scale = longSide / 2.0 / std::max(box.width(), box.height());
    Picture out;
    out.width = static_cast<int>(std::ceil(box.width() * scale));
    out.height = static_cast<int>(std::ceil(box.height() * scale));
    const std::unique_ptr<cairo_surface_t, void (*)(cairo_surface_t*)> surface(
        cairo_image_surface_create(CAIRO_FORMAT_A8, out.width, out.height), cairo_surface_destroy);
    const std::unique_ptr<cairo_t, void (*)(cairo_t*)> on(cairo_create(surface.get()), cairo_destroy);
    cairo_scale(on.get(), scale, scale);
    cairo_translate(on.get(), -box.left, -box.top);
    cairo_set_fill_rule(on.get(), CAIRO_FILL_RULE_EVEN_ODD);
    for (const auto* outline : ink.outlines) {
        trace(on.get(), outline->edge);
        for (const auto& hole : outline->holes)
            trace(on.get(), hole);
        cairo_fill(on.get());
    }
    cairo_surface_flush(surface.get());
    const auto* data = cairo_image_surface_get_data(surface.get());
    const auto stride = static_cast<std::size_t>(cairo_image_surface_get_stride(surface.get()));
    for (std::size_t y = 0; data && y < static_cast<std::size_t>(out.height); ++y)
        for (std::size_t x = 0; x < static_cast<std::size_t>(out.width); ++x)
            out.grey.push_back(static_cast<std::uint8_t>(255 - data[y * stride + x]));
    return out;
}

} // namespace

quilt::Reading readingOf(const Picture& given) {
    if (given.width < 20 || given.height < 20 || given.grey.empty()) return Reading::unknown;
    const auto page = fitting(given);
    const int seen = lettersOn(page, false), mirrored = lettersOn(page, true);
    if (std::max(seen, mirrored) < leastLetters) return Reading::unknown;
    if (seen >= 2 * mirrored) return Reading::asSeen;
    return mirrored >= 2 * seen ? Reading::mirrored : Reading::unknown;
}

quilt::Reading readingOf(const quilt::Drawing& drawing) {
    const auto ink = smallShapes(drawing);
    return ink.outlines.size() < 2 ? Reading::unknown : readingOf(painted(ink));
}

} // namespace up::intake
