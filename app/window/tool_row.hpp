// SPDX-License-Identifier: GPL-3.0-or-later
// The row above the mat: the few controls of the present tread.
#pragma once

#include "app/commands/commands.hpp"
#include "app/commands/shape_commands.hpp"
#include "app/commands/sheet_commands.hpp"
#include "app/commands/stack_commands.hpp"
#include "app/session/layout_job.hpp"
#include "app/session/session.hpp"

#include <QWidget>

class QCheckBox;
class QComboBox;
class QLayout;
class QLineEdit;
class QPushButton;

namespace up::app {

struct AllCommands {
    Commands& commands;
    ShapeCommands& shapes;
    ImportCommands& imports;
    SheetCommands& sheets;
    TraceCommands& tracing;
    StackCommands& stack;
};

class ToolRow : public QWidget {
    Q_OBJECT
public:
    ToolRow(Session& session, LayoutJob& layout, const AllCommands& all, QWidget* parent = nullptr);

signals:
    /// The chosen pieces are to turn, clockwise.
    void turnWanted(double degrees);

private:
    template<class Widget> Widget* on(std::initializer_list<View> views, Widget* widget);
    void buildDraw(QLayout& row);
    void buildTrace(QLayout& row);
    void buildLay(QLayout& row);
    void chooseBackground(int row);
    void buildStitch(QLayout& row);
    void refresh();
    void fillChoices();
    void readSize();
    [[nodiscard]] bool isPinned() const;

    Session& m_session;
    LayoutJob& m_layout;
    Commands& m_commands;
    ShapeCommands& m_shapes;
    ImportCommands& m_imports;
    SheetCommands& m_sheets;
    TraceCommands& m_tracing;
    StackCommands& m_stack;
    std::vector<std::pair<QWidget*, std::vector<View>>> m_shown;
    QComboBox *m_web = nullptr, *m_background = nullptr, *m_thread = nullptr;
    QLineEdit* m_size = nullptr;
    QCheckBox* m_reversed = nullptr;
    QPushButton *m_templates = nullptr, *m_layOut = nullptr, *m_compare = nullptr, *m_pin = nullptr,
                *m_print = nullptr, *m_steps = nullptr, *m_count = nullptr;
};

} // namespace up::app
