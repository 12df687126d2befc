// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/dxf/gather.hpp"

#include "core/base/spoken.hpp"
#include "core/base/text.hpp"
#include "core/shape/arc.hpp"
#include "intake/dxf/curves.hpp"
#include "intake/dxf/hatch.hpp"

#include <cmath>
#include <cstdlib>
#include <dxflib/dl_creationadapter.h>
#include <dxflib/dl_dxf.h>
#include <exception>
#include <numbers>
#include <sstream>

namespace up::intake {
namespace {

using shape::Contour;
using shape::Point;
using shape::Transform;

constexpr std::size_t mostBytes = 48'000'000;
constexpr double radians = std::numbers::pi / 180;

/// Hears the library's calls and keeps what they say.
class Gatherer : public DL_CreationAdapter {
public:
    explicit Gatherer(DxfFile& out) : m_out(out), m_group(&out.model) {}

    void finish() { flush(); }

    void setVariableInt(const std::string& key, int value, int) override {
        if (key == "$INSUNITS") m_out.units = value;
        if (key == "$MEASUREMENT") m_out.metric = value == 1, m_out.hasMeasurement = true;
    }
    void addLayer(const DL_LayerData& layer) override {
        const int colour = attributes.getColor();
        m_out.layerColours[layer.name] = (layer.flags & 1) != 0 ? -std::abs(colour) : colour;
    }
    void addBlock(const DL_BlockData& block) override {
        flush();
        m_group = &m_out.blocks[block.name];
        m_group->base = {block.bpx, block.bpy};
    }
    void endBlock() override {
        flush();
        m_group = &m_out.model;
    }
    void addLine(const DL_LineData& line) override {
        Contour out{{line.x1, line.y1}, {}, false};
        out.lineTo({line.x2, line.y2});
        put(std::move(out), false);
    }
    void addArc(const DL_ArcData& arc) override {
        auto out = ellipseArc({arc.cx, arc.cy}, {arc.radius, 0}, {0, arc.radius}, arc.angle1 * radians,
                              arc.angle2 * radians);
        out.closed = false; // an arc all round is drawn as a circle
        put(std::move(out));
    }
    void addCircle(const DL_CircleData& circle) override {
        put(shape::ellipse({circle.cx, circle.cy}, circle.radius, circle.radius));
    }
    void addEllipse(const DL_EllipseData& ellipse) override {
        const Point major{ellipse.mx, ellipse.my}, minor = Point{-major.y, major.x} * ellipse.ratio;
        put(ellipseArc({ellipse.cx, ellipse.cy}, major, minor, ellipse.angle1, ellipse.angle2), false);
    }
    void addPolyline(const DL_PolylineData& line) override {
        flush();
        m_kind = Kind::polyline;
        m_closed = (line.flags & 1) != 0;
        // Meshes and surfaces hold no outline.
        if ((line.flags & (16 | 64)) != 0) m_kind = Kind::none, ++m_out.unknown["POLYLINE mesh"];
        remember();
    }
    void addVertex(const DL_VertexData& vertex) override {
        if (m_kind == Kind::polyline) m_vertices.push_back({{vertex.x, vertex.y}, vertex.bulge});
    }
    void endSequence() override { flush(); }
    void addSpline(const DL_SplineData& spline) override {
        flush();
        m_kind = Kind::spline;
        m_spline = {static_cast<int>(spline.degree), {}, {}, {}, (spline.flags & 1) != 0};
        remember();
    }
    void addKnot(const DL_KnotData& knot) override { m_spline.knots.push_back(knot.k); }
    void addControlPoint(const DL_ControlPointData& point) override {
        m_spline.points.push_back({point.x, point.y});
        m_spline.weights.push_back(point.w);
    }
    void addFitPoint(const DL_FitPointData& point) override { m_fit.push_back({point.x, point.y}); }
    void addInsert(const DL_InsertData& insert) override {
        flush();
        const int columns = std::clamp(insert.cols, 1, 200), rows = std::clamp(insert.rows, 1, 200);
        for (int r = 0; r < rows; ++r)
            for (int c = 0; c < columns; ++c) {
                if (++m_inserts > mostInserts) return;
                const auto turn = Transform::turn(measure::Angle::ofDegrees(insert.angle));
                const auto place = mirroring() * Transform::moveBy(insert.ipx, insert.ipy) * turn *
                                   Transform::moveBy(c * insert.colSp, r * insert.rowSp) *
                                   Transform::scale(insert.sx, insert.sy);
                m_group->inserts.push_back({insert.name, place});
            }
    }
    void addSolid(const DL_SolidData& solid) override { quad(solid); }
    void addTrace(const DL_TraceData& trace) override { quad(trace); }
    void addText(const DL_TextData& text) override {
        flush();
        m_group->texts.push_back({text.text, {text.ipx, text.ipy}});
    }
    void addMText(const DL_MTextData& text) override {
        flush();
        m_group->texts.push_back({text.text, {text.ipx, text.ipy}});
    }
    void addHatch(const DL_HatchData&) override {
        flush();
        m_kind = Kind::hatch;
        remember();
    }
    void addHatchLoop(const DL_HatchLoopData&) override { m_loops.emplace_back(); }
    void addHatchEdge(const DL_HatchEdgeData& edge) override {
        auto contour = hatchEdge(edge);
        if (m_kind == Kind::hatch && !m_loops.empty() && !contour.curves.empty())
            m_loops.back().push_back(std::move(contour));
    }
    void addImage(const DL_ImageData&) override { flush(), ++m_out.unknown["IMAGE"]; }
    void endEntity() override {}

private:
    enum class Kind : std::uint8_t { none, polyline, spline, hatch };
    static constexpr int mostInserts = 200'000;

