// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/shape_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
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
    : QDialog(parent), m_question(std::move(question)),
      m_picture(named(new ShapePicture(m_question, this), "shape.picture")), m_trouble(new QLabel(this)) {
    const bool fresh = !m_question.now;
    setWindowTitle(fresh ? "Add a shape" : "Measures of this shape");
    auto* row = new QHBoxLayout(this);
    auto* side = new QWidget(this);
    side->setFixedWidth(330);
    m_column = new QVBoxLayout(side);
    m_column->setContentsMargins(0, 0, 0, 0);
    if (fresh) buildKinds(*m_column);
    buildLetters();
    m_trouble->setWordWrap(true);
    m_trouble->setStyleSheet("color: " + look::q(look::rust).name());
    m_column->addWidget(m_trouble);
    m_column->addStretch(1);
    m_add = addButtons(*this, *m_column, fresh ? "Add it" : "Change it", "shape.add");
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
        remake();
    }
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
        auto* item = new QListWidgetItem(QString::fromStdString(words::nameOf(kind)), m_kinds);
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
    m_bold = named(new QCheckBox("Bold", m_letters), "shape.bold");
    m_italic = named(new QCheckBox("Slanted", m_letters), "shape.italic");
    m_together = named(new QCheckBox("Letters that touch are one piece", m_letters), "shape.together");
    if (m_question.now) {
        m_text->setText(QString::fromStdString(m_question.now->text));
        m_family->setCurrentText(QString::fromStdString(m_question.now->family));
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
    form->addRow("Text", m_text);
    form->addRow("Font", m_family);
    form->addRow("", kinds);
    form->addRow(m_together);
    m_column->addWidget(m_letters);
    connect(m_text, &QLineEdit::textChanged, this, &ShapeDialog::readLetters);
    connect(m_family, &QComboBox::currentTextChanged, this, &ShapeDialog::readLetters);
    for (auto* box : {m_bold, m_italic, m_together})
        connect(box, &QCheckBox::toggled, this, &ShapeDialog::readLetters);
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
    if (kind == RecipeKind::letter)
        readLetters();
    else
        remake();
}

void ShapeDialog::readLetters() {
    if (m_recipe.kind != RecipeKind::letter) return;
    m_recipe.text = m_text->text().trimmed().toStdString();
    m_recipe.family = m_family->currentText().toStdString();
    m_recipe.bold = m_bold->isChecked(), m_recipe.italic = m_italic->isChecked();
    remake();
}

void ShapeDialog::buildMeasures() {
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
    const auto name = QString::fromStdString(words::measureName(m_recipe.kind, measure.key));
    field->setAccessibleName(name);
    field->setToolTip("A length such as 3 1/8, 3.125 or 8cm");
    static_cast<QFormLayout*>(m_measures->layout())->addRow(name, field);
    connect(field, &QLineEdit::textEdited, this, [this, i, field] { readLength(i, field); });
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
    const auto name = QString::fromStdString(words::measureName(m_recipe.kind, measure.key));
    field->setAccessibleName(name);
    field->setToolTip("A number");
    static_cast<QFormLayout*>(m_measures->layout())->addRow(name, field);
    connect(field, &QSpinBox::valueChanged, this, [this, i](int value) {
        m_recipe.measures[i] = value;
        remake();
    });
}

void ShapeDialog::readLength(std::size_t i, QLineEdit* field) {
    const auto length = readSigned(field->text(), m_question.units);
    m_add->setEnabled(length.has_value());
    if (!length) return m_trouble->setText(QString::fromStdString(words::sentence(length.error())));
    m_recipe.measures[i] = *length;
    remake();
}

void ShapeDialog::remake() {
    auto made = m_question.make(m_recipe, m_together->isChecked());
    m_add->setEnabled(made && !made->empty());
    if (!made) return m_trouble->setText(QString::fromStdString(words::sentence(made.error())));
    m_trouble->setText(made->empty() ? "Type a letter or a word." : "");
    m_shapes = std::move(*made);
    m_picture->show(m_shapes);
}

} // namespace up::app
