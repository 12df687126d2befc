// SPDX-License-Identifier: GPL-3.0-or-later
// How cloth is made, and what its cut edges do.
#pragma once

#include "core/base/names.hpp"
#include "core/measure/length.hpp"

#include <cstdint>
#include <optional>

namespace up::quilt {

enum class Weave : std::uint8_t { cotton, batik, denim, flannel, doubleGauze, felt, fleece, minky };
constexpr auto keysOf(Weave) {
    return std::to_array<std::string_view>(
        {"cotton", "batik", "denim", "flannel", "doubleGauze", "felt", "fleece", "minky"});
}

/// So far inside the edge stitching runs that lets it fray on purpose and still holds: the more it frays, the farther, up to ¼ in.
/// None: it does not fray. Source: common practice; fleece and felt do not fray, minky sheds once and holds, batik hardly
/// frays, quilting cotton a little, denim and flannel more, double gauze most.
[[nodiscard]] constexpr std::optional<measure::Length> frayInset(Weave weave) {
    using measure::Length;
    switch (weave) {
    case Weave::felt:
    case Weave::fleece: return std::nullopt;
    case Weave::batik:
    case Weave::minky: return Length::ofInches(1, 8);
    case Weave::cotton: return Length::ofInches(3, 16);
    case Weave::denim:
    case Weave::flannel:
    case Weave::doubleGauze: return Length::ofInches(1, 4);
    }
    return std::nullopt;
}

} // namespace up::quilt
