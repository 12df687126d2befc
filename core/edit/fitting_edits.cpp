// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/spoken.hpp"
#include "core/edit/change.hpp"
#include "core/edit/fitting.hpp"

#include <algorithm>
#include <utility>

namespace up::edit {

using quilt::Length;

namespace {

/// Errors: Code::absurdSize.
Result<void> within(const Quilt& quilt, std::string what, Length is, Length least, Length most) {
    if (is >= least && is <= most) return {};
    return failure(Code::absurdSize, {std::move(what), measure::say(is, quilt.units),
                                      measure::say(least, quilt.units), measure::say(most, quilt.units)});
}

Result<void> isSensible(const Quilt& quilt, const quilt::Block& block, const quilt::Fitting& fitting) {
    const auto part = [](Length whole, std::int64_t of) {
        return Length::ofNanometres(whole.nanometres() / of);
    };
    const auto measure = [&](std::string what, Length is, Length should) {
        return within(quilt, std::move(what), is, part(should, 2), should * 2);
    };
    Result<void> ok;
    if (fitting.measured) {
        ok = measure(spoken("width"), fitting.measured->wide, block.width);
        if (ok) ok = measure(spoken("height"), fitting.measured->high, block.height);
    }
    if (ok)
        ok = within(quilt, spoken("frame"), fitting.frame, Length(),
                    part(std::min(block.width, block.height), 4));
    if (ok) ok = within(quilt, spoken("seam"), fitting.seam, Length::ofInches(1, 8), Length::ofInches(1, 1));
    return ok;
}

} // namespace

Edited setTrimmed(const Quilt& quilt, BlockId id, std::int64_t time) {
    return changeBlock(quilt, id, [&](Quilt& out, quilt::Block& block) {
        block.trimmed = true;
        note(out, {time, id, {}, quilt::Event::trimmed, ""});
    });
}

Edited fit(const Quilt& quilt, BlockId id, quilt::Fitting fitting) {
    if (const auto* block = find(quilt.blocks, id))
        if (auto ok = isSensible(quilt, *block, fitting); !ok) return tl::unexpected(ok.error());
    return changeBlock(quilt, id, [&](Quilt&, quilt::Block& block) {
        const auto measured = std::exchange(fitting.measured, block.fitting.measured);
        fitting.sewn = block.fitting.sewn;
        if (!(fitting == block.fitting)) fitting.sewn = 0;
        fitting.measured = measured;
        block.fitting = fitting;
    });
}

Edited stripSewn(const Quilt& quilt, BlockId id, std::int64_t time) {
    return changeBlock(quilt, id, [&](Quilt& out, quilt::Block& block) {
        ++block.fitting.sewn;
        note(out, {time, id, {}, quilt::Event::stripSewn, ""});
    });
}

Edited setSetting(const Quilt& quilt, quilt::Setting setting, Length sashing, int columns) {
    const auto most = Length::ofMm(1000);
    if (auto ok = within(quilt, spoken("strip"), sashing, Length(), most); !ok)
        return tl::unexpected(ok.error());
    for (const auto& border : setting.borders)
        if (auto ok = within(quilt, spoken("border"), border.width, Length::ofMm(1), most); !ok)
            return tl::unexpected(ok.error());
    Quilt out = quilt;
    out.setting = std::move(setting);
    out.sashing = sashing, out.columns = std::max(1, columns);
    return out;
}

} // namespace up::edit
