// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/setting_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/edit/fitting.hpp"
#include "words/finish_words.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QSpinBox>
#include <QVBoxLayout>

namespace up::app {

SettingDialog::SettingDialog(SettingQuestion question, QWidget* parent)
    : Form(tr("How the quilt is set"), parent), m_question(std::move(question)),
      m_columns(named(new QSpinBox(this), "setting.columns")),
      m_sashing(named(new QLineEdit(this), "setting.sashing")),
      m_strips(fabricBox("setting.strips", m_question.quilt.setting.strips)),
      m_outer(named(new QCheckBox(tr("at the outside too"), this), "setting.outer")),
      m_asTheyCome(named(new QCheckBox(tr("sewn on as blocks come"), this), "setting.asTheyCome")),
      m_about(new QLabel(this)) {
    const auto& quilt = m_question.quilt;
    const auto text = [&](quilt::Length length) { return typed(length.mm(), quilt.units, 32); };
    auto* column = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    column->addLayout(form);
    m_columns->setRange(1, 50);
    m_columns->setValue(quilt.columns);
    m_sashing->setText(text(quilt.sashing));
    m_outer->setChecked(quilt.setting.outer), m_asTheyCome->setChecked(quilt.setting.asTheyCome);
    form->addRow(tr("Blocks in a row"), m_columns);
    form->addRow(tr("Strips between them, as seen (0: none)"), m_sashing);
    form->addRow(tr("cut from"), m_strips);
    form->addRow(QString(), m_outer);
    form->addRow(QString(), m_asTheyCome);
    watch({m_columns, m_sashing, m_strips, m_outer, m_asTheyCome});
    constexpr std::array widths{"setting.border1", "setting.border2"};
    constexpr std::array fabrics{"setting.border1Fabric", "setting.border2Fabric"};
    const std::array names{tr("Border, as seen (0: none)"), tr("Another round it")};
    for (std::size_t i = 0; i < m_borders.size(); ++i) {
        const auto& borders = quilt.setting.borders;
        const auto border = i < borders.size() ? borders[i] : quilt::Border();
        m_borders[i] = {named(new QLineEdit(text(border.width), this), widths[i]),
                        fabricBox(fabrics[i], border.fabric)};
        auto* row = new QHBoxLayout;
        row->addWidget(m_borders[i].width);
        row->addWidget(m_borders[i].fabric, 1);
        form->addRow(names[i], row);
        watch({m_borders[i].width, m_borders[i].fabric});
    }
    m_about->setWordWrap(true);
    m_about->setProperty("role", "quiet");
    column->addWidget(m_about, 1);
    resize(560, 480);
    addFoot(*column, tr("Set it so"), "setting.set");
}

QComboBox* SettingDialog::fabricBox(const char* key, FabricId chosen) {
    auto* box = named(new QComboBox(this), key);
    box->addItem(tr("not chosen yet"), 0U);
    for (const auto& fabric : m_question.quilt.fabrics)
        box->addItem(swatchOf(fabric), q(fabric.name), fabric.id.value);
    box->setCurrentIndex(std::max(0, box->findData(chosen.value)));
    return box;
}

Result<void> SettingDialog::read() {
    const auto& quilt = m_question.quilt;
    const auto lengthIn = [&](const QLineEdit& field) {
        return measure::readLength(field.text().toStdString(), quilt.units);
    };
    const auto sashing = lengthIn(*m_sashing);
    if (!sashing) return tl::unexpected(sashing.error());
    m_answer = {{}, *sashing, m_columns->value()};
    auto& setting = m_answer.setting;
    setting.strips = FabricId{m_strips->currentData().toUInt()};
    setting.outer = m_outer->isChecked(), setting.asTheyCome = m_asTheyCome->isChecked();
    for (const auto& border : m_borders) {
        const auto width = lengthIn(*border.width);
        if (!width) return tl::unexpected(width.error());
        if (*width == quilt::Length()) continue;
        setting.borders.push_back({*width, FabricId{border.fabric->currentData().toUInt()}});
    }
    const auto set = edit::setSetting(quilt, setting, *sashing, m_answer.columns);
    return set ? Result<void>() : Result<void>(tl::unexpected(set.error()));
}

void SettingDialog::follow(bool well) {
    if (!well) return m_about->clear();
    const auto set =
        edit::setSetting(m_question.quilt, m_answer.setting, m_answer.sashing, m_answer.columns).value();
    QStringList lines;
    for (const auto& line : words::wallWords(set))
        lines << q(line);
    m_about->setText(lines.join('\n'));
}

} // namespace up::app
