// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/checker.hpp"

#include "core/plan/check/check_plan.hpp"

namespace up::app {

namespace {
constexpr int pause = 120; // ms
}

Checker::Checker(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&session, &Session::changed, this, [this](Change change) {
        if (change == Change::quilt || m_stitching != m_session.derived().stitching().shared())
            m_pause.start();
    });
    m_pause.setSingleShot(true);
    m_pause.setInterval(pause);
    connect(&m_pause, &QTimer::timeout, this, [this] { m_upkeep.refresh(); });
    m_upkeep.refresh();
}

void Checker::start() {
    const auto* block = m_session.block();
    if (!block) return finish({});
    m_stitching = m_session.derived().stitching().shared();
    m_upkeep.find(
        [quilt = m_session.quilt(), id = block->id, before = m_stack,
         stitching = m_session.derived().stitching().isNewest() ? m_stitching : nullptr] {
            const auto& owner = the(quilt.blocks, id);
            auto plan = plan::planBlock(owner, before ? &before->plan : nullptr);
            auto doubts = before && before->underlap == owner.underlap
                              ? plan::doubtsOf(owner, plan, &before->plan, &before->doubts)
                              : plan::doubtsOf(owner, plan);
            Answer answer;
            const auto judged =
                before ? std::optional<plan::JudgedBefore>({before->plan, before->edge, *before->judged})
                       : std::nullopt;
            answer.judged = std::make_shared<const plan::Judgement>(
                plan::judge(owner, plan, judged ? &*judged : nullptr));
            auto found = plan::checkBlock(quilt, owner, plan, *answer.judged, doubts, stitching.get());
            answer.rows = check::rowsOf(std::move(found.open));
            answer.left = found.left.size();
            answer.stack = std::make_shared<const Stacked>(
                Stacked{std::move(plan), std::move(doubts), owner.underlap, owner.edge, answer.judged});
            for (const auto& piece : owner.pieces)
                answer.pieces.push_back(piece.id);
            return answer;
        },
        [this](const Answer& answer) { finish(answer); });
}

void Checker::finish(const Answer& answer) {
    m_rows = answer.rows;
    m_left = answer.left;
    m_stack = answer.stack;
    m_session.derived().setJudgement(answer.judged, answer.pieces);
    if (!m_upkeep.isBusy()) emit checked();
}

} // namespace up::app
