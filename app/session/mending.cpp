// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/mending.hpp"

namespace up::app {

Mending::Mending(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&session, &Session::changed, this, [this](Change change) {
        if (change == Change::quilt) m_stale = true;
    });
    connect(&m_errand, &Errand::stopped, this, [this] { emit told("Stopped; nothing has been changed."); });
}

void Mending::start(const QString& what, Remedy remedy, Saying then) {
    m_stale = false;
    m_errand.start(
        what.left(1).toUpper() + what.mid(1),
        [quilt = m_session.quilt(), remedy = std::move(remedy)](const std::shared_ptr<Job>&) {
            return remedy(quilt);
        },
        [this, what, then = std::move(then)](const edit::Edited& mended) { finish(mended, what, then); });
}

void Mending::finish(const edit::Edited& mended, const QString& what, const Saying& then) {
    if (m_stale) return emit told("The quilt has changed meanwhile, so nothing was done. Ask for it again.");
    const auto before = m_session.quilt();
    if (!m_session.apply(mended, what) || !then) return;
    if (const auto sentence = then(before); !sentence.empty()) emit told(QString::fromStdString(sentence));
}

} // namespace up::app
