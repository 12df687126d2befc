// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/any/any.hpp"

#include "core/base/text.hpp"
#include "intake/any/packed.hpp"
#include "intake/dxf/dxf.hpp"
#include "intake/pdf/pdf.hpp"
#include "intake/reading/reading.hpp"
#include "intake/scan/scan.hpp"
#include "intake/svg/svg.hpp"

#include <array>

namespace up::intake {
namespace {

using namespace std::string_view_literals;
using quilt::Remark;

/// A DXF file begins with the group code 0 and the word SECTION, or with comments (999) before them.
bool startsLikeDxf(std::string_view bytes) {
    const auto head = trimmed(bytes.substr(0, 2000));
    return (head.starts_with("0") || head.starts_with("999")) &&
           head.find("SECTION") != std::string_view::npos;
}

/// ISO 32000-1, 7.5.5: the last line of a file is %%EOF; blanks and the like may follow.
bool endsLikePdf(std::string_view bytes) {
    constexpr std::size_t tail = 2048;
    return bytes.substr(bytes.size() - std::min(bytes.size(), tail)).find("%%EOF") != std::string_view::npos;
}

Result<quilt::Drawing> readAsScan(const Picture& picture, const std::string& path, double dpi,
                                  const ReadOptions& options) {
    Job unwatched;
    auto drawing = readScan(picture, path, dpi, options.job ? *options.job : unwatched);
    if (drawing && picture.cutShort)
        drawing->warnings.insert(drawing->warnings.begin(), {Remark::cutShort, {}});
    return drawing;
}

/// A page that holds only a picture goes the way of a scan.
Result<quilt::Drawing> readPage(const std::string& path, const ReadOptions& options) {
    auto drawing = readPdf(path, options.page, options.shapes);
    if (drawing || drawing.error().code != Code::onlyPicture) return drawing;
    constexpr int dots = 300;
    return picturePdf(path, options.page, dots)
        .and_then([&](const std::string& png) { return decodePicture(png, path); })
        .and_then([&](const Picture& picture) { return readAsScan(picture, path, dots, options); });
}

} // namespace

DrawingKind kindOf(std::string_view bytes) {
    constexpr std::array pictures{"\x89PNG"sv, "\xFF\xD8\xFF"sv, "II*\0"sv, "MM\0*"sv};
    for (const auto magic : pictures)
        if (bytes.starts_with(magic)) return DrawingKind::picture;
    if (bytes.substr(0, 1024).find("%PDF-") != std::string_view::npos) return DrawingKind::pdf;
    if (startsLikeDxf(bytes)) return DrawingKind::dxf;
    auto head = bytes;
    if (head.starts_with("\xEF\xBB\xBF")) head.remove_prefix(3);
    // UTF-16 begins with its own mark; the XML reader understands it.
    if (trimmed(head.substr(0, 4000)).starts_with('<') || head.starts_with("\xFF\xFE") ||
        head.starts_with("\xFE\xFF") || head.starts_with("<\0"sv) || head.starts_with("\0<"sv))
        return DrawingKind::svg;
    return DrawingKind::other;
}

Result<quilt::Drawing> readDrawing(const std::string& bytes, const std::string& path,
                                   const ReadOptions& options) {
    if (isPacked(bytes)) {
        constexpr std::size_t most = 50'000'000; // a little more than any reader takes
        const auto plain = unpacked(bytes, most);
        if (!plain || isPacked(*plain)) return failure(Code::unknownDrawing, {path});
        return readDrawing(*plain, path, options);
    }
    switch (kindOf(bytes)) {
    case DrawingKind::svg: return readSvg(bytes, path, options.shapes);
    case DrawingKind::dxf: return readDxf(bytes, path, options.shapes);
    case DrawingKind::pdf: {
        auto drawing = readPage(path, options);
        if (drawing && !endsLikePdf(bytes))
            drawing->warnings.insert(drawing->warnings.begin(), {Remark::cutShort, {}});
        return drawing;
    }
    case DrawingKind::picture:
        return decodePicture(bytes, path).and_then([&](const Picture& picture) {
            return readAsScan(picture, path, options.dpi, options);
        });
    case DrawingKind::other: break;
    }
    return failure(Code::unknownDrawing, {path});
}

quilt::Reading lettersOf(const std::string& bytes, const std::string& path, const ReadOptions& options,
                         const quilt::Drawing& drawing) {
    if (drawing.letters != quilt::Reading::unknown) return drawing.letters;
    constexpr int dots = 150; // enough for the print on a page
    const auto kind = kindOf(bytes);
    auto png = kind == DrawingKind::picture ? Result<std::string>(bytes)
               : kind == DrawingKind::pdf   ? picturePdf(path, options.page, dots)
                                            : failure(Code::notPicture);
    const auto page = png.and_then([&](const std::string& dotted) { return decodePicture(dotted, path); });
    const auto read = page ? readingOf(*page) : quilt::Reading::unknown;
    return read == quilt::Reading::unknown ? readingOf(drawing) : read;
}

} // namespace up::intake
