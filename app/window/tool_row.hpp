// SPDX-License-Identifier: GPL-3.0-or-later
// The row above the mat: the few controls of the present tread.
#pragma once

#include "app/commands/workroom.hpp"

#include <QWidget>

class QCheckBox;
class QComboBox;
class QLayout;
class QLineEdit;
class QPushButton;

namespace up::app {

class ToolRow : public QWidget {
    Q_OBJECT
public:
    explicit ToolRow(Workroom& room, QWidget* parent = nullptr);

signals:
    /// The chosen pieces are to turn, clockwise.
    void turnWanted(double degrees);

private:
    template<class Widget> Widget* on(std::initializer_list<View> views, Widget* widget);
    /// A button that does that.
    template<class Act>
    QPushButton* add(QLayout& row, std::initializer_list<View> views, const char* key, const QString& text,
                     Act act);
    void buildDraw(QLayout& row);
    void buildTrace(QLayout& row);
    void buildBond(QLayout& row);
    void buildStash(QLayout& row);
    void buildLay(QLayout& row);
    void chooseBackground(int row);
    void buildFuse(QLayout& row);
    void fillIrons();
    void chooseIron(int row);
    void buildStitch(QLayout& row);
    void refresh();
    [[nodiscard]] std::vector<quilt::Thread> threadsFor(const quilt::Piece* piece) const;
    void fillChoices();
    void readSize();
    [[nodiscard]] bool isPinned() const;

    Workroom& m_room;
    Session& m_session;
    std::vector<std::pair<QWidget*, std::vector<View>>> m_shown;
    QComboBox *m_web = nullptr, *m_background = nullptr, *m_thread = nullptr, *m_iron = nullptr;
    QLineEdit* m_size = nullptr;
    QCheckBox* m_reversed = nullptr;
    QPushButton *m_templates = nullptr, *m_layOut = nullptr, *m_compare = nullptr, *m_pin = nullptr,
                *m_otherCloth = nullptr, *m_pinCloth = nullptr, *m_print = nullptr, *m_steps = nullptr,
                *m_count = nullptr, *m_layers = nullptr, *m_heat = nullptr, *m_stitches = nullptr,
                *m_lifts = nullptr;
};

} // namespace up::app
