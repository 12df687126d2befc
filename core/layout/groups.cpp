// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/groups.hpp"

#include "core/layout/clumps.hpp"
#include "core/layout/nest.hpp"

#include <algorithm>
#include <array>
#include <map>

namespace up::layout {
namespace {

/// Which part of the job, and which of its copies.
struct Item {
    std::size_t part;
    int copy;
};

/// Every copy a part of its own.
struct Single {
    NestJob job;
    std::vector<Item> items;
};

Single singleCopies(const NestJob& job) {
    Single out{{job.sheets, job.spacing, {}}, {}};
    for (std::size_t p = 0; p < job.parts.size(); ++p)
        for (int copy = 0; copy < job.parts[p].copies; ++copy) {
            out.job.parts.push_back(job.parts[p]);
            out.job.parts.back().copies = 1;
            out.items.push_back({p, copy});
        }
    return out;
}

std::vector<Clump> clumped(const Single& single, double margin, double width, const NestOptions& options,
                           up::Job& control) {
    std::map<std::string, std::vector<std::size_t>> groups;
    std::vector<Clump> out;
    for (std::size_t i = 0; i < single.items.size(); ++i) {
        const auto& part = single.job.parts[i];
        if (part.fixed) continue;
        if (part.group.empty())
            out.push_back(clumpOfOne(single.job, i));
        else
            groups[part.group].push_back(i);
    }
    for (const auto& [name, members] : groups) {
        NestJob own;
        own.spacing = single.job.spacing;
        constexpr double longEnough = 5000; // mm
        own.sheets = {{"", width, longEnough, static_cast<int>(members.size()), {}}};
        for (const auto i : members)
            own.parts.push_back(single.job.parts[i]);
        auto share = options;
        share.seconds *= static_cast<double>(members.size()) / static_cast<double>(single.items.size());
        for (auto& clump : clumpsOf(own, margin, share, control)) {
            for (auto& member : clump.members)
                member.part = members[member.part];
            out.push_back(std::move(clump));
        }
    }
    return out;
}

shape::Transform placing(double degrees, double x, double y) {
    return shape::Transform::moveBy(x, y) * shape::Transform::turn(measure::Angle::ofDegrees(degrees));
}

/// The clumps' layout as one of their parts.
NestLayout opened(const NestLayout& nested, const std::vector<Clump>& clumps,
                  const std::vector<std::size_t>& fixed, const Single& single) {
    NestLayout out = nested;
    out.placed.clear(), out.unplaced.clear();
    for (const auto& placed : nested.placed) {
        if (placed.part >= clumps.size()) {
            const auto& item = single.items[fixed[placed.part - clumps.size()]];
            out.placed.push_back({placed, item.part, item.copy});
            continue;
        }
        const auto whole = placing(placed.rotation, placed.x, placed.y);
        for (const auto& m : clumps[placed.part].members) {
            const auto at = whole({m.x, m.y});
            const auto turn = measure::Angle::ofDegrees(m.rotation + placed.rotation).normal();
            const auto& item = single.items[m.part];
            out.placed.push_back(
                {{placed.sheet, placed.sheetIndex, turn.degrees(), at.x, at.y}, item.part, item.copy});
        }
    }
    for (const auto& missing : nested.unplaced)
        for (const auto& m : clumps[missing.part].members)
            out.unplaced.push_back({single.items[m.part].part, single.items[m.part].copy, missing.why});
    return out;
}

bool better(const NestLayout& a, const NestLayout& b) {
    if (a.unplaced.size() != b.unplaced.size()) return a.unplaced.size() < b.unplaced.size();
    return a.lastSheet != b.lastSheet ? a.lastSheet < b.lastSheet : a.usedHeight < b.usedHeight;
}

} // namespace

NestLayout nestInGroups(const NestJob& job, const NestOptions& options, up::Job& control) {
    const auto single = singleCopies(job);
    std::vector<std::size_t> fixed;
    for (std::size_t i = 0; i < single.items.size(); ++i)
        if (single.job.parts[i].fixed) fixed.push_back(i);
    double widest = 0;
    for (const auto& sheet : job.sheets)
        widest = std::max(widest, sheet.width);
    constexpr std::array<double, 4> widths{1, 0.5, 0.34, 0.25};
    constexpr double share = 0.3; // of the time, for the clumps
    std::optional<NestLayout> best;
    for (const double width : widths) {
        if (best && control.stopped()) break;
        auto each = options;
        each.seconds *= share / widths.size();
        const auto clumps =
            clumped(single, job.groupSpacing / 2, std::max(widest * width, 1.0), each, control);
        NestJob whole;
        whole.sheets = job.sheets, whole.spacing = job.groupSpacing;
        for (const auto& clump : clumps) {
            whole.parts.push_back({"", clump.body, 1, {}});
            if (clump.members.size() == 1) // alone it may turn as it may
                whole.parts.back().rotations = single.job.parts[clump.members.front().part].rotations;
        }
        for (const auto i : fixed)
            whole.parts.push_back(single.job.parts[i]);
        auto rest = options;
        rest.seconds *= (1 - share) / widths.size();
        auto found = opened(nest(whole, rest, control), clumps, fixed, single);
        if (!best || better(found, *best)) best = std::move(found);
    }
    return *best;
}

} // namespace up::layout
