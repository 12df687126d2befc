// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/dxf/dxf.hpp"

#include "core/base/spoken.hpp"
#include <dxflib/dl_dxf.h>
#include <fstream>
#include <iterator>
#include <memory>
#include <sys/mman.h>
#include <unistd.h>

namespace up::output {
namespace {

constexpr double tolerance = 0.02; // mm

/// A file in memory: the library writes into files only, and no disk can be full then.
class Scratch {
public:
    Scratch() : m_descriptor(::memfd_create("dxf", MFD_CLOEXEC)) {}
    ~Scratch() {
        if (m_descriptor >= 0) ::close(m_descriptor);
    }
    Scratch(const Scratch&) = delete;
    Scratch& operator=(const Scratch&) = delete;
    [[nodiscard]] bool isMade() const { return m_descriptor >= 0; }
    [[nodiscard]] std::string path() const { return "/proc/self/fd/" + std::to_string(m_descriptor); }
    [[nodiscard]] std::string bytes() const {
        std::ifstream in(path(), std::ios::binary);
        return {std::istreambuf_iterator<char>(in), {}};
    }

private:
    int m_descriptor;
};

constexpr const char* appId = "ACAD"; // the name that the format itself asks for

/// R12 knows capital letters, digits, dashes and underscores.
std::string layerName(const std::string& name) {
    std::string out;
    for (const char c : name)
        out += (c >= '0' && c <= '9') || (c >= 'A' && c <= 'Z') ? c
               : c >= 'a' && c <= 'z'                           ? static_cast<char>(c - 'a' + 'A')
                                                                : '_';
    return out.empty() ? "0" : out;
}

/// A table with nothing of its own in it, where a reader looks for what it expects. Source: dxflib's own
/// example of writing a drawing.
void writeOtherTables(DL_Dxf& dxf, DL_WriterA& out) {
    out.tableStyle(1);
    DL_StyleData style("Standard", 0, 2.5, 1.0, 0.0, 0, 2.5, "txt", "");
    style.bold = style.italic = false;
    dxf.writeStyle(out, style);
    out.tableEnd();
    dxf.writeView(out);
    dxf.writeUcs(out);
    out.tableAppid(1);
    out.tableAppidEntry(0x12);
    out.dxfString(2, appId);
    out.dxfInt(70, 0);
    out.tableEnd();
    dxf.writeDimStyle(out, 1, 1, 1, 1, 1);
    dxf.writeBlockRecord(out);
    out.tableEnd();
}

void writeTables(DL_Dxf& dxf, DL_WriterA& out, const sheet::Page& page, DxfVersion version) {
    const DL_Attributes plain("", 7, -1, -1, "CONTINUOUS");
    const bool later = version == DxfVersion::r2000;
    out.sectionTables();
    if (later) dxf.writeVPort(out);
    out.tableLinetypes(later ? 3 : 1);
    if (later)
        for (const char* name : {"BYBLOCK", "BYLAYER"})
            dxf.writeLinetype(out, DL_LinetypeData(name, name, 0, 0, 0.0));
    dxf.writeLinetype(out, DL_LinetypeData("CONTINUOUS", "Continuous", 0, 0, 0.0));
    out.tableEnd();
    out.tableLayers(static_cast<int>(page.layers.size()) + 1);
    dxf.writeLayer(out, DL_LayerData("0", 0), plain);
    for (const auto& layer : page.layers)
        if (layerName(layer.name) != "0") dxf.writeLayer(out, DL_LayerData(layerName(layer.name), 0), plain);
    out.tableEnd();
    if (later) writeOtherTables(dxf, out);
    out.sectionEnd();
    if (!later) return;
    out.sectionBlocks();
    for (const char* name : {"*Model_Space", "*Paper_Space", "*Paper_Space0"}) {
        dxf.writeBlock(out, DL_BlockData(name, 0, 0.0, 0.0, 0.0));
        dxf.writeEndBlock(out, name);
    }
    out.sectionEnd();
}

void writeContour(DL_Dxf& dxf, DL_WriterA& out, const sheet::Page& page, const sheet::Layer& layer,
                  const shape::Contour& contour) {
    auto line = flattened(contour, tolerance);
    if (contour.closed && line.size() > 1 && line.front() == line.back()) line.pop_back();
    if (line.size() < 2) return;
    const DL_Attributes attributes(layerName(layer.name), 256, -1, -1, "BYLAYER");
    dxf.writePolyline(out, DL_PolylineData(static_cast<int>(line.size()), 0, 0, contour.closed ? 1 : 0),
                      attributes);
    for (const auto& point : line) {
        const auto at = layer.place(point);
        dxf.writeVertex(out, DL_VertexData(at.x, page.height - at.y, 0, 0));
    }
    dxf.writePolylineEnd(out);
}

} // namespace

Result<std::string> writeDxf(const sheet::Page& page, DxfVersion version) {
    const Scratch scratch;
    if (!scratch.isMade())
        return failure(Code::cannotWrite, {spoken("the DXF file"), spoken("no memory for it")});
    DL_Dxf dxf;
    const std::unique_ptr<DL_WriterA> out(
        dxf.out(scratch.path().c_str(), version == DxfVersion::r12 ? DL_VERSION_R12 : DL_VERSION_2000));
    if (!out || out->openFailed())
        return failure(Code::cannotWrite, {spoken("the DXF file"), spoken("no memory for it")});
    dxf.writeHeader(*out);
    out->sectionEnd();
    writeTables(dxf, *out, page, version);
    out->sectionEntities();
    for (const auto& layer : page.layers)
        for (const auto& item : layer.items)
            if (const auto* shape = std::get_if<sheet::Shape>(&item))
                for (const auto& contour : shape->contours)
                    writeContour(dxf, *out, page, layer, contour);
    out->sectionEnd();
    if (version == DxfVersion::r2000) {
        dxf.writeObjects(*out);
        dxf.writeObjectsEnd(*out);
    }
    out->dxfEOF();
    out->close();
    auto bytes = scratch.bytes();
    if (!bytes.ends_with("EOF\n"))
        return failure(Code::cannotWrite, {spoken("the DXF file"), spoken("no memory for it")});
    return bytes;
}

} // namespace up::output
