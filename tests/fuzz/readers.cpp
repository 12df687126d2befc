// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/fuzz/readers.hpp"

#include "core/edit/edits.hpp"
#include "core/store/exchange.hpp"
#include "core/store/quilt_file.hpp"
#include "intake/dxf/dxf.hpp"
#include "intake/scan/picture.hpp"
#include "intake/scan/scan.hpp"
#include "intake/svg/svg.hpp"
#include "words/sentences.hpp"

#include <cmath>

namespace up::test {
namespace {

bool isFinite(shape::Point p) {
    return std::isfinite(p.x) && std::isfinite(p.y) && std::abs(p.x) < 1e6 && std::abs(p.y) < 1e6;
}
bool isFinite(const shape::Contour& contour) {
    if (!isFinite(contour.start)) return false;
    for (const auto& c : contour.curves)
        if (!isFinite(c.control1) || !isFinite(c.control2) || !isFinite(c.end)) return false;
    return true;
}

std::string wrongWith(const Error& error) {
    const auto said = words::sentence(error);
    if (said.size() < 10 || said.find("{0}") != std::string::npos) return "no sentence: " + said;
    return "";
}

std::string wrongWith(const Result<quilt::Drawing>& drawing) {
    if (!drawing) return wrongWith(drawing.error());
    if (drawing->shapes.empty()) return "neither shapes nor an error";
    for (const auto& drawn : drawing->shapes) {
        if (!isFinite(drawn.outline.edge)) return "an edge that is not finite: " + drawn.name;
        if (drawn.outline.edge.curves.empty()) return "an edge of nothing: " + drawn.name;
        for (const auto* lines : {&drawn.outline.holes, &drawn.marks, &drawn.dotted})
            for (const auto& line : *lines)
                if (!isFinite(line)) return "a line that is not finite: " + drawn.name;
    }
    for (const auto& warning : drawing->warnings)
        if (words::sentence(warning).empty()) return "a warning without words";
    // What was read goes into a quilt, and the quilt through its file.
    if (drawing->shapes.size() > 200) return "";
    const auto side = measure::Length::ofInches(9, 1);
    const auto empty = edit::addBlock(quilt::emptyQuilt("Q"), "B", side, side);
    const auto full = edit::addDrawing(*empty, empty->blocks[0].id, *drawing, {}, 0);
    if (!full) return wrongWith(full.error());
    const auto again = store::readQuilt(store::writeQuilt(*full), "again");
    return again ? "" : "its quilt file does not read: " + words::sentence(again.error());
}

std::string asSvg(const std::string& bytes) {
    return wrongWith(intake::readSvg(bytes, "t.svg"));
}
/// As a page of a PDF comes from poppler.
std::string asPrinted(const std::string& bytes) {
    intake::Options options;
    options.printed = true;
    options.labels = {{"leaf", {50, 50}}};
    return wrongWith(intake::readSvg(bytes, "t.pdf", options));
}
std::string asDxf(const std::string& bytes) {
    return wrongWith(intake::readDxf(bytes, "t.dxf"));
}
std::string asScan(const std::string& bytes) {
    const auto picture = intake::decodePicture(bytes, "t.png");
    if (!picture) return wrongWith(picture.error());
    if (static_cast<double>(picture->width) * picture->height > 1e6) return ""; // for the hostile files
    Job job;
    return wrongWith(intake::readScan(*picture, "t.png", 0, job));
}
std::string asQuilt(const std::string& bytes) {
    const auto quilt = store::readQuilt(bytes, "t.upstairs");
    if (!quilt) return wrongWith(quilt.error());
    const auto once = store::writeQuilt(*quilt);
    const auto again = store::readQuilt(once, "t.upstairs");
    if (!again) return "what it wrote does not read";
    return store::writeQuilt(*again) == once ? "" : "written twice it differs";
}

} // namespace

const std::vector<Reader>& readers() {
    static const std::vector<Reader> all{
        {"svg", asSvg}, {"pdf", asPrinted}, {"dxf", asDxf}, {"scan", asScan}, {"quilt", asQuilt}};
    return all;
}

} // namespace up::test
