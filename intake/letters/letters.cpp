// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/letters/letters.hpp"

#include <algorithm>
#include <memory>
#include <pango/pangocairo.h>

namespace up::intake {
namespace {

using shape::Contour;
using shape::Point;
using shape::Transform;

constexpr double drawnAt = 1000; // the em while asking the font: no hinting at that size

template<auto drop> struct Drop {
    template<class T> void operator()(T* what) const { drop(what); }
};
template<class T, auto drop> using Held = std::unique_ptr<T, Drop<drop>>;

using Canvas = Held<cairo_t, cairo_destroy>;

Canvas canvas() {
    auto* surface = cairo_recording_surface_create(CAIRO_CONTENT_ALPHA, nullptr);
    Canvas out(cairo_create(surface));
    cairo_surface_destroy(surface);
    cairo_set_tolerance(out.get(), 0.1);
    return out;
}

std::vector<Contour> contoursOf(cairo_t* on) {
    std::vector<Contour> out;
    const Held<cairo_path_t, cairo_path_destroy> path(cairo_copy_path(on));
    for (int i = 0; i < path->num_data; i += path->data[i].header.length) {
        const auto point = [&](int k) { return Point{path->data[i + k].point.x, path->data[i + k].point.y}; };
        switch (path->data[i].header.type) {
        case CAIRO_PATH_MOVE_TO: out.push_back({point(1), {}, true}); break;
        case CAIRO_PATH_LINE_TO: out.back().lineTo(point(1)); break;
        case CAIRO_PATH_CURVE_TO: out.back().curveTo(point(1), point(2), point(3)); break;
        case CAIRO_PATH_CLOSE_PATH: break;
        }
    }
    std::erase_if(out, [](const Contour& contour) { return contour.curves.empty(); });
    return out;
}

PangoFontDescription* descriptionOf(const Typeface& typeface) {
    auto* out = pango_font_description_new();
    pango_font_description_set_family(out, typeface.family.c_str());
    pango_font_description_set_absolute_size(out, drawnAt * PANGO_SCALE);
    if (typeface.bold) pango_font_description_set_weight(out, PANGO_WEIGHT_BOLD);
    if (typeface.italic) pango_font_description_set_style(out, PANGO_STYLE_ITALIC);
    return out;
}

std::string firstLetter(const char* text) {
    const char* next = g_utf8_next_char(text);
    return {text, static_cast<std::size_t>(next - text)};
}

/// The letters of one run, which starts at `x`.
void addRun(cairo_t* on, const PangoGlyphItem& run, const std::string& text, double x,
            std::vector<Letter>& out) {
    auto* font = pango_cairo_font_get_scaled_font(PANGO_CAIRO_FONT(run.item->analysis.font));
    if (!font) return;
    cairo_set_scaled_font(on, font);
    const auto& glyphs = *run.glyphs;
    for (int i = 0; i < glyphs.num_glyphs; ++i) {
        const auto& info = glyphs.glyphs[i];
        const auto from = static_cast<std::size_t>(run.item->offset + glyphs.log_clusters[i]);
        if (info.glyph != PANGO_GLYPH_EMPTY && !(info.glyph & PANGO_GLYPH_UNKNOWN_FLAG)) {
            const cairo_glyph_t glyph{info.glyph, x + pango_units_to_double(info.geometry.x_offset),
                                      pango_units_to_double(info.geometry.y_offset)};
            cairo_new_path(on);
            cairo_glyph_path(on, &glyph, 1);
            auto contours = contoursOf(on);
            const char* start = text.c_str() + std::min(from, text.size());
            if (!contours.empty()) out.push_back({firstLetter(start), std::move(contours)});
        }
        x += pango_units_to_double(info.geometry.width);
    }
}

} // namespace

Lettering lettering(const std::string& text, const Typeface& typeface, double size) {
    Lettering out;
    if (text.empty() || !g_utf8_validate(text.data(), static_cast<gssize>(text.size()), nullptr)) return out;
    const auto on = canvas();
    const Held<PangoLayout, g_object_unref> layout(pango_cairo_create_layout(on.get()));
    const Held<PangoFontDescription, pango_font_description_free> description(descriptionOf(typeface));
    pango_layout_set_font_description(layout.get(), description.get());
    pango_layout_set_single_paragraph_mode(layout.get(), TRUE);
    pango_layout_set_text(layout.get(), text.data(), static_cast<int>(text.size()));
    auto* line = pango_layout_get_line_readonly(layout.get(), 0);
    double x = 0;
    for (auto* at = line->runs; at; at = at->next) {
        const auto& run = *static_cast<const PangoGlyphItem*>(at->data);
        addRun(on.get(), run, text, x, out.letters);
        x += pango_units_to_double(pango_glyph_string_get_width(run.glyphs));
    }
    const auto toSize = Transform::scale(size / drawnAt, size / drawnAt);
    for (auto& letter : out.letters)
        for (auto& contour : letter.contours)
            contour = transformed(contour, toSize);
    out.width = x * size / drawnAt;
    return out;
}

std::vector<std::string> families() {
    std::vector<std::string> out;
    PangoFontFamily** all = nullptr;
    int count = 0;
    pango_font_map_list_families(pango_cairo_font_map_get_default(), &all, &count);
    for (int i = 0; i < count; ++i)
        out.emplace_back(pango_font_family_get_name(all[i]));
    g_free(all);
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace up::intake
