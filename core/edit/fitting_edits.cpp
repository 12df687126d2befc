// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/spoken.hpp"
#include "core/edit/change.hpp"
#include "core/edit/fitting.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Length;

namespace {

/// Errors: Code::absurdSize.
Result<void> within(const Quilt& quilt, std::string what, Length is, Length least, Length most) {
    if (is >= least && is <= most) return {};
    return failure(Code::absurdSize, {std::move(what), measure::say(is, quilt.units),
                                      measure::say(least, quilt.units), measure::say(most, quilt.units)});
}

} // namespace

Edited setMeasured(const Quilt& quilt, BlockId id, std::optional<quilt::Measured> measured) {
    const auto* block = find(quilt.blocks, id);
    if (block && measured) {
        const auto half = [](Length whole) { return Length::ofNanometres(whole.nanometres() / 2); };
        if (auto ok = within(quilt, spoken("width"), measured->wide, half(block->width), block->width * 2);
            !ok)
            return tl::unexpected(ok.error());
        if (auto ok = within(quilt, spoken("height"), measured->high, half(block->height), block->height * 2);
            !ok)
            return tl::unexpected(ok.error());
    }
    return changeBlock(quilt, id, [&](Quilt&, quilt::Block& b) { b.fitting.measured = measured; });
}

Edited setTrimmed(const Quilt& quilt, BlockId id, std::int64_t time) {
    return changeBlock(quilt, id, [&](Quilt& out, quilt::Block& block) {
        block.trimmed = true;
        note(out, {time, id, {}, quilt::Event::trimmed, ""});
    });
}

Edited setFitting(const Quilt& quilt, BlockId id, quilt::Fitting fitting) {
    const auto* block = find(quilt.blocks, id);
    if (block) {
        const auto most = Length::ofNanometres(std::min(block->width, block->height).nanometres() / 4);
        if (auto ok = within(quilt, spoken("frame"), fitting.frame, Length(), most); !ok)
            return tl::unexpected(ok.error());
    }
    if (auto ok = within(quilt, spoken("seam"), fitting.seam, Length::ofInches(1, 8), Length::ofInches(1, 1));
        !ok)
        return tl::unexpected(ok.error());
    return changeBlock(quilt, id, [&](Quilt&, quilt::Block& b) {
        fitting.measured = b.fitting.measured;
        fitting.sewn = b.fitting.sewn;
        if (!(fitting == b.fitting)) fitting.sewn = 0;
        b.fitting = fitting;
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
