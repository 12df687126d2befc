// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/autosave.hpp"

#include "app/session/aside.hpp"
#include "words/sentences.hpp"

#include <mutex>

namespace up::app {

/// The newest work, in the window's thread and in any that ends the program.
struct Autosave::Work {
    std::mutex mutex;
    std::string file;
    quilt::Quilt quilt;
    std::uint64_t state = 0;
    bool isSafe = true; ///< saved, or nothing yet
};

Autosave::Autosave(Session& session, const QString& folder, int delay, QObject* parent)
    : QObject(parent), m_session(session),
      m_copy(std::make_shared<store::RecoveryCopy>(folder.toStdString())), m_work(std::make_shared<Work>()) {
    m_timer.setSingleShot(true);
    m_timer.setInterval(delay);
    connect(&m_timer, &QTimer::timeout, this, &Autosave::keepAside);
    connect(&m_session, &Session::changed, this, &Autosave::follow);
}

Autosave::~Autosave() {
    jobs::finish(Pool::copies);
    m_copy->drop();
}

void Autosave::takeUp(store::LeftWork work) {
    jobs::finish(Pool::copies);
    m_copy->drop();
    m_copy = std::make_shared<store::RecoveryCopy>(std::move(work.copy));
    m_session.recover(std::move(work.quilt), QString::fromStdString(work.file));
    m_kept = m_session.state();
}

void Autosave::keepNow() {
    const std::unique_lock lock(m_work->mutex, std::try_to_lock);
    if (lock && !m_work->isSafe) (void)m_copy->keep(m_work->file, m_work->quilt);
}

void Autosave::keepAside() {
    if (!m_session.isDirty() || m_kept == m_session.state()) return;
    m_kept = m_session.state();
    aside(
        this,
        [copy = m_copy, file = m_session.path().toStdString(), quilt = m_session.quilt()] {
            return copy->keep(file, quilt);
        },
        [this](const Result<void>& kept) {
            if (kept || std::exchange(m_said, true)) return;
            m_session.complain(QObject::tr("No copy of unsaved work can be kept, so save often. %1")
                                   .arg(QString::fromStdString(words::sentence(kept.error()))));
        },
        Pool::copies);
}

void Autosave::follow() {
    const bool dirty = m_session.isDirty();
    {
        const std::scoped_lock lock(m_work->mutex);
        m_work->file = m_session.path().toStdString();
        if (std::exchange(m_work->state, m_session.state()) != m_session.state())
            m_work->quilt = m_session.quilt();
        m_work->isSafe = !dirty;
    }
    if (dirty) {
        if (m_kept != m_session.state() && !m_timer.isActive()) m_timer.start();
        return;
    }
    m_timer.stop();
    if (m_kept == 0) return;
    m_kept = 0;
    jobs::finish(Pool::copies);
    m_copy->drop();
}

} // namespace up::app
