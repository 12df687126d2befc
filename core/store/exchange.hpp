// SPDX-License-Identifier: GPL-3.0-or-later
// The open formats of the command line: pieces, nest jobs and layouts.
#pragma once

#include "core/base/error.hpp"
#include "core/layout/nest_job.hpp"
#include "core/quilt/drawing.hpp"

namespace up::store {

/// "upstairs-pieces": flattened within 0.05 mm. `warnings`: ready sentences.
[[nodiscard]] std::string writePieces(const quilt::Drawing& drawing,
                                      const std::vector<std::string>& warnings);
/// The page is the box round all pieces. Errors as readQuilt.
[[nodiscard]] Result<quilt::Drawing> readPieces(const std::string& text, const std::string& file);

/// "upstairs-nest-job". Errors as readQuilt; a part without area: Code::degenerate {id}.
[[nodiscard]] Result<layout::NestJob> readNestJob(const std::string& text, const std::string& file);
/// "upstairs-nest-layout".
[[nodiscard]] std::string writeNestLayout(const layout::NestJob& job, const layout::NestLayout& layout);

/// Whether the text names this format; for files that may be one or another.
[[nodiscard]] bool looksLike(const std::string& text, const std::string& format);

} // namespace up::store
