// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/check/rows.hpp"

#include <algorithm>
#include <tuple>

namespace up::check {
namespace {

template<class T> void addOnce(std::vector<T>& list, const T& item) {
    if (std::find(list.begin(), list.end(), item) == list.end()) list.push_back(item);
}

auto rank(const Finding& finding) {
    return std::tuple{rowOf(finding.kind), finding.block};
}

} // namespace

std::vector<Fix> Row::fixes() const {
    std::vector<Fix> out;
    for (const auto& finding : findings)
        for (const auto fix : finding.fixes)
            if (fix != Fix::leaveSo) addOnce(out, fix);
    if (!with(Fix::leaveSo).empty()) out.push_back(Fix::leaveSo);
    return out;
}

std::vector<Finding> Row::with(Fix fix) const {
    std::vector<Finding> out;
    for (const auto& finding : findings)
        if (std::find(finding.fixes.begin(), finding.fixes.end(), fix) != finding.fixes.end())
            out.push_back(finding);
    return out;
}

shape::Region Row::where() const {
    std::vector<shape::Region> all;
    for (const auto& finding : findings)
        if (!finding.where.isEmpty()) all.push_back(finding.where);
    return shape::unite(all);
}

std::vector<shape::Point> Row::spots() const {
    std::vector<shape::Point> out;
    for (const auto& finding : findings)
        if (finding.spot) out.push_back(*finding.spot);
    return out;
}

std::vector<Row> rowsOf(std::vector<Finding> findings) {
    std::stable_sort(findings.begin(), findings.end(), [](const Finding& a, const Finding& b) {
        return std::tuple{rank(a), a.kind, -a.weight} < std::tuple{rank(b), b.kind, -b.weight};
    });
    std::vector<Row> out;
    for (auto& finding : findings) {
        if (out.empty() || rank(out.back().worst()) != rank(finding)) out.emplace_back();
        out.back().findings.push_back(std::move(finding));
    }
    return out;
}

} // namespace up::check
