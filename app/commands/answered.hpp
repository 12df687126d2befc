// SPDX-License-Identifier: GPL-3.0-or-later
// A question is answered minutes later, and jobs change the quilt meanwhile: an answer becomes an edit of the
// quilt as it is then. What crosses the question is a value that cannot hold a pointer into the quilt, or a
// copy of it.
#pragma once

#include "app/session/session.hpp"

#include <optional>
#include <string>
#include <type_traits>
#include <vector>

namespace up::app {

template<class T> inline constexpr bool isId = false;
template<class Tag> inline constexpr bool isId<Id<Tag>> = true;
template<class Tag> inline constexpr bool isId<std::vector<Id<Tag>>> = true;

/// What may be known from before the question: ids, numbers, words, a line on the block.
template<class T>
concept Carried = isId<T> || std::is_arithmetic_v<T> || std::is_enum_v<T> || std::is_same_v<T, std::string> ||
    std::is_same_v<T, shape::Polyline>;

/// Makes `edit(quilt, answer, known…)` of the quilt as it is now; `edit` captures nothing. False when there
/// is no answer or the edit failed, which has been said.
template<class Answer, class Edit, Carried... Known>
bool answered(Session& session, const QString& step, const std::optional<Answer>& answer, Edit edit,
              const Known&... known) {
    static_assert(std::is_empty_v<Edit>, "nothing is captured: hand ids over");
    return answer && session.apply(edit(session.quilt(), *answer, known...), step);
}

} // namespace up::app
