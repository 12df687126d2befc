// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/fastening_dialog.hpp"

#include "app/dialogs/choice.hpp"
#include "app/dialogs/parts.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/layer_picture.hpp"
#include "core/edit/joining.hpp"
#include "drawn/templates.hpp"
#include "words/join_words.hpp"

#include <QCheckBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>
#include <algorithm>

namespace up::app {
namespace {
constexpr int eachAsItIs = -1; // in the list of ways
}

FasteningDialog::FasteningDialog(FasteningQuestion question, QWidget* parent)
    : Form(tr("How %1 are joined").arg(q(question.of)), parent), m_question(std::move(question)),
      m_join(named(new QComboBox(this), "fastening.join")),
      m_behind(named(new QCheckBox(tr("cut away what lies behind"), this), "fastening.behind")),
      m_first(named(new QCheckBox(tr("quilt the background first"), this), "fastening.first")),
      m_about(new QLabel(this)), m_picture(named(new LayerPicture(this), "fastening.picture")) {
    const auto& block = the(m_question.quilt.blocks, m_question.block);
    const auto now = edit::joiningOf(the(block.pieces, m_question.pieces.back()));
    const bool differ = std::any_of(m_question.pieces.begin(), m_question.pieces.end(), [&](PieceId id) {
        return !(edit::joiningOf(the(block.pieces, id)) == now);
    });
    if (differ) m_join->addItem(tr("each as it is"), eachAsItIs);
    for (const auto join : every<quilt::Join>())
        m_join->addItem(q(words::joinName(join)), static_cast<int>(join));
    if (!differ) choose(*m_join, now.join);
    m_behind->setChecked(now.cutsBehind);
    m_first->setChecked(block.quilting != quilt::Quilting::after);
    auto* column = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    column->addLayout(row, 1);
    auto* left = new QVBoxLayout;
    row->addLayout(left, 1);
    auto* form = new QFormLayout;
    left->addLayout(form);
    form->addRow(tr("Joined"), m_join);
    form->addRow(tr("Once stitched"), m_behind);
    form->addRow(tr("The block"), m_first);
    m_about->setWordWrap(true);
    m_about->setAlignment(Qt::AlignTop);
    m_about->setTextFormat(Qt::PlainText);
    m_about->setObjectName("fastening.says");
    left->addWidget(m_about, 1);
    m_picture->setMinimumWidth(240);
    row->addWidget(m_picture, 1);
    watch({m_join, m_behind, m_first});
    resize(760, 460);
    addFoot(*column, tr("Join them so"), "fastening.set");
}

Result<void> FasteningDialog::read() {
    m_answer.how.reset();
    if (chosenIn<int>(*m_join) != eachAsItIs)
        m_answer.how = edit::Joining{chosenIn<quilt::Join>(*m_join), m_behind->isChecked()};
    m_answer.quiltedFirst = m_first->isChecked();
    if (auto known = joined(); !known) return tl::unexpected(known.error());
    return {};
}

edit::Edited FasteningDialog::joined() const {
    if (!m_answer.how) return m_question.quilt;
    return edit::join(m_question.quilt, m_question.block, m_question.pieces, *m_answer.how);
}

QString FasteningDialog::said(const quilt::Piece& piece) const {
    auto out = q(words::joinMeans(piece.join)) + "\n\n" +
               tr("Its steps: %1.").arg(q(words::stepsWords(piece.way())));
    if (piece.isOffWeb())
        out += "\n\n" + q(words::templateWords(m_question.quilt, plan::templateOf(piece))) + ".";
    const auto& was = the(the(m_question.quilt.blocks, m_question.block).pieces, piece.id);
    if (was.join != piece.join && was.work.step != quilt::Step::toTrace)
        out += "\n\n" + tr("What was begun another way is made anew.");
    return out;
}

void FasteningDialog::paint(const quilt::Piece& piece) {
    const auto one = plan::templateOf(piece);
    m_picture->show(drawn::templateBox(one),
                    {drawn::templateLayer(m_question.quilt, piece, one, drawn::For::screen)});
}

void FasteningDialog::follow(bool well) {
    m_behind->setEnabled(m_answer.how && m_answer.how->join != quilt::Join::reverse);
    m_picture->setVisible(m_answer.how.has_value());
    if (!m_answer.how)
        return m_about->setText(tr("The chosen pieces are joined in more than one way, and stay so."));
    if (!well) return m_about->clear();
    const auto known = joined().value();
    const auto& piece = the(the(known.blocks, m_question.block).pieces, m_question.pieces.back());
    m_about->setText(said(piece));
    paint(piece);
}

} // namespace up::app
