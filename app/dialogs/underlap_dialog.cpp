// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/underlap_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/layer_picture.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/block/doubts.hpp"
#include "core/sheet/figures.hpp"
#include "drawn/parts.hpp"
#include "words/lay_words.hpp"
#include "words/sentences.hpp"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QRadioButton>
#include <QTableWidget>
#include <QVBoxLayout>
#include <algorithm>

namespace up::app {
namespace {

QTableWidgetItem* pieceItem(const quilt::Quilt& quilt, const quilt::Block& block, PieceId id) {
    const auto& piece = quilt::the(block.pieces, id);
    auto* item =
        new QTableWidgetItem(swatchOf(drawn::clothOf(quilt, piece.fabric)), q(quilt::calledOf(block, piece)));
    item->setFlags(item->flags() & ~Qt::ItemIsEditable);
    return item;
}

} // namespace

UnderlapDialog::UnderlapDialog(UnderlapQuestion question, QWidget* parent)
    : Form(tr("What tucks under what on %1").arg(q(quilt::the(question.quilt.blocks, question.block).name)),
           parent),
      m_quilt(std::move(question.quilt)), m_id(question.block), m_plan(std::move(question.planned)),
      m_grown(block()), m_amount(named(new QLineEdit(this), "underlap.amount")),
      m_drawn(named(new QRadioButton(tr("as drawn"), this), "underlap.drawn")),
      m_lighter(named(new QRadioButton(tr("the lighter one"), this), "underlap.lighter")),
      m_table(named(new QTableWidget(0, 3, this), "underlap.table")),
      m_turn(named(new QPushButton(tr("The other way round"), this), "underlap.turn")),
      m_back(named(new QPushButton(tr("As it was proposed"), this), "underlap.back")),
      m_says(new QLabel(this)), m_picture(named(new LayerPicture(this), "underlap.picture")), m_newest(this) {
    auto* column = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    column->addLayout(row, 1);
    auto* left = new QVBoxLayout;
    row->addLayout(left);
    buildFields(*left);
    row->addWidget(m_picture, 1);
    m_says->setObjectName("underlap.says");
    m_says->setWordWrap(true);
    m_says->setTextFormat(Qt::PlainText);
    column->addWidget(m_says);
    decide();
    addFoot(*column, tr("Tuck them under"), "underlap.set");
    resize(980, 640);
}

void UnderlapDialog::buildFields(QVBoxLayout& column) {
    auto* form = new QFormLayout;
    column.addLayout(form);
    m_amount->setText(typed(block().underlap.mm(), m_quilt.units, 32));
    form->addRow(tr("Lower pieces reach under by"), m_amount);
    auto* which = new QHBoxLayout;
    which->addWidget(m_drawn), which->addWidget(m_lighter);
    form->addRow(tr("Of two that meet, below goes"), which);
    m_drawn->setChecked(true);
    m_table->setHorizontalHeaderLabels({tr("Below"), tr("Over it"), tr("Why")});
    m_table->verticalHeader()->hide();
    m_table->setSelectionBehavior(QAbstractItemView::SelectRows);
    m_table->setSelectionMode(QAbstractItemView::SingleSelection);
    m_table->setTabKeyNavigation(false); // Tab goes on
    m_table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    m_table->setMinimumWidth(470);
    column.addWidget(m_table, 1);
    auto* row = new QHBoxLayout;
    for (auto* button : {m_turn, m_back}) {
        button->setAutoDefault(false);
        row->addWidget(button);
    }
    column.addLayout(row);
    watch({m_amount});
    connect(m_drawn, &QRadioButton::toggled, this, &UnderlapDialog::decide);
    connect(m_table, &QTableWidget::itemSelectionChanged, this, &UnderlapDialog::paint);
    connect(m_turn, &QPushButton::clicked, this, &UnderlapDialog::turnRound);
    connect(m_back, &QPushButton::clicked, this, &UnderlapDialog::asBefore);
}

UnderlapAnswer UnderlapDialog::answer() const {
    return {block().underlap, m_lighter->isChecked() ? plan::Below::lighter : plan::Below::drawn,
            block().over};
}

Result<void> UnderlapDialog::read() {
    return measure::readLength(m_amount->text().toStdString(), m_quilt.units)
        .and_then([this](measure::Length amount) { return edit::setUnderlap(m_quilt, m_id, amount); })
        .map([this](quilt::Quilt next) { m_quilt = std::move(next); });
}

void UnderlapDialog::follow(bool) {
    paint();
    look();
}

/// Which goes below, as things are said now.
void UnderlapDialog::decide() {
    m_plan = plan::planBlock(block(), m_plan.from.empty() ? nullptr : &m_plan);
    m_borders = plan::planUnderlap(m_quilt, block(), m_plan, answer().below);
    std::stable_partition(m_borders.borders.begin(), m_borders.borders.end(),
                          [](const auto& border) { return !border.overlap; }); // there is a choice
    fill();
    look();
}

void UnderlapDialog::fill() {
    const int row = std::max(0, m_table->currentRow());
    const QSignalBlocker quiet(m_table);
    m_table->setRowCount(static_cast<int>(m_borders.borders.size()));
    for (int i = 0; i < m_table->rowCount(); ++i) {
        const auto& border = m_borders.borders[static_cast<std::size_t>(i)];
        m_table->setItem(i, 0, pieceItem(m_quilt, block(), border.lower));
        m_table->setItem(i, 1, pieceItem(m_quilt, block(), border.upper));
        auto* why = new QTableWidgetItem(q(words::reasonWords(border.reason)));
        why->setFlags(why->flags() & ~Qt::ItemIsEditable);
        m_table->setItem(i, 2, why);
    }
    m_table->selectRow(std::min(row, m_table->rowCount() - 1));
    paint();
}

const plan::UnderlapPlan::Border* UnderlapDialog::chosen() const {
    const auto rows = m_table->selectionModel()->selectedRows();
    const auto row = rows.isEmpty() ? -1 : rows.front().row();
    return row < 0 || row >= static_cast<int>(m_borders.borders.size())
               ? nullptr
               : &m_borders.borders[static_cast<std::size_t>(row)];
}

void UnderlapDialog::turnRound() {
    const auto* border = chosen();
    if (!border) return;
    const auto lower = border->lower, upper = border->upper;
    const auto before = block().over;
    if (auto next = edit::setOver(m_quilt, m_id, lower, upper)) m_quilt = std::move(*next);
    decide();
    const auto now = std::find_if(m_borders.borders.begin(), m_borders.borders.end(),
                                  [&](const auto& b) { return b.upper == lower && b.lower == upper; });
    if (now != m_borders.borders.end()) return;
    block().over = before; // it would tie a knot
    decide();
    m_says->setText(tr("Not this way round: by what lies on what elsewhere each would lie over the other."));
}

void UnderlapDialog::asBefore() {
    const auto* border = chosen();
    if (!border) return;
    if (auto next = edit::dropOver(m_quilt, m_id, border->lower, border->upper)) m_quilt = std::move(*next);
    decide();
}

/// How the pieces grow takes a while with many of them.
void UnderlapDialog::look() {
    m_newest.ask(
        [quilt = m_quilt, id = m_id, tucking = answer()] { return mend::tuckedUnder(quilt, id, tucking); },
        [this](const edit::Edited& tucked) {
            if (tucked) m_grown = quilt::the(tucked->blocks, m_id);
            paint();
        });
}

/// The block as it will be: what shows in its cloth, what reaches under as a dashed line, the chosen two in
/// brass.
void UnderlapDialog::paint() {
    using sheet::Dash;
    using sheet::Pen;
    const auto box = quilt::cutBox(block());
    sheet::Layer pieces{"pieces", {}, {}, box}, beneath{"beneath", {}, {}, box}, marks{"marks", {}, {}, box};
    pieces.items.push_back(sheet::box(box, drawn::clothOf(m_quilt, block().background), {}));
    for (const auto& piece : m_grown.pieces) {
        const auto contours = sheet::contoursOf(quilt::placed(piece));
        pieces.items.push_back(sheet::Shape{contours, drawn::clothOf(m_quilt, piece.fabric),
                                            Pen{look::slate, 0.2, Dash::solid}, piece.id});
        const auto* was = quilt::find(block().pieces, piece.id);
        if (was && !(was->outline == piece.outline))
            sheet::addHaloed(beneath.items, contours, Pen{look::panel, 1.0, Dash::dashed},
                             Pen{look::rust, 0.6, Dash::dashed});
    }
    const auto* border = chosen();
    m_turn->setEnabled(border != nullptr);
    m_back->setEnabled(border && border->reason == stack::Reason::said);
    if (border) {
        for (const auto& [id, dash] :
             {std::pair{border->lower, Dash::dashed}, std::pair{border->upper, Dash::solid}})
            if (const auto* piece = quilt::find(m_grown.pieces, id))
                sheet::addHaloed(marks.items, sheet::contoursOf(quilt::placed(*piece)),
                                 Pen{look::ink, 2.0, dash}, Pen{look::brassBright, 1.2, dash});
        const auto& pieceOf = [&](PieceId id) -> const quilt::Piece& {
            return quilt::the(block().pieces, id);
        };
        m_says->setText(q(
            words::said(N_("{0} reaches under {1}: {2}."), {quilt::calledOf(block(), pieceOf(border->lower)),
                                                            quilt::calledOf(block(), pieceOf(border->upper)),
                                                            words::reasonWords(border->reason)})));
    } else {
        m_says->setText(tr("No two pieces meet or overlap."));
    }
    m_picture->show(box, {std::move(pieces), std::move(beneath), std::move(marks)});
}

} // namespace up::app
