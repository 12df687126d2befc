// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/clumps.hpp"

#include "core/layout/nest.hpp"
#include "core/layout/rows.hpp"

#include <map>

namespace up::layout {
namespace {

using shape::Region;

Member memberAt(const Placed& placed) {
    return {placed.part, placed.rotation, placed.x, placed.y};
}

Region laid(const NestJob& job, const Member& member) {
    return shape::transformed(job.parts[member.part].shape,
                              shape::Transform::moveBy(member.x, member.y) *
                                  shape::Transform::turn(measure::Angle::ofDegrees(member.rotation)));
}

/// Those of one sheet, split where they lie far apart.
void addSplit(const NestJob& job, const std::vector<Member>& members, double margin,
              std::vector<Clump>& out) {
    std::vector<Region> shapes;
    for (const auto& member : members)
        shapes.push_back(laid(job, member));
    for (const auto& body : shape::islands(closedUp(shapes, 2 * margin))) {
        Clump clump;
        clump.body = withoutHoles(body);
        for (std::size_t i = 0; i < members.size(); ++i)
            if (clump.body.contains(shapes[i].rings.front().front()) ||
                shape::intersect(clump.body, shapes[i]).area() > shapes[i].area() / 2)
                clump.members.push_back(members[i]);
        if (!clump.members.empty()) out.push_back(std::move(clump));
    }
}

} // namespace

Region withoutHoles(const Region& region) {
    Region out;
    for (const auto& ring : region.rings)
        if (signedArea(ring) > 0) out.rings.push_back(ring);
    return out;
}

Region closedUp(const std::vector<Region>& shapes, double gap) {
    const Region all = shape::unite(shapes);
    constexpr double sag = 0.15; // mm
    const Region closed = shape::offset(shape::offset(all, gap / 2, sag), -gap / 2, sag);
    return withoutHoles(shape::unite(all, closed));
}

Clump clumpOfOne(const NestJob& job, std::size_t part) {
    return {{{part, 0, 0, 0}}, withoutHoles(job.parts[part].shape)};
}

std::vector<Clump> clumpsOf(const NestJob& job, double margin, const NestOptions& options, up::Job& control) {
    std::vector<Clump> out;
    if (job.parts.size() == 1) return {clumpOfOne(job, 0)};
    const auto nested = nest(job, options, control);
    std::map<std::pair<std::size_t, int>, std::vector<Member>> bySheet;
    for (const auto& placed : nested.placed)
        bySheet[{placed.sheet, placed.sheetIndex}].push_back(memberAt(placed));
    for (const auto& [sheet, members] : bySheet)
        addSplit(job, members, margin, out);
    for (const auto& missing : nested.unplaced)
        out.push_back(clumpOfOne(job, missing.part));
    return out;
}

std::optional<Clump> clumpOfRows(const Part& part, const std::vector<std::size_t>& parts, double width) {
    NestJob job;
    constexpr double longEnough = 1e5; // mm
    job.sheets = {{"", width, longEnough, 1, {}}};
    job.parts = {part};
    job.parts[0].copies = static_cast<int>(parts.size());
    const auto rows = rowsOf(job);
    if (!rows) return std::nullopt;
    Clump out;
    shape::Box box;
    for (std::size_t i = 0; i < rows->layout.placed.size(); ++i) {
        const auto& placed = rows->layout.placed[i];
        box.take(laid(job, memberAt(placed)).bounds());
        out.members.push_back(memberAt(placed));
        out.members.back().part = parts[i];
    }
    out.body = shape::rectangle({box.left, 0, box.right, rows->layout.usedHeight});
    out.stripHeight = rows->height, out.strips = rows->count;
    return out;
}

} // namespace up::layout
