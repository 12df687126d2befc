// SPDX-License-Identifier: GPL-3.0-or-later
// What the import dialog is asked, with all that a test does not care about.
#pragma once

#include "app/questions/importing.hpp"

namespace up::test {

/// For a block of 9 inches, in inches; reading it again gives the same.
inline app::ImportQuestion questionAbout(const Result<quilt::Drawing>& drawing, int pages = 1) {
    const auto side = measure::Length::ofInches(9, 1);
    return {"pattern", measure::System::inches,
            side,      side,
            pages,     false,
            false,     false,
            drawing,   {},
            {},        [drawing](const app::ReadSettings&) { return drawing; }};
}

} // namespace up::test
