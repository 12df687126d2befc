// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/version.hpp"

namespace up {

const char* version() {
    return UPSTAIRS_VERSION;
}

} // namespace up
