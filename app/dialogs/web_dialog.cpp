// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/web_dialog.hpp"
#include "app/dialogs/choice.hpp"
#include "app/look/text.hpp"

#include "app/look/names.hpp"
#include "app/look/wrap_label.hpp"
#include "core/edit/naming.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>

namespace up::app {

WebDialog::WebDialog(const quilt::Web& web, measure::System units, QWidget* parent)
    : Form(tr("Fusible web"), parent), m_web(web), m_units(units),
      m_name(named(new QLineEdit(this), "web.name")), m_width(named(new QLineEdit(this), "web.width")),
      m_length(named(new QLineEdit(this), "web.length")), m_papers(named(new QComboBox(this), "web.papers")),
      m_kind(named(new QComboBox(this), "web.kind")), m_sheets(named(new QSpinBox(this), "web.sheets")) {
    auto* column = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    column->addLayout(form);
    offer<int>(*m_papers, {{1, tr("one paper")}, {2, tr("two papers")}});
    offer<bool>(*m_kind, {{false, tr("roll")}, {true, tr("sheets")}});
    m_sheets->setRange(0, 1000);
    form->addRow(tr("Name"), m_name);
    form->addRow(tr("Papers"), m_papers);
    form->addRow(tr("Comes as"), m_kind);
    form->addRow(tr("Width"), m_width);
    form->addRow(tr("Length"), m_length);
    form->addRow(tr("Sheets"), m_sheets);
    m_first = addPressing(*form, tr("First pressing"), "web.first", web.first);
    m_final = addPressing(*form, tr("Final pressing"), "web.final", web.final);
    m_longest = named(new QDoubleSpinBox(this), "web.longest");
    m_longest->setRange(0, 3600), m_longest->setDecimals(0), m_longest->setSuffix(" s");
    m_longest->setSpecialValueText(tr("the leaflet does not say"));
    m_longest->setValue(web.longest.value_or(0));
    form->addRow(tr("Longest, all together"), m_longest);
    m_fromBack = named(new QCheckBox(tr("Press from the back too"), this), "web.fromBack");
    m_maySew = named(new QCheckBox(tr("May be sewn through"), this), "web.maySew");
    m_fromBack->setChecked(web.fromBack), m_maySew->setChecked(web.maySew);
    auto* said = new QHBoxLayout;
    said->addWidget(m_fromBack);
    said->addWidget(m_maySew);
    form->addRow("", said);
    auto* leaflet = new WrapLabel("quiet", this);
    leaflet->setText(
        tr("Take these from the maker's leaflet: too long or too hot, and the glue melts away."));
    column->addWidget(leaflet);
    m_name->setText(q(web.name));
    m_width->setText(q(measure::say(web.width, units)));
    m_length->setText(q(measure::say(web.length(), units)));
    choose(*m_papers, web.papers);
    choose(*m_kind, web.packet() != nullptr);
    m_sheets->setValue(web.packet() ? web.packet()->sheets : 1);
    watch({m_name, m_width, m_length, m_papers, m_kind, m_sheets, m_longest, m_fromBack, m_maySew});
    addFoot(*column, tr("Keep it so"), "web.keep");
}

WebDialog::PressingFields WebDialog::addPressing(QFormLayout& form, const QString& which, const char* key,
                                                 const quilt::Pressing& pressing) {
    auto* row = new QWidget(this);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    PressingFields fields{named(new QDoubleSpinBox(row), (QByteArray(key) + ".seconds").constData()),
                          named(new QLineEdit(row), (QByteArray(key) + ".heat").constData()),
                          named(new QCheckBox(tr("steam"), row), (QByteArray(key) + ".steam").constData())};
    fields.seconds->setRange(0.5, 600);
    fields.seconds->setDecimals(1);
    fields.seconds->setSuffix(" s");
    fields.seconds->setValue(pressing.seconds);
    fields.heat->setText(q(pressing.heat));
    fields.steam->setChecked(pressing.steam);
    line->addWidget(fields.seconds);
    line->addWidget(fields.heat);
    line->addWidget(fields.steam);
    form.addRow(which, row);
    return fields;
}

quilt::Pressing WebDialog::pressingIn(const PressingFields& fields) {
    return {fields.seconds->value(), fields.steam->isChecked(), fields.heat->text().trimmed().toStdString()};
}

Result<void> WebDialog::read() {
    const auto name = edit::properName(m_name->text().toStdString());
    if (!name) return tl::unexpected(name.error());
    const auto width = measure::readLength(m_width->text().toStdString(), m_units);
    if (!width) return tl::unexpected(width.error());
    const auto length = measure::readLength(m_length->text().toStdString(), m_units);
    if (!length) return tl::unexpected(length.error());
    constexpr auto least = measure::Length::ofMm(1), most = measure::Length::ofMm(10'000);
    const bool sheets = chosenIn<bool>(*m_kind);
    for (const auto& [which, side] :
         {std::pair{words::tr("width"), *width}, std::pair{words::tr("length"), *length}})
        if (side > most * 10 || (side < least && (sheets || side != *length)))
            return failure(Code::absurdSize,
                           {which, measure::say(side, m_units), measure::say(least, m_units),
                            measure::say(most * 10, m_units)});
    m_web.name = *name;
    m_web.width = *width;
    m_web.papers = chosenIn<int>(*m_papers);
    m_web.first = pressingIn(m_first);
    m_web.final = pressingIn(m_final);
    m_web.longest.reset();
    if (m_longest->value() > 0) m_web.longest = m_longest->value();
    m_web.fromBack = m_fromBack->isChecked();
    m_web.maySew = m_maySew->isChecked();
    if (sheets)
        m_web.stock = quilt::Packet{m_sheets->value(), *length};
    else
        m_web.stock = quilt::Roll{*length};
    return {};
}

void WebDialog::follow(bool) {
    m_sheets->setEnabled(chosenIn<bool>(*m_kind));
}

} // namespace up::app
