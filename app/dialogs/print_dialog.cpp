// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/print_dialog.hpp"

#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/pages_picture.hpp"
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

[[maybe_unused]] constexpr const char* paperNames[] = {N_("Letter")}; // A4 is A4 everywhere

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
    : Form(tr("Print: %1").arg(question.block), parent), m_question(std::move(question)),
      m_memory(m_question.settings), m_picture(named(new PagesPicture(this), "print.picture")),
      m_kind(named(new QComboBox(this), "print.what")), m_paper(named(new QComboBox(this), "print.paper")),
      m_printer(named(new QComboBox(this), "print.printer")),
      m_square(named(new QLineEdit(this), "print.square")),
      m_misprint(named(new QDoubleSpinBox(this), "print.misprint")),
      m_misprintName(new QLabel(tr("It prints at"), this)), m_advice(wrapped({}, this)),
      m_corrected(wrapped({}, this)), m_count(new QLabel(this)), m_says(wrapped({}, this)),
      m_back(named(new QPushButton("◀", this), "print.back")),
      m_on(named(new QPushButton("▶", this), "print.on")),
      m_pages(std::make_shared<std::vector<sheet::Page>>()) {
    for (const auto& one : m_question.kinds)
        m_kind->addItem(one.name);
    m_kind->setCurrentIndex(static_cast<int>(m_question.first));
    for (const auto* paper : {&measure::letter, &measure::a4})
        m_paper->addItem(tr(paper->name), paper->name);
    m_paper->setCurrentIndex(m_paper->findData(m_memory.paper().name));
    m_misprint->setRange(80, 120);
    m_misprint->setSuffix(" %");
    m_misprint->setDecimals(1);
    m_misprint->setButtonSymbols(QAbstractSpinBox::NoButtons);
    build();
    fillPrinters();
    connect(m_picture, &PagesPicture::turned, this, &PrintDialog::refresh);
    connect(m_back, &QPushButton::clicked, this, [this] { m_picture->turnTo(m_picture->page() - 1); });
    connect(m_on, &QPushButton::clicked, this, [this] { m_picture->turnTo(m_picture->page() + 1); });
    connect(m_printer, &QComboBox::currentIndexChanged, this, &PrintDialog::choosePrinter);
    connect(m_square, &QLineEdit::editingFinished, this, &PrintDialog::keepSquare);
    connect(m_misprint, &QDoubleSpinBox::valueChanged, this, [this](double percent) {
        if (auto* by = printer()) by->setMisprint(percent);
    });
    watch({m_kind, m_paper, m_square});
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
    addActingFoot(*right, tr("Print"), "print.go");
    m_back->setAutoDefault(false), m_on->setAutoDefault(false);
    row->addLayout(right, 2);
    resize(980, 700);
}

void PrintDialog::fillPrinters() {
    m_printer->addItem(tr("A PDF file"));
    const auto add = [this](const Printer& one) { m_printer->addItem(capital(one.name()), one.name()); };
    for (const auto& one : m_question.printers)
        add(*one);
    if (!m_question.more) return;
    aside(this, m_question.more, [this, add](const std::vector<std::shared_ptr<Printer>>& found) {
        for (const auto& one : found) {
            m_question.printers.push_back(one);
            add(*one);
        }
    });
}

const PrintKind& PrintDialog::kind() const {
    return m_question.kinds[static_cast<std::size_t>(std::max(0, m_kind->currentIndex()))];
}

Printer* PrintDialog::printer() const {
    const auto name = m_printer->currentData().toString(); // a PDF file has none
    for (const auto& one : m_question.printers)
        if (!name.isEmpty() && one->name() == name) return one.get();
    return nullptr;
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
    acceptButton()->setText(by ? tr("Print") : tr("Write PDF…"));
    say({});
    complain({});
    changed();
}

/// What is remembered of the printer is more exact than a ruler's words for it.
Result<void> PrintDialog::read() {
    m_options.paper = m_paper->currentData().toString() == measure::a4.name ? measure::a4 : measure::letter;
    m_options.square = m_memory.square(printerName());
    if (!m_square->isModified()) return {};
    const auto square = measure::readLength(m_square->text().trimmed().toStdString(), m_question.units);
    if (!square) return tl::unexpected(square.error());
    if (square->mm() < output::leastSquare || square->mm() > output::mostSquare)
        return failure(Code::misprinted);
    m_options.square = square->mm();
    return {};
}

void PrintDialog::follow(bool well) {
    const std::pair wanted(m_kind->currentIndex(), m_options);
    if (well && m_madeOf != wanted) {
        if (!(m_memory.paper() == m_options.paper)) m_memory.keepPaper(m_options.paper);
        m_madeOf = wanted;
        make();
    }
    refresh();
}

void PrintDialog::keepSquare() {
    if (!m_square->isModified() || !well()) return;
    m_memory.keepSquare(printerName(), m_options.square);
}

void PrintDialog::make() {
    complain({});
    m_newest.ask([options = m_options, work = kind().make] { return work(options); },
                 [this](const Result<std::vector<sheet::Page>>& made) {
                     m_pages = std::make_shared<std::vector<sheet::Page>>(made ? *made
                                                                               : std::vector<sheet::Page>());
                     if (!made) complain(q(words::sentence(made.error())));
                     m_picture->show(m_pages);
                     refresh();
                 });
}

void PrintDialog::act() {
    if (isBusy() || m_pages->empty()) return;
    keepSquare();
    const int at = m_printer->currentIndex();
    if (!printer()) {
        m_question.write(kind(), *m_pages);
        return accept();
    }
    m_printing = true;
    say(tr("Printing…"));
    refresh();
    aside(
        this,
        [by = m_question.printers[static_cast<std::size_t>(at - 1)], pages = m_pages,
         title = m_question.block + " " + kind().name] { return by->print(*pages, title); },
        [this](const Result<QString>& done) {
            m_printing = false;
            complain(done ? QString() : q(words::sentence(done.error())));
            say(!done            ? QString()
                : kind().ownSize ? *done
                                 : *done + " " +
                                       tr("Measure the one-inch square; if it is not one inch, "
                                          "write above what it is and print again."));
            refresh();
        });
}

void PrintDialog::say(const QString& sentence) {
    m_says->setText(sentence);
    m_says->setVisible(!sentence.isEmpty());
}

void PrintDialog::refresh() {
    const int count = m_picture->count();
    m_count->setText(m_newest.isBusy() && count == 0
                         ? tr("Working out the pages…")
                         : tr("Page %1 of %2").arg(count ? m_picture->page() + 1 : 0).arg(count));
    m_back->setEnabled(m_picture->page() > 0);
    m_on->setEnabled(m_picture->page() + 1 < count);
    acceptButton()->setEnabled(well() && !isBusy() && !m_pages->empty());
    m_paper->setEnabled(!kind().ownSize);
    m_advice->setText(kind().advice);
    const double percent = output::testSquare / m_options.square * 100;
    m_corrected->setText(
        std::abs(percent - 100) < 0.05
            ? tr("Pages are drawn at true size.")
            : tr("Pages are drawn at %1 %, so that they come out at true size.").arg(percent, 0, 'f', 1));
}

} // namespace up::app
