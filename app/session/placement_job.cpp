// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/placement_job.hpp"

namespace up::app {

PlacementJob::PlacementJob(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&session, &Session::changed, this, [this](Change change) {
        if (change != Change::file) m_upkeep.refresh();
    });
}

void PlacementJob::start() {
    const auto* block = m_session.block();
    if (!block || m_session.view() != View::lay) return;
    const auto question = m_session.derived().placementQuestion();
    if (!question) return; // it is known
    m_upkeep.find(
        [question = *question] { return std::make_shared<const Placements>(placementsOf(question)); },
        [this](const std::shared_ptr<const Placements>& answer) {
            m_session.derived().setPlacements(answer);
            emit found();
        });
}

} // namespace up::app
