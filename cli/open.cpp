// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/open.hpp"

#include "core/base/text.hpp"
#include "core/store/exchange.hpp"
#include "core/store/quilt_file.hpp"
#include "intake/any/any.hpp"
#include "intake/pdf/pdf.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

namespace up::cli {

Result<Opened> openBlock(const Words& words) {
    auto quilt = store::loadQuilt(words.file);
    if (!quilt) return tl::unexpected(quilt.error());
    std::vector<std::string> names;
    for (const auto& block : quilt->blocks) {
        if (sameName(block.name, words.block)) {
            const BlockId id = block.id;
            return Opened{std::move(*quilt), id};
        }
        names.push_back(block.name);
    }
    return failure(Code::noSuchBlock, {words.block, words::listed(names)});
}

Result<quilt::Drawing> openDrawing(const std::string& path, int page, double dpi) {
    const auto text = store::readFile(path);
    if (!text) return tl::unexpected(text.error());
    if (store::looksLike(*text, "upstairs-pieces")) return store::readPieces(*text, path);
    return intake::readDrawing(*text, path, {page, dpi, {}});
}

std::vector<std::string> warningsOf(const quilt::Drawing& drawing) {
    std::vector<std::string> out;
    for (const auto& warning : drawing.warnings)
        out.push_back(words::sentence(warning));
    return out;
}

int pagesIn(const std::string& file) {
    const auto bytes = store::readFile(file);
    if (!bytes || intake::kindOf(*bytes) != intake::DrawingKind::pdf) return 1;
    const auto about = intake::aboutPdf(file);
    return about ? about->pages : 1;
}

} // namespace up::cli
