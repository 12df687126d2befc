// SPDX-License-Identifier: GPL-3.0-or-later
// What the pieces of a drawing without names are called.
#pragma once

#include "core/quilt/drawing.hpp"
#include "core/quilt/quilt.hpp"

namespace up::edit {

/// The name of each shape. A shape's own name stays; one without, or with one that a program made up, is
/// called by its fabric and a number, "dark brown 1"; two of one fabric that are mirror images of each other
/// across the drawing's middle share a number and are told apart by side as seen from the front, "dark brown
/// 2 left". A fabric is what `fabrics` has in that colour, else the colour's own word. `reversed`: the
/// drawing is already mirrored. Numbers go on after those in `taken`.
[[nodiscard]] std::vector<std::string> namesFor(const quilt::Drawing& drawing,
                                                const std::vector<quilt::Fabric>& fabrics = {},
                                                bool reversed = false,
                                                const std::vector<std::string>& taken = {});

/// What a user calls something, without blanks round it. Errors: Code::badName {name} when it is empty,
/// longer than 200 bytes, no UTF-8, or holds control characters.
[[nodiscard]] Result<std::string> properName(std::string_view name);

} // namespace up::edit
