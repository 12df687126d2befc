// SPDX-License-Identifier: GPL-3.0-or-later
// Every kept member of the document, listed once: how files call it, what may stand there, and whether a
// piece keeps it when it is made anew or copied. Reader, writer, resets, copies, the schema's test and the
// round trip's go by it.
#pragma once

#include "core/quilt/field.hpp"
#include "core/quilt/quilt.hpp"

namespace up::quilt {

/// mm: a cone of 10 km.
inline constexpr double mostThread = 1e7;

constexpr auto fieldsOf(Of<Thread>) {
    using T = Thread;
    return std::tuple{ownId(&T::id),
                      always("name", &T::name),
                      always("colour", &T::colour),
                      unlessUsual("key", &T::key),
                      unlessUsual("spool", &T::spool).within(0, mostThread),
                      unlessUsual("bobbin", &T::bobbin).within(0, mostThread),
                      unlessUsual("tex", &T::tex).within(1, 1000),
                      unlessUsual("shades", &T::shades),
                      unlessUsual("shadeLength", &T::shadeLength).within(1, 100'000)};
}

constexpr auto fieldsOf(Of<Swatch>) {
    return std::tuple{always("picture", &Swatch::picture),
                      unlessUsual("across", &Swatch::across).within(0, 10'000)};
}

constexpr auto fieldsOf(Of<Supply>) {
    using T = Supply;
    return std::tuple{ownId(&T::id),
                      always("name", &T::name),
                      always("for", &T::purpose),
                      always("width", &T::width).within(0, 100'000),
                      always("length", &T::length).within(0, 100'000),
                      unlessUsual("key", &T::key)};
}

constexpr auto fieldsOf(Of<Want>) {
    using T = Want;
    return std::tuple{ownId(&T::id), always("fabric", &T::fabric),
                      always("width", &T::width).within(0, 100'000),
                      always("height", &T::height).within(0, 100'000), unlessUsual("block", &T::block)};
}

constexpr auto fieldsOf(Of<Fabric>) {
    using T = Fabric;
    return std::tuple{ownId(&T::id),
                      always("name", &T::name),
                      always("colour", &T::colour),
                      unlessUsual("print", &T::print),
                      unlessUsual("opacity", &T::opacity).within(0, 1),
                      unlessUsual("alike", &T::alike),
                      unlessUsual("stripesWithin", &T::tolerance).within(0, 45),
                      unlessUsual("swatch", &T::swatch),
                      unlessUsual("weave", &T::weave)};
}

constexpr auto fieldsOf(Of<Pressing>) {
    using T = Pressing;
    return std::tuple{always("seconds", &T::seconds).within(0, 3600), always("steam", &T::steam),
                      always("heat", &T::heat)};
}

constexpr auto fieldsOf(Of<Roll>) {
    return std::tuple{always("length", &Roll::length).within(0, 100'000)};
}
constexpr auto fieldsOf(Of<Packet>) {
    return std::tuple{always("sheets", &Packet::sheets).within(0, 10'000),
                      always("length", &Packet::length).within(1, 100'000)};
}
/// By which key each way of coming stands in a web.
constexpr auto keysOf(Of<decltype(Web::stock)>) {
    return std::to_array<std::string_view>({"roll", "packet"});
}

constexpr auto fieldsOf(Of<Web>) {
    using T = Web;
    return std::tuple{ownId(&T::id),
                      always("name", &T::name),
                      always("papers", &T::papers).within(1, 2),
                      always("width", &T::width).within(1, 10'000),
                      amongThem(&T::stock),
                      always("first", &T::first),
                      always("final", &T::final),
                      unlessUsual("longest", &T::longest).within(1, 3600),
                      unlessUsual("fromBack", &T::fromBack),
                      unlessUsual("maySew", &T::maySew),
                      unlessUsual("key", &T::key)};
}

constexpr auto fieldsOf(Of<OffCut>) {
    using T = OffCut;
    return std::tuple{ownId(&T::id), always("web", &T::web), always("outline", &T::outline),
                      unlessUsual("from", &T::from), unlessUsual("key", &T::key)};
}

constexpr auto fieldsOf(Of<Cloth>) {
    using T = Cloth;
    return std::tuple{ownId(&T::id),
                      unlessUsual("key", &T::key),
                      always("name", &T::name),
                      always("fabric", &T::fabric),
                      always("outline", &T::outline),
                      unlessUsual("stripes", &T::stripes).within(-360, 360),
                      unlessUsual("scrap", &T::scrap),
                      unlessUsual("washed", &T::washed),
                      unlessUsual("from", &T::from),
                      unlessUsual("heldFor", &T::heldFor),
                      unlessUsual("heldElsewhere", &T::heldElsewhere)};
}

constexpr auto fieldsOf(Of<OnCloth>) {
    using T = OnCloth;
    return std::tuple{always("chunk", &T::chunk).within(0, 100'000),
                      always("cloth", &T::cloth).from(1),
                      always("x", &T::x),
                      always("y", &T::y),
                      always("turn", &T::turn).within(-360, 360),
                      unlessUsual("pinned", &T::pinned)};
}

constexpr auto fieldsOf(Of<Iron>) {
    using T = Iron;
    return std::tuple{ownId(&T::id), always("name", &T::name), always("outline", &T::outline),
                      unlessUsual("key", &T::key)};
}

constexpr auto fieldsOf(Of<Pressed>) {
    using T = Pressed;
    return std::tuple{always("time", &T::time),
                      always("under", &T::under),
                      always("seconds", &T::seconds).within(0, 3600),
                      unlessUsual("fromBack", &T::fromBack),
                      unlessUsual("unit", &T::unit).within(0, 100'000),
                      unlessUsual("again", &T::again),
                      always("pieces", &T::pieces)};
}

constexpr auto fieldsOf(Of<Placement>) {
    using T = Placement;
    return std::tuple{always("right", &T::right), always("down", &T::down),
                      always("turn", &T::turn).within(-360, 360)};
}

constexpr auto fieldsOf(Of<Work>) {
    using T = Work;
    return std::tuple{always("step", &T::step), always("marksDrawn", &T::marksDrawn),
                      always("remade", &T::remade).within(0, 100'000)};
}

constexpr auto fieldsOf(Of<Piece>) {
    using T = Piece;
    return std::tuple{ownId(&T::id),
                      always("name", &T::name).of(About::self),
                      always("fabric", &T::fabric),
                      always("thread", &T::thread),
                      always("runsOff", &T::runsOff),
                      always("place", &T::place),
                      amongThem(&T::work).of(About::making),
                      amongThem(&T::outline),
                      always("marks", &T::marks),
                      unlessUsual("dotted", &T::dotted),
                      unlessUsual("recipe", &T::recipe),
                      unlessUsual("grain", &T::grain).within(-360, 360),
                      unlessUsual("mayHaveWindow", &T::mayHaveWindow),
                      unlessUsual("liningOf", &T::liningOf).of(About::self),
                      unlessUsual("shine", &T::shine),
                      unlessUsual("unit", &T::unit).within(0, 100'000).of(About::self),
                      unlessUsual("locked", &T::locked).of(About::self),
                      unlessUsual("counted", &T::counted).of(About::making),
                      unlessUsual("melts", &T::melts),
                      unlessUsual("marksStitched", &T::marksStitched),
                      unlessUsual("lifts", &T::lifts).of(About::making),
                      unlessUsual("edge", &T::edge),
                      unlessUsual("sewn", &T::sewn).of(About::making),
                      unlessUsual("stretches", &T::stretches),
                      unlessUsual("join", &T::join)};
}

constexpr auto fieldsOf(Of<Written>) {
    using T = Written;
    return std::tuple{always("text", &T::text),
                      unlessUsual("family", &T::family),
                      always("height", &T::height).within(1, 1000),
                      unlessUsual("bend", &T::bend).within(-360, 360),
                      unlessUsual("along", &T::along),
                      unlessUsual("from", &T::from).within(0, 1),
                      unlessUsual("off", &T::off).within(-1000, 1000)};
}
constexpr auto fieldsOf(Of<Laid>) {
    using T = Laid;
    return std::tuple{always("trim", &T::trim),
                      always("width", &T::width).within(0.5, 100),
                      unlessUsual("fabric", &T::fabric),
                      unlessUsual("begin", &T::begin),
                      unlessUsual("end", &T::end),
                      unlessUsual("glued", &T::glued),
                      unlessUsual("melts", &T::melts),
                      unlessUsual("called", &T::called).within(0, 10'000),
                      unlessUsual("done", &T::done).within(0, 10'000)};
}
constexpr auto fieldsOf(Of<Line>) {
    using T = Line;
    return std::tuple{ownId(&T::id),
                      always("name", &T::name),
                      always("strokes", &T::strokes),
                      unlessUsual("written", &T::written),
                      unlessUsual("laid", &T::laid),
                      unlessUsual("on", &T::on),
                      unlessUsual("place", &T::place),
                      always("stitch", &T::stitch),
                      unlessUsual("length", &T::length).within(0.1, 25.4),
                      unlessUsual("width", &T::width).within(0.1, 25.4),
                      unlessUsual("thread", &T::thread),
                      unlessUsual("strands", &T::strands).within(1, strandsOfFloss),
                      unlessUsual("pen", &T::pen),
                      unlessUsual("drawn", &T::drawn),
                      unlessUsual("sewn", &T::sewn).within(0, 10'000),
                      unlessUsual("stitched", &T::stitched)};
}

constexpr auto fieldsOf(Of<Traced>) {
    using T = Traced;
    return std::tuple{always("piece", &T::piece).from(1),
                      always("sheet", &T::sheet).within(0, 10'000),
                      always("chunk", &T::chunk).within(0, 100'000),
                      always("x", &T::x),
                      always("y", &T::y),
                      always("turn", &T::turn).within(-360, 360),
                      unlessUsual("pinned", &T::pinned),
                      unlessUsual("window", &T::window)};
}

constexpr auto fieldsOf(Of<Unplaced>) {
    using T = Unplaced;
    return std::tuple{always("piece", &T::piece).from(1), always("reason", &T::reason)};
}

constexpr auto fieldsOf(Of<WebSheet>) {
    using T = WebSheet;
    return std::tuple{unlessUsual("offCut", &T::offCut), unlessUsual("outline", &T::outline),
                      always("putAway", &T::putAway)};
}

constexpr auto fieldsOf(Of<Strip>) {
    using T = Strip;
    return std::tuple{always("chunk", &T::chunk).within(0, 100'000),
                      always("height", &T::height).within(0.1, 10'000),
                      always("count", &T::count).within(1, 10'000)};
}

constexpr auto fieldsOf(Of<Layout>) {
    using T = Layout;
    return std::tuple{always("web", &T::web), always("traced", &T::traced), always("unplaced", &T::unplaced),
                      unlessUsual("sheets", &T::sheets), unlessUsual("strips", &T::strips)};
}

constexpr auto fieldsOf(Of<EdgeStitch>) {
    using T = EdgeStitch;
    return std::tuple{always("stitch", &T::kind),
                      always("width", &T::width).within(0.1, 25.4),
                      unlessUsual("length", &T::length).within(0.1, 25.4),
                      unlessUsual("passes", &T::passes).within(1, 9),
                      unlessUsual("mayBe", &T::mayBe).within(1, 9),
                      unlessUsual("apart", &T::apart).within(0.1, 25.4),
                      unlessUsual("unit", &T::unit).within(-1, 1)};
}

constexpr auto fieldsOf(Of<StretchStitch>) {
    return std::tuple{always("along", &StretchStitch::along), always("edge", &StretchStitch::edge)};
}
constexpr auto fieldsOf(Of<AtMachine>) {
    return std::tuple{unlessUsual("thread", &AtMachine::thread),
                      unlessUsual("needleMinutes", &AtMachine::needleMinutes).within(0, 1e6)};
}

constexpr auto fieldsOf(Of<GroundPatch>) {
    return std::tuple{always("fabric", &GroundPatch::fabric),
                      always("cut", &GroundPatch::cut).within(1, 10'000)};
}
constexpr auto fieldsOf(Of<GroundStrip>) {
    using T = GroundStrip;
    return std::tuple{always("cut", &T::cut).within(1, 10'000), always("patches", &T::patches)};
}
constexpr auto fieldsOf(Of<Creases>) {
    using T = Creases;
    return std::tuple{always("halves", &T::halves), always("diagonals", &T::diagonals),
                      always("quarters", &T::quarters)};
}
constexpr auto fieldsOf(Of<Ground>) {
    using T = Ground;
    return std::tuple{always("oversize", &T::oversize).within(0, 1000), always("creases", &T::creases),
                      unlessUsual("grain", &T::grain).within(-360, 360), unlessUsual("rows", &T::rows),
                      unlessUsual("strips", &T::strips)};
}

constexpr auto fieldsOf(Of<Measured>) {
    return std::tuple{always("wide", &Measured::wide).within(1, 10'000),
                      always("high", &Measured::high).within(1, 10'000)};
}
constexpr auto fieldsOf(Of<Sides>) {
    return std::tuple{always("top", &Sides::top), always("bottom", &Sides::bottom),
                      always("left", &Sides::left), always("right", &Sides::right)};
}
constexpr auto fieldsOf(Of<Fitting>) {
    using T = Fitting;
    return std::tuple{
        unlessUsual("measured", &T::measured),           unlessUsual("seam", &T::seam).within(1, 25),
        unlessUsual("frame", &T::frame).within(0, 1000), unlessUsual("sides", &T::sides),
        unlessUsual("sidesFirst", &T::sidesFirst),       unlessUsual("sewn", &T::sewn).within(0, 8)};
}
constexpr auto fieldsOf(Of<Border>) {
    return std::tuple{always("width", &Border::width).within(1, 10'000), always("fabric", &Border::fabric)};
}
constexpr auto fieldsOf(Of<Setting>) {
    using T = Setting;
    return std::tuple{unlessUsual("strips", &T::strips), unlessUsual("outer", &T::outer),
                      unlessUsual("asTheyCome", &T::asTheyCome), unlessUsual("borders", &T::borders)};
}

constexpr auto fieldsOf(Of<Over>) {
    return std::tuple{always("upper", &Over::upper).from(1), always("lower", &Over::lower).from(1)};
}

constexpr auto fieldsOf(Of<LeftSo>) {
    using T = LeftSo;
    return std::tuple{always("doubt", &T::doubt), unlessUsual("piece", &T::piece),
                      unlessUsual("other", &T::other), unlessUsual("measures", &T::measures)};
}

constexpr auto fieldsOf(Of<Block>) {
    using T = Block;
    return std::tuple{ownId(&T::id),
                      always("name", &T::name),
                      always("width", &T::width).within(1, 10'000),
                      always("height", &T::height).within(1, 10'000),
                      always("background", &T::background),
                      always("web", &T::web),
                      always("givenReversed", &T::givenReversed),
                      always("trimmed", &T::trimmed),
                      unlessUsual("letters", &T::letters),
                      unlessUsual("edge", &T::edge),
                      always("pieces", &T::pieces),
                      unlessUsual("layout", &T::layout),
                      unlessUsual("school", &T::school),
                      unlessUsual("ground", &T::ground),
                      unlessUsual("over", &T::over),
                      unlessUsual("underlap", &T::underlap).within(0.1, 100),
                      unlessUsual("leftSo", &T::leftSo),
                      unlessUsual("onCloth", &T::onCloth),
                      unlessUsual("fusing", &T::fusing),
                      unlessUsual("pressed", &T::pressed),
                      unlessUsual("jump", &T::jump).within(0, 1000),
                      unlessUsual("beneath", &T::beneath),
                      unlessUsual("battingHolds", &T::battingHolds).within(10, 1000),
                      unlessUsual("fitting", &T::fitting),
                      unlessUsual("lines", &T::lines),
                      unlessUsual("quilting", &T::quilting)};
}

constexpr auto fieldsOf(Of<LogEntry>) {
    using T = LogEntry;
    return std::tuple{always("time", &T::time), always("block", &T::block), unlessUsual("piece", &T::piece),
                      always("what", &T::what), unlessUsual("note", &T::note)};
}

constexpr auto fieldsOf(Of<Quilt>) {
    using T = Quilt;
    return std::tuple{always("name", &T::name),
                      always("units", &T::units),
                      always("columns", &T::columns).within(1, 1000),
                      always("sashing", &T::sashing).within(0, 10'000),
                      always("nextId", &T::nextId).within(1, largestId),
                      always("fabrics", &T::fabrics),
                      always("threads", &T::threads),
                      always("webs", &T::webs),
                      unlessUsual("offCuts", &T::offCuts),
                      unlessUsual("leastOffCut", &T::leastOffCut).within(1, 1000),
                      unlessUsual("cloths", &T::cloths),
                      unlessUsual("supplies", &T::supplies),
                      unlessUsual("wants", &T::wants),
                      unlessUsual("irons", &T::irons),
                      unlessUsual("iron", &T::iron),
                      unlessUsual("machine", &T::machine),
                      unlessUsual("setting", &T::setting),
                      always("blocks", &T::blocks),
                      always("log", &T::log)};
}

} // namespace up::quilt
