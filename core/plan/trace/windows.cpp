// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/windows.hpp"

#include "core/layout/nest.hpp"
#include "core/shape/deepest.hpp"

#include <algorithm>
#include <map>
#include <numeric>

namespace up::plan {
namespace {

using layout::Clump;
using layout::Member;
using layout::NestJob;
using shape::Region;
using shape::Transform;

class Filling {
public:
    Filling(const NestJob& parts, const std::vector<std::size_t>& groups, double margin, up::Job& control)
        : m_parts(parts), m_groups(groups), m_margin(margin), m_control(control) {}
    void fill(std::size_t host, const Region& window);
    Windows take() && { return std::move(m_out); }
    void begin() { m_out.hosts.assign(m_parts.parts.size(), false); }
    [[nodiscard]] bool isInside(std::size_t part) const { return m_out.isInside(part); }

private:
    [[nodiscard]] std::vector<std::vector<std::size_t>> candidates(std::size_t host) const;
    [[nodiscard]] std::vector<Clump> clumped(const std::vector<std::vector<std::size_t>>& groups,
                                             const layout::Sheet& sheet) const;
    /// What lies in the window already stays; of the clumps, what fits.
    void lay(std::size_t host, const layout::Sheet& sheet, shape::Point corner,
             const std::vector<Clump>& clumps);

    const NestJob& m_parts;
    const std::vector<std::size_t>& m_groups;
    double m_margin;
    up::Job& m_control;
    Windows m_out;
    std::vector<Clump> m_there; ///< in the window that is being filled
    std::vector<layout::Spot> m_where;
    int m_clumps = 0;
};

/// Smaller ones that are in no window yet, by fabric.
std::vector<std::vector<std::size_t>> Filling::candidates(std::size_t host) const {
    std::map<std::size_t, std::vector<std::size_t>> out;
    const double area = m_parts.parts[host].shape.area();
    for (std::size_t i = 0; i < m_parts.parts.size(); ++i)
        if (i != host && !isInside(i) && m_parts.parts[i].shape.area() < area * 0.9)
            out[m_groups[i]].push_back(i);
    std::vector<std::vector<std::size_t>> lists;
    for (auto& [group, parts] : out)
        lists.push_back(std::move(parts));
    return lists;
}

std::vector<Clump> Filling::clumped(const std::vector<std::vector<std::size_t>>& groups,
                                    const layout::Sheet& sheet) const {
    std::vector<Clump> out;
    for (const auto& group : groups) {
        NestJob job;
        job.spacing = m_parts.spacing;
        job.sheets = {{"", sheet.width, sheet.height, 1, {}}};
        for (const auto i : group)
            job.parts.push_back(m_parts.parts[i]);
        for (auto& clump : layout::clumpsOf(job, m_margin, {0, 3, 1}, m_control)) {
            for (auto& member : clump.members)
                member.part = group[member.part];
            out.push_back(std::move(clump));
        }
    }
    return out;
}

void Filling::lay(std::size_t host, const layout::Sheet& sheet, shape::Point corner,
                  const std::vector<Clump>& clumps) {
    if (clumps.empty()) return;
    NestJob job;
    job.spacing = 2 * m_margin;
    job.sheets = {sheet};
    for (std::size_t i = 0; i < m_there.size(); ++i)
        job.parts.push_back({"", m_there[i].body, 1, {}, m_where[i]});
    const auto before = job.parts.size();
    for (const auto& clump : clumps)
        job.parts.push_back({"", clump.body, 1, {}});
    const auto found = layout::nest(job, {0, 1, 1}, m_control);
    for (const auto& placed : found.placed) {
        if (placed.part < before) continue;
        const auto& clump = clumps[placed.part - before];
        m_there.push_back(clump), m_where.push_back(placed);
        const Member whole{0, placed.rotation, placed.x + corner.x, placed.y + corner.y};
        for (const auto& member : clump.members) {
            const auto at = placing(whole)({member.x, member.y});
            m_out.inside.push_back(
                {host, {member.part, member.rotation + placed.rotation, at.x, at.y}, m_clumps});
        }
        ++m_clumps;
    }
}

void Filling::fill(std::size_t host, const Region& window) {
    m_out.hosts[host] = true;
    m_there.clear(), m_where.clear();
    const auto box = window.bounds();
    const layout::Sheet sheet{"window", box.width(), box.height(), 1,
                              shape::transformed(window, Transform::moveBy(-box.left, -box.top))};
    lay(host, sheet, {box.left, box.top}, clumped(candidates(host), sheet)); // whole fabrics first
    std::vector<Clump> singles;
    for (const auto& group : candidates(host))
        for (const auto i : group)
            singles.push_back(layout::clumpOfOne(m_parts, i));
    lay(host, sheet, {box.left, box.top}, singles);
}

} // namespace

bool Windows::isInside(std::size_t part) const {
    return std::any_of(inside.begin(), inside.end(), [&](const Inside& i) { return i.member.part == part; });
}

Region windowIn(const Region& piece) {
    const Region all = shape::offset(piece, -windowRim.mm());
    Region out;
    for (const auto& island : shape::islands(all))
        if (shape::deepestPoint(island, 0.5).depth * 2 >= leastWindow.mm() && island.area() > out.area())
            out = island;
    return out;
}

Windows fillWindows(const NestJob& parts, const std::vector<std::size_t>& groups,
                    const std::vector<bool>& mayHost, double margin, up::Job& control) {
    std::vector<std::pair<double, std::size_t>> order;
    std::vector<Region> windows(parts.parts.size());
    for (std::size_t i = 0; i < parts.parts.size(); ++i) {
        if (mayHost[i]) windows[i] = windowIn(parts.parts[i].shape);
        if (!windows[i].isEmpty()) order.emplace_back(-windows[i].area(), i);
    }
    std::stable_sort(order.begin(), order.end());
    Filling filling(parts, groups, margin, control);
    filling.begin();
    for (const auto& [area, host] : order)
        if (!control.stopped()) filling.fill(host, windows[host]);
    return std::move(filling).take();
}

} // namespace up::plan
