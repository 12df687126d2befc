// SPDX-License-Identifier: GPL-3.0-or-later
// The window: stair, rail, mat, Now, plan and Checks, put together.
#pragma once

#include "app/commands/commands.hpp"
#include "app/commands/files.hpp"
#include "app/commands/place_commands.hpp"
#include "app/commands/shape_commands.hpp"
#include "app/commands/sheet_commands.hpp"
#include "app/commands/stack_commands.hpp"
#include "app/devices/scanner.hpp"
#include "app/session/autosave.hpp"
#include "app/session/checker.hpp"
#include "app/session/layout_job.hpp"
#include "app/session/mending.hpp"
#include "app/session/placement_job.hpp"

#include <QMainWindow>

class QLabel;
class QListWidget;

namespace up::app {

class FoldHandle;
class Mat;
class MatHand;
class PressTimer;
class Rail;
class RowsPanel;
class SectionStrip;
class ToolRow;
class WaysStrip;

struct WindowOptions {
    QString folder;                      ///< the user's data folder
    QString sample;                      ///< the sample quilt's file
    QString scannedPage{};               ///< the page on the sample scanner
    bool standIns = false;               ///< sample scanner, printer and cutter from the start
    std::function<std::int64_t()> clock; ///< seconds since 1970 UTC
    Asker* asker = nullptr;              ///< none: dialogs
    int autosaveDelay = 250;             ///< ms from a change to its recovery copy
};

class Window : public QMainWindow {
    Q_OBJECT
public:
    explicit Window(WindowOptions options);
    ~Window() override;

    [[nodiscard]] Session& session() { return m_session; }
    [[nodiscard]] Files& files() { return m_files; }
    [[nodiscard]] Commands& commands() { return m_commands; }
    [[nodiscard]] TraceCommands& tracing() { return m_tracing; }
    [[nodiscard]] ImportCommands& imports() { return m_imports; }
    [[nodiscard]] SheetCommands& sheets() { return m_sheets; }
    [[nodiscard]] ShapeCommands& shapeCommands() { return m_shapes; }
    [[nodiscard]] LayoutJob& layoutJob() { return m_layout; }
    [[nodiscard]] PlacementJob& placements() { return m_placements; }
    [[nodiscard]] Mending& mending() { return m_mending; }
    [[nodiscard]] Checker& checker() { return m_checker; }
    [[nodiscard]] Autosave& autosave() { return m_autosave; }
    [[nodiscard]] Mat& mat() { return *m_mat; }
    /// With it come the sample scanner, printer and cutter.
    void openSample();
    /// Quilts are opened, anything else is imported: what was dropped, or named when the program was started.
    void openFiles(const QStringList& files);

protected:
    void closeEvent(QCloseEvent* event) override;
    void changeEvent(QEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    friend class Menus;
    QWidget* buildMiddle();
    QWidget* buildLeft();
    QWidget* buildRight();
    void showView();
    void refresh(Change change);
    void fillLog();
    void say(const QString& sentence, bool bad);
    void showTitle();
    void showStandIns();

    std::unique_ptr<Asker> m_ownAsker;
    Asker& m_asker;
    QString m_sample, m_settings;
    Session m_session;
    Checker m_checker;
    LayoutJob m_layout;
    PlacementJob m_placements;
    SampleScanner m_scanner;
    ImportCommands m_imports;
    TraceCommands m_tracing;
    Commands m_commands;
    SheetCommands m_sheets;
    ShapeCommands m_shapes;
    Mending m_mending;
    StackCommands m_stack;
    PlaceCommands m_places;
    Autosave m_autosave;
    Files m_files;
    Mat* m_mat = nullptr;
    MatHand* m_hand = nullptr;
    Rail* m_rail = nullptr;
    ToolRow* m_tools = nullptr;
    RowsPanel* m_rows = nullptr;
    FoldHandle* m_railFold = nullptr;
    SectionStrip* m_section = nullptr;
    PressTimer* m_timer = nullptr;
    QListWidget* m_log = nullptr;
    QLabel* m_says = nullptr;
};

} // namespace up::app
