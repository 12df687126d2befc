// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <pugixml.hpp>
#include <string>

namespace up::intake {

/// What a person called the element: its label, its title, or an id that no program made up; else empty.
[[nodiscard]] std::string labelOf(const pugi::xml_node& node);

/// `labelOf`, else the group's name, else the id whoever made it; else empty.
[[nodiscard]] std::string nameOf(const pugi::xml_node& node, const std::string& group);

} // namespace up::intake
