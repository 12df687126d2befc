// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/press_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/commands/traced_outline.hpp"
#include "app/look/text.hpp"
#include "core/edit/ironing.hpp"
#include "words/press_words.hpp"

#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

constexpr double leastStand = 0.5; // seconds: the iron was hardly down

/// That press, as it would be recorded, and what would be finished by it.
quilt::Pressed recordOf(const plan::PressStage& stage, const plan::PlannedPress& press, double seconds,
                        std::int64_t time) {
    return {time,           {press.under}, seconds,
            stage.fromBack, stage.unit,    stage.kind == plan::StageKind::again,
            press.heated};
}

/// It is the last of its stage, from the front; what lifted is done with where it is pressed once.
std::vector<PieceId> finishedBy(const plan::PressStage& stage, std::size_t press) {
    if (stage.kind == plan::StageKind::again) return stage.presses[press].pieces;
    if (!stage.fuses()) return {};
    for (std::size_t i = 0; i < stage.presses.size(); ++i)
        if (i != press && stage.presses[i].left > 0) return {};
    return stage.pieces;
}

} // namespace

PressCommands::PressCommands(Session& session, StashKeeper& stash, Asker& asker, Errand& reading,
                             QObject* parent)
    : QObject(parent), m_session(session), m_stash(stash), m_asker(asker), m_reading(reading) {
    connect(&m_clock, &PressClock::over, this, &PressCommands::record);
    connect(&m_session, &Session::opened, this, [this] { // what was pressed belongs to the quilt before
        m_running.reset();
        m_clock.stop();
    });
}

const quilt::Pressing* PressCommands::leaflet() const {
    const auto* block = m_session.block();
    const auto* web = block ? quilt::find(m_session.quilt().webs, block->web) : nullptr;
    if (!web || (m_session.view() != View::bond && m_session.view() != View::fuse)) return nullptr;
    return m_session.view() == View::bond ? &web->first : &web->final;
}

std::optional<PressCommands::Ahead> PressCommands::ahead() const {
    if (m_session.view() != View::fuse || !m_session.derived().pressing().isNewest()) return std::nullopt;
    const auto* plan = m_session.derived().pressing().get();
    const auto next = plan ? plan->next() : std::nullopt;
    if (!next) return std::nullopt;
    const auto& stage = plan->stages[next->first];
    const auto& press = stage.presses[next->second];
    return Ahead{m_session.blockId(), recordOf(stage, press, press.left, 0), finishedBy(stage, next->second),
                 press.left};
}

double PressCommands::seconds() const {
    if (const auto next = ahead()) return next->left;
    const auto* pressing = leaflet();
    return pressing ? pressing->seconds : 0;
}

void PressCommands::startOrPause() {
    if (m_clock.isRunning()) {
        const double stood = m_clock.stop();
        if (m_running) m_running->finished.clear(); // the rest is still to come
        return record(stood);
    }
    if (!leaflet() && !ahead()) return; // without a web there is no leaflet, but the plan has its seconds
    if (m_session.next().what == plan::What::findPresses ||
        (m_session.view() == View::fuse && !m_session.derived().pressing().isNewest()))
        return; // a moment more
    m_running = ahead();
    m_clock.start(seconds());
}

void PressCommands::record(double seconds) {
    auto done = std::exchange(m_running, std::nullopt);
    if (!done || seconds < std::min(leastStand, done->left)) return;
    done->pressed.seconds = std::round(seconds * 10) / 10;
    done->pressed.time = m_session.now();
    m_session.apply(edit::press(m_session.quilt(), done->block, std::move(done->pressed), done->finished),
                    tr("press"));
}

void PressCommands::stageDone() {
    const auto* plan = m_session.derived().pressing().get();
    const auto next = plan && m_session.derived().pressing().isNewest() ? plan->next() : std::nullopt;
    if (!next) return m_session.complain(tr("Nothing is left to be pressed here."));
    if (m_clock.isRunning()) m_clock.stop(), m_running.reset();
    auto stage = plan->stages[next->first];
    edit::Edited out = m_session.quilt();
    for (std::size_t i = next->second; i < stage.presses.size() && out; ++i) {
        auto& press = stage.presses[i];
        if (press.left <= 0) continue;
        out = edit::press(*out, m_session.blockId(), recordOf(stage, press, press.left, m_session.now()),
                          finishedBy(stage, i));
        press.left = 0;
    }
    m_session.apply(std::move(out), tr("stage pressed"));
}

void PressCommands::edgeLifts() {
    if (!m_session.block()) return;
    const auto now = m_session.next();
    const auto* chosen = m_session.piece();
    const PieceId piece = now.test ? now.test->piece : chosen ? chosen->id : PieceId{};
    const auto* owner = piece ? quilt::find(m_session.block()->pieces, piece) : nullptr;
    if (!owner || owner->work.step != quilt::Step::fused)
        return m_session.complain(tr("Choose the piece that lifts: one that is fused and not tested yet."));
    m_session.apply(edit::edgeLifted(m_session.quilt(), m_session.blockId(), piece, m_session.now()),
                    tr("edge lifts"));
}

void PressCommands::setByLayers(bool byLayers) {
    m_session.apply(edit::setFusing(m_session.quilt(), m_session.blockId(),
                                    byLayers ? quilt::Fusing::byLayers : quilt::Fusing::atOnce),
                    byLayers ? tr("press layer by layer") : tr("press all at once"));
}

void PressCommands::useSoleplate(press::Soleplate soleplate) {
    if (soleplate == press::Soleplate::household) return useIron({});
    const auto name = words::soleplateName(soleplate);
    const shape::Rings outline{press::ironOf(soleplate).outline};
    for (const auto& iron : m_session.quilt().irons)
        if (iron.outline == outline) return useIron(iron.id);
    m_session.apply(edit::useIron(m_session.quilt(), quilt::Iron{{}, name, outline, {}}), tr("choose iron"));
}

void PressCommands::traceIron() {
    traceOutline(
        m_session, m_asker, m_reading, tr("A scan or drawing of the soleplate, drawn round on paper"),
        [this](const shape::Region& outline, const QString& stem) {
            const auto soleplate = press::soleplateFrom(outline);
            if (!soleplate) return m_session.complain(soleplate.error());
            const auto answer = m_asker.iron({stem.toStdString(), *soleplate, m_session.quilt().units});
            answered(
                m_session, tr("choose iron"), answer,
                [](const quilt::Quilt& quilt, const IronAnswer& iron, const std::string& key) {
                    return edit::useIron(quilt, quilt::Iron{{}, iron.name, {iron.outline}, {}, key});
                },
                answer ? m_stash.newKey() : std::string());
        });
}

void PressCommands::useIron(IronId iron) {
    m_session.apply(edit::useIron(m_session.quilt(), iron), tr("choose iron"));
}

} // namespace up::app
