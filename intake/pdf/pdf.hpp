// SPDX-License-Identifier: GPL-3.0-or-later
// Pages of PDF files into pieces.
#pragma once

#include "intake/found/collector.hpp"

namespace up::intake {

struct PdfAbout {
    int pages = 0;
};
/// Errors: Code::notPdf {file, reason}, lockedPdf {file}, toolMissing {program, what for}.
[[nodiscard]] Result<PdfAbout> aboutPdf(const std::string& path);

/// One page, counted from 1, at its true size, turned as it is to be read. Words that lie in a shape are its
/// name; letters at least half an inch high are shapes. Strokes drawn round a filled shape are its pen.
/// Method: poppler's `pdftocairo` draws the page as SVG, `pdftotext` finds its words; both run apart from
/// this program, with limits. Errors: as aboutPdf; noSuchPage {file, page, pages}; onlyPicture {file, page};
/// emptyDrawing {file}.
[[nodiscard]] Result<quilt::Drawing> readPdf(const std::string& path, int page, Options options = {});

/// The page as a PNG picture at that many dots to the inch. Errors: as aboutPdf.
[[nodiscard]] Result<std::string> picturePdf(const std::string& path, int page, int dpi);

} // namespace up::intake
