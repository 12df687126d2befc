// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/join_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/join_picture.hpp"
#include "words/sentences.hpp"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {

JoinDialog::JoinDialog(std::vector<quilt::Drawing> pages, measure::System units, QWidget* parent)
    : Form(tr("Pages that belong together"), parent), m_pages(std::move(pages)), m_units(units),
      m_picture(named(new JoinPicture(m_pages, this), "join.picture")),
      m_columns(named(new QSpinBox(this), "join.columns")),
      m_across(named(new QLineEdit("0", this), "join.across")),
      m_down(named(new QLineEdit("0", this), "join.down")), m_says(new QLabel(this)) {
    auto* row = new QHBoxLayout(this);
    auto* side = new QWidget(this);
    side->setFixedWidth(300);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    auto* help = new QLabel(
        tr("Pages come row by row. Say how many lie side by side and how far they overlap, or drag a "
           "page until its lines go on in the next."),
        side);
    for (auto* label : {help, m_says})
        label->setWordWrap(true);
    column->addWidget(help);
    auto* form = new QFormLayout;
    m_columns->setButtonSymbols(QAbstractSpinBox::NoButtons);
    m_columns->setRange(1, static_cast<int>(m_pages.size()));
    m_columns->setValue(static_cast<int>(std::ceil(std::sqrt(static_cast<double>(m_pages.size())))));
    form->addRow(tr("Pages in a row"), m_columns);
    form->addRow(tr("Overlap across"), m_across);
    form->addRow(tr("Overlap down"), m_down);
    column->addLayout(form);
    auto* match = named(new QPushButton(tr("Match the lines"), side), "join.match");
    column->addWidget(match);
    column->addWidget(m_says);
    column->addStretch(1);
    row->addWidget(side);
    row->addWidget(m_picture, 1);
    resize(960, 640);
    watch({m_columns, m_across, m_down});
    connect(match, &QPushButton::clicked, this, [this] {
        const int matched = m_picture->matchAll();
        m_says->setText(tr("The lines of %1 of %2 pages go on from their neighbours.")
                            .arg(matched)
                            .arg(m_pages.size() - 1));
    });
    connect(m_picture, &JoinPicture::dropped, this, [this](bool matches) {
        m_says->setText(matches ? tr("Its lines go on from the page beside it.")
                                : tr("Its lines do not meet those beside it there."));
    });
    addFoot(*column, tr("Join them"), "join.do");
}

const intake::PageGrid& JoinDialog::answer() const {
    return m_picture->grid();
}

/// Other numbers put every page back to where they say.
Result<void> JoinDialog::read() {
    intake::PageGrid grid{m_columns->value(), 0, 0, {}};
    for (auto [field, overlap] : {std::pair{m_across, &grid.across}, std::pair{m_down, &grid.down}}) {
        const auto length = measure::readLength(field->text().trimmed().toStdString(), m_units);
        if (!length) return tl::unexpected(length.error());
        *overlap = length->mm();
    }
    m_says->clear();
    m_picture->setGrid(grid);
    return {};
}

} // namespace up::app
