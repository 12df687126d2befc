// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/gather.hpp"

#include "core/plan/trace/trace_plan.hpp"
#include "core/shape/likeness.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

namespace up::plan {
namespace {

using layout::Clump;
using layout::Member;
using layout::NestJob;
using measure::Angle;
using quilt::School;
using shape::Transform;

/// The rows' members, from all copies of one shape to the parts that they are.
void settleEqual(Clump& rows, const Equal& equal) {
    for (auto& member : rows.members) {
        const auto at = std::find(equal.parts.begin(), equal.parts.end(), member.part);
        const auto& onto = equal.onto[static_cast<std::size_t>(at - equal.parts.begin())];
        // The first shape lies at `member`; this part is that shape moved by `onto`.
        const double turn = member.rotation - onto.rotation;
        const Transform back = placing(member) * placing(onto).inverse();
        const auto origin = back(shape::Point{0, 0});
        member.rotation = Angle::ofDegrees(turn).normal().degrees(), member.x = origin.x, member.y = origin.y;
    }
}

/// Takes strips of equal shapes out of the group.
std::vector<Clump> stripsFrom(const NestJob& job, std::vector<std::size_t>& group, double width) {
    std::vector<Clump> out;
    for (const auto& equal : equalShapes(job, group)) {
        auto rows = layout::clumpOfRows(job.parts[equal.parts.front()], equal.parts, width);
        if (!rows) continue;
        settleEqual(*rows, equal);
        std::erase_if(group, [&](std::size_t i) {
            return std::find(equal.parts.begin(), equal.parts.end(), i) != equal.parts.end();
        });
        out.push_back(std::move(*rows));
    }
    return out;
}

std::vector<Clump> together(const NestJob& job, const std::vector<std::size_t>& group, const Gathering& how,
                            std::size_t all, up::Job& control) {
    NestJob own;
    own.spacing = job.spacing;
    constexpr double longEnough = 5000; // mm
    own.sheets = {{"", how.width, longEnough, static_cast<int>(group.size()), {}}};
    for (const auto i : group)
        own.parts.push_back(job.parts[i]);
    auto options = how.each;
    options.seconds *= static_cast<double>(group.size()) / static_cast<double>(all);
    auto clumps = layout::clumpsOf(own, roughCutMargin.mm(), options, control);
    for (auto& clump : clumps)
        for (auto& member : clump.members)
            member.part = group[member.part];
    return clumps;
}

} // namespace

std::vector<double> turnsAlong(const quilt::Fabric* fabric, const quilt::Piece& piece) {
    if (!fabric || fabric->print == quilt::Print::plain || !piece.grain) return {};
    const double along = piece.grain->degrees() - 180, within = fabric->tolerance.degrees();
    std::vector<double> out;
    for (const double half : {0.0, 180.0}) {
        if (half > 0 && fabric->print == quilt::Print::oneWay) continue;
        for (const double off : {0.0, -within, within})
            if (off == 0 || within > 0)
                out.push_back(Angle::ofDegrees(along + half + off).normal().degrees());
    }
    return out;
}

NestJob partsOf(const quilt::Quilt& quilt, const std::vector<const quilt::Piece*>& pieces) {
    NestJob job;
    job.spacing = scissorsWidth.mm();
    for (const auto* piece : pieces)
        job.parts.push_back({std::to_string(piece->id.value), shape::regionOf(quilt::reversed(*piece)), 1,
                             turnsAlong(find(quilt.fabrics, piece->fabric), *piece)});
    return job;
}

std::vector<Equal> equalShapes(const NestJob& job, const std::vector<std::size_t>& group) {
    std::vector<Equal> found;
    std::vector<shape::Profile> firsts;
    for (const auto i : group) {
        if (job.parts[i].shape.isEmpty()) continue;
        const shape::Profile profile(job.parts[i].shape);
        bool known = false;
        for (std::size_t k = 0; k < found.size() && !known; ++k) {
            const auto match = shape::match(firsts[k], profile, shape::likenessTolerance(profile));
            if (!match || match->mirrored) continue;
            const auto &mine = job.parts[i].rotations, &theirs = job.parts[found[k].parts.front()].rotations;
            if (mine != theirs || (!mine.empty() && std::abs(match->turn) > 1e-3)) continue; // stripes differ
            const double turn = match->turn * 180 / std::numbers::pi;
            const auto centre = Transform::turn(Angle::ofDegrees(turn))(firsts[k].centre());
            const auto move = profile.centre() - centre;
            found[k].parts.push_back(i);
            found[k].onto.push_back({i, turn, move.x, move.y});
            known = true;
        }
        if (known) continue;
        found.push_back({{i}, {{i, 0, 0, 0}}});
        firsts.push_back(profile);
    }
    std::erase_if(found, [](const Equal& equal) { return equal.parts.size() < leastForStrip; });
    return found;
}

std::vector<Clump> gathered(const NestJob& job, const std::vector<std::size_t>& groups,
                            const std::vector<std::size_t>& wanted, const Gathering& how, up::Job& control) {
    std::vector<Clump> out;
    if (how.school == School::oneByOne) {
        for (const auto i : wanted)
            out.push_back(layout::clumpOfOne(job, i));
        return out;
    }
    std::map<std::size_t, std::vector<std::size_t>> byGroup;
    for (const auto i : wanted)
        byGroup[groups[i]].push_back(i);
    for (auto& [key, group] : byGroup) {
        if (how.school == School::strip)
            for (auto& strips : stripsFrom(job, group, how.width))
                out.push_back(std::move(strips));
        if (group.empty()) continue;
        for (auto& clump : together(job, group, how, wanted.size(), control))
            out.push_back(std::move(clump));
    }
    return out;
}

} // namespace up::plan
