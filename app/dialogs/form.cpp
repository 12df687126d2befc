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

void Form::buildFoot(QVBoxLayout& column, const QString& last) {
    column.addWidget(m_trouble);
    m_buttons = new QDialogButtonBox(this);
    m_buttons->addButton(last, QDialogButtonBox::RejectRole)->setAutoDefault(false);
    connect(m_buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column.addWidget(m_buttons);
}

void Form::addFoot(QVBoxLayout& column, const QString& accept, const char* key) {
    buildFoot(column, tr("Cancel"));
    m_trouble->setObjectName(QString(key).section('.', 0, 0) + ".trouble");
    m_accept = named(m_buttons->addButton(accept, QDialogButtonBox::AcceptRole), key);
    m_accept->setDefault(true);
    connect(m_buttons, &QDialogButtonBox::accepted, this, &Form::accept);
    changed();
}

void Form::addActingFoot(QVBoxLayout& column, const QString& act, const char* key) {
    buildFoot(column, tr("Close"));
    m_trouble->setObjectName(QString(key).section('.', 0, 0) + ".trouble");
    m_accept = addButton(act, key);
    connect(m_accept, &QPushButton::clicked, this, [this] {
        changed();
        if (m_wrong.isEmpty()) this->act();
    });
}

QPushButton* Form::addButton(const QString& text, const char* key) {
    auto* button = named(m_buttons->addButton(text, QDialogButtonBox::ActionRole), key);
    button->setAutoDefault(false);
    return button;
}

void Form::addGone(const char* key, bool& gone) {
    auto* button = addButton(tr("It is used up"), key);
    connect(button, &QPushButton::clicked, this, [this, &gone] {
        gone = true;
        accept();
    });
}

void Form::addClosingFoot(QVBoxLayout& column) {
    buildFoot(column, tr("Close"));
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
    return m_wrong.isEmpty() ? m_beyond : m_wrong;
}

void Form::showTrouble() {
    m_trouble->setText(trouble());
    m_trouble->setVisible(!trouble().isEmpty());
}

void Form::complain(const QString& sentence) {
    m_beyond = sentence;
    showTrouble();
}

void Form::changed() {
    if (!m_accept || m_reading) return; // still being built, or set by what follows
    m_reading = true;
    const auto result = read();
    m_wrong = result ? QString() : q(words::sentence(result.error()));
    showTrouble();
    m_accept->setEnabled(result.has_value());
    follow(result.has_value());
    m_reading = false;
}

void Form::accept() {
    changed();
    if (m_wrong.isEmpty()) QDialog::accept();
}

} // namespace up::app
