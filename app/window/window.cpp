// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/window.hpp"

#include "app/canvas/mat.hpp"
#include "app/dialogs/reading_strip.hpp"
#include "app/look/names.hpp"
#include "app/views/view.hpp"
#include "app/window/checks_panel.hpp"
#include "app/window/menus.hpp"
#include "app/window/now_panel.hpp"
#include "app/window/piece_card.hpp"
#include "app/window/press_timer.hpp"
#include "app/window/rail.hpp"
#include "app/window/rows_panel.hpp"
#include "app/window/section_strip.hpp"
#include "app/window/stair.hpp"
#include "app/window/tool_row.hpp"
#include "app/window/ways_strip.hpp"
#include "core/plan/doubts.hpp"
#include "core/plan/snap.hpp"
#include "words/sentences.hpp"

#include <QAbstractButton>
#include <QApplication>
#include <QCloseEvent>
#include <QComboBox>
#include <QDateTime>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QVBoxLayout>

namespace up::app {

Window::Window(WindowOptions options)
    : m_ownAsker(options.asker ? nullptr : std::make_unique<DialogAsker>(this)),
      m_asker(options.asker ? *options.asker : *m_ownAsker), m_sample(options.sample),
      m_session(std::move(options.clock)), m_checker(m_session), m_layout(m_session), m_lying(m_session),
      m_scanner(options.scannedPage), m_imports(m_session, m_asker, m_scanner),
      m_tracing(m_session, m_layout, m_asker), m_commands(m_session, m_layout, m_asker, m_imports, m_tracing),
      m_sheets(m_session, m_asker, options.folder), m_shapes(m_session, m_asker), m_stack(m_session),
      m_files(m_session, m_asker, options.folder),
      m_autosave(m_session, options.folder, options.autosaveDelay) {
    auto* centre = new QWidget(this);
    centre->setObjectName("centre");
    auto* column = new QVBoxLayout(centre);
    column->setContentsMargins(8, 2, 8, 8);
    column->setSpacing(6);
    column->addWidget(named(new Stair(m_session, centre), "stair"));
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    column->addLayout(row, 1);
    row->addWidget(buildLeft());
    row->addWidget(buildMiddle(), 1);
    row->addWidget(buildRight());
    setCentralWidget(centre);
    new Menus(*this);
    connectMat();
    connect(&m_session, &Session::changed, this, &Window::refresh);
    connect(&m_session, &Session::trouble, this, [this](const QString& sentence) { say(sentence, true); });
    connect(&m_lying, &LyingJob::found, this, [this] {
        if (m_session.view() == View::lay) showView();
    });
    connect(&m_checker, &Checker::checked, this, [this] {
        if (m_session.view() == View::draw) showView();
    });
    connect(&m_shapes, &ShapeCommands::told, this, [this](const QString& sentence) { say(sentence, false); });
    connect(&m_stack, &StackCommands::told, this, [this](const QString& sentence) { say(sentence, false); });
    connect(&m_imports, &ImportCommands::told, this,
            [this](const QString& sentence) { say(sentence, false); });
    connect(&m_imports.reading(), &Reading::runningChanged, m_says, [this](bool running) {
        if (running) m_says->hide(); // what was said is of what went before
    });
    connect(&m_sheets, &SheetCommands::told, this, [this](const QString& sentence) { say(sentence, false); });
    connect(&m_commands, &Commands::told, this, [this](const QString& sentence) { say(sentence, false); });
    connect(&m_tracing, &TraceCommands::told, this,
            [this](const QString& sentence) { say(sentence, false); });
    connect(&m_files, &Files::told, this, [this](const QString& sentence) { say(sentence, false); });
    qApp->installEventFilter(this);
    resize(1280, 800);
    m_mat->setFocus();
    refresh(Change::quilt);
    showTitle();
}

/// The widgets go before the session they talk to: a field that loses its focus still reports.
Window::~Window() {
    qApp->removeEventFilter(this);
    delete takeCentralWidget();
}

QWidget* Window::buildLeft() {
    auto* left = new QWidget(this);
    left->setFixedWidth(238);
    auto* column = new QVBoxLayout(left);
    column->setContentsMargins(0, 0, 0, 0);
    m_rail = new Rail(m_session, left);
    column->addWidget(m_rail, 1);
    auto* card = new PieceCard(m_session, m_asker, left);
    column->addWidget(card);
    connect(card, &PieceCard::stepWanted, &m_commands,
            [this](std::uint32_t piece, quilt::Step step) { m_commands.doStep({PieceId{piece}}, step); });
    return left;
}

QWidget* Window::buildMiddle() {
    auto* middle = new QWidget(this);
    auto* column = new QVBoxLayout(middle);
    column->setContentsMargins(0, 0, 0, 0);
    m_tools =
        new ToolRow(m_session, m_layout, {m_commands, m_shapes, m_imports, m_sheets, m_tracing}, middle);
    m_says = new QLabel(middle);
    m_says->setObjectName("says");
    m_says->setWordWrap(true);
    m_says->setTextFormat(Qt::PlainText); // what files are called, and hold, is not markup
    m_says->hide();
    m_mat = named(new Mat(middle), "mat");
    m_log = named(new QListWidget(middle), "log");
    column->addWidget(m_tools);
    column->addWidget(m_says);
    column->addWidget(new ReadingStrip(m_imports.reading(), middle));
    column->addWidget(m_mat, 1);
    column->addWidget(new WaysStrip(m_session, m_layout, m_tracing, middle));
    auto* section = named(new SectionStrip(m_session, middle), "section");
    connect(section, &SectionStrip::told, this, [this](const QString& sentence) { say(sentence, false); });
    column->addWidget(section);
    column->addWidget(m_log, 1);
    return middle;
}

QWidget* Window::buildRight() {
    auto* right = new QWidget(this);
    right->setFixedWidth(290);
    auto* column = new QVBoxLayout(right);
    column->setContentsMargins(0, 0, 0, 0);
    auto* now = new NowPanel(m_session, m_layout, right);
    m_timer = new PressTimer(m_session, right);
    m_rows = new RowsPanel(right);
    column->addWidget(now);
    column->addWidget(m_timer);
    column->addWidget(m_rows, 3);
    column->addWidget(new ChecksPanel(m_session, m_checker, right), 2);
    connect(now, &NowPanel::wanted, &m_commands, &Commands::doNow);
    connect(m_rows, &RowsPanel::chosen, this, [this](std::uint32_t tag) {
        if (m_session.view() == View::landing)
            m_session.chooseBlock(BlockId{tag});
        else
            m_session.choosePiece(PieceId{tag});
    });
    return right;
}

void Window::connectMat() {
    connect(m_mat, &Mat::clicked, this, [this](std::uint32_t tag) {
        if (tag == sectionEndA || tag == sectionEndB) return;
        if (m_session.view() != View::landing) m_session.choosePiece(PieceId{tag});
    });
    connect(m_mat, &Mat::panelClicked, this, [this](std::uint32_t tag) {
        if (m_session.view() == View::stash) return m_tracing.throwAway(OffCutId{tag});
        m_session.chooseBlock(BlockId{tag});
    });
    connect(m_mat, &Mat::dragged, this, [this](std::uint32_t tag, double right, double down, bool alone) {
        if (m_session.view() == View::trace) return m_tracing.move(PieceId{tag}, right, down, alone, dragKey);
        if (tag == sectionEndA || tag == sectionEndB) return dragSection(tag == sectionEndA, right, down);
        move(right, down, "drag " + std::to_string(tag));
    });
    connect(m_mat, &Mat::dropped, this, [this] {
        if (m_session.view() == View::trace) return m_tracing.drop();
        if (m_session.view() == View::lay) snap();
        m_session.closeMerge();
    });
    connect(m_mat, &Mat::nudged, this, [this](int right, int down, bool far) {
        const double step = far ? 25.4 / 4 : 25.4 / 16;
        if (m_session.view() == View::lay) move(right * step, down * step, "nudge");
        if (m_session.view() == View::trace && m_session.piece())
            m_tracing.move(m_session.piece()->id, right * step, down * step, false, "nudge on the web");
    });
}

/// Onto a crease that lies within reach, as part of the drag.
void Window::snap() {
    const auto* piece = m_session.piece();
    const int number = piece ? plan::numberOf(*m_session.block(), piece->id) : 0;
    if (number == 0 || piece->locked) return;
    auto& derived = m_session.derived();
    const auto by =
        plan::snapBy(derived.block().regions[static_cast<std::size_t>(number) - 1], derived.ground());
    if (!by) return;
    move(m_session.turnedOver() ? -by->x : by->x, by->y, "drag " + std::to_string(piece->id.value));
}

/// The ends stay within what is cut, so that they can be taken hold of again.
void Window::dragSection(bool first, double right, double down) {
    if (!m_session.block()) return;
    auto section = m_session.section();
    auto& end = first ? section.from : section.to;
    const auto box = plan::cutBox(*m_session.block());
    end.x = std::clamp(end.x + (m_session.turnedOver() ? -right : right), box.left, box.right);
    end.y = std::clamp(end.y + down, box.top, box.bottom);
    m_session.setSection(section);
}

void Window::move(double right, double down, const std::string& key) {
    const auto* piece = m_session.piece();
    if (!piece) return;
    const auto across = measure::Length::ofMm(m_session.turnedOver() ? -right : right);
    m_session.apply(edit::movePiece(m_session.quilt(), m_session.blockId(), piece->id, across,
                                    measure::Length::ofMm(down)),
                    "move", key + " " + std::to_string(piece->id.value));
}

/// The chosen piece on the block, or its chunk on the web.
void Window::turn(double degrees) {
    if (m_session.view() == View::trace)
        m_tracing.turn(degrees, false);
    else
        m_commands.turn(degrees);
}

void Window::refresh(Change change) {
    showTitle();
    if (change == Change::file) return;
    if (change == Change::quilt) m_says->hide();
    showView();
}

void Window::showView() {
    auto parts = partsFor(m_session);
    m_rows->show(parts.rows);
    const bool book = m_session.view() == View::logbook;
    m_log->setVisible(book);
    m_mat->setVisible(!book);
    if (book) fillLog();
    m_mat->show(std::move(parts.scene));
}

void Window::fillLog() {
    m_log->clear();
    const auto& log = *m_session.quilt().log;
    for (auto entry = log.rbegin(); entry != log.rend(); ++entry) {
        const auto* block = quilt::find(m_session.quilt().blocks, entry->block);
        const auto* piece = block && entry->piece ? quilt::find(block->pieces, entry->piece) : nullptr;
        QString text = QDateTime::fromSecsSinceEpoch(entry->time, Qt::UTC)
                           .toLocalTime()
                           .toString("ddd d MMM yyyy, hh:mm") +
                       "   ";
        text += block ? QString::fromStdString(block->name) : QString("a removed block");
        if (piece) text += ": " + QString::fromStdString(plan::calledOf(*block, *piece));
        text += " – " + QString::fromStdString(words::logWords(entry->what));
        if (!entry->note.empty()) text += " (" + QString::fromStdString(entry->note) + ")";
        m_log->addItem(text);
    }
    if (log.empty())
        m_log->addItem("Nothing has been logged yet. Every step you take is written here with its time.");
}

void Window::say(const QString& sentence, bool bad) {
    m_says->setText((bad ? "✖ " : "✓ ") + sentence);
    m_says->setStyleSheet(QString("padding: 8px; border-radius: 5px; background: white; font-weight: 700; "
                                  "color: %1; border: 2px solid %1;")
                              .arg(bad ? "#B03A25" : "#3B7A4B"));
    m_says->show();
}

void Window::showTitle() {
    const auto& path = m_session.path();
    const auto name =
        path.isEmpty() ? QString::fromStdString(m_session.quilt().name) : QFileInfo(path).completeBaseName();
    setWindowTitle(name + "[*] – Upstairs");
    setWindowModified(m_session.isDirty());
}

void Window::openSample() {
    m_files.openCopy(m_sample);
}

void Window::closeEvent(QCloseEvent* event) {
    event->setAccepted(m_files.mayLeave());
}

/// Space belongs to Now, but a focused button, box or list keeps its own.
bool Window::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride && static_cast<QKeyEvent*>(event)->key() == Qt::Key_Space) {
        const auto* focus = QApplication::focusWidget();
        if (qobject_cast<const QAbstractButton*>(focus) || qobject_cast<const QComboBox*>(focus)) {
            event->accept();
            return true;
        }
    }
    return QMainWindow::eventFilter(watched, event);
}

} // namespace up::app
