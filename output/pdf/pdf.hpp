// SPDX-License-Identifier: GPL-3.0-or-later
// Pages to PDF at true size.
#pragma once

#include "core/base/error.hpp"
#include "core/sheet/sheet.hpp"

namespace up::output {

/// One PDF page per page, its media box the page's size; all fonts embedded.
/// Errors: Code::nothingToDo without pages; Code::cannotWrite {"the PDF", reason}.
[[nodiscard]] Result<std::string> writePdf(const std::vector<sheet::Page>& pages, const std::string& title);

} // namespace up::output
