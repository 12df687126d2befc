// SPDX-License-Identifier: GPL-3.0-or-later
// The pages of one pattern, read from its files as often and in as many ways as somebody wants to see them.
#pragma once

#include "core/base/colour.hpp"
#include "core/base/job.hpp"
#include "core/quilt/cloth_shape.hpp"
#include "core/quilt/supplies.hpp"
#include "intake/pages/pages.hpp"

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace up::app {

/// How a page is to be read.
struct ReadSettings {
    int page = 1;                             ///< of all the pattern's
    double dpi = 0;                           ///< 0: as the file says
    bool borders = false;                     ///< wide pens are pieces of their own
    std::optional<intake::PageGrid> joined{}; ///< all pages as one, instead of the one
    std::shared_ptr<Job> job{};               ///< of the reading that is going on

    [[nodiscard]] ReadSettings with(std::shared_ptr<Job> watched) const {
        auto out = *this;
        out.job = std::move(watched);
        return out;
    }
};

/// Everything in it may take seconds, and is called aside.
class Pattern {
public:
    virtual ~Pattern() = default;
    /// Errors: as intake::readDrawing and store::readFile.
    [[nodiscard]] virtual Result<quilt::Drawing> read(const ReadSettings& settings) const = 0;
    /// Every page for itself but for the empty ones. Errors: as `read`; Code::emptyDrawing when all are.
    [[nodiscard]] virtual Result<std::vector<quilt::Drawing>> readAll(const ReadSettings& settings) const = 0;
    /// Which way round the letters on that page read.
    [[nodiscard]] virtual quilt::Reading letters(const ReadSettings& settings,
                                                 const quilt::Drawing& drawing) const = 0;
};

/// Files opened for the first time.
struct FirstLook {
    std::shared_ptr<const Pattern> pattern;
    int pages = 1;                  ///< of all files together
    bool isScan = false;            ///< one of them is a picture
    Result<quilt::Drawing> drawing; ///< its first page
};

/// The files are pages of one pattern, or hold several. Called aside.
[[nodiscard]] FirstLook lookAt(const std::vector<std::string>& files, const std::shared_ptr<Job>& job);

/// The largest shape on the first page, as quilt::largestShape.
[[nodiscard]] Result<shape::Region> readLargest(const std::string& file, const std::shared_ptr<Job>& job);

/// A fabric in a photograph or scan.
struct SwatchFile {
    Colour colour;
    quilt::Swatch swatch;
};
/// Errors: as intake::readSwatch and store::readFile. Called aside.
[[nodiscard]] Result<SwatchFile> readSwatchFile(const std::string& file);

/// The first page of one file.
[[nodiscard]] Result<quilt::Drawing> readFirstPage(const std::string& file, const std::shared_ptr<Job>& job);

} // namespace up::app
