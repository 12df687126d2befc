// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/machine_plan.hpp"

#include "core/layout/nest.hpp"
#include "core/plan/trace/gather.hpp"

#include <algorithm>
#include <map>

namespace up::plan {
namespace {

using quilt::Piece;

double longerSide(const Piece& piece) {
    const auto box = boundsOf(*piece.outline);
    return std::max(box.width(), box.height());
}

/// As many mats as these pieces need, in the order in which they are filled.
void layOnMats(const quilt::Quilt& quilt, const std::vector<const Piece*>& pieces, FabricId fabric,
               const MachineOptions& options, double seconds, up::Job& control, MachinePlan& out) {
    auto job = partsOf(quilt, pieces);
    job.spacing = options.between.mm();
    job.sheets = {
        {"mat", options.matWidth.mm(), options.matHeight.mm(), static_cast<int>(pieces.size()), {}}};
    const auto found = layout::nest(job, {seconds, options.rounds, options.seed}, control);
    std::map<int, Mat> mats;
    for (const auto& placed : found.placed) {
        auto& mat = mats[placed.sheetIndex];
        mat.fabric = fabric;
        const auto where = shape::Transform::moveBy(placed.x, placed.y) *
                           shape::Transform::turn(measure::Angle::ofDegrees(placed.rotation));
        const auto* piece = pieces[placed.part];
        mat.lines.emplace_back(piece->id, transformed(quilt::reversed(*piece), where));
    }
    for (auto& [index, mat] : mats)
        out.mats.push_back(std::move(mat));
    for (const auto& missing : found.unplaced)
        out.tooLarge.push_back(pieces[missing.part]->id);
}

} // namespace

Result<MachinePlan> planMachine(const quilt::Quilt& quilt, const quilt::Block& block,
                                const MachineOptions& options, up::Job& control) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    MachinePlan out;
    std::map<FabricId, std::vector<const Piece*>> groups;
    std::size_t count = 0;
    for (const auto& piece : block.pieces) {
        if (piece.isOffWeb() || (options.below && longerSide(piece) > options.below->mm())) {
            out.byHand.push_back(piece.id);
            continue;
        }
        groups[options.byFabric ? piece.fabric : FabricId{}].push_back(&piece);
        ++count;
    }
    for (const auto& [fabric, pieces] : groups)
        layOnMats(quilt, pieces, fabric, options,
                  options.seconds * static_cast<double>(pieces.size()) / static_cast<double>(count), control,
                  out);
    return out;
}

} // namespace up::plan