    /// Things drawn on the far side of the page are mirrored.
    [[nodiscard]] Transform mirroring() {
        const auto* direction = getExtrusion();
        double way[3] = {0, 0, 1};
        if (direction) direction->getDirection(way);
        return way[2] < 0 ? Transform::scale(-1, 1) : Transform{};
    }
    void remember() {
        m_layer = attributes.getLayer();
        m_colour = attributes.getColor24() >= 0 ? -1 - attributes.getColor24() : attributes.getColor();
        m_mirroring = mirroring();
    }
    void put(Contour contour, bool mirrors = true) {
        flush();
        remember();
        store(mirrors ? transformed(contour, m_mirroring) : std::move(contour), false);
    }
    template<class Quad> void quad(const Quad& q) {
        flush();
        remember();
        Contour out =
            shape::contourThrough({{q.x[0], q.y[0]}, {q.x[1], q.y[1]}, {q.x[3], q.y[3]}, {q.x[2], q.y[2]}});
        store(transformed(out, m_mirroring), true);
    }
    void store(Contour contour, bool filled) {
        if (!contour.curves.empty())
            m_group->lines.push_back({std::move(contour), m_layer, m_colour, filled});
    }
    /// Its boundary paths as one filled shape, those within others as its holes.
    void storeHatch() {
        DxfLine line{{}, m_layer, m_colour, true};
        for (const auto& edges : m_loops) {
            auto loop = transformed(hatchLoop(edges), m_mirroring);
            if (loop.curves.empty()) continue;
            if (line.contour.curves.empty())
                line.contour = std::move(loop);
            else
                line.islands.push_back(std::move(loop));
        }
        if (!line.contour.curves.empty()) m_group->lines.push_back(std::move(line));
    }
    /// The polyline, spline or filled area whose points came one by one is complete.
    void flush() {
        const auto kind = std::exchange(m_kind, Kind::none);
        if (kind == Kind::polyline) store(transformed(polyline(m_vertices, m_closed), m_mirroring), false);
        if (kind == Kind::spline)
            store(m_spline.points.empty() ? curveThrough(m_fit, m_spline.closed) : curveOf(m_spline), false);
        if (kind == Kind::hatch) storeHatch();
        m_loops.clear();
        m_vertices.clear();
        m_fit.clear();
        m_spline = {};
    }

