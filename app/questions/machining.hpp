// SPDX-License-Identifier: GPL-3.0-or-later
// What the cutting machine's dialog works on.
#pragma once

#include "app/devices/cutter.hpp"
#include "core/quilt/quilt.hpp"
#include "core/sheet/sheet.hpp"

#include <QString>
#include <functional>
#include <memory>

namespace up::app {

enum class CutFormat : std::uint8_t { svg, dxf };

struct MachineQuestion {
    quilt::Quilt quilt;
    BlockId block;
    std::shared_ptr<Cutter> cutter;
    /// Writes one file for each mat, asking where.
    std::function<void(CutFormat, const std::vector<sheet::Page>&)> write;
    /// These pieces have been cut; says what came of it.
    std::function<QString(const std::vector<PieceId>&)> done;
    bool sends = true; ///< there is a machine to send a mat to; else only its files are written
};

} // namespace up::app
