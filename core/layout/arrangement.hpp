// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces lying in bays, overlaps allowed: what a search for a layout works on.
#pragma once

#include "core/layout/form.hpp"

#include <vector>

namespace up::layout {

struct Piece {
    const Form* form = nullptr;
    std::vector<double> turns; ///< degrees; empty = any
    bool fixed = false;
};

/// A sheet, half the spacing larger on all sides. Pieces must lie within [0,width]×[0,height] and not meet
/// what is `outside` of an irregular one.
struct Bay {
    double width = 0, height = 0;
    Laid outside; ///< no form: the sheet is its rectangle
};

struct Place {
    std::size_t bay = 0;
    Turn turn;
    shape::Point at;
};

/// How much it matters that two pieces meet; grows while they go on doing so.
class Weights {
public:
    explicit Weights(std::size_t pieces)
        : m_count(pieces), m_pairs(pieces * pieces, 1), m_outside(pieces, 1) {}
    [[nodiscard]] double pair(std::size_t i, std::size_t j) const {
        return static_cast<double>(m_pairs[i < j ? i * m_count + j : j * m_count + i]);
    }
    [[nodiscard]] double outside(std::size_t i) const { return static_cast<double>(m_outside[i]); }
    [[nodiscard]] float& at(std::size_t i, std::size_t j) {
        return i == j ? m_outside[i] : m_pairs[i < j ? i * m_count + j : j * m_count + i];
    }

private:
    std::size_t m_count;
    std::vector<float> m_pairs, m_outside;
};

/// Two pieces that meet, or one that meets the outside of its bay (i = j).
struct Clash {
    std::size_t i, j;
    double depth;
};

class Arrangement {
public:
    Arrangement(const std::vector<Piece>& pieces, const std::vector<Place>& places);

    [[nodiscard]] std::size_t count() const { return m_laid.size(); }
    [[nodiscard]] const Laid& laid(std::size_t i) const { return m_laid[i]; }
    [[nodiscard]] std::size_t bay(std::size_t i) const { return m_bay[i]; }
    [[nodiscard]] Place place(std::size_t i) const { return {m_bay[i], m_laid[i].turn(), m_laid[i].at()}; }
    void put(std::size_t i, const Laid& laid, std::size_t bay);

    /// The weighted depths at which piece i meets others and the outside if it lay so; past `enough` only
    /// that it is more.
    [[nodiscard]] double costOf(std::size_t i, const Laid& laid, std::size_t bay,
                                const std::vector<Bay>& bays, const Weights& weights, double enough) const;
    /// What is fixed may touch what is fixed, and the outside.
    [[nodiscard]] std::vector<Clash> clashes(const std::vector<Bay>& bays) const;
    /// Only those with one of these pieces in them.
    [[nodiscard]] std::vector<Clash> clashesOf(const std::vector<std::size_t>& pieces,
                                               const std::vector<Bay>& bays) const;
    /// The lowest point of anything in the bay; 0 when it is empty.
    [[nodiscard]] double usedOf(std::size_t bay) const;

private:
    /// Both boxes of a piece and its bay, close together in memory.
    struct Reach {
        float left, right, top, bottom, slantLeft, slantRight, slantTop, slantBottom;
        std::size_t bay;
        Reach() = default;
        Reach(const Laid& laid, std::size_t in);
        [[nodiscard]] bool meets(const Reach& o) const {
            return left <= o.right && o.left <= right && top <= o.bottom && o.top <= bottom && bay == o.bay &&
                   slantLeft <= o.slantRight && o.slantLeft <= slantRight && slantTop <= o.slantBottom &&
                   o.slantTop <= slantBottom;
        }
    };
    void addOwnClash(std::size_t i, const std::vector<Bay>& bays, std::vector<Clash>& out) const;
    void addClash(std::size_t i, std::size_t j, std::vector<Clash>& out) const;
    std::vector<Laid> m_laid;
    std::vector<std::size_t> m_bay;
    std::vector<bool> m_fixed;
    std::vector<Reach> m_reach;
};

} // namespace up::layout
