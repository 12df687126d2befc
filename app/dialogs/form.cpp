// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/form.hpp"

#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/base/check.hpp"
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
        const auto hears = [&]<class Kind>(auto Kind::*signal) {
            auto* own = qobject_cast<Kind*>(field);
            if (own) connect(own, signal, this, &Form::changed);
            return own != nullptr;
        };
        UP_CHECK(hears(&QLineEdit::textChanged) || hears(&QComboBox::currentIndexChanged) ||
                 hears(&QAbstractButton::toggled) || hears(&QSpinBox::valueChanged) ||
                 hears(&QDoubleSpinBox::valueChanged) || hears(&QAbstractSlider::valueChanged) ||
                 hears(&QTableWidget::itemChanged));
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
