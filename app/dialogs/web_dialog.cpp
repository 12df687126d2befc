// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/web_dialog.hpp"

#include "app/look/names.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

namespace up::app {

WebDialog::WebDialog(const quilt::Web& web, measure::System units, QWidget* parent)
    : QDialog(parent), m_web(web), m_units(units), m_name(named(new QLineEdit(this), "web.name")),
      m_width(named(new QLineEdit(this), "web.width")), m_length(named(new QLineEdit(this), "web.length")),
      m_papers(named(new QComboBox(this), "web.papers")), m_kind(named(new QComboBox(this), "web.kind")),
      m_sheets(named(new QSpinBox(this), "web.sheets")), m_trouble(new QLabel(this)) {
    setWindowTitle("Fusible web");
    auto* form = new QFormLayout(this);
    m_papers->addItems({"one paper", "two papers"});
    m_kind->addItems({"roll", "sheets"});
    m_sheets->setRange(0, 1000);
    form->addRow("Name", m_name);
    form->addRow("Papers", m_papers);
    form->addRow("Comes as", m_kind);
    form->addRow("Width", m_width);
    form->addRow("Length", m_length);
    form->addRow("Sheets", m_sheets);
    m_first = addPressing(*form, "First pressing", "web.first", web.first);
    m_final = addPressing(*form, "Final pressing", "web.final", web.final);
    auto* leaflet = new QLabel(
        "Take these from the maker's leaflet: too long or too hot, and the glue melts away.", this);
    leaflet->setWordWrap(true);
    leaflet->setProperty("role", "quiet");
    form->addRow(leaflet);
    m_trouble->setWordWrap(true);
    m_trouble->setObjectName("web.trouble");
    m_trouble->setProperty("role", "caution");
    m_trouble->hide();
    form->addRow(m_trouble);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel, this);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &WebDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &WebDialog::reject);
    connect(m_kind, &QComboBox::currentIndexChanged, this, &WebDialog::followKind);
    m_name->setText(QString::fromStdString(web.name));
    m_width->setText(QString::fromStdString(measure::say(web.width, units)));
    m_length->setText(QString::fromStdString(measure::say(web.length(), units)));
    m_papers->setCurrentIndex(web.papers - 1);
    m_kind->setCurrentIndex(web.packet() ? 1 : 0);
    m_sheets->setValue(web.packet() ? web.packet()->sheets : 1);
    followKind();
}

WebDialog::PressingFields WebDialog::addPressing(QFormLayout& form, const char* which, const char* key,
                                                 const quilt::Pressing& pressing) {
    auto* row = new QWidget(this);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    PressingFields fields{named(new QDoubleSpinBox(row), (QByteArray(key) + ".seconds").constData()),
                          named(new QLineEdit(row), (QByteArray(key) + ".heat").constData()),
                          named(new QCheckBox("steam", row), (QByteArray(key) + ".steam").constData())};
    fields.seconds->setRange(0.5, 600);
    fields.seconds->setDecimals(1);
    fields.seconds->setSuffix(" s");
    fields.seconds->setValue(pressing.seconds);
    fields.heat->setText(QString::fromStdString(pressing.heat));
    fields.steam->setChecked(pressing.steam);
    line->addWidget(fields.seconds);
    line->addWidget(fields.heat);
    line->addWidget(fields.steam);
    form.addRow(which, row);
    return fields;
}

void WebDialog::read(const PressingFields& from, quilt::Pressing& to) {
    to = {from.seconds->value(), from.steam->isChecked(), from.heat->text().trimmed().toStdString()};
}

void WebDialog::followKind() {
    m_sheets->setEnabled(m_kind->currentIndex() == 1);
}

void WebDialog::accept() {
    const auto width = measure::readLength(m_width->text().toStdString(), m_units);
    const auto length = measure::readLength(m_length->text().toStdString(), m_units);
    if (!width || !length) {
        m_trouble->setText("“" + (width ? m_length : m_width)->text() +
                           "” is not a length. Write it like 17, 17 1/2 or 43cm.");
        m_trouble->show();
        return;
    }
    if (!m_name->text().trimmed().isEmpty()) m_web.name = m_name->text().trimmed().toStdString();
    m_web.width = *width;
    m_web.papers = m_papers->currentIndex() + 1;
    if (m_kind->currentIndex() == 1)
        m_web.stock = quilt::Packet{m_sheets->value(), *length};
    else
        m_web.stock = quilt::Roll{*length};
    read(m_first, m_web.first);
    read(m_final, m_web.final);
    QDialog::accept();
}

} // namespace up::app
