// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/pdf/pdf.hpp"

#include "core/base/place.hpp"
#include "core/base/spoken.hpp"

#include <cairo/cairo-pdf.h>
#include <fontconfig/fontconfig.h>
#include <memory>
#include <mutex>
#include <pango/pangocairo.h>

namespace up::output {
namespace {

constexpr double pointsPerMm = 72 / 25.4; // PDF's unit is 1/72 in (ISO 32000-1, 8.3.2.3)

void addFonts() {
    static std::once_flag once;
    std::call_once(once, [] {
        for (const char* name : {"AtkinsonHyperlegible_400Regular.ttf", "AtkinsonHyperlegible_700Bold.ttf"}) {
            const auto file = dataFolder() + "/fonts/" + name;
            FcConfigAppFontAddFile(FcConfigGetCurrent(), reinterpret_cast<const FcChar8*>(file.c_str()));
        }
    });
}

class Painter {
public:
    explicit Painter(cairo_t* cairo) : m_cairo(cairo) {}

    void page(const sheet::Page& page) {
        for (const auto& layer : page.layers) {
            cairo_save(m_cairo);
            cairo_scale(m_cairo, pointsPerMm, pointsPerMm);
            if (layer.clip) {
                cairo_rectangle(m_cairo, layer.clip->left, layer.clip->top, layer.clip->width(),
                                layer.clip->height());
                cairo_clip(m_cairo);
            }
            const auto& t = layer.place;
            const cairo_matrix_t matrix{t.a, t.b, t.c, t.d, t.e, t.f};
            cairo_transform(m_cairo, &matrix);
            for (const auto& item : layer.items)
                std::visit([this](const auto& it) { paint(it); }, item);
            cairo_restore(m_cairo);
        }
    }

private:
    void source(Colour c, double opacity = 1) {
        cairo_set_source_rgba(m_cairo, c.red / 255.0, c.green / 255.0, c.blue / 255.0, opacity);
    }

    void trace(const shape::Contour& contour) {
        cairo_move_to(m_cairo, contour.start.x, contour.start.y);
        for (const auto& c : contour.curves)
            cairo_curve_to(m_cairo, c.control1.x, c.control1.y, c.control2.x, c.control2.y, c.end.x, c.end.y);
        if (contour.closed) cairo_close_path(m_cairo);
    }

    void paint(const sheet::Shape& shape) {
        cairo_new_path(m_cairo);
        for (const auto& contour : shape.contours)
            trace(contour);
        if (shape.fill) {
            source(*shape.fill, shape.opacity);
            cairo_set_fill_rule(m_cairo, CAIRO_FILL_RULE_EVEN_ODD);
            cairo_fill_preserve(m_cairo);
        }
        if (shape.pen) {
            source(shape.pen->colour);
            cairo_set_line_width(m_cairo, shape.pen->width);
            const auto [on, off] = sheet::lengthsOf(shape.pen->dash);
            const double dashes[] = {on, off};
            cairo_set_dash(m_cairo, dashes, off > 0 ? 2 : 0, 0);
            cairo_stroke_preserve(m_cairo);
        }
        cairo_new_path(m_cairo);
    }

    void paint(const sheet::Words& words) {
        const std::unique_ptr<PangoLayout, decltype(&g_object_unref)> layout(
            pango_cairo_create_layout(m_cairo), g_object_unref);
        const std::unique_ptr<PangoFontDescription, decltype(&pango_font_description_free)> font(
            pango_font_description_new(), pango_font_description_free);
        pango_font_description_set_family(font.get(), "Atkinson Hyperlegible");
        pango_font_description_set_weight(font.get(), words.bold ? PANGO_WEIGHT_BOLD : PANGO_WEIGHT_NORMAL);
        // Set large and scaled down: layout works in whole units of 1/1024.
        constexpr double finer = 0.01;
        pango_font_description_set_absolute_size(font.get(), words.height / finer * PANGO_SCALE);
        pango_layout_set_font_description(layout.get(), font.get());
        pango_layout_set_text(layout.get(), words.text.c_str(), static_cast<int>(words.text.size()));
        int width = 0, height = 0;
        pango_layout_get_size(layout.get(), &width, &height);
        const double w = width / static_cast<double>(PANGO_SCALE) * finer;
        const double shift = words.align == sheet::Align::left     ? 0
                             : words.align == sheet::Align::centre ? w / 2
                                                                   : w;
        const double base =
            pango_layout_get_baseline(layout.get()) / static_cast<double>(PANGO_SCALE) * finer;
        cairo_save(m_cairo);
        source(words.colour);
        cairo_translate(m_cairo, words.at.x - shift, words.at.y - base);
        cairo_scale(m_cairo, finer, finer);
        cairo_move_to(m_cairo, 0, 0);
        pango_cairo_show_layout(m_cairo, layout.get());
        cairo_restore(m_cairo);
    }

    /// On paper a flag is its number in a ring.
    void paint(const sheet::Flag& flag) {
        cairo_new_path(m_cairo);
        cairo_arc(m_cairo, flag.at.x, flag.at.y, flag.height * 0.6, 0, 6.283185307);
        source({255, 255, 255});
        cairo_fill_preserve(m_cairo);
        source({0, 0, 0});
        cairo_set_line_width(m_cairo, 0.2);
        cairo_stroke(m_cairo);
        paint(sheet::Words{flag.label,
                           {flag.at.x, flag.at.y + flag.height * 0.3},
                           flag.height * 0.8,
                           {},
                           sheet::Align::centre,
                           true});
    }

    cairo_t* m_cairo;
};

cairo_status_t collect(void* to, const unsigned char* bytes, unsigned count) {
    static_cast<std::string*>(to)->append(reinterpret_cast<const char*>(bytes), count);
    return CAIRO_STATUS_SUCCESS;
}

} // namespace

Result<std::string> writePdf(const std::vector<sheet::Page>& pages, const std::string& title) {
    if (pages.empty()) return failure(Code::nothingToDo, {title});
    addFonts();
    std::string bytes;
    const auto& first = pages.front();
    auto* surface = cairo_pdf_surface_create_for_stream(collect, &bytes, first.width * pointsPerMm,
                                                        first.height * pointsPerMm);
    cairo_pdf_surface_set_metadata(surface, CAIRO_PDF_METADATA_TITLE, title.c_str());
    cairo_pdf_surface_set_metadata(surface, CAIRO_PDF_METADATA_CREATOR, "Upstairs");
    auto* cairo = cairo_create(surface);
    for (const auto& page : pages) {
        cairo_pdf_surface_set_size(surface, page.width * pointsPerMm, page.height * pointsPerMm);
        Painter(cairo).page(page);
        cairo_show_page(cairo);
    }
    const auto status = cairo_status(cairo);
    cairo_destroy(cairo);
    cairo_surface_finish(surface);
    cairo_surface_destroy(surface);
    if (status != CAIRO_STATUS_SUCCESS)
        return failure(Code::cannotWrite, {spoken("the PDF"), cairo_status_to_string(status)});
    return bytes;
}

} // namespace up::output
