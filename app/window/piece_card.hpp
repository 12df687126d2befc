// SPDX-License-Identifier: GPL-3.0-or-later
// The chosen piece: its name, fabric, place in the stack, next step; what to do when it is ruined.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/session.hpp"

#include <QFrame>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace up::app {

class PieceCard : public QFrame {
    Q_OBJECT
public:
    PieceCard(Session& session, Asker& asker, QWidget* parent = nullptr);

signals:
    /// Do this step on this piece alone.
    void stepWanted(up::PieceId piece, up::quilt::Step step);

private:
    void refresh();
    void ruin();
    void edited(edit::Edited next, const QString& what);
    void toAll(const std::function<edit::Edited(const quilt::Quilt&, PieceId)>& change, const QString& what);

    Session& m_session;
    Asker& m_asker;
    QLabel* m_title;
    QLineEdit* m_name;
    QComboBox* m_fabric;
    QCheckBox* m_runsOff;
    QPushButton *m_step, *m_up, *m_down, *m_ruined;
};

} // namespace up::app
