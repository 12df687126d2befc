// SPDX-License-Identifier: GPL-3.0-or-later
// The window: stair, rail, mat, Now, plan and Checks, put together.
#pragma once

#include "app/commands/workroom.hpp"

#include <QMainWindow>

class QLabel;
class QListWidget;

namespace up::app {

class FoldHandle;
class Mat;
class MatHand;
class Rail;
class RowsPanel;
class SectionStrip;
class ToolRow;
class WaysStrip;

class Window : public QMainWindow {
    Q_OBJECT
public:
    explicit Window(Workroom& room);
    ~Window() override;

    [[nodiscard]] Workroom& room() { return m_room; }
    [[nodiscard]] Mat& mat() { return *m_mat; }
    [[nodiscard]] MatHand& hand() { return *m_hand; }
    [[nodiscard]] Rail& rail() { return *m_rail; }
    /// The rail beside the mat, and the plan of the step: each folds away.
    [[nodiscard]] FoldHandle& railFold() { return *m_railFold; }
    [[nodiscard]] FoldHandle& planFold();

protected:
    void closeEvent(QCloseEvent* event) override;
    void changeEvent(QEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QWidget* buildMiddle();
    QWidget* buildLeft();
    QWidget* buildRight();
    void showView();
    void refresh(Change change);
    void fillLog();
    void say(const QString& sentence, bool bad);
    void showTitle();

    Workroom& m_room;
    Session& m_session;
    Mat* m_mat = nullptr;
    MatHand* m_hand = nullptr;
    Rail* m_rail = nullptr;
    ToolRow* m_tools = nullptr;
    RowsPanel* m_rows = nullptr;
    FoldHandle* m_railFold = nullptr;
    SectionStrip* m_section = nullptr;
    QListWidget* m_log = nullptr;
    QLabel* m_says = nullptr;
};

} // namespace up::app
