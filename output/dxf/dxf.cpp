// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/dxf/dxf.hpp"

#include <cstdlib>
#include <dxflib/dl_dxf.h>
#include <filesystem>
#include <fstream>
#include <iterator>
#include <memory>
#include <unistd.h>

namespace up::output {
namespace {

constexpr double tolerance = 0.02; // mm

/// A file of our own that is gone afterwards: the library writes into files only.
class Scratch {
public:
    Scratch() : m_path((std::filesystem::temp_directory_path() / "upstairs-XXXXXX").string()) {
        const int handle = ::mkstemp(m_path.data());
        m_made = handle >= 0;
        if (m_made) ::close(handle);
    }
    ~Scratch() {
        std::error_code ignored;
        if (m_made) std::filesystem::remove(m_path, ignored);
    }
    Scratch(const Scratch&) = delete;
    Scratch& operator=(const Scratch&) = delete;
    [[nodiscard]] bool isMade() const { return m_made; }
    [[nodiscard]] const std::string& path() const { return m_path; }
    [[nodiscard]] std::string bytes() const {
        std::ifstream in(m_path, std::ios::binary);
        return {std::istreambuf_iterator<char>(in), {}};
    }

private:
    std::string m_path;
    bool m_made;
};

/// R12 knows capital letters, digits, dashes and underscores.
std::string layerName(const std::string& name) {
    std::string out;
    for (const char c : name)
        out += (c >= '0' && c <= '9') || (c >= 'A' && c <= 'Z') ? c
               : c >= 'a' && c <= 'z'                           ? static_cast<char>(c - 'a' + 'A')
                                                                : '_';
    return out.empty() ? "0" : out;
}

void writeTables(DL_Dxf& dxf, DL_WriterA& out, const sheet::Page& page) {
    const DL_Attributes plain("", 7, -1, -1, "CONTINUOUS");
    out.sectionTables();
    out.tableLinetypes(1);
    dxf.writeLinetype(out, DL_LinetypeData("CONTINUOUS", "Continuous", 0, 0, 0.0));
    out.tableEnd();
    out.tableLayers(static_cast<int>(page.layers.size()) + 1);
    dxf.writeLayer(out, DL_LayerData("0", 0), plain);
    for (const auto& layer : page.layers)
        if (layerName(layer.name) != "0") dxf.writeLayer(out, DL_LayerData(layerName(layer.name), 0), plain);
    out.tableEnd();
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

Result<std::string> writeDxf(const sheet::Page& page) {
    const Scratch scratch;
    if (!scratch.isMade()) return failure(Code::cannotWrite, {scratch.path(), "no temporary file"});
    DL_Dxf dxf;
    const std::unique_ptr<DL_WriterA> out(dxf.out(scratch.path().c_str(), DL_VERSION_R12));
    if (!out) return failure(Code::cannotWrite, {scratch.path(), "no temporary file"});
    dxf.writeHeader(*out);
    out->sectionEnd();
    writeTables(dxf, *out, page);
    out->sectionEntities();
    for (const auto& layer : page.layers)
        for (const auto& item : layer.items)
            if (const auto* shape = std::get_if<sheet::Shape>(&item))
                for (const auto& contour : shape->contours)
                    writeContour(dxf, *out, page, layer, contour);
    out->sectionEnd();
    out->dxfEOF();
    out->close();
    return scratch.bytes();
}

} // namespace up::output
