// SPDX-License-Identifier: GPL-3.0-or-later
// Quilt files of earlier versions, made into what the next version writes: one step for each version.
// For the .cpp files of this room only.
#pragma once

#include "core/store/json.hpp"

namespace up::store {

/// Takes the file step by step from the version it names to the newest. What is damaged stays as it is: the
/// reader says where.
void migrateQuilt(Json& quilt);

} // namespace up::store
