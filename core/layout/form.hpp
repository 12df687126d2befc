// SPDX-License-Identifier: GPL-3.0-or-later
// A shape made ready for being laid down very many times: its edges, and discs that stand for its inside.
#pragma once

#include "core/shape/region.hpp"

#include <cstdint>
#include <vector>

namespace up::layout {

/// A turn with its cosine and sine, exact for quarters and the same on every machine.
struct Turn {
    double degrees = 0, cos = 1, sin = 0;
};
/// Source: the Taylor series within an eighth of a turn, to the last bit but one; -ffp-contract=off.
[[nodiscard]] Turn turnOf(double degrees);

/// The largest disc that fits where no other lies yet.
struct Disc {
    double x = 0, y = 0, radius = 0;
};

struct Form {
    std::vector<shape::Point>
        points; ///< rings one after the other, each with its first point again at its end
    std::vector<std::uint32_t> edges;  ///< the first point of each edge; the next point is its other end
    std::vector<std::uint32_t> starts; ///< the first point of each ring
    std::vector<shape::Point> hull;    ///< the corners of the convex hull of all that must stay on the sheet
    std::vector<Disc> discs;           ///< within the shape, the largest first
    double rim = 0;                    ///< no point of the shape is farther from all discs, mm
    double area = 0;                   ///< mm²
    double diameter = 0;               ///< at least; mm
    double girth = 0;                  ///< the shorter side of its box, mm
};

/// Discs are added until they fill nine tenths of the shape or there are sixteen. Empty regions give an empty
/// form. Discs: greedily where the distance to the edges and to the discs before is greatest.
/// `whole`: what must stay within the sheet, when that is more.
[[nodiscard]] Form formOf(const shape::Region& region, const shape::Region& whole);
[[nodiscard]] inline Form formOf(const shape::Region& region) {
    return formOf(region, region);
}

/// Boxes of a few edges each, which tell at once which edges cannot meet.
struct EdgeBox {
    shape::Box box;
    std::uint32_t first, last; ///< edges first … last−1
};

/// Discs side by side in memory, filled up to a multiple of four by discs of no size within the first.
struct DiscRows {
    std::vector<float> x, y, radius;
};

/// A form turned and moved. Its points are worked out when they are asked for: often the discs say enough.
class Laid {
public:
    Laid() = default;
    /// Again, in the memory it has.
    void lay(const Form& what, const Turn& turn, shape::Point at);
    /// The same turn elsewhere: cheaper.
    void moveTo(shape::Point at);

    [[nodiscard]] bool isEmpty() const { return m_form == nullptr; }
    [[nodiscard]] const Form& form() const { return *m_form; }
    [[nodiscard]] const Turn& turn() const { return m_turn; }
    [[nodiscard]] shape::Point at() const { return m_at; }
    [[nodiscard]] const shape::Box& box() const { return m_box; }
    /// Of the same turned by an eighth: from least to greatest x+y and x−y. Two forms meet only if both of
    /// their boxes do.
    [[nodiscard]] const shape::Box& slantBox() const { return m_slantBox; }
    [[nodiscard]] const DiscRows& discs() const { return m_discs; }
    /// As in the form.
    [[nodiscard]] const std::vector<shape::Point>& points() const {
        if (!m_ready) layPoints();
        return m_points;
    }
    [[nodiscard]] const std::vector<EdgeBox>& edgeBoxes() const {
        if (!m_ready) layPoints();
        return m_edgeBoxes;
    }
    /// Before it is looked at from several threads.
    void makeReady() const {
        if (!m_ready) layPoints();
    }

private:
    void layPoints() const;

    const Form* m_form = nullptr;
    Turn m_turn;
    shape::Point m_at;
    shape::Box m_box, m_slantBox;
    DiscRows m_discs;
    mutable bool m_ready = false;
    mutable std::vector<shape::Point> m_points;
    mutable std::vector<EdgeBox> m_edgeBoxes;
};

/// The box of the form at that turn, about its origin.
[[nodiscard]] shape::Box boxOf(const Form& form, const Turn& turn);

} // namespace up::layout
