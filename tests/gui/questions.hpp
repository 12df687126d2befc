// SPDX-License-Identifier: GPL-3.0-or-later
// What the import dialog is asked, with all that a test does not care about.
#pragma once

#include "app/questions/importing.hpp"

namespace up::test {

/// Answers as it is told; without pages of its own every page is that drawing, and letters say nothing.
struct FakePattern : app::Pattern {
    std::function<Result<quilt::Drawing>(const app::ReadSettings&)> page;
    std::vector<quilt::Drawing> pages;
    quilt::Reading reads = quilt::Reading::unknown;

    explicit FakePattern(const Result<quilt::Drawing>& drawing)
        : page([drawing](const app::ReadSettings&) { return drawing; }) {}
    [[nodiscard]] Result<quilt::Drawing> read(const app::ReadSettings& settings) const override {
        return page(settings);
    }
    [[nodiscard]] Result<std::vector<quilt::Drawing>> readAll(const app::ReadSettings&) const override {
        return pages;
    }
    [[nodiscard]] quilt::Reading letters(const app::ReadSettings&, const quilt::Drawing&) const override {
        return reads;
    }
};

/// For a block of 9 inches, in inches.
inline app::ImportQuestion questionAbout(const Result<quilt::Drawing>& drawing, int pages = 1,
                                         std::shared_ptr<const app::Pattern> pattern = nullptr) {
    const auto side = measure::Length::ofInches(9, 1);
    if (!pattern) pattern = std::make_shared<FakePattern>(drawing);
    return {"pattern", measure::System::inches, side, side, pages, false, false, false, drawing, {},
            {},        std::move(pattern)};
}

} // namespace up::test
