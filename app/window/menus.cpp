// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/menus.hpp"

#include "app/canvas/mat.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/window/fold_handle.hpp"
#include "app/window/mat_hand.hpp"
#include "app/window/press_timer.hpp"
#include "app/window/rail.hpp"
#include "app/window/rows_panel.hpp"
#include "app/window/tool_row.hpp"
#include "app/window/window.hpp"

#include <QFileInfo>
#include <QMenuBar>
#include <QShortcut>

namespace up::app {

Menus::Menus(Window& window) : QObject(&window), m_window(window), m_room(window.room()) {
    buildFile();
    buildEdit();
    buildPiece();
    buildStack();
    buildPlace();
    buildWeb();
    buildIron();
    buildNeedle();
    buildView();
    buildKeys();
    connect(&m_room.session, &Session::changed, this, &Menus::refresh);
    connect(&m_room.files, &Files::recentChanged, this, &Menus::fillRecent);
    refresh();
    fillRecent();
}

QAction* Menus::add(QMenu* menu, const char* key, const QString& text, const QKeySequence& keys,
                    std::function<void()> act) {
    auto* action = named(menu->addAction(text), key);
    action->setShortcut(keys);
    connect(action, &QAction::triggered, this, [act = std::move(act)] { act(); });
    return action;
}

void Menus::buildFile() {
    auto* menu = m_window.menuBar()->addMenu(tr("&Quilt"));
    auto& files = m_room.files;
    add(menu, "file.new", tr("&New quilt"), QKeySequence::New, [&] { files.startNew(); });
    add(menu, "file.open", tr("&Open…"), QKeySequence::Open, [&] { files.open(); });
    m_recent = menu->addMenu(tr("Open &recent"));
    named(m_recent->menuAction(), "file.recent");
    add(menu, "file.sample", tr("Open the sa&mple quilt"), {}, [&] { m_room.openSample(); });
    add(menu, "file.otherSample", tr("Open the sample of other &ways"), {},
        [&] { m_room.openOtherSample(); });
    menu->addSeparator();
    add(menu, "file.save", tr("&Save"), QKeySequence::Save, [&] { files.save(); });
    add(menu, "file.saveAs", tr("Save &as…"), QKeySequence("Ctrl+Shift+S"), [&] { files.saveAs(); });
    menu->addSeparator();
    add(menu, "draw.import", tr("&Import a drawing…"), QKeySequence("Ctrl+I"),
        [&] { m_room.imports.importDrawing(); });
    m_scan = add(menu, "file.scan", tr("S&can a page from %1…").arg(m_room.scanner.name()), {},
                 [&] { m_room.imports.scanPage(); }); // a stand-in: only with the sample quilt
    add(menu, "file.print", tr("&Print…"), QKeySequence::Print, [&] {
        m_room.sheets.print(m_room.session.view() == View::trace ? SheetCommands::Sheets::tracing
                                                                 : SheetCommands::Sheets::placement);
    });
    add(menu, "file.light", tr("&Light box…"), QKeySequence("Ctrl+Shift+L"),
        [&] { m_room.sheets.openLightBox(); });
    menu->addSeparator();
    add(menu, "file.quit", tr("&Quit"), QKeySequence::Quit, [&] { m_window.close(); });
}

void Menus::buildEdit() {
    auto* menu = m_window.menuBar()->addMenu(tr("&Edit"));
    auto& session = m_room.session;
    auto& commands = m_room.commands;
    m_undo = add(menu, "edit.undo", tr("&Undo"), QKeySequence::Undo, [&] { session.undo(); });
    m_redo = add(menu, "edit.redo", tr("&Redo"), QKeySequence("Ctrl+Y"), [&] { session.redo(); });
    m_redo->setShortcuts({QKeySequence("Ctrl+Y"), QKeySequence("Ctrl+Shift+Z")});
    menu->addSeparator();
    add(menu, "edit.all", tr("Choose &all pieces"), QKeySequence::SelectAll, [&] {
        std::vector<PieceId> pieces;
        if (const auto* block = session.block())
            for (const auto& piece : block->pieces)
                pieces.push_back(piece.id);
        session.choosePieces(std::move(pieces), {});
    });
    menu->addSeparator();
    add(menu, "block.new", tr("New &block…"), QKeySequence("Ctrl+B"), [&] { commands.newBlock(); });
    add(menu, "edit.newFabric", tr("New &fabric…"), {}, [&] { m_room.shelf.newFabric(); });
    add(menu, "edit.fabrics", tr("Fabri&cs…"), {}, [&] { m_room.shelf.editFabrics(); });
    add(menu, "stash.picture", tr("Fabric from a &picture…"), {}, [&] { m_room.shelf.pictureFabric(); });
    add(menu, "edit.newThread", tr("New &thread…"), {}, [&] { m_room.shelf.newThread(); });
    add(menu, "edit.newWeb", tr("New &web…"), {}, [&] { m_room.shelf.newWeb(); });
    menu->addSeparator();
    add(menu, "lay.left", tr("Turn piece left"), QKeySequence(","), [&] { m_window.hand().turn(-5); });
    add(menu, "lay.right", tr("Turn piece right"), QKeySequence("."), [&] { m_window.hand().turn(5); });
    add(menu, "edit.removePiece", tr("Remove &piece"), {}, [&] { commands.removePiece(); });
    menu->addSeparator();
    add(menu, "edit.renameQuilt", tr("Rename &quilt…"), {}, [&] { commands.renameQuilt(); });
    add(menu, "edit.rename", tr("Re&name block…"), {}, [&] { commands.renameBlock(); });
    add(menu, "edit.removeBlock", tr("Remove &block"), {}, [&] { commands.removeBlock(); });
    menu->addSeparator();
    m_metric = add(menu, "edit.units", tr("&Metric measures"), {}, [&] {
        const bool metric = session.quilt().units == measure::System::metric;
        session.apply(
            edit::setUnits(session.quilt(), metric ? measure::System::inches : measure::System::metric),
            tr("measures"));
    });
    m_metric->setCheckable(true);
}

void Menus::buildPiece() {
    auto* menu = m_window.menuBar()->addMenu(tr("&Piece"));
    auto& shapes = m_room.shapes;
    add(menu, "piece.shape", tr("&Add a shape…"), QKeySequence("Ctrl+Shift+N"), [&] { shapes.addShape(); });
    add(menu, "piece.measures", tr("Its &measures…"), QKeySequence("Ctrl+M"),
        [&] { shapes.changeMeasures(); });
    add(menu, "line.new", tr("Words and &lines…"), QKeySequence("Ctrl+Shift+W"), [&] { m_room.lines.ask(); });
    add(menu, "laid.new", tr("Stems and &trimmings…"), QKeySequence("Ctrl+Shift+R"),
        [&] { m_room.lines.askLaid(); });
    add(menu, "piece.arrange", tr("&Copies, cuts and halves…"), QKeySequence("Ctrl+D"),
        [&] { shapes.arrange(); });
    add(menu, "piece.mirror", tr("M&irror"), QKeySequence("Ctrl+Shift+M"), [&] { shapes.mirror(); });
    add(menu, "piece.marksStitched", tr("Mar&ks are stitched over, or not"), {},
        [&] { m_room.shapes.toggleMarksStitched(); });
    add(menu, "piece.edges", tr("&Dotted edges…"), QKeySequence("Ctrl+E"), [&] { shapes.setEdges(); });
    menu->addSeparator();
    add(menu, "piece.which", tr("&Which piece is this?…"), QKeySequence("Ctrl+F"),
        [&] { shapes.findPiece(); });
    add(menu, "piece.turning", tr("Why it is &traced mirrored…"), {}, [&] { shapes.showTurning(); });
}

void Menus::buildStack() {
    auto* menu = m_window.menuBar()->addMenu(tr("&Stack"));
    auto& stack = m_room.stack;
    add(menu, "stack.number", tr("&Number anew"), {}, [&] { stack.numberAnew(); });
    add(menu, "stack.tuck", tr("&Tuck all under, as drawn"), QKeySequence("Ctrl+T"),
        [&] { stack.tuckAll(plan::Below::drawn); });
    add(menu, "stack.tuckLight", tr("Tuck all under, the &lighter below"), {},
        [&] { stack.tuckAll(plan::Below::lighter); });
    add(menu, "stack.underlap", tr("&What tucks under what…"), QKeySequence("Ctrl+Shift+T"),
        [&] { stack.askUnderlap(); });
    add(menu, "stack.over", tr("Put &over the other chosen piece"), QKeySequence("O"),
        [&] { stack.putOver(); });
    menu->addSeparator();
    add(menu, "stack.line", tr("L&ine the piece"), {}, [&] { stack.line(); });
    add(menu, "stack.unit", tr("&Unit: fuse together first, or not"), QKeySequence("U"),
        [&] { stack.toggleUnit(); });
    add(menu, "stack.melts", tr("&Melts: never under the iron, or not"), {}, [&] { stack.toggleMelts(); });
    add(menu, "stack.joined", tr("How pieces are &joined…"), QKeySequence("Ctrl+J"),
        [&] { stack.askJoining(); });
    add(menu, "stack.units", tr("Units &found…"), {}, [&] { stack.offerUnits(); });
    menu->addSeparator();
    add(menu, "lay.ground", tr("&Background…"), QKeySequence("Ctrl+Shift+B"), [&] { stack.askGround(); });
}

void Menus::buildPlace() {
    auto* menu = m_window.menuBar()->addMenu(tr("P&lace"));
    auto& places = m_room.places;
    auto& session = m_room.session;
    const auto lay = [&session](LayMode mode) {
        session.goTo(View::lay);
        session.setLayMode(session.layMode() == mode ? LayMode::block : mode);
    };
    add(menu, "place.steps", tr("Lay out &step by step"), QKeySequence("Ctrl+1"),
        [lay] { lay(LayMode::steps); });
    add(menu, "place.count", tr("All t&here?"), QKeySequence("Ctrl+2"), [lay] { lay(LayMode::count); });
    menu->addSeparator();
    const auto line = [&](const char* key, const QString& text, plan::Line how) {
        add(menu, key, text, {}, [&places, how] { places.lineUp(how); });
    };
    line("place.lefts", tr("Line up: &left ends"), plan::Line::lefts);
    line("place.across", tr("Line up: middles, one &above the other"), plan::Line::middlesAcross);
    line("place.rights", tr("Line up: &right ends"), plan::Line::rights);
    line("place.tops", tr("Line up: &tops"), plan::Line::tops);
    line("place.down", tr("Line up: middles, side by s&ide"), plan::Line::middlesDown);
    line("place.bottoms", tr("Line up: &bottoms"), plan::Line::bottoms);
    add(menu, "place.spaceAcross", tr("Space e&venly across"), {}, [&] { places.spaceEvenly(false); });
    add(menu, "place.spaceDown", tr("Space evenly &down"), {}, [&] { places.spaceEvenly(true); });
    menu->addSeparator();
    add(menu, "place.lock", tr("Loc&k or unlock where it lies"), QKeySequence("K"),
        [&] { places.toggleLock(); });
    add(menu, "finish.fit", tr("&Fit the block…"), {}, [&] { m_room.finishing.askFit(); });
    add(menu, "finish.setting", tr("How the &quilt is set…"), {}, [&] { m_room.finishing.askSetting(); });
    menu->addSeparator();
    add(menu, "place.centre", tr("&Centre by its box"), QKeySequence("Ctrl+Shift+C"),
        [&] { places.centre(plan::Centre::box); });
    add(menu, "place.weigh", tr("Centre by &weight"), {}, [&] { places.centre(plan::Centre::weight); });
}

void Menus::buildWeb() {
    auto* menu = m_window.menuBar()->addMenu(tr("&Web"));
    auto& tracing = m_room.tracing;
    add(menu, "trace.layout", tr("&Lay out"), QKeySequence("Ctrl+L"), [&] { tracing.startOrStop(); });
    add(menu, "trace.compare", tr("&Compare ways"), {}, [&] { tracing.compare(); });
    add(menu, "trace.pin", tr("&Pin or let go"), QKeySequence("P"), [&] { tracing.togglePin(); });
    menu->addSeparator();
    add(menu, "trace.stripes", tr("&Stripes and grain…"), QKeySequence("Ctrl+G"),
        [&] { tracing.setStripes(); });
    add(menu, "trace.window", tr("May have a wi&ndow, or not"), {}, [&] { tracing.toggleWindow(); });
    add(menu, "trace.onWeb", tr("Print on web &sheets…"), {},
        [&] { m_room.sheets.print(SheetCommands::Sheets::onWeb); });
    add(menu, "cut.machine", tr("Cutting &machine…"), {}, [&] { m_room.sheets.cutByMachine(); });
    menu->addSeparator();
    add(menu, "bond.find", tr("&Find cloth"), QKeySequence("Ctrl+Shift+F"),
        [&] { m_room.cloths.layOnCloth(); });
    add(menu, "bond.other", tr("An&other cloth for the chunk"), QKeySequence("N"),
        [&] { m_room.cloths.useAnother(); });
    add(menu, "bond.pin", tr("P&in on the cloth, or let go"), {}, [&] { m_room.cloths.togglePin(); });
    add(menu, "stash.cloth", tr("Put clot&h into the stash…"), QKeySequence("Ctrl+Shift+K"),
        [&] { m_room.cloths.add(); });
    add(menu, "stash.trace", tr("Cloth &from a picture…"), {}, [&] { m_room.cloths.trace(); });
    add(menu, "stash.supply", tr("&Stabiliser or batting…"), {}, [&] { m_room.shelf.newSupply(); });
    add(menu, "stash.keepAll", tr("&Keep for all quilts"), {}, [&] { m_room.shelf.keepForAll(); });
    menu->addSeparator();
    add(menu, "trace.away", tr("Put &away what is left"), {}, [&] { tracing.putAway(); });
    add(menu, "trace.least", tr("Off-cuts &worth keeping…"), {}, [&] { tracing.askLeastOffCut(); });
}

void Menus::buildIron() {
    auto* menu = m_window.menuBar()->addMenu(tr("&Iron"));
    auto& presses = m_room.presses;
    add(menu, "fuse.press", tr("&Start, or lift the iron"), QKeySequence("T"),
        [&] { presses.startOrPause(); });
    add(menu, "fuse.stage", tr("&All of this stage is pressed"), {}, [&] { presses.stageDone(); });
    add(menu, "fuse.lifts", tr("The &edge lifts"), QKeySequence("E"), [&] { presses.edgeLifts(); });
    menu->addSeparator();
    add(menu, "fuse.layers", tr("Layer by la&yer, or all at once"), {}, [&] {
        const auto* block = m_room.session.block();
        presses.setByLayers(block && block->fusing == quilt::Fusing::atOnce);
    });
    add(menu, "fuse.trace", tr("Your &own iron…"), {}, [&] { presses.traceIron(); });
    add(menu, "fuse.heat", tr("Show the &heat"), QKeySequence("H"),
        [&] { m_room.session.showHeat(!m_room.session.showsHeat()); });
}

void Menus::buildNeedle() {
    auto* menu = m_window.menuBar()->addMenu(tr("&Needle"));
    add(menu, "stitch.how", tr("&How edges are stitched…"), {}, [&] { m_room.sewing.askStitch(); });
    add(menu, "stitch.stretch", tr("How the next &stretch is stitched…"), {},
        [&] { m_room.sewing.askStretch(); });
    add(menu, "stitch.threads", tr("T&hreads side by side…"), {}, [&] { m_room.sewing.tryThreads(); });
    add(menu, "stitch.needle", tr("A new &needle is in"), {}, [&] { m_room.sewing.newNeedle(); });
    add(menu, "stitch.sheet", tr("Print the &ways…"), {},
        [&] { m_room.sheets.print(SheetCommands::Sheets::ways); });
    add(menu, "stitch.trail", tr("The whole &trail is stitched"), {}, [&] { m_room.sewing.trailDone(); });
    add(menu, "stitch.stitches", tr("Show every &stitch"), QKeySequence("X"),
        [&] { m_room.session.showStitches(!m_room.session.showsStitches()); });
}

void Menus::buildView() {
    auto* menu = m_window.menuBar()->addMenu(tr("&View"));
    for (const View view : every<View>()) {
        auto* action = menu->addAction(nameOf(view));
        action->setObjectName("view." + q(std::string(keyOf(view))));
        action->setShortcut(QKeySequence(keyTo(view)));
        action->setStatusTip(tr("Shows %1").arg(nameOf(view)));
        connect(action, &QAction::triggered, this, [this, view] { m_room.session.goTo(view); });
    }
    menu->addSeparator();
    add(menu, "view.turn", tr("&Turn over"), QKeySequence("R"), [&] { m_room.session.turnOver(); });
    auto* in =
        add(menu, "view.in", tr("Zoom &in"), QKeySequence::ZoomIn, [&] { m_window.mat().zoomBy(1.25); });
    in->setShortcuts({QKeySequence("Ctrl++"), QKeySequence("Ctrl+="), QKeySequence("+")});
    auto* out =
        add(menu, "view.out", tr("Zoom &out"), QKeySequence::ZoomOut, [&] { m_window.mat().zoomBy(0.8); });
    out->setShortcuts({QKeySequence("Ctrl+-"), QKeySequence("-")});
    add(menu, "view.fit", tr("&Whole view"), QKeySequence("Ctrl+0"), [&] { m_window.mat().fit(); });
    menu->addSeparator();
    add(menu, "view.rail", tr("&Pieces beside the mat"), QKeySequence("F8"),
        [&] { m_window.railFold().toggle(); });
    add(menu, "view.plan", tr("P&lan of the step"), QKeySequence("F9"),
        [&] { m_window.planFold().toggle(); });
}

void Menus::buildKeys() {
    const auto key = [this](const char* keys, std::function<void()> act) {
        auto* shortcut = new QShortcut(QKeySequence(keys), &m_window);
        connect(shortcut, &QShortcut::activated, this, [act = std::move(act)] { act(); });
    };
    key("Space", [this] { m_room.commands.doNow(); });
    key("[", [this] { m_room.commands.restack(-1); });
    key("]", [this] { m_room.commands.restack(1); });
    key("/", [this] {
        if (!m_window.railFold().isOpen()) m_window.railFold().open(true);
        m_window.rail().focusFind();
    });
}

void Menus::refresh() {
    const auto& history = m_room.session.history();
    const auto label = [](const QString& alone, const QString& with, const std::string& what) {
        return what.empty() ? alone : with.arg(q(what));
    };
    m_undo->setText(label(tr("&Undo"), tr("&Undo %1"), history.undoName()));
    m_undo->setEnabled(history.canUndo());
    m_redo->setText(label(tr("&Redo"), tr("&Redo %1"), history.redoName()));
    m_redo->setEnabled(history.canRedo());
    m_scan->setVisible(m_room.hasStandIns());
    m_metric->setChecked(m_room.session.quilt().units == measure::System::metric);
}

void Menus::fillRecent() {
    m_recent->clear();
    for (const auto& path : m_room.files.recent()) {
        auto* action = m_recent->addAction(QFileInfo(path).fileName() + "  —  " + QFileInfo(path).path());
        connect(action, &QAction::triggered, this, [this, path] { m_room.files.openFile(path); });
    }
    m_recent->setEnabled(!m_recent->isEmpty());
}

} // namespace up::app
