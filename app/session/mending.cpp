// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/mending.hpp"

namespace up::app {

Mending::Mending(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&m_errand, &Errand::stopped, this,
            [this] { m_session.tell(QObject::tr("Stopped; nothing has been changed.")); });
}

void Mending::start(const QString& what, Remedy remedy, Saying then) {
    run({what, std::move(remedy), std::move(then), m_session.blockId()});
}

void Mending::run(Order order) {
    const auto block = order.block;
    if (block && !quilt::find(m_session.quilt().blocks, block))
        return m_session.tell(QObject::tr("The block that this was for is gone, so nothing was done."));
    const auto state = m_session.state();
    const auto what = order.what;
    const auto remedy = order.remedy; // the order goes along to the end
    m_errand.start(
        what.left(1).toUpper() + what.mid(1),
        [quilt = m_session.quilt(), block, remedy](const std::shared_ptr<Job>&) {
            Mended out{remedy(quilt), nullptr};
            const auto* owner = out.quilt ? quilt::find(std::as_const(*out.quilt).blocks, block) : nullptr;
            if (owner) out.plan = std::make_shared<const plan::BlockPlan>(plan::planBlock(*owner));
            return out;
        },
        [this, state, block, order = std::move(order)](const Mended& mended) {
            finish(mended, state, block, order);
        });
}

void Mending::finish(const Mended& mended, std::uint64_t state, BlockId block, const Order& order) {
    constexpr int mostTries = 5; // somebody who edits without a pause
    if (m_session.state() != state) {
        if (order.tries >= mostTries)
            return m_session.tell(
                QObject::tr("The quilt keeps changing, so nothing was done. Ask for it again."));
        auto again = order;
        ++again.tries;
        return run(std::move(again));
    }
    if (mended.plan && block == m_session.blockId()) m_session.derived().foresee(mended.plan);
    const auto before = m_session.quilt();
    if (!m_session.apply(mended.quilt, order.what) || !order.then) return;
    if (const auto sentence = order.then(before, m_session.quilt()); !sentence.empty())
        m_session.tell(QString::fromStdString(sentence));
}

} // namespace up::app
