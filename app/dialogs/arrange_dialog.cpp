// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/arrange_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/arrange_picture.hpp"
#include "words/sentences.hpp"

#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>
#include <array>

namespace up::app {
namespace {

using edit::Arrange;

struct Choice {
    Arrange what;
    const char *name, *about, *right, *down;
};
/// In the order of Arrange; `right` and `down` name its measures.
constexpr std::array choices{
    Choice{Arrange::mirrorUpright, N_("Mirrored copy, left for right"),
           N_("A second one on the other side of the line: a left gets its right.N_("),
           N_(")Line from the left"), nullptr},
    Choice{Arrange::mirrorLevel, N_("Mirrored copy, top for bottom"),
           N_("A second one on the other side of the line, as in water.N_("), nullptr,
           N_(")Line from the top")},
    Choice{Arrange::round, N_("Round a centreN_("),
           N_(")Alike at equal angles, turned with it: petals, spokes."), N_("Centre from the leftN_("),
           N_(")Centre from the top")},
    Choice{Arrange::along, N_("Along a lineN_("), N_(")Alike one after the other: leaves, pickets."),
           N_("Each further rightN_("), N_(")Each further down")},
    Choice{Arrange::cut, N_("Cut by a lineN_("), N_(")Two pieces of one. Drag the ends of the line."),
           nullptr, nullptr},
    Choice{Arrange::unfold, N_("Unfold a halfN_("),
           N_(")The half and its mirror image, joined on its straight edge."), nullptr, nullptr},
    Choice{Arrange::join, N_("Join two halves"),
           N_("Another half is brought to this one, straight edge to straight edge."), nullptr, nullptr}};

} // namespace

ArrangeDialog::ArrangeDialog(ArrangeQuestion question, QWidget* parent)
    : Form(tr("Copies, cuts and halves"), parent), m_question(std::move(question)),
      m_picture(named(new ArrangePicture(m_question, this), "arrange.picture")),
      m_what(named(new QListWidget(this), "arrange.what")), m_about(new QLabel(this)) {
    auto* row = new QHBoxLayout(this);
    auto* side = new QWidget(this);
    side->setFixedWidth(330);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    constexpr int rowHeight = 34;
    for (const auto& choice : choices)
        (new QListWidgetItem(tr(choice.name), m_what))->setSizeHint({200, rowHeight});
    m_what->setFixedHeight(static_cast<int>(choices.size()) * (rowHeight + 2));
    column->addWidget(m_what);
    m_about->setWordWrap(true);
    column->addWidget(m_about);
    m_form = new QFormLayout;
    buildFields(*m_form);
    column->addLayout(m_form);
    column->addStretch(1);
    row->addWidget(side);
    row->addWidget(m_picture, 1);
    resize(900, 600);
    connect(m_what, &QListWidget::currentRowChanged, this, [this](int i) {
        if (i >= 0) choose(choices[static_cast<std::size_t>(i)].what);
    });
    connect(m_picture, &ArrangePicture::moved, this, &ArrangeDialog::take);
    m_what->setCurrentRow(0);
    addFoot(*column, tr("Do it"), "arrange.do");
}

void ArrangeDialog::buildFields(QFormLayout& form) {
    m_count = named(new QSpinBox(this), "arrange.count");
    m_count->setButtonSymbols(QAbstractSpinBox::NoButtons);
    m_count->setRange(2, edit::mostCopies);
    m_right = named(new QLineEdit(this), "arrange.right");
    m_down = named(new QLineEdit(this), "arrange.down");
    m_other = named(new QComboBox(this), "arrange.other");
    form.addRow(tr("How many in all"), m_count);
    form.addRow(tr("Across"), m_right);
    form.addRow(tr("Down"), m_down);
    form.addRow(tr("The other half"), m_other);
    const auto* block = quilt::find(m_question.quilt.blocks, m_question.block);
    for (std::size_t i = 0; i < block->pieces.size(); ++i)
        if (const auto& piece = block->pieces[i]; piece.id != m_question.piece)
            m_other->addItem(q(quilt::calledOf(*block, piece)), piece.id.value);
    watch({m_count, m_right, m_down, m_other});
}

void ArrangeDialog::choose(Arrange what) {
    const auto& choice = choices[static_cast<std::size_t>(what)];
    const auto* block = quilt::find(m_question.quilt.blocks, m_question.block);
    m_about->setText(tr(choice.about));
    const auto show = [this](QWidget* field, const char* name) {
        m_form->setRowVisible(field, name != nullptr);
        if (auto* label = qobject_cast<QLabel*>(m_form->labelForField(field)); label && name)
            label->setText(tr(name));
    };
    show(m_count, what == Arrange::round || what == Arrange::along ? N_("How many in all") : nullptr);
    show(m_right, choice.right);
    show(m_down, choice.down);
    show(m_other, what == Arrange::join ? N_("The other half") : nullptr);
    auto how = usualArrangement(*block, quilt::the(block->pieces, m_question.piece), what);
    how.other = PieceId{m_other->currentData().toUInt()};
    take(how);
}

Result<void> ArrangeDialog::read() {
    auto how = m_how;
    how.count = m_count->value();
    how.other = PieceId{m_other->currentData().toUInt()};
    for (auto [field, value] : {std::pair{m_right, &how.at.x}, std::pair{m_down, &how.at.y}}) {
        if (!m_form->isRowVisible(field)) continue;
        const auto length = readSigned(field->text(), m_question.quilt.units);
        if (!length) return tl::unexpected(length.error());
        // What was dragged finer than the field says stays as it is until something else is typed.
        if (field->isModified()) *value = *length;
    }
    m_how = how;
    auto result = edit::arranged(m_question.quilt, m_question.block, m_question.piece, m_how);
    m_result.reset();
    if (!result) return tl::unexpected(result.error());
    m_result = std::move(*result);
    return {};
}

void ArrangeDialog::take(const edit::Arrangement& how) {
    m_how = how;
    {
        const QSignalBlocker count(m_count), right(m_right), down(m_down);
        m_count->setValue(how.count);
        m_right->setText(typed(how.at.x, m_question.quilt.units, 16));
        m_down->setText(typed(how.at.y, m_question.quilt.units, 16));
    }
    changed();
}

void ArrangeDialog::follow(bool) {
    m_picture->show(m_result ? *m_result : m_question.quilt, m_how);
}

} // namespace up::app
