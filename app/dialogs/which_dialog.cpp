// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/which_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/true_picture.hpp"
#include "app/session/aside.hpp"
#include "core/plan/block/block_plan.hpp"
#include "words/sentences.hpp"
#include "words/which_words.hpp"

#include <QCheckBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

namespace up::app {
namespace {
constexpr std::size_t mostListed = 60, mostCompared = 6;

/// Those of the block as they lie in it.
std::vector<plan::Candidate> allOf(const quilt::Quilt& quilt, BlockId id) {
    std::vector<plan::Candidate> out;
    const auto* block = quilt::find(quilt.blocks, id);
    if (!block) return out;
    for (const auto& piece : block->pieces) {
        const auto box = boundsOf(quilt::placed(piece));
        out.push_back({id, piece.id, 0, piece.place.turn, false, box.width(), box.height()});
        if (out.size() == mostListed) break;
    }
    return out;
}
} // namespace

WhichDialog::WhichDialog(const quilt::Quilt& quilt, BlockId block, QWidget* parent)
    : Form(tr("Which piece is this?"), parent), m_quilt(quilt), m_block(block),
      m_width(named(new QLineEdit(this), "which.width")),
      m_height(named(new QLineEdit(this), "which.height")),
      m_list(named(new QListWidget(this), "which.list")),
      m_picture(named(new TruePicture(this), "which.picture")), m_about(new QLabel(this)) {
    auto* row = new QHBoxLayout(this);
    auto* side = new QWidget(this);
    side->setFixedWidth(380);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    auto* ask = new QLabel(tr("Measure the piece as it lies, either way up:"), side);
    ask->setWordWrap(true);
    column->addWidget(ask);
    auto* sides = new QHBoxLayout;
    m_width->setPlaceholderText(tr("across, 2 1/4"));
    m_height->setPlaceholderText(tr("up, 3"));
    sides->addWidget(m_width);
    sides->addWidget(new QLabel("×", side));
    sides->addWidget(m_height);
    column->addLayout(sides);
    m_about->setWordWrap(true);
    m_list->setWordWrap(true);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_list->setIconSize({22, 22});
    column->addWidget(m_list, 1);
    column->addWidget(m_about);
    row->addWidget(side);
    row->addWidget(m_picture, 1);
    resize(960, 620);
    watch({m_width, m_height});
    connect(m_list, &QListWidget::currentRowChanged, this, &WhichDialog::showCurrent);
    connect(m_picture, &TruePicture::resized, this, &WhichDialog::showCurrent);
    addFoot(*column, tr("It is this one"), "which.choose");
}

Result<void> WhichDialog::read() {
    for (auto [field, side] : {std::pair{m_width, &m_wide}, std::pair{m_height, &m_high}}) {
        *side = 0;
        const auto text = field->text().trimmed().toStdString();
        if (text.empty()) continue;
        const auto length = measure::readLength(text, m_quilt.units);
        if (!length) return tl::unexpected(length.error());
        *side = length->mm();
    }
    return {};
}

void WhichDialog::follow(bool) {
    rank();
}

/// Both sides typed: by how well they fit. Before that: all pieces of this block, to click through.
void WhichDialog::rank() {
    const double width = m_wide, height = m_high;
    if (width <= 0 || height <= 0) {
        m_newest.drop();
        return fill({allOf(m_quilt, m_block), {}});
    }
    acceptButton()->setEnabled(false);
    m_newest.ask(
        [quilt = m_quilt, block = m_block, width, height] {
            Ranking out{plan::whichPiece(quilt, block, width, height), {}};
            if (out.candidates.size() > mostListed) out.candidates.resize(mostListed);
            std::vector<plan::Candidate> compared;
            for (const auto& candidate : out.candidates)
                if (candidate.fits && compared.size() < mostCompared) compared.push_back(candidate);
            out.facts = plan::tellApart(quilt, compared);
            return out;
        },
        [this](const Ranking& ranking) { fill(ranking); });
}

void WhichDialog::fill(const Ranking& ranking) {
    m_candidates = ranking.candidates;
    const auto& facts = ranking.facts;
    m_list->clear();
    for (std::size_t i = 0; i < m_candidates.size(); ++i) {
        const auto& candidate = m_candidates[i];
        const auto* block = quilt::find(m_quilt.blocks, candidate.block);
        const auto* piece = quilt::find(block->pieces, candidate.piece);
        QString text = q(quilt::calledOf(*block, *piece));
        if (candidate.block != m_block) text = tr("%1 of %2").arg(text, q(block->name));
        if (!facts.empty() || candidate.off > 0)
            text += "  —  " + q(words::fitWords(candidate, m_quilt.units));
        if (i < facts.size() && !facts[i].empty()) text += "\n" + q(words::factsWords(facts[i]));
        auto* item = new QListWidgetItem(text, m_list);
        const auto* fabric = quilt::find(m_quilt.fabrics, piece->fabric);
        QPixmap swatch(22, 22);
        swatch.fill(fabric ? look::q(fabric->colour) : look::q(look::webPaper));
        item->setIcon(swatch);
    }
    acceptButton()->setEnabled(!m_candidates.empty() && trouble().isEmpty());
    m_list->setCurrentRow(m_candidates.empty() ? -1 : 0);
    showCurrent();
}

plan::Candidate WhichDialog::answer() const {
    const auto row = static_cast<std::size_t>(std::max(0, m_list->currentRow()));
    return row < m_candidates.size() ? m_candidates[row] : plan::Candidate{};
}

void WhichDialog::showCurrent() {
    const auto chosen = answer();
    const auto* block = quilt::find(m_quilt.blocks, chosen.block);
    const auto* piece = block ? quilt::find(block->pieces, chosen.piece) : nullptr;
    if (!piece) return m_about->setText(tr("No pieces yet."));
    const auto* fabric = quilt::find(m_quilt.fabrics, piece->fabric);
    m_picture->show(*piece, chosen.turn, fabric ? look::q(fabric->colour) : look::q(look::webPaper), false);
    const auto size = measure::saySize(measure::Length::ofMm(chosen.width),
                                       measure::Length::ofMm(chosen.height), m_quilt.units);
    const double reduction = m_picture->reduction();
    m_about->setText(tr("%1, fabric side up%2. Each square of the grid is one inch.")
                         .arg(q(size), reduction <= 1
                                           ? tr(", at true size if your screen knows its own")
                                           : tr(", %1 times smaller than it is").arg(reduction, 0, 'f', 1)));
}

} // namespace up::app
