// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/form.hpp"

#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "words/sentences.hpp"

#include <QAbstractButton>
#include <QAbstractSlider>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QTableWidget>
#include <QVBoxLayout>

namespace up::app {

Form::Form(const QString& title, QWidget* parent) : QDialog(parent), m_trouble(new QLabel(this)) {
    setWindowTitle(title);
    m_trouble->setProperty("role", "caution");
    m_trouble->setWordWrap(true);
    m_trouble->setTextFormat(Qt::PlainText);
    m_trouble->hide();
}

void Form::addFoot(QVBoxLayout& column, const QString& accept, const char* key) {
    m_trouble->setObjectName(QString(key).section('.', 0, 0) + ".trouble");
    column.addWidget(m_trouble);
    auto* buttons = new QDialogButtonBox(this);
    m_accept = named(buttons->addButton(accept, QDialogButtonBox::AcceptRole), key);
    m_accept->setDefault(true);
    buttons->addButton(tr("Cancel"), QDialogButtonBox::RejectRole)->setAutoDefault(false);
    connect(buttons, &QDialogButtonBox::accepted, this, &Form::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column.addWidget(buttons);
    changed();
}

void Form::watch(std::initializer_list<QWidget*> fields) {
    for (auto* field : fields) {
        if (auto* text = qobject_cast<QLineEdit*>(field))
            connect(text, &QLineEdit::textChanged, this, &Form::changed);
        else if (auto* choice = qobject_cast<QComboBox*>(field))
            connect(choice, &QComboBox::currentIndexChanged, this, &Form::changed);
        else if (auto* tick = qobject_cast<QAbstractButton*>(field))
            connect(tick, &QAbstractButton::toggled, this, &Form::changed);
        else if (auto* number = qobject_cast<QSpinBox*>(field))
            connect(number, &QSpinBox::valueChanged, this, &Form::changed);
        else if (auto* real = qobject_cast<QDoubleSpinBox*>(field))
            connect(real, &QDoubleSpinBox::valueChanged, this, &Form::changed);
        else if (auto* slider = qobject_cast<QAbstractSlider*>(field))
            connect(slider, &QAbstractSlider::valueChanged, this, &Form::changed);
        else if (auto* table = qobject_cast<QTableWidget*>(field))
            connect(table, &QTableWidget::itemChanged, this, &Form::changed);
    }
}

QString Form::trouble() const {
    return m_trouble->isHidden() ? QString() : m_trouble->text();
}

void Form::changed() {
    if (!m_accept || m_reading) return; // still being built, or set by what follows
    m_reading = true;
    const auto result = read();
    m_trouble->setText(result ? QString() : q(words::sentence(result.error())));
    m_trouble->setVisible(!result);
    m_accept->setEnabled(result.has_value());
    follow(result.has_value());
    m_reading = false;
}

void Form::accept() {
    changed();
    if (trouble().isEmpty()) QDialog::accept();
}

} // namespace up::app
