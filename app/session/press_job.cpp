// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/press_job.hpp"

namespace up::app {

PressJob::PressJob(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&session, &Session::changed, this, [this](Change change) {
        if (change != Change::file) m_upkeep.refresh();
    });
}

void PressJob::start() {
    const auto* block = m_session.block();
    if (!block || m_session.view() != View::fuse || m_session.derived().knowsPressing()) return;
    m_upkeep.find(
        [quilt = m_session.quilt(), id = block->id, plan = m_session.derived().sharedBlock(),
         before = m_session.derived().pressing()] {
            const plan::PressOptions options{plan::ironOf(quilt), press::usualOverlap, true};
            return plan::planPressing(quilt, the(quilt.blocks, id), *plan, options, before.get());
        },
        [this, state = m_session.state(), id = block->id](const Result<plan::PressPlan>& found) {
            if (state != m_session.state() || id != m_session.blockId()) return; // asked again by then
            if (!found && found.error().code != Code::nothingToDo) m_session.complain(found.error());
            m_session.foundPressing(
                std::make_shared<const plan::PressPlan>(found.value_or(plan::PressPlan{})));
        });
}

} // namespace up::app
