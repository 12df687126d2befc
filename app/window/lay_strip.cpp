// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/lay_strip.hpp"

#include "app/commands/place_commands.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/plan/lay/roll_call.hpp"
#include "words/lay_words.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace up::app {

LayStrip::LayStrip(Session& session, PlaceCommands& places, QWidget* parent)
    : QFrame(parent), m_session(session), m_title(new QLabel(this)), m_says(new QLabel(this)),
      m_back(named(new QPushButton(tr("◀ Back"), this), "dry.back")),
      m_next(named(new QPushButton(tr("Next ▶"), this), "dry.next")),
      m_all(named(new QPushButton(tr("All here"), this), "count.all")),
      m_again(named(new QPushButton(tr("Cut the missing again"), this), "count.again")) {
    setProperty("card", true);
    setFixedHeight(sizeHint().height());
    m_title->setProperty("role", "title");
    m_says->setObjectName("lay.says");
    m_says->setWordWrap(true);
    m_says->setTextFormat(Qt::PlainText);
    m_says->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    m_back->setShortcut(QKeySequence(Qt::Key_PageUp));
    m_next->setShortcut(QKeySequence(Qt::Key_PageDown));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(12, 8, 12, 8);
    auto* top = new QHBoxLayout;
    top->addWidget(m_title, 1);
    for (auto* button : {m_back, m_next, m_all, m_again})
        top->addWidget(button);
    column->addLayout(top);
    column->addWidget(m_says, 1);
    connect(m_back, &QPushButton::clicked, this, [this] { go(m_session.placementShown() - 1); });
    connect(m_next, &QPushButton::clicked, this, [this] { go(m_session.placementShown() + 1); });
    connect(m_all, &QPushButton::clicked, &places, &PlaceCommands::tickAll);
    connect(m_again, &QPushButton::clicked, &places, &PlaceCommands::cutMissingAgain);
    connect(&session, &Session::changed, this, [this](Change change) {
        if (change != Change::file) refresh();
    });
    refresh();
}

void LayStrip::refresh() {
    const auto* block = m_session.block();
    const bool here = m_session.view() == View::lay && block && !block->pieces.empty();
    const bool steps = here && m_session.layMode() == LayMode::steps;
    const bool count = here && m_session.layMode() == LayMode::count;
    setVisible(steps || count);
    for (auto* button : {m_back, m_next})
        button->setVisible(steps);
    for (auto* button : {m_all, m_again})
        button->setVisible(count);
    if (steps) showStep();
    if (count) showCount();
}

void LayStrip::go(std::size_t step) {
    const auto placements = m_session.derived().placements();
    if (!placements) return;
    const auto dry = plan::dryLay(placements->steps);
    if (step >= dry.size()) return;
    const auto piece = m_session.block()->pieces[dry[step].piece].id;
    m_going = true; // the piece that was chosen before is not followed
    m_session.setPlacementShown(step);
    m_session.choosePiece(piece);
    m_going = false;
    m_seen = piece;
}

/// A piece chosen elsewhere is the one whose step is looked at.
void LayStrip::follow(const std::vector<plan::PlacementStep>& dry) {
    const auto& block = *m_session.block();
    const auto* piece = m_session.piece();
    if (m_going || !piece || piece->id == m_seen) return;
    m_seen = piece->id;
    const auto its = std::find_if(dry.begin(), dry.end(), [&](const plan::PlacementStep& step) {
        return !step.forAMoment && block.pieces[step.piece].id == piece->id;
    });
    if (its != dry.end()) m_session.setPlacementShown(static_cast<std::size_t>(its - dry.begin()));
}

void LayStrip::showStep() {
    const auto placements = m_session.derived().placements();
    if (!placements) {
        m_title->setText(tr("Step by step"));
        m_says->setText(tr("Working out where each piece goes…"));
        m_back->setEnabled(false), m_next->setEnabled(false);
        return;
    }
    const auto dry = plan::dryLay(placements->steps);
    follow(dry);
    const auto step = std::min(m_session.placementShown(), dry.empty() ? 0 : dry.size() - 1);
    m_back->setEnabled(step > 0), m_next->setEnabled(step + 1 < dry.size());
    if (dry.empty()) return;
    m_title->setText(tr("Laid dry: step %1 of %2").arg(step + 1).arg(dry.size()));
    m_says->setText(q(words::stepWords(*m_session.block(), dry[step], m_session.quilt().units)));
}

void LayStrip::showCount() {
    m_title->setText(tr("All there?"));
    const auto judged = m_session.derived().judgement();
    if (!judged) return m_says->setText(tr("Comparing the shapes…"));
    const auto call = plan::rollCall(*m_session.block(), *judged);
    m_says->setText(q(words::rollWords(*m_session.block(), call)) + " " +
                    tr("Click a piece on the mat when you have it in hand."));
    m_all->setEnabled(call.missing > 0);
    m_again->setEnabled(call.missing > 0 && call.here > 0); // before anything is counted nothing is lost
}

} // namespace up::app
