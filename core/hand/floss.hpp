// SPDX-License-Identifier: GPL-3.0-or-later
// Floss of one colour: which lines are stitched with one length, and from which cuts its strands are split.
#pragma once

#include <cstddef>
#include <vector>

namespace up::hand {

inline constexpr int strandsInFloss = 6;

/// Something that is stitched in one go.
struct Demand {
    double length = 0; ///< mm of each strand, without its ends
    int strands = 4;   ///< 1…6
};

/// Source: common practice, but for what is carried.
struct Habits {
    double longest = 457.2; ///< mm, 18 in: a longer length frays and knots
    double end = 75;        ///< mm at each end: to hold on to, and woven in
    double again = 25;      ///< mm to finish and begin again with what is in the needle
    double step = 12.7;     ///< mm, 1/2 in: nobody cuts floss more exactly
};

/// So many equal parts a line is stitched in, so that each goes with one length.
[[nodiscard]] std::size_t partsOf(double floss, const Habits& habits = {});

/// Strands that were split off one cut.
struct Split {
    std::size_t cut = 0;
    int strands = 0;
    bool operator==(const Split&) const = default;
};

/// What is threaded at once.
struct Needleful {
    std::vector<std::size_t> demands; ///< in their order
    int strands = 0;
    double length = 0;       ///< mm that it takes, with its ends, in whole steps
    std::vector<Split> from; ///< one cut, or several of which strands were left
};

struct FlossPlan {
    std::vector<double> cuts;          ///< mm of six strands each, in the order in which they are cut
    std::vector<Needleful> needlefuls; ///< as they are stitched
    bool least = false;                ///< proved: no other plan cuts off less
    [[nodiscard]] double length() const;
    /// mm of single strands that were cut and are not needed.
    [[nodiscard]] double left() const;
};

/// Demands whose plan is proved.
inline constexpr std::size_t provedDemands = 8;

/// The plan that cuts off least floss, each demand within `habits.longest`. Which demands share a needle: all ways are
/// tried for no more than `provedDemands`, else moves and exchanges from first fit. Six strands that are cut together are as
/// long as the longest of them: for needles that are known, filling the cuts by falling length is best (Bartholdi 1988 in
/// Lee, Uzsoy & Martin-Vega, "Efficient algorithms for scheduling semiconductor burn-in operations", Operations Research 40,
/// 1992: batches of full size, longest first); so many cuts are begun whichever of them gives the strands.
[[nodiscard]] FlossPlan flossFor(const std::vector<Demand>& demands, const Habits& habits = {});

} // namespace up::hand
