// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/mending.hpp"

namespace up::app {

Mending::Mending(Session& session, QObject* parent) : QObject(parent), m_session(session) {
    connect(&m_errand, &Errand::stopped, this, [this] { emit told("Stopped; nothing has been changed."); });
}

void Mending::start(const QString& what, Remedy remedy, Saying then) {
    const auto of = m_session.blockId();
    const auto before = m_session.quilt();
    m_errand.start(
        what.left(1).toUpper() + what.mid(1),
        [before, of, remedy = std::move(remedy)](const std::shared_ptr<Job>&) {
            Mended out{remedy(before), nullptr};
            const auto* block = out.quilt ? quilt::find(out.quilt->blocks, of) : nullptr;
            if (block) out.plan = std::make_shared<const plan::BlockPlan>(plan::planBlock(*block));
            return out;
        },
        [this, before, of, what, then = std::move(then)](const Mended& mended) {
            finish(mended, before, of, what, then);
        });
}

void Mending::finish(const Mended& mended, const quilt::Quilt& before, BlockId of, const QString& what,
                     const Saying& then) {
    if (!(m_session.quilt() == before))
        return emit told("The quilt has changed meanwhile, so nothing was done. Ask for it again.");
    if (mended.plan && of == m_session.blockId()) m_session.derived().foresee(mended.plan);
    if (!m_session.apply(mended.quilt, what) || !then) return;
    if (const auto sentence = then(before); !sentence.empty()) emit told(QString::fromStdString(sentence));
}

} // namespace up::app
