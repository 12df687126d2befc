// SPDX-License-Identifier: GPL-3.0-or-later
// Keeps a recovery copy while there is unsaved work, written aside; removes it when the work is saved.
#pragma once

#include "app/session/session.hpp"

#include <QThreadPool>
#include <QTimer>

namespace up::app {

class Autosave : public QObject {
    Q_OBJECT
public:
    /// `folder`: where copies are kept. A copy follows a change after `delay` ms.
    Autosave(Session& session, const QString& folder, int delay, QObject* parent = nullptr);
    ~Autosave() override;

    /// Writes the copy now, in this thread; the last resort before the program ends on a mistake.
    void keepNow();
    [[nodiscard]] const std::string& copy() const { return m_copy; }

private:
    void keepAside();
    void follow(Change change);

    Session& m_session;
    std::string m_copy;
    QTimer m_timer;
    QThreadPool m_writer;
};

} // namespace up::app
