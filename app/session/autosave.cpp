// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/autosave.hpp"

#include "core/store/recovery.hpp"

namespace up::app {

Autosave::Autosave(Session& session, const QString& folder, int delay, QObject* parent)
    : QObject(parent), m_session(session), m_copy(store::recoveryPath(folder.toStdString())) {
    m_writer.setMaxThreadCount(1);
    m_timer.setSingleShot(true);
    m_timer.setInterval(delay);
    connect(&m_timer, &QTimer::timeout, this, &Autosave::keepAside);
    connect(&m_session, &Session::changed, this, &Autosave::follow);
}

Autosave::~Autosave() {
    m_writer.waitForDone();
    store::dropRecovery(m_copy);
}

void Autosave::keepNow() {
    m_writer.waitForDone();
    (void)store::keepRecovery(m_copy, m_session.path().toStdString(), m_session.quilt());
}

void Autosave::keepAside() {
    if (!m_session.isDirty()) return;
    m_writer.start([copy = m_copy, file = m_session.path().toStdString(), quilt = m_session.quilt()] {
        (void)store::keepRecovery(copy, file, quilt);
    });
}

void Autosave::follow(Change change) {
    if (change == Change::quilt && m_session.isDirty() && !m_timer.isActive()) m_timer.start();
    if (change != Change::file || m_session.isDirty()) return;
    m_timer.stop();
    m_writer.waitForDone();
    store::dropRecovery(m_copy);
}

} // namespace up::app
