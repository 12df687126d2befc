// SPDX-License-Identifier: GPL-3.0-or-later
// The fields of the import dialog, and what each does.
#include "app/dialogs/choice.hpp"
#include "app/dialogs/errand_strip.hpp"
#include "app/dialogs/import_dialog.hpp"
#include "app/dialogs/parts.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/import_picture.hpp"
#include "core/measure/say.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>

namespace up::app {

using edit::Role;

void ImportDialog::buildReading(QVBoxLayout& column) {
    auto* pageName = new QLabel(tr("Page"), this);
    m_page = named(new QComboBox(this), "import.page");
    for (int i = 1; i <= m_question.pages; ++i)
        offer<int>(*m_page, {{i, tr("%1 of %2").arg(i).arg(m_question.pages)}});
    if (m_question.pages > 1 && m_question.askGrid) offer<int>(*m_page, {{allJoined, tr("All joined…")}});
    auto* dpiName = new QLabel(tr("Dots to the inch"), this);
    m_dpi = named(new QSpinBox(this), "import.dpi");
    m_dpi->setRange(0, 4800);
    m_dpi->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    m_dpi->setSpecialValueText(tr("as the file says"));
    m_dpi->setKeyboardTracking(false);
    m_dpi->setButtonSymbols(QAbstractSpinBox::NoButtons);
    m_borders = named(new QCheckBox(tr("Wide pen lines are pieces of their own"), this), "import.borders");
    const auto beside = [&](QLabel* name, QWidget* field, bool shown) {
        auto* row = new QHBoxLayout;
        row->addWidget(name);
        row->addWidget(field, 1);
        name->setVisible(shown), field->setVisible(shown);
        column.addLayout(row);
    };
    beside(pageName, m_page, m_question.pages > 1);
    beside(dpiName, m_dpi, m_question.isScan);
    m_borders->setVisible(!m_question.isScan);
    column.addWidget(m_borders);
    m_linesOver =
        named(new QCheckBox(tr("Lines over colours are pieces of their own"), this), "import.linesOver");
    column.addWidget(m_linesOver);
    m_loose = named(new QCheckBox(tr("Open lines are stitched on by hand"), this), "import.loose");
    column.addWidget(m_loose);
    connect(m_linesOver, &QCheckBox::toggled, this, [this] { present(m_read); });
    connect(m_page, &QComboBox::activated, this, [this] {
        m_settings.joined.reset();
        const int page = chosenIn<int>(*m_page);
        if (page == allJoined) return joinPages();
        m_settings.page = page;
        readAgain();
    });
    connect(m_dpi, &QSpinBox::valueChanged, this, [this](int dpi) {
        m_settings.dpi = dpi < 20 ? 0 : dpi;
        readAgain();
    });
    connect(m_borders, &QCheckBox::toggled, this, [this](bool on) {
        m_settings.borders = on;
        readAgain();
    });
}

void ImportDialog::buildShapes(QVBoxLayout& column) {
    m_list = named(new QListWidget(this), "import.list");
    column.addWidget(m_list, 3);
    auto* row = new QHBoxLayout;
    column.addLayout(row);
    m_role = named(new QComboBox(this), "import.role");
    offer<Role>(
        *m_role,
        {{Role::piece, tr("A piece")}, {Role::mark, tr("An inner mark")}, {Role::out, tr("Left out")}});
    row->addWidget(new QLabel(tr("The chosen shape is"), this));
    row->addWidget(m_role, 1);
    m_notes->setObjectName("import.notes");
    m_notes->setWordWrap(true);
    m_notes->setTextFormat(Qt::PlainText);
    m_notes->setProperty("role", "quiet");
    column.addWidget(m_notes);
    column.addWidget(new ErrandStrip(m_reading, "reading.stop", this));
    connect(&m_reading, &Errand::stopped, this, &ImportDialog::stopReading);
    connect(m_list, &QListWidget::currentRowChanged, this, [this](int row_) {
        m_picture->setPointed(row_);
        if (row_ >= 0 && row_ < static_cast<int>(m_roles.size()))
            choose(*m_role, m_roles[static_cast<std::size_t>(row_)]);
    });
    connect(m_list, &QListWidget::itemChanged, this, [this](QListWidgetItem* item) {
        if (!m_filling)
            chooseRole(m_list->row(item), item->checkState() == Qt::Checked ? Role::piece : Role::out);
    });
    connect(m_role, &QComboBox::activated, this,
            [this] { chooseRole(m_list->currentRow(), chosenIn<Role>(*m_role)); });
}

void ImportDialog::buildMeasuring(QVBoxLayout& column) {
    auto* row = new QHBoxLayout;
    column.addLayout(row);
    m_measure = named(new QCheckBox(tr("I know one length:"), this), "import.measure");
    m_length = named(new QLineEdit(this), "import.length");
    m_length->setPlaceholderText(tr("drag or type"));
    m_length->setEnabled(false);
    row->addWidget(m_measure);
    row->addWidget(m_length, 1);
    connect(m_measure, &QCheckBox::toggled, this, [this](bool on) {
        m_picture->setMeasuring(on);
        m_length->setEnabled(on);
        m_length->clear();
    });
    connect(m_picture, &ImportPicture::markMoved, this, [this] {
        m_length->setText(q(measure::say(measure::Length::ofMm(m_picture->marked()), m_question.units)));
    });
    connect(m_length, &QLineEdit::returnPressed, this, [this] {
        m_entered = true;
        applyMark();
    });
    connect(m_length, &QLineEdit::editingFinished, this, &ImportDialog::applyMark);
}

void ImportDialog::buildPlacing(QVBoxLayout& column) {
    m_fit = named(new QComboBox(this), "import.fit");
    offer<edit::Fit>(*m_fit, {{edit::Fit::page, tr("Scale its page to the block")},
                              {edit::Fit::own, tr("Keep its size")},
                              {edit::Fit::shapes, tr("Fill the block with the shapes")}});
    m_reversed = named(new QCheckBox(tr("It came already reversed"), this), "import.reversed");
    m_reversed->setChecked(m_question.reversed);
    m_size->setObjectName("import.size");
    m_size->setWordWrap(true);
    column.addWidget(m_fit);
    buildMargin(column);
    column.addWidget(m_size);
    column.addWidget(m_reversed);
    m_numbered = named(new QCheckBox(tr("Number by step, fabric and place"), this), "import.numbered");
    m_numbered->setChecked(!m_question.drawing || !edit::bringsNumbers(*m_question.drawing));
    m_numbered->setVisible(m_question.first);
    column.addWidget(m_numbered);
    m_side->setWordWrap(true);
    column.addWidget(m_side);
    connect(m_reversed, &QCheckBox::clicked, this, [this] {
        m_sideChosen = true;
        tellSide();
        fillList();
    });
    connect(m_fit, &QComboBox::activated, this, [this] {
        fillList();
        changed();
    });
}

void ImportDialog::buildMargin(QVBoxLayout& column) {
    m_marginRow = new QWidget(this);
    column.addWidget(m_marginRow);
    auto* row = new QHBoxLayout(m_marginRow);
    row->setContentsMargins(0, 0, 0, 0);
    m_margin = named(new QLineEdit(typed(m_free.mm(), m_question.units, 16), this), "import.margin");
    row->addWidget(new QLabel(tr("Left free inside the finished edge"), this));
    row->addWidget(m_margin, 1);
    connect(m_margin, &QLineEdit::textEdited, this, [this] {
        changed();
        fillList();
    });
}

} // namespace up::app
