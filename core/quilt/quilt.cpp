// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/quilt.hpp"

#include "core/base/spoken.hpp"

namespace up::quilt {

// Here, so that not everybody who reads the document compiles them.
bool Fabric::operator==(const Fabric&) const = default;
bool Thread::operator==(const Thread&) const = default;
bool Web::operator==(const Web&) const = default;
bool Cloth::operator==(const Cloth&) const = default;
bool OffCut::operator==(const OffCut&) const = default;
bool Piece::operator==(const Piece&) const = default;
bool Layout::operator==(const Layout&) const = default;
bool Block::operator==(const Block&) const = default;
bool Quilt::operator==(const Quilt&) const = default;

namespace {
/// eventOf and stepOf count on it.
constexpr bool stepsComeFirst() {
    for (const Step step : every<Step>())
        if (keyOf(eventOf(step)) != keyOf(step) || stepOf(eventOf(step)) != step) return false;
    return true;
}
static_assert(stepsComeFirst() && !stepOf(Event::ruined));
} // namespace

using shape::Transform;

Quilt emptyQuilt(std::string name) {
    Quilt quilt;
    quilt.name = std::move(name);
    Web web{};
    web.id = WebId{quilt.nextId++};
    web.name = spoken("Light web, one paper");
    web.first = {5, false, spoken("wool")};
    web.final = {10, false, spoken("wool")};
    quilt.webs.push_back(web);
    return quilt;
}

shape::Box finishedBox(const Block& block) {
    return {0, 0, block.width.mm(), block.height.mm()};
}

shape::Box cutBox(const Block& block) {
    return finishedBox(block).grownBy(seamAllowance.mm());
}

const EdgeStitch& stitchOf(const Block& block, const Piece& piece) {
    return piece.edge ? *piece.edge : block.edge;
}

Transform placing(const Piece& piece) {
    const auto& p = piece.place;
    const auto centre = boundsOf(*piece.outline).centre();
    return Transform::moveBy(p.right.mm(), p.down.mm()) * Transform::turnAbout(centre, p.turn);
}

shape::Outline placed(const Piece& piece) {
    return transformed(*piece.outline, placing(piece));
}

shape::Outline reversed(const Piece& piece) {
    return transformed(*piece.outline, Transform::mirrorAcross(0));
}

Transform onSheet(const Traced& traced) {
    return Transform::moveBy(traced.x, traced.y) * Transform::turn(traced.turn);
}

WebSheet sheetOf(const Layout& layout, int sheet) {
    const auto index = static_cast<std::size_t>(sheet);
    return index < layout.sheets.size() ? layout.sheets[index] : WebSheet{};
}

} // namespace up::quilt
