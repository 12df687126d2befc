// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/window.hpp"

#include "app/canvas/mat.hpp"
#include "app/dialogs/errand_strip.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/views/view.hpp"
#include "app/window/checks_panel.hpp"
#include "app/window/fold_handle.hpp"
#include "app/window/lay_strip.hpp"
#include "app/window/mat_hand.hpp"
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
#include "words/sentences.hpp"

#include <QAbstractButton>
#include <QApplication>
#include <QCloseEvent>
#include <QComboBox>
#include <QDateTime>
#include <QDragEnterEvent>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QLocale>
#include <QMimeData>
#include <QScrollArea>
#include <QSettings>
#include <QVBoxLayout>

namespace up::app {

Window::Window(Workroom& room) : m_room(room), m_session(room.session) {
    setAcceptDrops(true);
    auto* centre = new QWidget(this);
    centre->setObjectName("centre");
    auto* column = new QVBoxLayout(centre);
    column->setContentsMargins(8, 2, 8, 8);
    column->setSpacing(6);
    column->addWidget(named(new Stair(m_session, centre), "stair"));
    auto* row = new QHBoxLayout;
    row->setSpacing(0);
    column->addLayout(row, 1);
    auto* left = buildLeft();
    m_railFold = new FoldHandle(*left, FoldHandle::Way::left, "rail.fold", m_room.settings(), centre);
    m_railFold->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Expanding);
    m_railFold->setFixedWidth(16); // as high as the mat: hard to miss
    auto* side = new QHBoxLayout;
    side->setSpacing(0);
    side->addWidget(left);
    side->addWidget(m_railFold);
    row->addLayout(side);
    row->addWidget(buildMiddle(), 1);
    row->addSpacing(8);
    row->addWidget(buildRight());
    setCentralWidget(centre);
    new Menus(*this);
    connect(&m_session, &Session::changed, this, &Window::refresh);
    connect(&m_session, &Session::trouble, this, [this](const QString& sentence) { say(sentence, true); });
    connect(&m_session, &Session::told, this, [this](const QString& sentence) { say(sentence, false); });
    connect(&m_room.placements, &PlacementJob::found, this, [this] {
        if (m_session.view() == View::lay) showView();
    });
    connect(&m_room.checker, &Checker::checked, this, [this] {
        const bool counting = m_session.view() == View::lay && m_session.layMode() == LayMode::count;
        if (m_session.view() == View::draw || counting) showView();
    });
    connect(&m_room.imports.reading(), &Errand::runningChanged, m_says, [this](bool running) {
        if (running) m_says->hide(); // what was said is of what went before
    });
    qApp->installEventFilter(this);
    resize(1280, 800);
    restoreGeometry(QSettings(m_room.settings(), QSettings::IniFormat).value("window/place").toByteArray());
    m_mat->setFocus();
    refresh(Change::quilt);
    showTitle();
}

/// The widgets go before the window they talk to: a field that loses its focus still reports.
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
    auto* card = new PieceCard(m_session, m_room.asker, left);
    column->addWidget(card);
    connect(card, &PieceCard::stepWanted, &m_room.commands,
            [this](PieceId piece, quilt::Step step) { m_room.commands.doStep({piece}, step); });
    return left;
}

QWidget* Window::buildMiddle() {
    auto* middle = new QWidget(this);
    auto* column = new QVBoxLayout(middle);
    column->setContentsMargins(0, 0, 0, 0);
    m_tools = new ToolRow(m_room, middle);
    connect(m_tools, &ToolRow::turnWanted, this, [this](double degrees) { m_hand->turn(degrees); });
    m_says = new QLabel(middle);
    m_says->setObjectName("says");
    m_says->setWordWrap(true);
    m_says->setTextFormat(Qt::PlainText); // what files are called, and hold, is not markup
    m_says->hide();
    m_mat = named(new Mat(middle), "mat");
    m_hand = new MatHand(m_session, *m_mat, m_room.shelf);
    m_log = named(new QListWidget(middle), "log");
    column->addWidget(m_tools);
    column->addWidget(m_says);
    column->addWidget(new ErrandStrip(m_room.imports.reading(), "reading.stop", middle));
    column->addWidget(new ErrandStrip(m_room.mending.errand(), "mending.stop", middle));
    column->addWidget(m_mat, 1);
    column->addWidget(new WaysStrip(m_session, m_room.layout, m_room.tracing, middle));
    m_section = named(new SectionStrip(m_session, m_room.mending, middle), "section");
    column->addWidget(m_section);
    auto* strip = named(new LayStrip(m_session, m_room.places, middle), "lay.strip");
    connect(&m_room.placements, &PlacementJob::found, strip, &LayStrip::refresh);
    connect(&m_room.checker, &Checker::checked, strip, &LayStrip::refresh);
    column->addWidget(strip);
    column->addWidget(m_log, 1);
    return middle;
}

