// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/shape_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/shape_picture.hpp"
#include "words/recipe_words.hpp"
#include "words/sentences.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {

using quilt::RecipeKind;

ShapeDialog::ShapeDialog(ShapeQuestion question, QWidget* parent)
    : Form(question.now ? tr("Measures of this shape") : tr("Add a shape"), parent),
      m_question(std::move(question)), m_picture(named(new ShapePicture(m_question, this), "shape.picture")) {
    const bool fresh = !m_question.now;
    auto* row = new QHBoxLayout(this);
    auto* side = new QWidget(this);
    side->setFixedWidth(330);
    m_column = new QVBoxLayout(side);
    m_column->setContentsMargins(0, 0, 0, 0);
    if (fresh) buildKinds(*m_column);
    buildLetters();
    m_column->addStretch(1);
    row->addWidget(side);
    row->addWidget(m_picture, 1);
    resize(fresh ? 860 : 780, 560);
    if (fresh) {
        choose(RecipeKind::circle);
        m_kinds->setCurrentRow(0);
    } else {
        m_recipe = *m_question.now;
        m_letters->setVisible(m_recipe.kind == RecipeKind::letter);
        buildMeasures();
    }
    addFoot(*m_column, fresh ? tr("Add it") : tr("Change it"), "shape.add");
}

void ShapeDialog::buildKinds(QVBoxLayout& column) {
    m_kinds = named(new QListWidget(this), "shape.kind");
    m_kinds->setViewMode(QListView::IconMode);
    m_kinds->setMovement(QListView::Static);
    m_kinds->setResizeMode(QListView::Adjust);
    m_kinds->setIconSize({40, 40});
    m_kinds->setGridSize({78, 66});
    m_kinds->setFixedHeight(4 * 66 + 8);
    m_kinds->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    for (std::size_t i = 0; i < valuesOf<quilt::RecipeKind>; ++i) {
        const auto kind = static_cast<RecipeKind>(i);
        if (kind == RecipeKind::line) continue; // it comes with a drawing
        auto recipe = pattern::usualRecipe(kind);
        if (kind == RecipeKind::letter) recipe.text = "A", recipe.family = "Atkinson Hyperlegible";
        const auto made = m_question.make(recipe, true);
        auto* item = new QListWidgetItem(q(words::nameOf(kind)), m_kinds);
        item->setData(Qt::UserRole, static_cast<int>(i));
        if (made && !made->empty()) item->setIcon(shapeIcon(made->front().outline, 40));
    }
    column.addWidget(m_kinds);
    connect(m_kinds, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
        if (item) choose(static_cast<RecipeKind>(item->data(Qt::UserRole).toInt()));
    });
}

void ShapeDialog::buildLetters() {
    m_letters = new QWidget(this);
    auto* form = new QFormLayout(m_letters);
    form->setContentsMargins(0, 0, 0, 0);
    m_text = named(new QLineEdit(m_letters), "shape.text");
    m_family = named(new QComboBox(m_letters), "shape.family");
    m_family->addItems(m_question.families);
    m_family->setMaximumWidth(200);
    m_bold = named(new QCheckBox(tr("Bold"), m_letters), "shape.bold");
    m_italic = named(new QCheckBox(tr("Slanted"), m_letters), "shape.italic");
    m_together = named(new QCheckBox(tr("Letters that touch are one piece"), m_letters), "shape.together");
    if (m_question.now) {
        m_text->setText(q(m_question.now->text));
        m_family->setCurrentText(q(m_question.now->family));
        m_bold->setChecked(m_question.now->bold), m_italic->setChecked(m_question.now->italic);
        m_together->hide();
    } else {
        m_text->setText("WREN");
        m_family->setCurrentText("Atkinson Hyperlegible");
        m_bold->setChecked(true);
    }
    auto* kinds = new QHBoxLayout;
    kinds->addWidget(m_bold);
    kinds->addWidget(m_italic);
    kinds->addStretch();
    form->addRow(tr("Text"), m_text);
    form->addRow(tr("Font"), m_family);
    form->addRow("", kinds);
    form->addRow(m_together);
    m_column->addWidget(m_letters);
    watch({m_text, m_family, m_bold, m_italic, m_together});
}

