// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/unpacked.hpp"

#include "core/base/spoken.hpp"
#include "core/base/text.hpp"
#include "intake/scan/picture.hpp"

#include <algorithm>
#include <gdk-pixbuf/gdk-pixbuf.h>

namespace up::intake {

void Unref::operator()(void* object) const {
    g_object_unref(object);
}

namespace {

using Loader = std::unique_ptr<GdkPixbufLoader, Unref>;

struct Dots {
    int width = 0, height = 0;
    bool tooMany = false;
    int rows = 0; ///< unpacked so far
};

/// Called before anything is unpacked: a picture too large is asked for at one dot.
void prepare(GdkPixbufLoader* loader, int width, int height, gpointer data) {
    auto& dots = *static_cast<Dots*>(data);
    dots.width = width, dots.height = height;
    dots.tooMany = static_cast<double>(width) * height > mostDots;
    if (dots.tooMany) gdk_pixbuf_loader_set_size(loader, 0, 0);
}

void unpackedRows(GdkPixbufLoader*, int, int y, int, int height, gpointer data) {
    auto& dots = *static_cast<Dots*>(data);
    dots.rows = std::max(dots.rows, y + height);
}

/// The marker EOI near the end; programs may write something after it. Source: ITU-T T.81, B.1.1.3.
bool hasJpegEnd(std::string_view bytes) {
    constexpr std::size_t tail = 4096;
    return bytes.substr(bytes.size() - std::min(bytes.size(), tail)).find("\xFF\xD9") !=
           std::string_view::npos;
}

/// What was not unpacked holds anything; white is no drawing.
void whiten(GdkPixbuf* pixbuf, int from) {
    const auto stride = static_cast<std::ptrdiff_t>(gdk_pixbuf_get_rowstride(pixbuf));
    const int bytes = gdk_pixbuf_get_width(pixbuf) * gdk_pixbuf_get_n_channels(pixbuf);
    for (int y = from; y < gdk_pixbuf_get_height(pixbuf); ++y)
        std::fill_n(gdk_pixbuf_get_pixels(pixbuf) + y * stride, bytes, guchar{255});
}

std::string reasonOf(GError* error) {
    std::string out = error ? error->message : "it is damaged";
    g_clear_error(&error);
    return out;
}

} // namespace

Result<Unpacked> unpacked(const std::string& bytes, const std::string& file) {
    Loader loader(gdk_pixbuf_loader_new());
    Dots dots;
    g_signal_connect(loader.get(), "size-prepared", G_CALLBACK(prepare), &dots);
    g_signal_connect(loader.get(), "area-updated", G_CALLBACK(unpackedRows), &dots);
    constexpr std::size_t portion = 1 << 20; // so that a picture too large is noticed early
    GError* error = nullptr;
    bool good = true;
    for (std::size_t at = 0; at < bytes.size() && good && !dots.tooMany; at += portion)
        good = gdk_pixbuf_loader_write(loader.get(), reinterpret_cast<const guchar*>(bytes.data()) + at,
                                       std::min(portion, bytes.size() - at), &error);
    // A JPEG without its end is filled up with grey when it is closed, and nothing is said.
    const bool endless = bytes.starts_with("\xFF\xD8") && !hasJpegEnd(bytes);
    const int before = dots.rows;
    GError* closing = nullptr;
    const bool closed = gdk_pixbuf_loader_close(loader.get(), good && !dots.tooMany ? &closing : nullptr);
    if (dots.tooMany) {
        g_clear_error(&error);
        return failure(Code::tooManyDots,
                       {file, std::to_string(dots.width) + " × " + std::to_string(dots.height)});
    }
    auto* held = gdk_pixbuf_loader_get_pixbuf(loader.get());
    constexpr int least = 32; // rows: less is no page
    if (endless) dots.rows = before;
    if ((!good || !closed || endless) && !(held && dots.rows >= least))
        return failure(Code::notPicture, {file, reasonOf(error ? error : closing)});
    g_clear_error(&error), g_clear_error(&closing);
    if (!held) return failure(Code::notPicture, {file, spoken("it holds no picture")});
    const bool cutShort = !good || !closed || endless || dots.rows < gdk_pixbuf_get_height(held);
    if (cutShort) whiten(held, dots.rows);
    const char* dpi = gdk_pixbuf_get_option(held, "x-dpi");
    const double given = dpi ? numberIn(dpi).value_or(0) : 0;
    auto* turned = gdk_pixbuf_apply_embedded_orientation(held);
    if (!turned) turned = GDK_PIXBUF(g_object_ref(held));
    // 72 and less is what programs write that don't know.
    return Unpacked{Pixbuf(turned), given > 72 && given <= 4800 ? given : 0, cutShort};
}

} // namespace up::intake