QWidget* Window::buildRight() {
    auto* scroll = new QScrollArea(this); // where it is too high for the window
    scroll->setFixedWidth(290);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setStyleSheet("QScrollArea { background: transparent; }");
    auto* right = new QWidget(scroll);
    right->setObjectName("centre");
    scroll->setWidget(right);
    auto* column = new QVBoxLayout(right);
    column->setContentsMargins(0, 0, 0, 0);
    auto* now = new NowPanel(m_session, m_room.layout, m_room.presses.clock(), right);
    m_rows = new RowsPanel(m_room.settings(), right);
    column->addWidget(now);
    column->addWidget(new PressTimer(m_session, m_room.presses, right));
    column->addWidget(m_rows, 3);
    column->addWidget(new ChecksPanel(m_session, m_room.checker, m_room.mending, right), 2);
    connect(now, &NowPanel::wanted, &m_room.commands, &Commands::doNow);
    connect(m_rows, &RowsPanel::chosen, this, [this](const sheet::Tag& tag) {
        if (const auto* block = std::get_if<BlockId>(&tag)) m_session.chooseBlock(*block);
        if (const auto* piece = std::get_if<PieceId>(&tag)) m_session.choosePiece(*piece);
        if (const auto line = sheet::lineOf(tag)) m_session.chooseLine(line);
        m_room.shelf.open(tag);
    });
    return scroll;
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
        const auto when = QDateTime::fromSecsSinceEpoch(entry->time, Qt::UTC).toLocalTime();
        QString text = QLocale().toString(when, "ddd d MMM yyyy, hh:mm") + "   ";
        text += block ? q(block->name) : tr("a removed block");
        if (piece) text += ": " + q(quilt::calledOf(*block, *piece));
        text += " – " + q(words::logWords(entry->what));
        if (!entry->note.empty()) text += " (" + q(entry->note) + ")";
        m_log->addItem(text);
    }
    if (log.empty())
        m_log->addItem(tr("Nothing has been logged yet. Every step you take is written here with its time."));
}

void Window::say(const QString& sentence, bool bad) {
    m_says->setText((bad ? "✖ " : "✓ ") + sentence);
    m_says->setStyleSheet(QString("padding: 8px; border-radius: 5px; background: white; font-weight: 700; "
                                  "color: %1; border: 2px solid %1;")
                              .arg(bad ? "#B03A25" : "#3B7A4B"));
    m_says->show();
}

void Window::showTitle() {
    const auto path = m_session.path();
    const auto name = path.isEmpty() ? q(m_session.quilt().name) : QFileInfo(path).completeBaseName();
    setWindowTitle(name +
                   (m_session.isReadOnly() ? tr("[*] (only to look at) – Upstairs") : tr("[*] – Upstairs")));
    setWindowModified(m_session.isDirty());
}

FoldHandle& Window::planFold() {
    return m_rows->fold();
}

/// What there is no room for folds away.
void Window::resizeEvent(QResizeEvent* event) {
    QMainWindow::resizeEvent(event);
    constexpr int wide = 1150, high = 720, low = 600;
    m_railFold->setTight(width() < wide);
    m_rows->fold().setTight(height() < high);
    m_section->setTight(height() < low);
}

void Window::closeEvent(QCloseEvent* event) {
    event->setAccepted(m_room.files.mayLeave());
    if (event->isAccepted())
        QSettings(m_room.settings(), QSettings::IniFormat).setValue("window/place", saveGeometry());
}

/// Others may have been at the file while the window was behind theirs.
void Window::changeEvent(QEvent* event) {
    QMainWindow::changeEvent(event);
    if (event->type() == QEvent::ActivationChange && isActiveWindow() && !QApplication::activeModalWidget())
        QMetaObject::invokeMethod(
            this,
            [this] {
                m_room.stash.look();
                m_room.files.lookAtDisk();
            },
            Qt::QueuedConnection);
}

namespace {

QStringList filesIn(const QMimeData& data) {
    QStringList out;
    for (const auto& url : data.urls())
        if (url.isLocalFile()) out << url.toLocalFile();
    return out;
}

} // namespace

void Window::dragEnterEvent(QDragEnterEvent* event) {
    if (!filesIn(*event->mimeData()).isEmpty()) event->acceptProposedAction();
}

/// A quilt is opened, drawings are imported, pages of one pattern together. Asked about once the drop is
/// over: the other program waits for it.
void Window::dropEvent(QDropEvent* event) {
    const auto files = filesIn(*event->mimeData());
    event->acceptProposedAction();
    QMetaObject::invokeMethod(
        this, [this, files] { m_room.openFiles(files); }, Qt::QueuedConnection);
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