    DxfFile& m_out;
    DxfGroup* m_group;
    Kind m_kind = Kind::none;
    std::vector<Vertex> m_vertices;
    std::vector<Point> m_fit;
    std::vector<std::vector<Contour>> m_loops; ///< edges of each boundary path
    Spline m_spline;
    int m_inserts = 0;
    std::string m_layer;
    Transform m_mirroring;
    int m_colour = 256;
    bool m_closed = false;
};

struct Sound {
    std::optional<std::string> fault; ///< what is wrong with all of it
    std::size_t bytes = 0;            ///< from the start on that are pairs as they should be
    bool ends = false;                ///< with the mark of the end
};

/// Codes come in pairs of lines, a number and a value; what follows a pair that is none is not for the
/// library, which trusts its counts. Counts of points that the file cannot hold would only take memory.
Sound soundPartOf(const std::string& text) {
    if (text.find('\0') != std::string::npos) return {"it is binary; save it as text", 0};
    const auto lines = std::count(text.begin(), text.end(), '\n') + 1;
    std::istringstream in(text);
    std::string code, value, entity;
    bool sawSection = false;
    std::size_t bytes = 0;
    for (int line = 1; std::getline(in, code) && std::getline(in, value); line += 2) {
        const auto number = numberIn(trimmed(code));
        if (!number) {
            if (sawSection) return {std::nullopt, bytes, entity == "EOF"};
            return {"line " + std::to_string(line) + " should be a number", 0};
        }
        const std::string word(trimmed(value));
        if (*number == 0) entity = word, sawSection = sawSection || word == "SECTION";
        const bool counts = (entity == "LWPOLYLINE" && *number == 90) ||
                            (entity == "SPLINE" && *number >= 72 && *number <= 74) ||
                            (entity == "HATCH" && *number >= 91 && *number <= 98) ||
                            (entity == "LEADER" && *number == 76);
        // As the library reads it: whatever begins like a number counts.
        if (counts && std::abs(std::strtoll(word.c_str(), nullptr, 10)) > lines)
            return {"line " + std::to_string(line + 1) + " counts more points than the file holds", 0};
        bytes = in.eof() ? text.size() : static_cast<std::size_t>(in.tellg());
    }
    if (!sawSection) return {"it has no sections", 0};
    return {std::nullopt, bytes, entity == "EOF"};
}

/// Files since 2007 are UTF-8, older ones in the code page they name; Western Europe's is understood. Source:
/// DXF reference, $ACADVER and $DWGCODEPAGE.
bool hasWrongLetters(const std::string& text) {
    if (isUtf8(text)) return false;
    const auto head = std::string_view(text).substr(0, 20'000);
    const bool old = head.find("AC1009") != head.npos || head.find("AC1012") != head.npos ||
                     head.find("AC1014") != head.npos || head.find("AC1015") != head.npos ||
                     head.find("AC1018") != head.npos;
    return !(old && (head.find("ANSI_1252") != head.npos || head.find("$DWGCODEPAGE") == head.npos));
}

} // namespace

Result<DxfFile> gatherDxf(const std::string& text, const std::string& file) {
    if (text.size() > mostBytes)
        return failure(Code::tooLarge, {file, std::to_string(mostBytes / 1'000'000) + " MB"});
    const auto sound = soundPartOf(text);
    if (sound.fault) return failure(Code::notDxf, {file, *sound.fault});
    DxfFile out;
    Gatherer gatherer(out);
    try {
        std::istringstream in(text.substr(0, sound.bytes) + "\n  0\nEOF\n");
        DL_Dxf reader;
        if (!reader.in(in, &gatherer)) return failure(Code::notDxf, {file, spoken("it cannot be read")});
    } catch (const std::exception&) {
        return failure(Code::notDxf, {file, spoken("it is damaged")});
    }
    gatherer.finish();
    out.cutShort = !sound.ends;
    out.wrongLetters = hasWrongLetters(text);
    return out;
}

} // namespace up::intake
