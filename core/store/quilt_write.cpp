// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/codec.hpp"
#include "core/store/quilt_file.hpp"

namespace up::store {

std::string writeQuilt(const quilt::Quilt& quilt) {
    Json out{{"format", "upstairs-quilt"}, {"version", quiltVersion}};
    out.update(toJson(quilt));
    return dumpReadably(out);
}

Result<void> saveQuilt(const std::string& path, const quilt::Quilt& quilt, const Writing& how) {
    return writeFile(path, writeQuilt(quilt), how);
}

} // namespace up::store