void ShapeDialog::choose(RecipeKind kind) {
    m_recipe = pattern::usualRecipe(kind);
    // Half the block is a good beginning on a small one.
    const double room = std::min(m_question.width.mm(), m_question.height.mm()) * 0.8;
    const auto made = pattern::outlineOf(m_recipe);
    if (made) {
        const auto box = boundsOf(*made);
        if (const double most = std::max(box.width(), box.height()); most > room)
            m_recipe = pattern::remapped(m_recipe, shape::Transform::scale(room / most, room / most));
    }
    m_recipe.at = shape::Transform::moveBy(m_question.width.mm() / 2, m_question.height.mm() / 2);
    m_letters->setVisible(kind == RecipeKind::letter);
    buildMeasures();
    changed();
}

void ShapeDialog::buildMeasures() {
    m_fields.clear();
    delete m_measures;
    m_measures = new QWidget(this);
    auto* form = new QFormLayout(m_measures);
    form->setContentsMargins(0, 0, 0, 0);
    const auto measures = pattern::measuresOf(m_recipe.kind);
    for (std::size_t i = 0; i < measures.size(); ++i) {
        if (measures[i].key == "part") continue; // which of an i it is does not change
        if (measures[i].unit == pattern::Unit::length)
            addLength(i);
        else
            addNumber(i);
    }
    m_column->insertWidget(m_column->indexOf(m_letters) + 1, m_measures);
}

void ShapeDialog::addLength(std::size_t i) {
    const auto& measure = pattern::measuresOf(m_recipe.kind)[i];
    auto* field = new QLineEdit(typed(m_recipe.measures[i], m_question.units, 64), m_measures);
    field->setObjectName("shape." +
                         QString::fromLatin1(measure.key.data(), static_cast<int>(measure.key.size())));
    const auto name = q(words::measureName(m_recipe.kind, measure.key));
    field->setAccessibleName(name);
    field->setToolTip(tr("A length such as 3 1/8, 3.125 or 8cm"));
    static_cast<QFormLayout*>(m_measures->layout())->addRow(name, field);
    m_fields.emplace_back(i, field);
    watch({field});
}

void ShapeDialog::addNumber(std::size_t i) {
    const auto& measure = pattern::measuresOf(m_recipe.kind)[i];
    auto* field = new QSpinBox(m_measures);
    field->setObjectName("shape." +
                         QString::fromLatin1(measure.key.data(), static_cast<int>(measure.key.size())));
    field->setButtonSymbols(QAbstractSpinBox::NoButtons);
    field->setRange(static_cast<int>(measure.least), static_cast<int>(measure.most));
    field->setValue(static_cast<int>(std::lround(m_recipe.measures[i])));
    if (measure.unit == pattern::Unit::percent) field->setSuffix(" %");
    const auto name = q(words::measureName(m_recipe.kind, measure.key));
    field->setAccessibleName(name);
    field->setToolTip(tr("A number"));
    static_cast<QFormLayout*>(m_measures->layout())->addRow(name, field);
    m_fields.emplace_back(i, field);
    watch({field});
}

Result<void> ShapeDialog::read() {
    if (m_recipe.kind == RecipeKind::letter) {
        m_recipe.text = m_text->text().trimmed().toStdString();
        m_recipe.family = m_family->currentText().toStdString();
        m_recipe.bold = m_bold->isChecked(), m_recipe.italic = m_italic->isChecked();
    }
    for (const auto& [i, field] : m_fields) {
        if (const auto* number = qobject_cast<QSpinBox*>(field)) {
            m_recipe.measures[i] = number->value();
            continue;
        }
        const auto* text = static_cast<QLineEdit*>(field);
        const auto length = readSigned(text->text(), m_question.units);
        if (!length) return tl::unexpected(length.error());
        if (text->isModified()) m_recipe.measures[i] = *length; // else it stays as fine as it was
    }
    auto made = m_question.make(m_recipe, m_together->isChecked());
    if (!made) return tl::unexpected(made.error());
    if (made->empty()) return failure(Code::noLetters);
    m_shapes = std::move(*made);
    return {};
}

void ShapeDialog::follow(bool well) {
    if (well) m_picture->show(m_shapes);
}

} // namespace up::app
