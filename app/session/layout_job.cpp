// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/layout_job.hpp"

#include <QtConcurrentRun>

namespace up::app {

LayoutJob::LayoutJob(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&m_watcher, &QFutureWatcherBase::finished, this, &LayoutJob::finish);
    m_tick.setInterval(200);
    connect(&m_tick, &QTimer::timeout, this, [this] {
        const double done = static_cast<double>(m_since.elapsed()) / 1000 / m_seconds;
        emit progressed(std::min(99, static_cast<int>(done * 100)));
    });
}

LayoutJob::~LayoutJob() {
    stop();
    m_watcher.waitForFinished();
}

void LayoutJob::start(const plan::TraceOptions& options) {
    const auto* block = m_session.block();
    if (m_running || !block) return;
    m_block = *block;
    m_control = std::make_shared<up::Job>();
    m_running = true;
    m_seconds = std::max(0.1, options.seconds);
    m_since.start();
    m_tick.start();
    emit runningChanged(true);
    m_watcher.setFuture(
        QtConcurrent::run([quilt = m_session.quilt(), owner = m_block, options, control = m_control] {
            return std::make_shared<Result<quilt::Layout>>(plan::layOut(quilt, owner, options, *control));
        }));
}

void LayoutJob::stop() {
    if (m_control) m_control->stop();
}

void LayoutJob::finish() {
    m_running = false;
    m_tick.stop();
    const auto found = m_watcher.result();
    const auto* block = find(m_session.quilt().blocks, m_block.id);
    if (!*found) {
        m_session.complain(found->error());
    } else if (block && block->pieces == m_block.pieces && block->web == m_block.web) {
        m_session.apply(edit::setLayout(m_session.quilt(), m_block.id, std::move(**found), m_session.now()),
                        "lay out");
    } else {
        emit m_session.trouble("The block changed meanwhile; lay it out again.");
    }
    emit runningChanged(false);
}

} // namespace up::app
