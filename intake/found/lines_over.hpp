// SPDX-License-Identifier: GPL-3.0-or-later
// Lines drawn over filled shapes: the black contours of a coloured picture.
#pragma once

#include "core/quilt/drawing.hpp"
#include "core/shape/cells.hpp"
#include "core/shape/region.hpp"

#include <vector>

namespace up::intake {

/// The filled shapes of a drawing, asked what a line over them is.
class FilledShapes {
public:
    /// `shapes` in painting order; only filled ones and bands count, and they must outlive this. `page`: mm
    /// from corner to corner. `paper`: the first shape is white paper, not cloth. `tolerance`: mm, of
    /// flattening.
    FilledShapes(const std::vector<quilt::DrawnShape>& shapes, double page, bool paper, double tolerance);

    [[nodiscard]] bool isEmpty() const { return m_filled.empty(); }

    /// Whether at least half of what the closed line `shapes[i]` encloses is filled by shapes beneath it, or
    /// by one with the very same edge, wherever that comes.
    [[nodiscard]] bool liesBeneath(std::size_t i) const;

    /// The stretches of a line, as wide as `pen` mm, that follow no edge of a filled shape; short ones are
    /// passed over. The whole line comes back as it is. Method: points of the line, no further apart than
    /// what counts as following, against edges sorted into square cells.
    [[nodiscard]] std::vector<shape::Contour> strayingParts(const shape::Contour& line, double pen) const;

private:
    struct Filled {
        std::size_t index;
        shape::Box box;
        double area;
        shape::Region region;
    };
    [[nodiscard]] bool hasTheEdgeOf(const Filled& filled, const shape::Box& box, double area) const;
    [[nodiscard]] double reachOf(double pen) const;

    const std::vector<quilt::DrawnShape>& m_shapes;
    std::vector<Filled> m_filled;
    double m_tolerance, m_follows;
    shape::EdgeCells m_edges;
};

} // namespace up::intake
