// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/stash_keeper.hpp"

#include "app/session/aside.hpp"

#include <QUuid>
#include <algorithm>

namespace up::app {

using quilt::Stash;

namespace {

std::string unique() {
    return QUuid::createUuid().toString(QUuid::WithoutBraces).toStdString();
}

} // namespace

StashKeeper::StashKeeper(Session& session, const QString& folder, int delay, QObject* parent)
    : QObject(parent), m_session(session), m_place(folder.toStdString()) {
    m_timer.setSingleShot(true);
    m_timer.setInterval(delay);
    connect(&m_timer, &QTimer::timeout, this, &StashKeeper::exchange);
    m_session.setLuggage(
        {[this](quilt::Quilt quilt) { return quilt::carried(std::move(quilt), m_seen.id); },
         [this](quilt::Quilt quilt) { // nothing of the stash is missing because a file left it out
             return m_seen.id.empty() ? quilt : quilt::withStash(std::move(quilt), m_mine);
         }});
    connect(&m_session, &Session::changed, this, &StashKeeper::follow);
    connect(&m_session, &Session::opened, this, &StashKeeper::begin);
    connect(&m_session, &Session::discarded, this, &StashKeeper::discard);
    begin();
}

StashKeeper::~StashKeeper() {
    flush();
    m_session.setLuggage({});
}

void StashKeeper::flush() {
    jobs::finish(Pool::copies);
    const auto ran = std::exchange(m_running, nullptr);
    if (!ran && !m_timer.isActive()) return;
    m_timer.stop();
    if (!m_usable || m_seen.id.empty()) return;
    if (ran && ran->now) { // what it has written is not written twice
        m_mine = quilt::merged(ran->mine, m_mine, *ran->now);
        m_seen = *ran->now;
    }
    if (auto now = m_place.exchange(m_seen, m_mine)) m_mine = m_seen = std::move(*now);
}

/// Another quilt is open: it gets the cloth that is there.
void StashKeeper::begin() {
    flush();
    if (!m_usable) return;
    if (m_place.isThere()) {
        auto read = m_place.read();
        if (!read) return complainOnce(read.error());
        m_seen = std::move(*read);
    }
    if (!m_seen.id.empty()) bringIn(quilt::stashOf(m_session.quilt(), m_seen.id), m_seen);
    m_mine = m_clean = quilt::stashOf(m_session.quilt(), m_seen.id);
}

void StashKeeper::complainOnce(const Error& error) {
    m_usable = false;
    if (std::exchange(m_said, true)) return;
    QTimer::singleShot(0, this,
                       [this, error] { m_session.complain(error); }); // the window may be still to come
}

std::string StashKeeper::newKey() {
    if (m_seen.id.empty() && m_usable) {
        Stash fresh;
        fresh.id = unique();
        auto written = m_place.exchange({}, fresh);
        if (written)
            m_seen = std::move(*written);
        else
            complainOnce(written.error());
    }
    return m_usable ? m_seen.id + "/" + unique() : "";
}

void StashKeeper::follow() {
    if (!m_usable || m_seen.id.empty()) return;
    m_mine = quilt::stashOf(m_session.quilt(), m_seen.id);
    if (!m_session.isDirty()) m_clean = m_mine;
    if (!quilt::holdTheSame(m_mine, m_seen) && !m_timer.isActive() && !m_running) m_timer.start();
}

void StashKeeper::exchange() {
    if (!m_usable || m_seen.id.empty() || m_running) return;
    m_running = std::make_shared<Running>(Running{m_mine, std::nullopt});
    aside(
        this,
        [place = m_place, seen = m_seen, running = m_running] {
            auto now = place.exchange(seen, running->mine);
            if (now) running->now = *now;
            return now;
        },
        [this, running = m_running](const Result<Stash>& now) {
            if (running != m_running) return;
            m_running.reset();
            if (!now) return complainOnce(now.error());
            m_seen = *now;
            bringIn(running->mine, m_seen);
            follow();
        },
        Pool::copies);
}

void StashKeeper::look() {
    if (!m_usable) return;
    if (m_seen.id.empty() && m_place.isThere()) return begin();
    if (m_seen.id.empty()) return;
    if (!m_place.isThere()) {
        if (!std::exchange(m_said, true))
            m_session.complain(
                QObject::tr("The stash file %1 is not there any more. Put it back, or go on: what this quilt "
                            "has seen of it is written anew with the next change.")
                    .arg(QString::fromStdString(m_place.path())));
        return;
    }
    exchange();
}

/// What others have done since becomes part of all steps that can be gone back to.
void StashKeeper::bringIn(const Stash& mine, const Stash& all) {
    if (quilt::holdTheSame(mine, all)) return;
    m_session.rebase([&](const quilt::Quilt& quilt) {
        return quilt::withStash(quilt, quilt::merged(mine, quilt::stashOf(quilt, all.id), all));
    });
}

void StashKeeper::discard() {
    flush();
    if (!m_usable || m_seen.id.empty()) return;
    if (auto now = m_place.read()) m_seen = std::move(*now);
    const auto undone = quilt::uncut(m_clean, m_mine); // what was put in by hand stays in
    if (auto now = m_place.exchange(m_mine, undone); !now) complainOnce(now.error());
}

} // namespace up::app
