// SPDX-License-Identifier: GPL-3.0-or-later
// What a DXF file draws, before blocks are put in: lines, texts and inserts by block.
#pragma once

#include "core/base/colour.hpp"
#include "core/base/error.hpp"
#include "core/shape/path.hpp"

#include <map>
#include <string>
#include <vector>

namespace up::intake {

struct DxfLine {
    shape::Contour contour; ///< y up, drawing units
    std::string layer;
    int colour = 256; ///< 256: the layer's; −1 − 0xRRGGBB: a true colour
    bool filled = false;
    std::vector<shape::Contour> islands{}; ///< of a filled one: holes, and what lies in them
};

struct DxfText {
    std::string text;
    shape::Point at;
};

struct DxfInsert {
    std::string block;
    shape::Transform place;
};

struct DxfGroup {
    shape::Point base;
    std::vector<DxfLine> lines;
    std::vector<DxfText> texts;
    std::vector<DxfInsert> inserts;
};

struct DxfFile {
    DxfGroup model;
    std::map<std::string, DxfGroup> blocks;
    std::map<std::string, int> layerColours; ///< negative: the layer is off
    int units = 0;                           ///< $INSUNITS; 0: not said
    bool metric = false;                     ///< $MEASUREMENT
    bool hasMeasurement = false;
    bool cutShort = false;              ///< the file ends before it says so
    bool wrongLetters = false;          ///< bytes that are no letters in the encoding it has by its version
    std::map<std::string, int> unknown; ///< kinds that were passed over
};

/// Errors: Code::notDxf {file, reason}, tooLarge {file, limit}.
[[nodiscard]] Result<DxfFile> gatherDxf(const std::string& text, const std::string& file);

} // namespace up::intake
