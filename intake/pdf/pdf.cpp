// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/pdf/pdf.hpp"

#include "core/base/spoken.hpp"
#include "core/base/text.hpp"
#include "intake/svg/svg.hpp"
#include "intake/tool/tool.hpp"

#include <cstdlib>
#include <pugixml.hpp>

namespace up::intake {
namespace {

using End = ToolAnswer::End;

constexpr double mmPerPoint = 25.4 / 72;

std::string nameOf(const std::string& path) {
    const auto slash = path.rfind('/');
    return slash == std::string::npos ? path : path.substr(slash + 1);
}

tl::unexpected<Error> wrong(const ToolAnswer& answer, const std::string& path) {
    if (answer.end == End::missing)
        return failure(Code::toolMissing, {"poppler-utils", spoken("reading PDF files")});
    if (answer.end == End::stopped)
        return failure(Code::tooLarge, {nameOf(path), spoken("what can be read in a few seconds")});
    if (answer.err.find("assword") != std::string::npos) return failure(Code::lockedPdf, {nameOf(path)});
    return failure(Code::notPdf, {nameOf(path), "it is damaged or cut off"});
}

/// A path that no program takes for an option.
std::string asFile(const std::string& path) {
    return path.starts_with('-') ? "./" + path : path;
}

/// "Pages:          12" → 12.
int pagesIn(const std::string& info) {
    const auto at = info.find("Pages:");
    return at == std::string::npos ? 0 : std::atoi(info.c_str() + at + 6);
}

/// Lines of text with the middle of their first word, mm.
std::vector<Label> labelsIn(const std::string& xhtml) {
    std::vector<Label> out;
    pugi::xml_document document;
    if (!document.load_buffer(xhtml.data(), xhtml.size())) return out;
    for (const auto& found : document.select_nodes("//*[local-name()='line']")) {
        Label label;
        for (const auto& word : found.node().children()) {
            if (!label.text.empty()) label.text += ' ';
            label.text += word.child_value();
        }
        const auto& line = found.node();
        const auto side = [&](const char* key) {
            return numberIn(line.attribute(key).value()).value_or(0) * mmPerPoint;
        };
        label.at = {(side("xMin") + side("xMax")) / 2, (side("yMin") + side("yMax")) / 2};
        if (!label.text.empty()) out.push_back(std::move(label));
    }
    return out;
}

bool holdsAPicture(const std::string& svg) {
    return svg.find("<image") != std::string::npos;
}

} // namespace

Result<PdfAbout> aboutPdf(const std::string& path) {
    const auto answer = runTool({"pdfinfo", asFile(path)});
    if (answer.end != End::good) return wrong(answer, path);
    const int pages = pagesIn(answer.out);
    if (pages < 1) return failure(Code::notPdf, {nameOf(path), "it has no pages"});
    return PdfAbout{pages};
}

Result<quilt::Drawing> readPdf(const std::string& path, int page, Options options) {
    const auto about = aboutPdf(path);
    if (!about) return tl::unexpected(about.error());
    if (page < 1 || page > about->pages)
        return failure(Code::noSuchPage, {nameOf(path), std::to_string(page), std::to_string(about->pages)});
    const auto number = std::to_string(page);
    // Without these two a page whose size is no whole number of points comes a little small and moved.
    const auto drawn = runTool(
        {"pdftocairo", "-svg", "-noshrink", "-nocenter", "-f", number, "-l", number, asFile(path), "-"});
    if (drawn.end != End::good) return wrong(drawn, path);
    const auto words =
        runTool({"pdftotext", "-cropbox", "-bbox-layout", "-f", number, "-l", number, asFile(path), "-"});
    if (words.end == End::good) options.labels = labelsIn(words.out);
    options.printed = true;
    auto drawing = readSvg(drawn.out, nameOf(path), options);
    if (!drawing && drawing.error().code == Code::emptyDrawing && holdsAPicture(drawn.out))
        return failure(Code::onlyPicture, {nameOf(path), number});
    return drawing;
}

Result<std::string> picturePdf(const std::string& path, int page, int dpi) {
    const auto number = std::to_string(page);
    const auto drawn = runTool({"pdftocairo", "-png", "-cropbox", "-singlefile", "-gray", "-r",
                                std::to_string(dpi), "-f", number, "-l", number, asFile(path), "-"});
    if (drawn.end != End::good) return wrong(drawn, path);
    return drawn.out;
}

} // namespace up::intake
