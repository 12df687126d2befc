// SPDX-License-Identifier: GPL-3.0-or-later
// The document as plain values: one quilt, its blocks, pieces, fabrics, web, threads and log.
// Everything shown or planned is derived from these; nothing derived is kept here.
#pragma once

#include "core/base/check.hpp"
#include "core/base/colour.hpp"
#include "core/base/id.hpp"
#include "core/base/shared.hpp"
#include "core/measure/say.hpp"
#include "core/quilt/cloth.hpp"
#include "core/quilt/fitting.hpp"
#include "core/quilt/ground.hpp"
#include "core/quilt/ironing.hpp"
#include "core/quilt/line.hpp"
#include "core/quilt/reading.hpp"
#include "core/quilt/recipe.hpp"
#include "core/quilt/shared_list.hpp"
#include "core/quilt/step.hpp"
#include "core/quilt/stitches.hpp"
#include "core/quilt/supplies.hpp"
#include "core/quilt/weave.hpp"
#include "core/shape/path.hpp"
#include "core/shape/ring.hpp"

#include <optional>
#include <string>
#include <utility>
#include <variant>
#include <vector>

namespace up::quilt {

using up::Colour;
/// Keys of a file that this version does not know, as JSON text; written back as they were. Empty = none.
using Extra = std::string;

/// How a fabric's print runs.
enum class Print : std::uint8_t {
    plain,   ///< any way
    striped, ///< along a line, either way up: stripes, wood grain, dots in rows
    oneWay   ///< with a top and a bottom
};
constexpr auto keysOf(Print) {
    return std::to_array<std::string_view>({"plain", "striped", "oneWay"});
}

/// Of quilting cotton; a strand of light comes through. Invented, no source: hold it against the cloth.
inline constexpr double usualOpacity = 0.85;

struct Fabric {
    FabricId id;
    std::string name;
    Colour colour;
    Extra extra;
    Print print = Print::plain;
    /// How far stripes may lie off the wanted way. Source: common practice.
    Angle tolerance = Angle::ofDegrees(5);
    double opacity = usualOpacity; ///< of the light that falls on it, what does not come from beneath: 0…1
    bool alike = false;            ///< on both sides, as batik is: no side can be the wrong one
    Shared<Swatch> swatch{};
    Weave weave = Weave::cotton;
    bool operator==(const Fabric&) const;
};

struct Thread {
    ThreadId id;
    std::string name;
    Colour colour;
    Extra extra;
    std::string key{}; ///< by which the stash of all quilts knows it; none: this quilt alone has it
    std::optional<Length> spool{}, bobbin{}; ///< what is left; none: nobody has said
    std::optional<double> tex{};             ///< g per 1000 m, ISO 1144
    std::vector<Colour>
        shades{}; ///< of a variegated one, as they follow the first and each other; none: of one colour
    Length shadeLength = Length::ofMm(250); ///< of thread in each shade
    bool operator==(const Thread&) const;
};

/// One pressing as the maker's leaflet gives it.
struct Pressing {
    double seconds = 5;
    bool steam = false;
    std::string heat = "wool";
    bool operator==(const Pressing&) const = default;
};

/// Web on a roll; none of it when it is used up.
struct Roll {
    Length length = Length::ofInches(72, 1);
    bool operator==(const Roll&) const = default;
};
/// Web in sheets of one size; 0 when they are used up.
struct Packet {
    int sheets = 1;
    Length length = Length::ofInches(12, 1); ///< of one sheet
    bool operator==(const Packet&) const = default;
};

/// A fusible web, and how much of it is there.
struct Web {
    WebId id;
    std::string name;
    int papers = 1;
    Length width = Length::ofInches(17, 1);
    std::variant<Roll, Packet> stock;
    Pressing first, final;
    Extra extra;
    /// So many seconds under the iron, all pressings together, if the leaflet says so.
    std::optional<double> longest;
    bool fromBack = true; ///< the final pressing is done once more from the back
    bool maySew = true;   ///< else it gums the needle up
    std::string key{};    ///< as of a Thread
    bool operator==(const Web&) const;
    /// Null when it comes the other way.
    [[nodiscard]] const Roll* roll() const { return std::get_if<Roll>(&stock); }
    [[nodiscard]] const Packet* packet() const { return std::get_if<Packet>(&stock); }
    /// What is on the roll, or the length of one sheet.
    [[nodiscard]] Length length() const { return roll() ? roll()->length : packet()->length; }
};

/// Web left over that is worth keeping: [0, …] mm both ways, perhaps with holes.
struct OffCut {
    OffCutId id;
    WebId web;            ///< what it is of
    shape::Rings outline; ///< as of a shape::Region
    std::string from;     ///< the block it was left over from
    Extra extra;
    std::string key{}; ///< as of a Thread
    bool operator==(const OffCut&) const;
};

/// What is done about something darker that shows through a piece.
enum class Shine : std::uint8_t {
    ask,     ///< nothing yet
    cutAway, ///< what lies behind is cut away once the piece is stitched
    accepted ///< it may be seen
};
constexpr auto keysOf(Shine) {
    return std::to_array<std::string_view>({"ask", "cutAway", "accepted"});
}

struct Piece {
    PieceId id;
    std::string name;
    /// As seen from the front, finished size, millimetres from the finished block's top left corner.
    Shared<shape::Outline> outline;
    /// Inner marks (eyes, veins): lines to draw on the fabric, not to cut.
    Shared<std::vector<shape::Contour>> marks;
    /// Stretches of its edge that lie beneath another piece or in a seam, drawn dotted: not turned, not
    /// stitched.
    Shared<std::vector<shape::Contour>> dotted{};
    FabricId fabric;
    ThreadId thread;
    bool runsOff = false; ///< reaches over the finished edge on purpose
    Placement place;
    Work work;
    std::optional<Recipe> recipe; ///< of a built-in shape
    Extra extra;
    /// How the stripes of a printed fabric are to run over it, seen from the front as it is drawn: 0° to the
    /// right, 90° down. None: it doesn't matter.
    std::optional<Angle> grain;
    bool mayHaveWindow = true; ///< where there is room for one
    PieceId liningOf;          ///< a lining: of that piece, just above it
    Shine shine = Shine::ask;
    int unit = 0;                     ///< pieces of one unit are fused on a pressing sheet first; 0 = none
    bool locked = false;              ///< stays where it is
    bool counted = false;             ///< it is there: it was counted before laying
    bool melts = false;               ///< dots, metallic fibres: never under the iron
    bool marksStitched = false;       ///< stitching follows its marks and covers them
    bool lifts = false;               ///< an edge of it did when it was tested: to be pressed again
    std::optional<EdgeStitch> edge{}; ///< how its own edge is stitched; none: as the block's
    /// Stretches of its edge and marks that are stitched, as its outline is drawn, while not all are.
    Shared<std::vector<shape::Contour>> sewn{};
    std::vector<StretchStitch> stretches{}; ///< of it that are stitched otherwise than its edge
    Join join = Join::fused;
    bool operator==(const Piece&) const;
    [[nodiscard]] bool hasMarks() const { return !marks->empty(); }
    [[nodiscard]] Way way() const { return {hasMarks(), join, shine == Shine::cutAway}; }
    [[nodiscard]] std::optional<Step> next() const { return nextStep(work, way()); }
    [[nodiscard]] bool isPast(Step step) const { return quilt::isPast(work, way(), step); }
    [[nodiscard]] bool isPast(Tread tread) const { return quilt::isPast(work, way(), tread); }
    /// Not web: cut by its template alone.
    [[nodiscard]] bool isOffWeb() const { return join != Join::fused; }
};

/// One piece on the web. A point of its reversed outline (mirrored across x = 0) turned by `turn` and then
/// moved by (x, y) mm lands on the sheet.
struct Traced {
    PieceId piece;
    int sheet = 0; ///< which of the layout's sheets
    int chunk = 0; ///< pieces of one chunk are rough cut together
    double x = 0, y = 0;
    Angle turn;
    bool pinned = false; ///< stays there when the rest is laid out again
    bool window = false; ///< its middle is cut out of the web
    bool operator==(const Traced&) const = default;
};

/// Why a piece has no place on the web.
enum class WhyNot : std::uint8_t { largerThanSheet, webUsedUp };
constexpr auto keysOf(WhyNot) {
    return std::to_array<std::string_view>({"largerThanSheet", "webUsedUp"});
}

struct Unplaced {
    PieceId piece;
    WhyNot reason{};
    bool operator==(const Unplaced&) const = default;
};

/// What a layout lies on: a length of the roll, one of the web's sheets, or an off-cut.
struct WebSheet {
    OffCutId offCut;      ///< none: web from the roll or the packet
    shape::Rings outline; ///< of the off-cut, which stays known when the off-cut is used up
    bool putAway = false; ///< rough cut; what was left is in the stash
    bool operator==(const WebSheet&) const = default;
};

/// Equal shapes cut from strips: how high web and fabric strips are cut.
struct Strip {
    int chunk = 0;
    Length height;
    int count = 1; ///< strips
    bool operator==(const Strip&) const = default;
};

/// A tracing layout that was chosen; dropped by edits that change an outline.
struct Layout {
    WebId web;
    std::vector<Traced> traced;
    std::vector<Unplaced> unplaced{};
    std::vector<WebSheet> sheets{}; ///< by Traced::sheet; those past its end are new web
    std::vector<Strip> strips{};
    bool operator==(const Layout&) const;
};

/// How pieces are gathered on the web.
enum class School : std::uint8_t {
    oneByOne, ///< each rough cut alone
    byFabric, ///< all of a fabric close together, rough cut as one chunk
    windowed, ///< smaller pieces in the windows of larger ones
    strip     ///< equal shapes turned up and down in strips of their height
};
constexpr auto keysOf(School) {
    return std::to_array<std::string_view>({"oneByOne", "byFabric", "windowed", "strip"});
}

/// "This one goes over that one", as the user says.
struct Over {
    PieceId upper, lower;
    bool operator==(const Over&) const = default;
};

/// A doubt that was looked at and left as it is. It is raised again when what it measures has changed.
struct LeftSo {
    std::string doubt;            ///< the stable name of its kind: "thin"
    PieceId piece, other;         ///< none: it is about the block
    std::vector<double> measures; ///< as they were
    bool operator==(const LeftSo&) const = default;
};

/// When the layers of a block are quilted together.
enum class Quilting : std::uint8_t {
    after, ///< the whole quilt, once it is pieced
    first, ///< as you go: the background on its batting and backing, before anything is laid on it
    done   ///< as you go, and it is
};
constexpr auto keysOf(Quilting) {
    return std::to_array<std::string_view>({"after", "first", "done"});
}

struct Block {
    BlockId id;
    std::string name;
    Length width = Length::ofInches(9, 1), height = Length::ofInches(9, 1); ///< finished
    FabricId background;
    WebId web;
    bool givenReversed = false;         ///< the drawing came already mirrored
    Reading letters = Reading::unknown; ///< how the letters of the drawing read as it came
    bool trimmed = false;               ///< the block is finished
    EdgeStitch edge;
    std::vector<Piece> pieces; ///< bottom first
    std::optional<Layout> layout;
    Extra extra;
    School school = School::byFabric;
    Ground ground{};
    std::vector<Over> over{};                 ///< where the order of the pieces does not say it
    Length underlap = Length::ofInches(1, 4); ///< so far lower pieces reach beneath upper ones
    std::vector<LeftSo> leftSo{};
    std::vector<OnCloth> onCloth{}; ///< where chunks that are not bonded yet are to go
    Fusing fusing = Fusing::atOnce;
    std::vector<Pressed> pressed{};       ///< as it was done
    Length jump = Length::ofInches(1, 2); ///< so far the needle may go in the open without tying off
    Beneath beneath = Beneath::stabiliser;
    Length battingHolds =
        Length::ofInches(4, 1); ///< so wide a stretch may be without a stitch, if batting is beneath
    Fitting fitting{};
    std::vector<Line> lines{}; ///< over all pieces
    Quilting quilting = Quilting::after;
    bool operator==(const Block&) const;
};

/// What the log tells of: a step of a piece, or something else that was done.
enum class Event : std::uint8_t {
    toTrace,
    traced,
    roughCut,
    bonded,
    marked,
    cleanCut,
    turned,
    laid,
    fused,
    tested,
    stitched,
    cutAway,
    ruined,
    imported,
    resized,
    trimmed,
    lineDrawn, ///< its name is in the note, as of the next
    lineLaid,
    lineSewn,
    stripSewn,
    quilted, ///< its background, as you go
    layout,
    putAway, ///< what was left of the web went back into the stash
    note     ///< whatever else; its words are in the note
};
constexpr auto keysOf(Event) {
    return std::to_array<std::string_view>(
        {"toTrace",   "traced",   "roughCut", "bonded",    "marked",  "cleanCut", "turned",  "laid",
         "fused",     "tested",   "stitched", "cutAway",   "ruined",  "imported", "resized", "trimmed",
         "lineDrawn", "lineLaid", "lineSewn", "stripSewn", "quilted", "layout",   "putAway", "note"});
}
/// The steps come first among the events, in their order.
[[nodiscard]] constexpr Event eventOf(Step step) {
    return static_cast<Event>(step);
}
[[nodiscard]] constexpr std::optional<Step> stepOf(Event event) {
    return event <= Event::cutAway ? std::optional(static_cast<Step>(event)) : std::nullopt;
}

struct LogEntry {
    std::int64_t time = 0; ///< seconds since 1970-01-01 UTC
    BlockId block;
    PieceId piece; ///< none: the whole block
    Event what = Event::note;
    std::string note;
    bool operator==(const LogEntry&) const = default;
};

struct Quilt {
    std::string name;
    measure::System units = measure::System::inches;
    int columns = 3;                         ///< blocks side by side
    Length sashing = Length::ofInches(1, 1); ///< strips between blocks, finished
    SharedList<Block> blocks;
    std::vector<Fabric> fabrics;
    std::vector<Web> webs;
    std::vector<OffCut> offCuts;
    std::vector<Cloth> cloths;
    Length leastOffCut = Length::ofInches(3, 2); ///< a circle so wide fits into web or cloth worth keeping
    std::vector<Thread> threads;
    std::vector<Supply> supplies{};
    std::vector<Want> wants{}; ///< the shopping list
    std::vector<Iron> irons{};
    IronId iron; ///< in use; none: the household iron that comes with the program
    AtMachine machine{};
    Setting setting{};
    Shared<std::vector<LogEntry>> log;
    std::uint32_t nextId = 1;
    Extra extra;
    bool operator==(const Quilt&) const;
};

/// ¼ in. Source: common practice.
inline constexpr Length seamAllowance = Length::ofInches(1, 4);

/// Null when there is none.
template<class Items, class ItemId> [[nodiscard]] auto* find(Items& items, ItemId id) {
    for (std::size_t i = 0; i < items.size(); ++i) // looking on the way makes nothing the list's own
        if (std::as_const(items)[i].id == id) return &items[i];
    return static_cast<decltype(&items.front())>(nullptr);
}

/// That one, which is there: whoever says so and is wrong ends the program, with a copy of the work.
template<class Items, class ItemId> [[nodiscard]] auto& the(Items& items, ItemId id) {
    auto* found = find(items, id);
    UP_CHECK(found != nullptr);
    return *found;
}

/// A quilt with one web and nothing else: what *New* starts from.
[[nodiscard]] Quilt emptyQuilt(std::string name);

[[nodiscard]] shape::Box finishedBox(const Block& block);
/// With its seam allowance all round: what is cut.
[[nodiscard]] shape::Box cutBox(const Block& block);

/// The piece's own stitch, or the block's.
[[nodiscard]] const EdgeStitch& stitchOf(const Block& block, const Piece& piece);

/// The outline where the piece lies on the block: drawing, turned and moved.
[[nodiscard]] shape::Transform placing(const Piece& piece);
[[nodiscard]] shape::Outline placed(const Piece& piece);
/// As traced on the paper side: mirrored across x = 0, not moved.
[[nodiscard]] shape::Outline reversed(const Piece& piece);
/// Where a traced piece's reversed outline lies on its sheet.
[[nodiscard]] shape::Transform onSheet(const Traced& traced);
/// The layout's sheet of that number.
[[nodiscard]] WebSheet sheetOf(const Layout& layout, int sheet);

} // namespace up::quilt
