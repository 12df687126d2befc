// SPDX-License-Identifier: GPL-3.0-or-later
// Which way round a drawing is, by the letters on it.
#pragma once

#include "core/quilt/drawing.hpp"
#include "intake/scan/picture.hpp"

namespace up::intake {

/// By text recognition of the page as it is and of its mirror image; unknown when neither reads well, when
/// both do, or when the recognition is not installed. Takes a second or two.
[[nodiscard]] quilt::Reading readingOf(const Picture& page);

/// Of the letters among a drawing's shapes: the small ones are looked at in solid black.
[[nodiscard]] quilt::Reading readingOf(const quilt::Drawing& drawing);

} // namespace up::intake
