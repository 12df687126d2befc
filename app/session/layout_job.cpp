// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/layout_job.hpp"

#include "app/session/aside.hpp"
#include "core/plan/trace/web_left.hpp"

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
    m_tick.setInterval(200);
    connect(&m_tick, &QTimer::timeout, this, [this] {
        const double done = static_cast<double>(m_since.elapsed()) / 1000 / std::max(0.1, m_options.seconds);
        emit progressed(std::min(99, static_cast<int>(done * 100)));
    });
}

LayoutJob::~LayoutJob() {
    stop();
    stopComparing();
}

void LayoutJob::start(const plan::TraceOptions& options) {
    const auto* block = m_session.block();
    if (m_running || !block) return;
    stopComparing(); // both cores for this
    m_laid = {m_session.quilt(), block->id, m_session.state()};
    m_control = std::make_shared<up::Job>();
    m_running = true;
    m_options = options;
    m_since.start();
    m_tick.start();
    emit runningChanged(true);
    aside(
        this,
        [of = m_laid, options, control = m_control] {
            const auto& block = the(of.quilt.blocks, of.block);
            auto layout = plan::layOut(of.quilt, block, options, *control);
            auto plan = layout ? plan::planTrace(of.quilt, block, *layout) : plan::TracePlan{};
            return Laid(std::move(layout), std::move(plan));
        },
        [this](const Laid& found) { finish(found); }, Pool::layouts);
}

void LayoutJob::stop() {
    if (m_control) m_control->stop();
}

/// Pieces, fabrics' ways, the web and all that is left of it; where the block's own pieces lie does not
/// matter.
bool LayoutJob::isAsItWas(const Asked& was) const {
    if (m_session.state() == was.state) return true;
    const auto& now = m_session.quilt();
    const auto* block = find(now.blocks, was.block);
    const auto* then = find(was.quilt.blocks, was.block);
    if (!block || block->pieces != then->pieces || block->web != then->web) return false;
    const auto reserved = [&](const quilt::Quilt& quilt) {
        return plan::reservedBy(quilt, block->web, block->id);
    };
    return now.webs == was.quilt.webs && now.offCuts == was.quilt.offCuts &&
           now.fabrics == was.quilt.fabrics && reserved(now) == reserved(was.quilt);
}

void LayoutJob::finish(const Laid& found) {
    const auto& [layout, plan] = found;
    m_running = false;
    m_tick.stop();
    const bool laid = layout && isAsItWas(m_laid);
    if (!layout) {
        m_session.complain(layout.error());
    } else if (laid) {
        if (m_session.blockId() == m_laid.block) m_session.derived().foresee(plan);
        m_session.apply(edit::setLayout(m_session.quilt(), m_laid.block, *layout, m_session.now()),
                        QObject::tr("lay out"));
    } else {
        m_session.complain(QObject::tr("The block changed meanwhile; lay it out again."));
    }
    emit runningChanged(false);
    if (laid && m_session.blockId() == m_laid.block && !m_control->stopped()) compare(m_options);
}

void LayoutJob::compare(const plan::TraceOptions& options) {
    const auto* block = m_session.block();
    if (m_running || m_comparing || !block) return;
    m_compared = {m_session.quilt(), block->id, m_session.state()};
    m_ways.reset();
    m_compareControl = std::make_shared<up::Job>();
    m_comparing = true;
    auto less = options;
    less.seconds = options.seconds / 2;
    emit waysChanged();
    aside(
        this,
        [of = m_compared, less, control = m_compareControl] {
            return waysOf(of.quilt, the(of.quilt.blocks, of.block), less, *control);
        },
        [this](const std::vector<Way>& ways) { finishComparing(ways); }, Pool::layouts);
}

void LayoutJob::stopComparing() {
    if (m_compareControl) m_compareControl->stop();
}

void LayoutJob::finishComparing(std::vector<Way> ways) {
    m_comparing = false;
    m_ways = std::make_shared<const std::vector<Way>>(std::move(ways));
    emit waysChanged();
}

std::shared_ptr<const std::vector<Way>> LayoutJob::ways() const {
    const auto* block = m_session.block();
    return block && block->id == m_compared.block && isAsItWas(m_compared) ? m_ways : nullptr;
}

} // namespace up::app
