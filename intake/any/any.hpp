// SPDX-License-Identifier: GPL-3.0-or-later
// Any drawing, told by what is in it and not by its name.
#pragma once

#include "core/base/job.hpp"
#include "intake/found/collector.hpp"

#include <memory>

namespace up::intake {

enum class DrawingKind : std::uint8_t { svg, dxf, pdf, picture, other };

/// From the first bytes of a file.
[[nodiscard]] DrawingKind kindOf(std::string_view bytes);

struct ReadOptions {
    int page = 1;   ///< of a PDF file, from 1
    double dpi = 0; ///< of a scan; 0: as the file says
    Options shapes{};
    std::shared_ptr<Job> job{}; ///< of a scan, which takes seconds; may be none
};

/// Reads the file into shapes. `bytes` are its content, `path` where it lies.
/// Errors: those of the reader that fits; Code::stopped {} when the job was stopped; Code::unknownDrawing
/// {file} when none does.
[[nodiscard]] Result<quilt::Drawing> readDrawing(const std::string& bytes, const std::string& path,
                                                 const ReadOptions& options = {});

/// Which way round the letters of the file read: what its text elements say, else by text recognition, which
/// takes a second or two. `drawing` is what was read from it with the same options.
[[nodiscard]] quilt::Reading lettersOf(const std::string& bytes, const std::string& path,
                                       const ReadOptions& options, const quilt::Drawing& drawing);

} // namespace up::intake
