// SPDX-License-Identifier: GPL-3.0-or-later
// The quilt file: one JSON object, described in docs/formats/quilt.md.
#pragma once

#include "core/quilt/quilt.hpp"
#include "core/store/file.hpp"

namespace up::store {

inline constexpr int quiltVersion = 2;

/// Readable JSON, keys always in the same order; the same quilt gives the same bytes.
[[nodiscard]] std::string writeQuilt(const quilt::Quilt& quilt);

/// `file` only names the source in errors.
/// Errors: Code::notJson, wrongFormat, newerVersion, damaged {file, place, what was expected}.
[[nodiscard]] Result<quilt::Quilt> readQuilt(const std::string& text, const std::string& file);

[[nodiscard]] Result<quilt::Quilt> loadQuilt(const std::string& path);
[[nodiscard]] Result<void> saveQuilt(const std::string& path, const quilt::Quilt& quilt,
                                     const Writing& how = {});

} // namespace up::store
