// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/layout_job.hpp"

#include <QtConcurrentRun>
#include <algorithm>

namespace up::app {
namespace {

std::vector<Way> waysOf(const quilt::Quilt& quilt, const quilt::Block& block, plan::TraceOptions options,
                        up::Job& control) {
    std::vector<Way> out;
    for (const auto school : plan::schoolsFor(quilt, block)) {
        if (control.stopped()) break;
        options.school = school;
        auto layout = plan::layOut(quilt, block, options, control);
        if (!layout) break;
        auto plan = plan::planTrace(quilt, block, *layout);
        const auto cost = plan::costOf(plan, *layout);
        out.push_back({school, std::move(*layout), std::move(plan), cost});
    }
    return out;
}

} // namespace

LayoutJob::LayoutJob(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&m_watcher, &QFutureWatcherBase::finished, this, &LayoutJob::finish);
    connect(&m_compareWatcher, &QFutureWatcherBase::finished, this, &LayoutJob::finishComparing);
    m_tick.setInterval(200);
    connect(&m_tick, &QTimer::timeout, this, [this] {
        const double done = static_cast<double>(m_since.elapsed()) / 1000 / std::max(0.1, m_options.seconds);
        emit progressed(std::min(99, static_cast<int>(done * 100)));
    });
}

LayoutJob::~LayoutJob() {
    stop();
    stopComparing();
    m_watcher.waitForFinished();
    m_compareWatcher.waitForFinished();
}

void LayoutJob::start(const plan::TraceOptions& options) {
    const auto* block = m_session.block();
    if (m_running || !block) return;
    stopComparing(); // both cores for this
    m_block = *block;
    m_control = std::make_shared<up::Job>();
    m_running = true;
    m_options = options;
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

/// Pieces, fabrics' ways and web; where pieces lie on the sheets does not matter.
bool LayoutJob::isAsItWas(const quilt::Block& was) const {
    const auto* block = find(m_session.quilt().blocks, was.id);
    return block && block->pieces == was.pieces && block->web == was.web;
}

void LayoutJob::finish() {
    m_running = false;
    m_tick.stop();
    const auto found = m_watcher.result();
    const bool laid = *found && isAsItWas(m_block);
    if (!*found)
        m_session.complain(found->error());
    else if (laid)
        m_session.apply(edit::setLayout(m_session.quilt(), m_block.id, std::move(**found), m_session.now()),
                        "lay out");
    else
        emit m_session.trouble("The block changed meanwhile; lay it out again.");
    emit runningChanged(false);
    if (laid && m_session.blockId() == m_block.id && !m_control->stopped()) compare(m_options);
}

void LayoutJob::compare(const plan::TraceOptions& options) {
    const auto* block = m_session.block();
    if (m_running || m_comparing || !block) return;
    m_compared = *block;
    m_ways.clear();
    m_compareControl = std::make_shared<up::Job>();
    m_comparing = true;
    auto less = options;
    less.seconds = options.seconds / 2;
    emit waysChanged();
    m_compareWatcher.setFuture(
        QtConcurrent::run([quilt = m_session.quilt(), owner = m_compared, less, control = m_compareControl] {
            return std::make_shared<std::vector<Way>>(waysOf(quilt, owner, less, *control));
        }));
}

void LayoutJob::stopComparing() {
    if (m_compareControl) m_compareControl->stop();
}

void LayoutJob::finishComparing() {
    m_comparing = false;
    m_ways = std::move(*m_compareWatcher.result());
    emit waysChanged();
}

std::vector<Way> LayoutJob::ways() const {
    const auto* block = m_session.block();
    return block && block->id == m_compared.id && isAsItWas(m_compared) ? m_ways : std::vector<Way>{};
}

} // namespace up::app
