// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/print_dialog.hpp"

#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/pages_picture.hpp"
#include "app/session/aside.hpp"
#include "core/measure/say.hpp"
#include "words/sentences.hpp"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSettings>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {
namespace {

QLabel* wrapped(const QString& text, QWidget* parent) {
    auto* label = new QLabel(text, parent);
    label->setTextFormat(Qt::PlainText);
    label->setWordWrap(true);
    return label;
}

/// As a line of a list begins.
QString capital(QString name) {
    return name.isEmpty() ? name : name.replace(0, 1, name.front().toUpper());
}

/// What the square measures, as somebody reads it off a ruler.
QString squareWords(double mm, measure::System units) {
    const auto length = measure::Length::ofMm(mm);
    return q(units == measure::System::inches ? measure::fraction(length, 64) + " in"
                                              : measure::sayMetric(length));
}

} // namespace

measure::Paper PrintMemory::paper() const {
    const auto name = QSettings(m_settings, QSettings::IniFormat).value("printer/paper").toString();
    return name == measure::a4.name ? measure::a4 : measure::letter;
}

void PrintMemory::keepPaper(const measure::Paper& paper) const {
    QSettings(m_settings, QSettings::IniFormat).setValue("printer/paper", paper.name);
}

double PrintMemory::square(const QString& printer) const {
    QSettings file(m_settings, QSettings::IniFormat);
    file.beginGroup("squares");
    const double mm = file.value(printer, output::testSquare).toDouble();
    return mm >= output::leastSquare && mm <= output::mostSquare ? mm : output::testSquare;
}

void PrintMemory::keepSquare(const QString& printer, double mm) const {
    QSettings file(m_settings, QSettings::IniFormat);
    file.beginGroup("squares");
    file.setValue(printer, mm);
}

PrintDialog::PrintDialog(PrintQuestion question, QWidget* parent)
    : QDialog(parent), m_question(std::move(question)), m_memory(m_question.settings),
      m_picture(named(new PagesPicture(this), "print.picture")),
      m_kind(named(new QComboBox(this), "print.what")), m_paper(named(new QComboBox(this), "print.paper")),
      m_printer(named(new QComboBox(this), "print.printer")),
      m_square(named(new QLineEdit(this), "print.square")),
      m_misprint(named(new QDoubleSpinBox(this), "print.misprint")),
      m_misprintName(new QLabel(tr("It prints at"), this)), m_advice(wrapped({}, this)),
      m_corrected(wrapped({}, this)), m_count(new QLabel(this)), m_says(wrapped({}, this)),
      m_back(named(new QPushButton("◀", this), "print.back")),
      m_on(named(new QPushButton("▶", this), "print.on")),
      m_go(named(new QPushButton("Print", this), "print.go")),
      m_pages(std::make_shared<std::vector<sheet::Page>>()) {
    setWindowTitle(tr("Print: %1").arg(m_question.block));
    for (const auto& one : m_question.kinds)
        m_kind->addItem(one.name);
    m_kind->setCurrentIndex(static_cast<int>(m_question.first));
    m_paper->addItems({measure::letter.name, measure::a4.name});
    m_paper->setCurrentText(m_memory.paper().name);
    m_misprint->setRange(80, 120);
    m_misprint->setSuffix(" %");
    m_misprint->setDecimals(1);
    m_misprint->setButtonSymbols(QAbstractSpinBox::NoButtons);
    build();
    fillPrinters();
    connect(m_picture, &PagesPicture::turned, this, &PrintDialog::refresh);
    connect(m_back, &QPushButton::clicked, this, [this] { m_picture->turnTo(m_picture->page() - 1); });
    connect(m_on, &QPushButton::clicked, this, [this] { m_picture->turnTo(m_picture->page() + 1); });
    connect(m_kind, &QComboBox::currentIndexChanged, this, &PrintDialog::make);
    connect(m_paper, &QComboBox::currentIndexChanged, this, [this] {
        m_memory.keepPaper(m_paper->currentIndex() == 1 ? measure::a4 : measure::letter);
        make();
    });
    connect(m_printer, &QComboBox::currentIndexChanged, this, &PrintDialog::choosePrinter);
    connect(m_square, &QLineEdit::editingFinished, this, &PrintDialog::readSquare);
    connect(m_misprint, &QDoubleSpinBox::valueChanged, this, [this](double percent) {
        if (auto* by = printer()) by->setMisprint(percent);
    });
    connect(m_go, &QPushButton::clicked, this, &PrintDialog::go);
    choosePrinter();
}

void PrintDialog::build() {
    auto* row = new QHBoxLayout(this);
    row->setSpacing(16);
    auto* left = new QVBoxLayout;
    left->addWidget(m_picture, 1);
    auto* turning = new QHBoxLayout;
    turning->addStretch();
    turning->addWidget(m_back);
    turning->addWidget(m_count);
    turning->addWidget(m_on);
    turning->addStretch();
    left->addLayout(turning);
    row->addLayout(left, 3);
    auto* right = new QVBoxLayout;
    auto* form = new QFormLayout;
    form->addRow(tr("What"), m_kind);
    form->addRow(tr("Paper"), m_paper);
    form->addRow(tr("Printer"), m_printer);
    form->addRow(m_misprintName, m_misprint);
    form->addRow(tr("Its 1 in square measures"), m_square);
    right->addLayout(form);
    right->addWidget(m_corrected);
    right->addSpacing(12);
    right->addWidget(m_advice);
    right->addStretch();
    right->addWidget(m_says);
    auto* buttons = new QHBoxLayout;
    auto* close = new QPushButton(tr("Close"), this);
    close->setAutoDefault(false);
    m_back->setAutoDefault(false), m_on->setAutoDefault(false);
    m_go->setAutoDefault(false); // Enter in a field only says that the field is done
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    buttons->addStretch();
    buttons->addWidget(m_go);
    buttons->addWidget(close);
    right->addLayout(buttons);
    row->addLayout(right, 2);
    resize(980, 700);
}

