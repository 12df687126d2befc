// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/views/view.hpp"

namespace up::app {
namespace {

ViewParts treadParts(View view, const Look& look) {
    switch (view) {
    case View::draw: return drawParts(look);
    case View::trace: return traceParts(look);
    case View::bond: return bondParts(look);
    case View::cut: return cutParts(look);
    case View::lay: return layParts(look);
    case View::fuse: return fuseParts(look);
    case View::stitch: return stitchParts(look);
    case View::finish: return finishParts(look);
    case View::landing:
    case View::stash:
    case View::logbook: break;
    }
    return {};
}

} // namespace

ViewParts partsFor(Session& session) {
    const auto view = session.view();
    if (view == View::stash) return stashParts(session.quilt());
    if (view == View::landing) return landingParts(session.quilt(), session.blockId());
    ViewParts parts;
    const auto* block = session.block();
    if (!block) {
        parts.scene.empty = "This quilt has no block yet.\nPress “New block…” and give its finished size.";
    } else if (block->pieces.empty()) {
        parts.scene.empty =
            "“" + block->name + "” has no pieces yet.\nImport a drawing: every filled shape becomes a piece.";
    } else {
        const auto next = session.next();
        const auto* piece = session.piece();
        parts = treadParts(view, {session.quilt(), *block, session.derived(), next,
                                  piece ? piece->id : PieceId{}, session.showsTemplates()});
    }
    if (session.turnedOver())
        for (auto& panel : parts.scene.panels)
            panel = turnedOver(std::move(panel));
    return parts;
}

} // namespace up::app
