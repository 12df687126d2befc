// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/views/view.hpp"
#include "words/translated.hpp"

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

/// Where nothing is drawn yet, the way a block goes.
Rows wayOfABlock() {
    return {words::tr("How a block goes"),
            {{words::tr("1 Draw"), words::tr("bring the pattern in and set its size"), {}},
             {words::tr("2 Trace"), words::tr("lay the reversed pieces out on web"), {}},
             {words::tr("3 Bond"), words::tr("press web to the wrong side of fabric"), {}},
             {words::tr("4 Cut"), words::tr("draw the marks, cut on the line"), {}},
             {words::tr("5 Lay"), words::tr("paper off, every piece in its place"), {}},
             {words::tr("6 Fuse"), words::tr("press for good, test the edges"), {}},
             {words::tr("7 Stitch"), words::tr("the edges that show, lowest first"), {}},
             {words::tr("8 Finish"), words::tr("trim to size"), {}}}};
}

} // namespace

ViewParts partsFor(Session& session) {
    const auto view = session.view();
    if (view == View::stash) return stashParts(session.quilt(), session.stashSearch());
    ViewParts parts;
    if (view == View::landing) {
        parts = landingParts(session.quilt(), session.blockId());
        if (session.quilt().blocks.empty()) parts.rows = wayOfABlock();
        return parts;
    }
    const auto* block = session.block();
    if (!block) {
        parts.scene.empty =
            words::tr("This quilt has no block yet.\nPress “New block…” and give its finished size, or "
                      "bring a pattern in under Draw.");
        parts.rows = wayOfABlock();
    } else if (block->pieces.empty()) {
        parts.scene.empty =
            words::said(N_("“{0}” has no pieces yet.\nImport a drawing: every filled shape becomes a piece."),
                        {block->name});
        parts.rows = wayOfABlock();
    } else {
        const auto next = session.next();
        const auto* piece = session.piece();
        parts = treadParts(view,
                           {session.quilt(), *block, session.derived(), next, piece ? piece->id : PieceId{},
                            session.chosen(), session.showsTemplates(), session.pointed(), session.section(),
                            session.layMode(), session.placementShown(), session.showsHeat(),
                            session.showsStitches(), session.line() ? session.line()->id : LineId{}});
    }
    if (session.turnedOver())
        for (auto& panel : parts.scene.panels)
            panel = turnedOver(std::move(panel));
    return parts;
}

} // namespace up::app
