// SPDX-License-Identifier: GPL-3.0-or-later
// Cloths as bitmaps, and chunks that are laid on them one after the other.
#pragma once

#include "core/bond/bond.hpp"
#include "core/layout/bitmap.hpp"

#include <map>

namespace up::bond {

/// One cloth with what lies on it, seen in one of its four quarter turns: things gather in its upper left
/// corner.
struct Shelf {
    std::size_t cloth = 0;
    double frame = 0;             ///< degrees the cloth is turned by
    shape::Point corner;          ///< of its room, in the turned cloth
    double width = 0, height = 0; ///< mm of its room: half a margin within the cloth
    layout::Grid grid{1, 1};
    std::vector<Lying> lying; ///< in the cloth's own frame
    double taken = 0;         ///< mm² of chunks
};

/// A chunk at one turn.
struct Turned {
    layout::Stamp stamp;
    shape::Point corner; ///< of its box, grown by half a margin
};
/// Room for a chunk.
struct Spot {
    std::size_t chunk = 0;
    const Turned* how = nullptr;
    double degrees = 0; ///< in the shelf's frame
    int column = 0, row = 0;
};

class Shelves {
public:
    /// The task outlives it.
    explicit Shelves(const Task& task);

    /// With nothing on it but what is pinned there; `quarter` 0…3.
    [[nodiscard]] Shelf empty(std::size_t cloth, int quarter) const;
    /// Where there is room for the chunk, highest up; none: nowhere.
    [[nodiscard]] std::optional<Spot> find(const Shelf& shelf, std::size_t chunk);
    void put(Shelf& shelf, const Spot& spot);
    /// One that lies there already.
    void put(Shelf& shelf, const Lying& lying) const;
    /// mm² of the largest upright rectangle that is free.
    [[nodiscard]] double largestFree(const Shelf& shelf) const;

    [[nodiscard]] double areaOf(std::size_t chunk) const { return m_areas[chunk]; }
    /// Neither longer nor stouter than the cloth's room: else it need not be tried.
    [[nodiscard]] bool mayGoOn(std::size_t chunk, std::size_t cloth) const;
    /// mm² of the cloth's room.
    [[nodiscard]] double roomOf(std::size_t cloth) const { return m_rooms[cloth].area(); }

private:
    [[nodiscard]] const Turned& turned(std::size_t chunk, double degrees);
    /// Degrees, for a cloth that lies in that frame.
    [[nodiscard]] std::vector<double> turnsOf(std::size_t chunk, const Shelf& shelf) const;
    [[nodiscard]] double baseFrame(std::size_t cloth) const;
    /// How long something is, and how large a circle goes into it, mm.
    struct Size {
        double length = 0, depth = 0;
    };
    [[nodiscard]] static Size sizeOf(const shape::Region& region);

    const Task& m_task;
    double m_half, m_cell = 1;
    std::vector<shape::Region> m_rooms, m_grown; ///< cloths less half a margin, chunks with half of one
    std::vector<double> m_areas, m_square;       ///< by chunk: mm²; degrees at which it lies square
    std::vector<Size> m_sizes, m_roomSizes;
    std::map<std::pair<std::size_t, long>, Turned> m_turned;
};

} // namespace up::bond
