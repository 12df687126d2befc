// SPDX-License-Identifier: GPL-3.0-or-later
// Menus and keys of the window.
#pragma once

#include <QObject>

class QAction;
class QMenu;

namespace up::app {

class Window;
class Workroom;

class Menus : public QObject {
    Q_OBJECT
public:
    /// Builds menu bar and keys; lives as long as the window.
    explicit Menus(Window& window);

private:
    QAction* add(QMenu* menu, const char* key, const QString& text, const QKeySequence& keys,
                 std::function<void()> act);
    void buildFile();
    void buildEdit();
    void buildPiece();
    void buildStack();
    void buildPlace();
    void buildWeb();
    void buildIron();
    void buildNeedle();
    void buildView();
    void buildKeys();
    void refresh();
    void fillRecent();

    Window& m_window;
    Workroom& m_room;
    QMenu* m_recent = nullptr;
    QAction *m_undo = nullptr, *m_redo = nullptr, *m_metric = nullptr, *m_scan = nullptr;
};

} // namespace up::app
