// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/plan_job.hpp"

namespace up::app {

PlanJob::PlanJob(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&session, &Session::changed, this, [this](Change change) {
        if (change != Change::file) m_upkeep.refresh();
    });
}

void PlanJob::start() {
    const auto* block = m_session.block();
    if (!block) return;
    auto& derived = m_session.derived();
    if (m_session.view() == View::fuse && !derived.pressing().isNewest()) findPressing(*block);
    if (m_session.view() != View::stitch) return;
    const auto* found = derived.stitching().get();
    if (!derived.stitching().isNewest() || (found && found->quick)) return findStitching(*block);
    if (!derived.stitchHints().isNewest() && derived.stitching().get()) findHints(*block);
}

void PlanJob::findPressing(const quilt::Block& block) {
    m_upkeep.find(
        [quilt = m_session.quilt(), id = block.id, plan = m_session.derived().sharedBlock(),
         before = m_session.derived().pressing().shared()] {
            const plan::PressOptions options{plan::ironOf(quilt), press::usualOverlap, true};
            return plan::planPressing(quilt, the(quilt.blocks, id), *plan, options, before.get());
        },
        [this, state = m_session.state(), id = block.id](const Result<plan::PressPlan>& found) {
            if (state != m_session.state() || id != m_session.blockId()) return; // asked again by then
            if (!found && found.error().code != Code::nothingToDo) m_session.complain(found.error());
            m_session.foundPressing(
                std::make_shared<const plan::PressPlan>(found.value_or(plan::PressPlan{})));
        });
}

/// After a change a good plan at once, then the best.
void PlanJob::findStitching(const quilt::Block& block) {
    const auto known = m_session.derived().stitching().shared();
    const bool isNewest = m_session.derived().stitching().isNewest();
    m_upkeep.find(
        [block, plan = m_session.derived().sharedBlock(), on = m_session.quilt().machine.thread,
         before = isNewest ? nullptr : known] {
            return plan::planStitching(block, *plan, {before.get(), on, before != nullptr});
        },
        [this, state = m_session.state(), id = block.id, known](const plan::StitchPlan& found) {
            if (state == m_session.state() && id == m_session.blockId() &&
                m_session.derived().stitching().shared() == known)
                m_session.foundStitching(std::make_shared<const plan::StitchPlan>(found));
        });
}

void PlanJob::findHints(const quilt::Block& block) {
    m_upkeep.find(
        [quilt = m_session.quilt(), id = block.id, plan = m_session.derived().sharedBlock(),
         stitching = m_session.derived().stitching().shared()] {
            return plan::hintsFor(quilt, the(quilt.blocks, id), *plan, *stitching);
        },
        [this, state = m_session.state(), id = block.id](const plan::StitchHints& found) {
            if (state == m_session.state() && id == m_session.blockId())
                m_session.foundStitchHints(std::make_shared<const plan::StitchHints>(found));
        });
}

} // namespace up::app
