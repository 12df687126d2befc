// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/piece_card.hpp"

#include "app/look/text.hpp"
#include "core/edit/saying.hpp"

#include "app/look/flow.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/wrap_label.hpp"
#include "app/views/pieces.hpp"
#include "words/line_words.hpp"
#include "words/sentences.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPixmap>
#include <QPushButton>
#include <QSignalBlocker>
#include <QVBoxLayout>

namespace up::app {

PieceCard::PieceCard(Session& session, Asker& asker, QWidget* parent)
    : QFrame(parent), m_session(session), m_asker(asker), m_title(new WrapLabel("title", this)),
      m_name(named(new QLineEdit(this), "piece.name")), m_fabric(named(new QComboBox(this), "piece.fabric")),
      m_runsOff(named(new QCheckBox(tr("Runs off the block"), this), "piece.runsOff")),
      m_step(named(new QPushButton(this), "piece.step")),
      m_up(named(new QPushButton(tr("Up ]"), this), "piece.up")),
      m_down(named(new QPushButton(tr("Down ["), this), "piece.down")),
      m_ruined(named(new QPushButton(tr("Ruined…"), this), "piece.ruined")) {
    setProperty("card", true);
    auto* column = new QVBoxLayout(this);
    column->setSpacing(5);
    const auto beside = [&](std::initializer_list<QWidget*> buttons) {
        auto* row = new Flow(nullptr, 5);
        for (auto* button : buttons)
            row->addWidget(button);
        column->addLayout(row);
    };
    for (QWidget* part : std::initializer_list<QWidget*>{m_title, m_name, m_fabric})
        column->addWidget(part);
    beside({m_down, m_up});
    column->addWidget(m_runsOff);
    beside({m_step, m_ruined});
    connect(m_name, &QLineEdit::editingFinished, this, [this] {
        const auto* piece = m_session.piece();
        const auto name = m_name->text().trimmed().toStdString();
        if (piece && !name.empty() && name != piece->name)
            edited(edit::renamePiece(m_session.quilt(), m_session.blockId(), piece->id, name),
                   tr("rename piece"));
    });
    connect(m_fabric, &QComboBox::activated, this, [this](int row) {
        const FabricId fabric{m_fabric->itemData(row).toUInt()};
        toAll([&](const quilt::Quilt& quilt,
                  PieceId piece) { return edit::setFabric(quilt, m_session.blockId(), piece, fabric); },
              tr("change fabric"));
    });
    connect(m_runsOff, &QCheckBox::clicked, this, [this](bool on) {
        toAll(
            [&](const quilt::Quilt& quilt, PieceId piece) {
                return edit::set(quilt, m_session.blockId(), {piece}, &quilt::Piece::runsOff, on);
            },
            tr("run off the block"));
    });
    const auto restack = [this](int by) {
        if (const auto* piece = m_session.piece())
            edited(edit::restack(m_session.quilt(), m_session.blockId(), piece->id, by), tr("restack"));
    };
    connect(m_up, &QPushButton::clicked, this, [restack] { restack(1); });
    connect(m_down, &QPushButton::clicked, this, [restack] { restack(-1); });
    connect(m_step, &QPushButton::clicked, this, [this] {
        const auto* piece = m_session.piece();
        const auto next = piece ? piece->next() : std::nullopt;
        if (next) emit stepWanted(piece->id, *next);
    });
    connect(m_ruined, &QPushButton::clicked, this, &PieceCard::ruin);
    connect(&m_session, &Session::changed, this, &PieceCard::refresh);
    refresh();
}

void PieceCard::edited(edit::Edited next, const QString& what) {
    m_session.apply(std::move(next), what);
}

/// One step for all that are chosen.
void PieceCard::toAll(const std::function<edit::Edited(const quilt::Quilt&, PieceId)>& change,
                      const QString& what) {
    edit::Edited out = m_session.quilt();
    for (const PieceId piece : m_session.chosen())
        out = out.and_then([&](const quilt::Quilt& quilt) { return change(quilt, piece); });
    edited(std::move(out), what);
}

void PieceCard::ruin() {
    const auto* piece = m_session.piece();
    if (!piece) return;
    const PieceId id = piece->id;
    const BlockId block = m_session.blockId();
    const auto why =
        m_asker.choice(tr("Ruined"), tr("What happened to %1?").arg(q(piece->name)),
                       {tr("bonded to the right side"), tr("traced without reversing"), tr("heated too long"),
                        tr("cut wrong"), tr("lost"), tr("stripes ran the wrong way")});
    if (why)
        edited(edit::ruin(m_session.quilt(), block, id, why->toStdString(), m_session.now()),
               tr("ruined piece"));
}

void PieceCard::refresh() {
    const auto* piece = m_session.piece();
    for (QWidget* part :
         {static_cast<QWidget*>(m_name), static_cast<QWidget*>(m_fabric), static_cast<QWidget*>(m_runsOff),
          static_cast<QWidget*>(m_step), static_cast<QWidget*>(m_up), static_cast<QWidget*>(m_down),
          static_cast<QWidget*>(m_ruined)})
        part->setVisible(piece != nullptr);
    if (const auto* line = m_session.line()) {
        m_title->setText(
            tr("Line “%1”: %2").arg(q(line->name), q(words::lineHowWords(m_session.quilt(), *line))));
        return;
    }
    if (!piece) {
        m_title->setText(m_session.block() && !m_session.block()->pieces.empty()
                             ? tr("Click a piece to change it.")
                             : tr("No piece chosen."));
        return;
    }
    const QSignalBlocker quietName(m_name), quietFabric(m_fabric), quietRuns(m_runsOff);
    m_title->setText(tr("Piece %1: %2")
                         .arg(q(quilt::labelOf(*m_session.block(), piece->id)))
                         .arg(q(sizeOf(m_session.quilt(), boundsOf(*piece->outline)))));
    if (const auto count = m_session.chosen().size(); count > 1)
        m_title->setText(
            tr("%1 chosen, the last: %2").arg(count).arg(q(quilt::labelOf(*m_session.block(), piece->id))));
    m_title->setToolTip(q(words::state(piece->work.step)));
    if (!m_name->hasFocus() || m_name->text().isEmpty() || !m_name->isModified())
        m_name->setText(q(piece->name));
    m_fabric->clear();
    for (const auto& fabric : m_session.quilt().fabrics) {
        QPixmap swatch(16, 16);
        swatch.fill(look::q(fabric.colour));
        m_fabric->addItem(swatch, q(fabric.name), fabric.id.value);
    }
    m_fabric->setCurrentIndex(m_fabric->findData(piece->fabric.value));
    m_runsOff->setChecked(piece->runsOff);
    const auto next = piece->next();
    m_step->setEnabled(next.has_value());
    m_step->setText(next ? q(words::asTask(*next)) : tr("Done"));
    m_ruined->setEnabled(piece->work.step != quilt::Step::toTrace);
}

} // namespace up::app
