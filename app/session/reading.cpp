// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/reading.hpp"

#include "core/store/file.hpp"
#include "intake/any/any.hpp"
#include "intake/pdf/pdf.hpp"
#include "intake/scan/swatch.hpp"

#include <QByteArray>

namespace up::app {
namespace {

/// One page of the pattern.
struct Source {
    std::string file;
    int page = 1; ///< of that file
};

intake::ReadOptions optionsFor(const ReadSettings& settings) {
    intake::Options shapes;
    shapes.borders = settings.borders;
    return {settings.page, settings.dpi, shapes, settings.job};
}

Result<quilt::Drawing> readAs(const std::string& file, const ReadSettings& settings) {
    return store::readFile(file).and_then(
        [&](const std::string& bytes) { return intake::readDrawing(bytes, file, optionsFor(settings)); });
}

class FilePattern : public Pattern {
public:
    explicit FilePattern(std::vector<Source> sources) : m_sources(std::move(sources)) {}

    [[nodiscard]] Result<quilt::Drawing> read(const ReadSettings& settings) const override {
        const auto& source = sourceOf(settings);
        auto within = settings;
        within.page = source.page;
        return readAs(source.file, within);
    }
    [[nodiscard]] Result<std::vector<quilt::Drawing>> readAll(const ReadSettings& settings) const override {
        auto each = settings;
        std::vector<quilt::Drawing> out;
        for (std::size_t i = 0; i < m_sources.size(); ++i) {
            each.page = static_cast<int>(i) + 1;
            auto page = read(each);
            if (!page && page.error().code != Code::emptyDrawing) return tl::unexpected(page.error());
            if (page) out.push_back(std::move(*page)); // an empty page is no part of the pattern
        }
        if (out.empty()) return failure(Code::emptyDrawing, {m_sources.front().file});
        return out;
    }
    [[nodiscard]] quilt::Reading letters(const ReadSettings& settings,
                                         const quilt::Drawing& drawing) const override {
        const auto& source = sourceOf(settings);
        auto within = settings;
        within.page = source.page;
        const auto bytes = store::readFile(source.file);
        return bytes ? intake::lettersOf(*bytes, source.file, optionsFor(within), drawing)
                     : quilt::Reading::unknown;
    }

private:
    [[nodiscard]] const Source& sourceOf(const ReadSettings& settings) const {
        return m_sources.at(static_cast<std::size_t>(settings.page) - 1);
    }
    std::vector<Source> m_sources;
};

} // namespace

FirstLook lookAt(const std::vector<std::string>& files, const std::shared_ptr<Job>& job) {
    FirstLook out{nullptr, 0, false, failure(Code::unknownDrawing, {files.front()})};
    std::vector<Source> sources;
    for (const auto& file : files) {
        const auto bytes = store::readFile(file);
        int pages = 1;
        if (bytes && intake::kindOf(*bytes) == intake::DrawingKind::pdf)
            if (const auto about = intake::aboutPdf(file)) pages = about->pages;
        out.isScan = out.isScan || (bytes && intake::kindOf(*bytes) == intake::DrawingKind::picture);
        for (int page = 1; page <= pages; ++page)
            sources.push_back({file, page});
    }
    out.pages = static_cast<int>(sources.size());
    out.pattern = std::make_shared<FilePattern>(std::move(sources));
    out.drawing = out.pattern->read(ReadSettings{}.with(job));
    return out;
}

Result<quilt::Drawing> readFirstPage(const std::string& file, const std::shared_ptr<Job>& job) {
    return readAs(file, ReadSettings{}.with(job));
}

Result<shape::Region> readLargest(const std::string& file, const std::shared_ptr<Job>& job) {
    return readFirstPage(file, job).and_then(
        [&](const quilt::Drawing& drawing) { return quilt::largestShape(drawing, file); });
}

Result<SwatchFile> readSwatchFile(const std::string& file) {
    return store::readFile(file)
        .and_then([&](const std::string& bytes) { return intake::readSwatch(bytes, file); })
        .map([](const intake::SwatchRead& read) {
            const auto text = QByteArray::fromStdString(read.png).toBase64();
            return SwatchFile{read.colour, {text.toStdString(), measure::Length::ofMm(read.across)}};
        });
}

} // namespace up::app
