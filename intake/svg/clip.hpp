// SPDX-License-Identifier: GPL-3.0-or-later
// What shows through a clip path or a mask.
#pragma once

#include "intake/svg/walker.hpp"

namespace up::intake {

/// The area of `source`, a `<clipPath>` or `<mask>`, applied to `node`, whose setting is `outer`. A mask lets
/// through what it paints in more than a very dark colour. Source: CSS Masking 1.
[[nodiscard]] std::shared_ptr<const Clip> clipFrom(const Document& document, const pugi::xml_node& source,
                                                   const pugi::xml_node& node, const Setting& outer,
                                                   double tolerance, Journey& journey);

[[nodiscard]] std::shared_ptr<const Clip> rectangleClip(double width, double height,
                                                        const shape::Transform& at, double tolerance);

/// What both let through; either may be missing.
[[nodiscard]] std::shared_ptr<const Clip> narrowed(const std::shared_ptr<const Clip>& one,
                                                   const std::shared_ptr<const Clip>& other);

} // namespace up::intake
