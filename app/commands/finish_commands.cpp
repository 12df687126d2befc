// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/finish_commands.hpp"

#include "app/commands/answered.hpp"
#include "core/edit/fitting.hpp"

namespace up::app {

FinishCommands::FinishCommands(Session& session, Asker& asker, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker) {}

void FinishCommands::trimmed() {
    m_session.apply(edit::setTrimmed(m_session.quilt(), m_session.blockId(), m_session.now()), tr("trim"));
}

void FinishCommands::stripSewn() {
    m_session.apply(edit::stripSewn(m_session.quilt(), m_session.blockId(), m_session.now()),
                    tr("strip sewn on"));
}

void FinishCommands::askFit() {
    const auto* block = m_session.block();
    if (!block) return;
    answered(
        m_session, tr("fit the block"), m_asker.fitting({m_session.quilt(), block->id}),
        [](const quilt::Quilt& quilt, const FittingAnswer& answer, BlockId of) {
            return edit::fit(quilt, of, answer);
        },
        block->id);
}

void FinishCommands::askSetting() {
    answered(m_session, tr("how the quilt is set"), m_asker.setting({m_session.quilt()}),
             [](const quilt::Quilt& quilt, const SettingAnswer& answer) {
                 return edit::setSetting(quilt, answer.setting, answer.sashing, answer.columns);
             });
}

} // namespace up::app
