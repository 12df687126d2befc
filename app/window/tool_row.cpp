// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/tool_row.hpp"

#include "app/look/flow.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/measure/say.hpp"
#include "core/plan/stitch/thread_match.hpp"
#include "words/press_words.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <algorithm>

namespace up::app {

ToolRow::ToolRow(Workroom& room, QWidget* parent) : QWidget(parent), m_room(room), m_session(room.session) {
    auto* row = new Flow(this);
    auto* fresh = on({View::landing}, named(new QPushButton(tr("New block…"), this), "block.new"));
    row->addWidget(fresh);
    connect(fresh, &QPushButton::clicked, this, [this] { m_room.commands.newBlock(); });
    buildDraw(*row);
    buildTrace(*row);
    buildBond(*row);
    buildStash(*row);
    buildLay(*row);
    buildFuse(*row);
    buildStitch(*row);
    add(*row, {View::finish}, "line.new", tr("Line…"), [this] { m_room.lines.ask(); });
    add(*row, {View::finish}, "laid.new", tr("Trimming…"), [this] { m_room.lines.askLaid(); });
    add(*row, {View::finish}, "finish.fit", tr("Fit…"), [this] { m_room.finishing.askFit(); });
    add(*row, {View::landing, View::finish}, "finish.setting", tr("How the quilt is set…"),
        [this] { m_room.finishing.askSetting(); });
    for (auto* button :
         findChildren<QPushButton*>()) // after a click Space is Now's again; Tab leads there still
        button->setFocusPolicy(Qt::TabFocus);
    connect(&m_session, &Session::changed, this, &ToolRow::refresh);
    connect(&m_room.layout, &LayoutJob::runningChanged, this, &ToolRow::refresh);
    connect(&m_room.layout, &LayoutJob::waysChanged, this, &ToolRow::refresh);
    refresh();
}

template<class Widget> Widget* ToolRow::on(std::initializer_list<View> views, Widget* widget) {
    m_shown.emplace_back(widget, views);
    return widget;
}

void ToolRow::buildDraw(QLayout& row) {
    auto* import = on({View::draw}, named(new QPushButton(tr("Import…"), this), "draw.import"));
    auto* shape = on({View::draw}, named(new QPushButton(tr("Shape…"), this), "draw.shape"));
    auto* arrange = on({View::draw}, named(new QPushButton(tr("Copies…"), this), "draw.arrange"));
    connect(shape, &QPushButton::clicked, this, [this] { m_room.shapes.addShape(); });
    connect(arrange, &QPushButton::clicked, this, [this] { m_room.shapes.arrange(); });
    auto* line = on({View::draw}, named(new QPushButton(tr("Line…"), this), "draw.line"));
    connect(line, &QPushButton::clicked, this, [this] { m_room.lines.ask(); });
    auto* sizeName = on({View::draw}, new QLabel(tr("Finished"), this));
    m_size = on({View::draw}, named(new QLineEdit(this), "draw.size"));
    m_size->setFixedWidth(70); // "12 1/2 in"; two sides scroll
    auto* sizes = on({View::draw}, named(new QPushButton(tr("Sizes…"), this), "draw.sizes"));
    m_reversed = on({View::draw}, named(new QCheckBox(tr("Came reversed"), this), "draw.reversed"));
    m_templates = on({View::draw}, named(new QPushButton(tr("Templates"), this), "draw.templates"));
    m_templates->setCheckable(true);
    m_templates->setMinimumWidth(108); // bold when checked
    for (QWidget* part :
         {static_cast<QWidget*>(import), static_cast<QWidget*>(shape), static_cast<QWidget*>(arrange),
          static_cast<QWidget*>(line), static_cast<QWidget*>(sizeName), static_cast<QWidget*>(m_size),
          static_cast<QWidget*>(sizes), static_cast<QWidget*>(m_reversed),
          static_cast<QWidget*>(m_templates)})
        row.addWidget(part);
    connect(import, &QPushButton::clicked, this, [this] { m_room.imports.importDrawing(); });
    connect(sizes, &QPushButton::clicked, this, [this] { m_room.commands.askSize(); });
    connect(m_size, &QLineEdit::editingFinished, this, &ToolRow::readSize);
    connect(m_reversed, &QCheckBox::clicked, this, [this](bool on) {
        m_room.commands.setCameReversed(on);
        refresh();
    });
    connect(m_templates, &QPushButton::clicked, this, [this](bool on) { m_session.showTemplates(on); });
}

void ToolRow::buildTrace(QLayout& row) {
    m_web = on({View::trace}, named(new QComboBox(this), "trace.web"));
    m_layOut = on({View::trace}, named(new QPushButton(this), "trace.layout"));
    m_print = on({View::trace}, named(new QPushButton(tr("Print…"), this), "trace.pages"));
    auto* cut = on({View::cut}, named(new QPushButton(tr("Cut file…"), this), "cut.file"));
    auto* machine = on({View::cut}, named(new QPushButton(tr("Cutting machine…"), this), "cut.machine"));
    connect(machine, &QPushButton::clicked, this, [this] { m_room.sheets.cutByMachine(); });
    auto* which = on({View::cut}, named(new QPushButton(tr("Which piece is this?…"), this), "cut.which"));
    connect(which, &QPushButton::clicked, this, [this] { m_room.shapes.findPiece(); });
    auto* labels = on({View::cut}, named(new QPushButton(tr("Labels…"), this), "cut.labels"));
    connect(labels, &QPushButton::clicked, this,
            [this] { m_room.sheets.print(SheetCommands::Sheets::labels); });
    auto* about = on({View::trace}, named(new QPushButton(tr("About it…"), this), "trace.editWeb"));
    connect(about, &QPushButton::clicked, this, [this] { m_room.shelf.editWeb(); });
    m_web->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_web->setMinimumContentsLength(8);
    row.addWidget(m_web);
    row.addWidget(about);
    row.addWidget(m_layOut);
    m_compare = on({View::trace}, named(new QPushButton(tr("Compare ways"), this), "trace.compare"));
    m_pin = on({View::trace}, named(new QPushButton(tr("Pin"), this), "trace.pin"));
    row.addWidget(m_compare);
    row.addWidget(m_pin);
    connect(m_compare, &QPushButton::clicked, this, [this] { m_room.tracing.compare(); });
    connect(m_pin, &QPushButton::clicked, this, [this] { m_room.tracing.togglePin(); });
    row.addWidget(m_print);
    row.addWidget(cut);
    row.addWidget(machine);
    row.addWidget(which);
    row.addWidget(labels);
    connect(m_web, &QComboBox::activated, this, [this](int i) {
        m_session.apply(
            edit::setWeb(m_session.quilt(), m_session.blockId(), WebId{m_web->itemData(i).toUInt()}),
            tr("choose web"));
        refresh();
    });
    connect(m_layOut, &QPushButton::clicked, this, [this] { m_room.tracing.startOrStop(); });
    connect(&m_room.layout, &LayoutJob::progressed, m_layOut,
            [this](int percent) { m_layOut->setText(tr("Stop  %1 %").arg(percent)); });
    connect(m_print, &QPushButton::clicked, this,
            [this] { m_room.sheets.print(SheetCommands::Sheets::tracing); });
    connect(cut, &QPushButton::clicked, this, [this] { m_room.sheets.writeCutFile(); });
}

template<class Act>
QPushButton* ToolRow::add(QLayout& row, std::initializer_list<View> views, const char* key,
                          const QString& text, Act act) {
    auto* button = on(views, named(new QPushButton(text, this), key));
    row.addWidget(button);
    connect(button, &QPushButton::clicked, this, act);
    return button;
}

void ToolRow::buildBond(QLayout& row) {
    const std::initializer_list<View> here{View::bond};
    add(row, here, "bond.find", tr("Find cloth"), [this] { m_room.cloths.layOnCloth(); });
    m_otherCloth = add(row, here, "bond.other", tr("Another cloth"), [this] { m_room.cloths.useAnother(); });
    m_pinCloth = add(row, here, "bond.pin", tr("Pin"), [this] { m_room.cloths.togglePin(); });
}

void ToolRow::buildStash(QLayout& row) {
    const std::initializer_list<View> here{View::stash};
    auto* search = on(here, named(new QLineEdit(this), "stash.search"));
    search->setPlaceholderText(tr("green, 9 × 2"));
    search->setClearButtonEnabled(true);
    search->setFixedWidth(160);
    row.addWidget(search);
    connect(search, &QLineEdit::textChanged, this,
            [this](const QString& text) { m_session.searchStash(text.toStdString()); });
    add(row, {View::bond, View::stash}, "stash.cloth", tr("Cloth…"), [this] { m_room.cloths.add(); });
    add(row, here, "stash.trace", tr("Trace cloth…"), [this] { m_room.cloths.trace(); });
    add(row, here, "stash.newThread", tr("Thread…"), [this] { m_room.shelf.newThread(); });
    add(row, here, "stash.newWeb", tr("Web…"), [this] { m_room.shelf.newWeb(); });
    add(row, here, "stash.supply", tr("Stabiliser, batting…"), [this] { m_room.shelf.newSupply(); });
}

void ToolRow::buildLay(QLayout& row) {
    m_background = on({View::lay}, named(new QComboBox(this), "lay.background"));
    m_background->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_background->setMinimumContentsLength(11);
    auto* left = on({View::lay}, named(new QPushButton("⟲", this), "lay.left"));
    auto* right = on({View::lay}, named(new QPushButton("⟳", this), "lay.right"));
    m_steps = on({View::lay}, named(new QPushButton(tr("Step by step"), this), "lay.steps"));
    m_count = on({View::lay}, named(new QPushButton(tr("All there?"), this), "lay.count"));
    auto* sheet = on({View::lay}, named(new QPushButton(tr("Print…"), this), "lay.sheet"));
    auto* light =
        on({View::trace, View::cut, View::lay}, named(new QPushButton(tr("Light box…"), this), "light.open"));
    connect(light, &QPushButton::clicked, this, [this] { m_room.sheets.openLightBox(); });
    for (QWidget* part :
         {static_cast<QWidget*>(m_background), static_cast<QWidget*>(left), static_cast<QWidget*>(right),
          static_cast<QWidget*>(m_steps), static_cast<QWidget*>(m_count), static_cast<QWidget*>(sheet),
          static_cast<QWidget*>(light)})
        row.addWidget(part);
    for (auto* button : {left, right})
        button->setFixedWidth(44);
    for (auto* button : {m_steps, m_count})
        button->setCheckable(true);
    m_steps->setMinimumWidth(124), m_count->setMinimumWidth(108); // bold when checked
    connect(m_background, &QComboBox::activated, this, &ToolRow::chooseBackground);
    connect(left, &QPushButton::clicked, this, [this] { emit turnWanted(-5); });
    connect(right, &QPushButton::clicked, this, [this] { emit turnWanted(5); });
    connect(m_steps, &QPushButton::clicked, this,
            [this](bool on) { m_session.setLayMode(on ? LayMode::steps : LayMode::block); });
    connect(m_count, &QPushButton::clicked, this,
            [this](bool on) { m_session.setLayMode(on ? LayMode::count : LayMode::block); });
    connect(sheet, &QPushButton::clicked, this,
            [this] { m_room.sheets.print(SheetCommands::Sheets::placement); });
}

/// The last entry leads to strips, creases and the rest.
void ToolRow::chooseBackground(int row) {
    const auto id = m_background->itemData(row).toUInt();
    if (id == 0)
        m_room.stack.askGround();
    else
        m_session.apply(edit::setBackground(m_session.quilt(), m_session.blockId(), FabricId{id}),
                        tr("choose background"));
    refresh();
}

void ToolRow::buildFuse(QLayout& row) {
    m_iron = on({View::fuse}, named(new QComboBox(this), "fuse.iron"));
    m_iron->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_iron->setMinimumContentsLength(12);
    m_layers = on({View::fuse}, named(new QPushButton(tr("Layer by layer"), this), "fuse.layers"));
    m_heat = on({View::fuse}, named(new QPushButton(tr("Heat"), this), "fuse.heat"));
    auto* stage = on({View::fuse}, named(new QPushButton(tr("All pressed"), this), "fuse.stage"));
    m_lifts = on({View::fuse}, named(new QPushButton(tr("It lifts"), this), "fuse.lifts"));
    for (auto* button : {m_layers, m_heat})
        button->setCheckable(true);
    m_layers->setMinimumWidth(132), m_heat->setMinimumWidth(72); // bold when checked
    for (QWidget* part :
         {static_cast<QWidget*>(m_iron), static_cast<QWidget*>(m_layers), static_cast<QWidget*>(m_heat),
          static_cast<QWidget*>(stage), static_cast<QWidget*>(m_lifts)})
        row.addWidget(part);
    auto& presses = m_room.presses;
    connect(m_iron, &QComboBox::activated, this, &ToolRow::chooseIron);
    connect(m_layers, &QPushButton::clicked, &presses, &PressCommands::setByLayers);
    connect(m_heat, &QPushButton::clicked, &m_session, &Session::showHeat);
    connect(stage, &QPushButton::clicked, &presses, &PressCommands::stageDone);
    connect(m_lifts, &QPushButton::clicked, &presses, &PressCommands::edgeLifts);
}

/// Those that come with the program first; then the user's own; the last entry makes one.
void ToolRow::fillIrons() {
    m_iron->clear();
    const auto& quilt = m_session.quilt();
    for (const auto soleplate : every<press::Soleplate>())
        m_iron->addItem(q(words::soleplateName(soleplate)), -1 - static_cast<int>(soleplate));
    for (const auto& iron : quilt.irons) {
        const auto same = m_iron->findText(q(iron.name));
        if (same < 0) m_iron->addItem(q(iron.name), iron.id.value);
        if (iron.id == quilt.iron) m_iron->setCurrentIndex(m_iron->findText(q(iron.name)));
    }
    m_iron->addItem(tr("Your own…"), 0);
    if (!quilt.iron) m_iron->setCurrentIndex(0);
}

void ToolRow::chooseIron(int row) {
    const int data = m_iron->itemData(row).toInt();
    if (data < 0)
        m_room.presses.useSoleplate(static_cast<press::Soleplate>(-1 - data));
    else if (data == 0)
        m_room.presses.traceIron();
    else
        m_room.presses.useIron(IronId{static_cast<std::uint32_t>(data)});
    refresh();
}

void ToolRow::buildStitch(QLayout& row) {
    auto* name = on({View::stitch}, new QLabel(tr("Thread"), this));
    m_thread = on({View::stitch}, named(new QComboBox(this), "stitch.thread"));
    auto* threads = on({View::stitch}, named(new QPushButton(tr("Side by side…"), this), "stitch.threads"));
    auto* how = on({View::stitch}, named(new QPushButton(tr("Stitch…"), this), "stitch.how"));
    m_stitches = on({View::stitch}, named(new QPushButton(tr("Stitches"), this), "stitch.stitches"));
    auto* trail = on({View::stitch}, named(new QPushButton(tr("Trail stitched"), this), "stitch.trail"));
    m_stitches->setCheckable(true);
    m_stitches->setMinimumWidth(92); // bold when checked
    for (QWidget* part : std::initializer_list<QWidget*>{name, m_thread, threads, how, m_stitches, trail})
        row.addWidget(part);
    connect(threads, &QPushButton::clicked, &m_room.sewing, &SewingCommands::tryThreads);
    connect(how, &QPushButton::clicked, &m_room.sewing, &SewingCommands::askStitch);
    connect(m_stitches, &QPushButton::clicked, &m_session, &Session::showStitches);
    connect(trail, &QPushButton::clicked, &m_room.sewing, &SewingCommands::trailDone);
    connect(m_thread, &QComboBox::activated, this,
            [this](int i) { m_room.sewing.setThread(ThreadId{m_thread->itemData(i).toUInt()}); });
}

/// "9", "9 1/2", "9 x 12", "24cm".
void ToolRow::readSize() {
    if (!m_session.block() || !m_size->isModified()) return;
    m_size->setModified(false);
    m_room.commands.resize(m_size->text());
    refresh();
}

bool ToolRow::isPinned() const {
    const auto* block = m_session.block();
    const auto* piece = m_session.piece();
    return block && piece && block->layout &&
           std::any_of(block->layout->traced.begin(), block->layout->traced.end(),
                       [&](const auto& t) { return t.piece == piece->id && t.pinned; });
}

/// For a piece the best match first, and it says so.
std::vector<quilt::Thread> ToolRow::threadsFor(const quilt::Piece* piece) const {
    const auto& quilt = m_session.quilt();
    const auto* fabric = piece ? quilt::find(quilt.fabrics, piece->fabric) : nullptr;
    if (!fabric) return quilt.threads;
    std::vector<quilt::Thread> out;
    for (const auto& match : plan::threadsFor(quilt.threads, fabric->colour)) {
        out.push_back(quilt::the(quilt.threads, match.thread));
        auto& name = out.back().name;
        if (match.off < plan::nearTo)
            name =
                (match.off < plan::matching ? tr("%1: matches") : tr("%1: near")).arg(q(name)).toStdString();
    }
    return out;
}

void ToolRow::fillChoices() {
    const auto& quilt = m_session.quilt();
    const auto* block = m_session.block();
    const auto fill = [](QComboBox& box, const auto& items, std::uint32_t chosen, bool colours) {
        box.clear();
        for (const auto& item : items) {
            box.addItem(q(item.name), item.id.value);
            if constexpr (requires { item.colour; }) {
                QPixmap swatch(16, 16);
                swatch.fill(look::q(item.colour));
                if (colours) box.setItemIcon(box.count() - 1, swatch);
            }
        }
        box.setCurrentIndex(box.findData(chosen));
    };
    fill(*m_web, quilt.webs, block ? block->web.value : 0, false);
    fill(*m_background, quilt.fabrics, block ? block->background.value : 0, true);
    m_background->addItem(tr("Strips, creases…"), 0U);
    const auto* piece = m_session.piece();
    fill(*m_thread, threadsFor(piece), piece ? piece->thread.value : 0, true);
    fillIrons();
    m_thread->setEnabled(piece != nullptr);
    if (m_background->currentIndex() < 0) m_background->setPlaceholderText(tr("Background…"));
}

void ToolRow::refresh() {
    fillChoices();
    const auto* block = m_session.block();
    const QStringList makesOne{"block.new", "draw.import", "draw.shape", "stash.cloth",
                               "stash.trace"}; // they need no block
    const auto isWanted = [&](const auto& shown) {
        const auto& views = shown.second;
        return std::find(views.begin(), views.end(), m_session.view()) != views.end() &&
               (block || makesOne.contains(shown.first->objectName()));
    };
    // First what goes, then what comes: both at once would make the window wider, and it would stay so.
    for (const auto& shown : m_shown)
        if (!isWanted(shown)) shown.first->hide();
    for (const auto& shown : m_shown)
        if (isWanted(shown)) shown.first->show();
    m_layOut->setText(m_room.layout.isRunning() ? tr("Stop")
                      : block && block->layout  ? tr("Lay out again")
                                                : tr("Lay out"));
    if (!block) return;
    const bool laidOut = block->layout.has_value();
    const auto any = [&](auto is) { return std::any_of(block->pieces.begin(), block->pieces.end(), is); };
    const bool open = any([](const auto& p) { return !p.isOffWeb() && p.work.step == quilt::Step::toTrace; });
    m_layOut->setEnabled(open || m_room.layout.isRunning());
    m_print->setEnabled(laidOut || any([](const auto& p) { return p.isOffWeb(); }));
    m_compare->setEnabled(laidOut && open && !m_room.layout.isRunning() && !m_room.layout.isComparing());
    m_pin->setEnabled(laidOut && m_session.piece() && m_session.piece()->work.step == quilt::Step::toTrace);
    m_pin->setText(isPinned() ? tr("Let go") : tr("Pin"));
    m_otherCloth->setEnabled(m_session.piece() != nullptr);
    m_pinCloth->setEnabled(m_session.piece() != nullptr);
    if (!m_size->isModified() || !m_size->hasFocus())
        m_size->setText(block->width == block->height
                            ? q(measure::say(block->width, m_session.quilt().units))
                            : q(measure::saySize(block->width, block->height, m_session.quilt().units)));
    m_reversed->setChecked(block->givenReversed);
    m_templates->setChecked(m_session.showsTemplates());
    m_steps->setChecked(m_session.layMode() == LayMode::steps);
    m_count->setChecked(m_session.layMode() == LayMode::count);
    m_layers->setChecked(block->fusing == quilt::Fusing::byLayers);
    m_heat->setChecked(m_session.showsHeat());
    m_stitches->setChecked(m_session.showsStitches());
    m_lifts->setEnabled(std::any_of(block->pieces.begin(), block->pieces.end(), [](const auto& piece) {
        return piece.work.step == quilt::Step::fused && !piece.lifts;
    }));
}

} // namespace up::app