void PrintDialog::fillPrinters() {
    m_printer->addItem(capital(pdfFile));
    for (const auto& one : m_question.printers)
        m_printer->addItem(capital(one->name()));
    if (!m_question.more) return;
    aside(this, m_question.more, [this](const std::vector<std::shared_ptr<Printer>>& found) {
        for (const auto& one : found) {
            m_question.printers.push_back(one);
            m_printer->addItem(capital(one->name()));
        }
    });
}

const PrintKind& PrintDialog::kind() const {
    return m_question.kinds[static_cast<std::size_t>(std::max(0, m_kind->currentIndex()))];
}

Printer* PrintDialog::printer() const {
    const int at = m_printer->currentIndex();
    return at > 0 ? m_question.printers[static_cast<std::size_t>(at - 1)].get() : nullptr;
}

QString PrintDialog::printerName() const {
    const auto* by = printer();
    return by ? by->name() : pdfFile;
}

void PrintDialog::choosePrinter() {
    const auto* by = printer();
    const auto misprint = by ? by->misprint() : std::nullopt;
    m_misprint->setVisible(misprint.has_value());
    m_misprintName->setVisible(misprint.has_value());
    if (misprint) m_misprint->setValue(*misprint);
    m_square->setText(squareWords(m_memory.square(printerName()), m_question.units));
    m_go->setText(by ? tr("Print") : tr("Write PDF…"));
    say({}, false);
    make();
}

void PrintDialog::readSquare() {
    if (!m_square->isModified()) return;
    m_square->setModified(false);
    const auto square = measure::readLength(m_square->text().trimmed().toStdString(), m_question.units);
    if (!square) return say(q(words::sentence(square.error())), true);
    if (square->mm() < output::leastSquare || square->mm() > output::mostSquare)
        return say(
            tr("A printer that is so far off must be set right first: choose 100 % or “actual size” in "
               "its dialog, print again, then measure."),
            true);
    m_memory.keepSquare(printerName(), square->mm());
    say({}, false);
    make();
}

void PrintDialog::make() {
    if (m_busy) {
        m_again = true;
        return;
    }
    m_busy = true;
    refresh();
    const output::PageOptions options{m_memory.paper(), m_memory.square(printerName())};
    aside(
        this, [options, work = kind().make] { return work(options); },
        [this](const Result<std::vector<sheet::Page>>& made) {
            m_busy = false;
            if (std::exchange(m_again, false)) return make();
            m_pages = std::make_shared<std::vector<sheet::Page>>(made ? *made : std::vector<sheet::Page>());
            if (!made) say(q(words::sentence(made.error())), true);
            m_picture->show(m_pages);
        });
}

void PrintDialog::go() {
    if (m_busy || m_pages->empty()) return;
    const auto* by = printer();
    if (!by) {
        m_question.write(kind(), *m_pages);
        return accept();
    }
    m_busy = true;
    refresh();
    say(tr("Printing…"), false);
    aside(
        this,
        [by = m_question.printers[static_cast<std::size_t>(m_printer->currentIndex() - 1)], pages = m_pages,
         title = m_question.block + " " + kind().name] { return by->print(*pages, title); },
        [this](const Result<QString>& done) {
            m_busy = false;
            if (done)
                say(*done + (kind().ownSize ? QString()
                                            : " " + tr("Measure the one-inch square; if it is not one inch, "
                                                       "write above what it is and print again.")),
                    false);
            else
                say(q(words::sentence(done.error())), true);
            refresh();
        });
}

void PrintDialog::say(const QString& sentence, bool bad) {
    m_says->setText(sentence);
    m_says->setVisible(!sentence.isEmpty());
    m_says->setStyleSheet(bad ? "color: #B03A25; font-weight: 700;" : QString());
}

void PrintDialog::refresh() {
    const int count = m_picture->count();
    m_count->setText(m_busy && count == 0
                         ? tr("Working out the pages…")
                         : tr("Page %1 of %2").arg(count ? m_picture->page() + 1 : 0).arg(count));
    m_back->setEnabled(m_picture->page() > 0);
    m_on->setEnabled(m_picture->page() + 1 < count);
    m_go->setEnabled(!m_busy && !m_pages->empty());
    m_paper->setEnabled(!kind().ownSize);
    m_advice->setText(kind().advice);
    const double percent = output::testSquare / m_memory.square(printerName()) * 100;
    m_corrected->setText(
        std::abs(percent - 100) < 0.05
            ? tr("Pages are drawn at true size.")
            : tr("Pages are drawn at %1 %, so that they come out at true size.").arg(percent, 0, 'f', 1));
}

} // namespace up::app
