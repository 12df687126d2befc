// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/import_dialog.hpp"

#include "app/dialogs/errand_strip.hpp"
#include "app/dialogs/import_picture.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "core/measure/say.hpp"
#include "words/sentences.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QRegularExpression>
#include <QSpinBox>
#include <QVBoxLayout>
#include <utility>

namespace up::app {
namespace {

using edit::Role;

QString sizeWords(const shape::Box& box, measure::System units) {
    return QString::fromStdString(
        measure::saySize(measure::Length::ofMm(box.width()), measure::Length::ofMm(box.height()), units));
}

QString roleWords(const quilt::DrawnShape& drawn, Role role) {
    if (role == Role::out) return "left out";
    if (role == Role::mark) return "inner mark of the piece beneath";
    const char* from = drawn.origin == quilt::Origin::band ? "from a wide line" : "";
    const auto marks = drawn.marks.size();
    const QString with = marks == 0 ? "" : marks == 1 ? "1 inner mark" : QString("%1 inner marks").arg(marks);
    return QStringList({from, with}).filter(QRegularExpression(".")).join(", ");
}

} // namespace

ImportDialog::ImportDialog(ImportQuestion question, QWidget* parent)
    : QDialog(parent), m_question(std::move(question)),
      m_picture(named(new ImportPicture(this), "import.picture")), m_notes(new QLabel(this)),
      m_size(new QLabel(this)), m_side(named(new QLabel(this), "import.side")) {
    setWindowTitle("Import " + m_question.file);
    auto* row = new QHBoxLayout(this);
    row->addWidget(m_picture, 1);
    auto* side = new QWidget(this);
    side->setFixedWidth(400);
    row->addWidget(side);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    buildReading(*column);
    buildShapes(*column);
    buildMeasuring(*column);
    buildPlacing(*column);
    auto* buttons = new QDialogButtonBox(this);
    m_add = named(buttons->addButton("Add", QDialogButtonBox::AcceptRole), "import.add");
    m_add->setDefault(true);
    buttons->addButton(QDialogButtonBox::Cancel)->setAutoDefault(false);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(m_picture, &ImportPicture::clicked, this, [this](int shape) {
        m_list->setCurrentRow(shape);
        chooseRole(shape, m_roles[static_cast<std::size_t>(shape)] == Role::piece ? Role::out : Role::piece);
    });
    resize(1040, 680);
    present(m_question.drawing);
    m_add->setFocus();
}

void ImportDialog::buildReading(QVBoxLayout& column) {
    auto* row = new QHBoxLayout;
    column.addLayout(row);
    auto* pageName = new QLabel("Page", this);
    m_page = named(new QComboBox(this), "import.page");
    for (int i = 1; i <= m_question.pages; ++i)
        m_page->addItem(QString("%1 of %2").arg(i).arg(m_question.pages));
    if (m_question.pages > 1 && m_question.readPages) m_page->addItem("All joined…");
    auto* dpiName = new QLabel("Dots to the inch", this);
    m_dpi = named(new QSpinBox(this), "import.dpi");
    m_dpi->setRange(0, 4800);
    m_dpi->setSpecialValueText("as the file says");
    m_dpi->setKeyboardTracking(false);
    m_dpi->setButtonSymbols(QAbstractSpinBox::NoButtons);
    m_borders = named(new QCheckBox("Wide pen lines are pieces of their own", this), "import.borders");
    for (QWidget* part : {static_cast<QWidget*>(pageName), static_cast<QWidget*>(m_page)}) {
        part->setVisible(m_question.pages > 1);
        row->addWidget(part);
    }
    for (QWidget* part : {static_cast<QWidget*>(dpiName), static_cast<QWidget*>(m_dpi)}) {
        part->setVisible(m_question.isScan);
        row->addWidget(part);
    }
    m_borders->setVisible(!m_question.isScan);
    column.addWidget(m_borders);
    connect(m_page, &QComboBox::activated, this, [this](int index) {
        m_settings.joined.reset();
        if (index >= m_question.pages) return joinPages();
        m_settings.page = index + 1;
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
    m_role->addItems({"A piece", "An inner mark", "Left out"}); // as edit::Role
    row->addWidget(new QLabel("The chosen shape is", this));
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
            m_role->setCurrentIndex(static_cast<int>(m_roles[static_cast<std::size_t>(row_)]));
    });
    connect(m_list, &QListWidget::itemChanged, this, [this](QListWidgetItem* item) {
        if (!m_filling)
            chooseRole(m_list->row(item), item->checkState() == Qt::Checked ? Role::piece : Role::out);
    });
    connect(m_role, &QComboBox::activated, this,
            [this](int role) { chooseRole(m_list->currentRow(), static_cast<Role>(role)); });
}

void ImportDialog::buildMeasuring(QVBoxLayout& column) {
    auto* row = new QHBoxLayout;
    column.addLayout(row);
    m_measure = named(new QCheckBox("I know one length:", this), "import.measure");
    m_length = named(new QLineEdit(this), "import.length");
    m_length->setPlaceholderText("drag it on the page, type it here");
    m_length->setEnabled(false);
    row->addWidget(m_measure);
    row->addWidget(m_length, 1);
    connect(m_measure, &QCheckBox::toggled, this, [this](bool on) {
        m_picture->setMeasuring(on);
        m_length->setEnabled(on);
        m_length->clear();
    });
    connect(m_picture, &ImportPicture::markMoved, this, [this] {
        m_length->setText(QString::fromStdString(
            measure::say(measure::Length::ofMm(m_picture->marked()), m_question.units)));
    });
    connect(m_length, &QLineEdit::returnPressed, this, [this] {
        m_entered = true;
        applyMark();
    });
    connect(m_length, &QLineEdit::editingFinished, this, &ImportDialog::applyMark);
}

/// Enter in the field of the known length ends the typing, not the dialog.
void ImportDialog::keyPressEvent(QKeyEvent* event) {
    const bool enter = event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter;
    if (enter && std::exchange(m_entered, false)) return;
    QDialog::keyPressEvent(event);
}

void ImportDialog::applyMark() {
    if (!m_length->isModified() || m_picture->marked() <= 0) return;
    m_length->setModified(false);
    const auto length = measure::readLength(m_length->text().trimmed().toStdString(), m_question.units);
    if (!length) return m_notes->setText(QString::fromStdString(words::sentence(length.error())));
    const double factor = length->mm() / m_picture->marked();
    if (!(factor > 0.01 && factor < 100))
        return m_notes->setText("That cannot be: look at the unit you typed.");
    const auto roles = m_roles;
    const bool chosen = m_sideChosen;
    m_measure->setChecked(false);
    present(edit::scaled(m_drawing, factor));
    m_roles = roles, m_sideChosen = chosen;
    m_picture->setRoles(m_roles);
    fillList();
    tell();
}

void ImportDialog::buildPlacing(QVBoxLayout& column) {
    m_fit = named(new QComboBox(this), "import.fit");
    m_fit->addItems(
        {"Scale its page to the block", "Keep its size", "Fill the block with the shapes"}); // as edit::Fit
    m_reversed = named(new QCheckBox("It came already reversed", this), "import.reversed");
    m_reversed->setChecked(m_question.reversed);
    m_size->setObjectName("import.size");
    column.addWidget(m_fit);
    column.addWidget(m_size);
    column.addWidget(m_reversed);
    m_numbered = named(new QCheckBox("Number by step, fabric and place", this), "import.numbered");
    m_numbered->setChecked(!m_question.drawing || !edit::bringsNumbers(*m_question.drawing));
    m_numbered->setVisible(m_question.first);
    column.addWidget(m_numbered);
    m_side->setWordWrap(true);
    column.addWidget(m_side);
    connect(m_reversed, &QCheckBox::clicked, this, [this] {
        m_sideChosen = true;
        tellSide();
    });
    connect(m_fit, &QComboBox::activated, this, &ImportDialog::tell);
}

edit::Fit ImportDialog::fit() const {
    return static_cast<edit::Fit>(m_fit->currentIndex());
}

ImportAnswer ImportDialog::answer() const {
    return {edit::withRoles(m_drawing, m_roles),
            {m_reversed->isChecked(), fit()},
            m_question.first && m_numbered->isChecked()};
}

void ImportDialog::readAgain() {
    m_add->setEnabled(false);
    m_notes->clear();
    m_reading.start(
        "Reading it again",
        [read = m_question.read, settings = m_settings](const std::shared_ptr<Job>& job) {
            return read(settings.with(job));
        },
        [this](const Result<quilt::Drawing>& drawing) { present(drawing); });
}

void ImportDialog::joinPages() {
    m_add->setEnabled(false);
    m_notes->clear();
    using Pages = Result<std::vector<quilt::Drawing>>;
    m_reading.start(
        "Reading all pages",
        [read = m_question.readPages, settings = m_settings](const std::shared_ptr<Job>& job) {
            return read(settings.with(job));
        },
        [this](const Pages& pages) {
            if (!pages) return present(tl::unexpected(pages.error()));
            const auto grid = m_question.askGrid(*pages);
            if (!grid) return stopReading();
            m_settings.joined = *grid;
            present(intake::joinPages(*pages, *grid));
        });
}

void ImportDialog::stopReading() {
    m_settings = m_readBefore;
    showSettings();
    tell();
    m_notes->setText("Nothing was read anew; this is the page as it was read before.");
}

/// In the fields, without reading anew.
void ImportDialog::showSettings() {
    const QSignalBlocker dpi(m_dpi), borders(m_borders);
    m_page->setCurrentIndex(m_settings.joined ? m_question.pages : m_settings.page - 1);
    m_dpi->setValue(static_cast<int>(m_settings.dpi));
    m_borders->setChecked(m_settings.borders);
}

void ImportDialog::present(const Result<quilt::Drawing>& drawing) {
    m_readBefore = m_settings;
    ++m_shown;
    m_drawing = drawing ? *drawing : quilt::Drawing{};
    m_roles.assign(m_drawing.shapes.size(), Role::piece);
    m_picture->show(m_drawing);
    fillList();
    QStringList notes;
    if (!drawing) notes << QString::fromStdString(words::sentence(drawing.error()));
    for (std::size_t i = 0; i < m_drawing.warnings.size() && i < 6; ++i)
        notes << "• " + QString::fromStdString(words::sentence(m_drawing.warnings[i]));
    if (m_drawing.warnings.size() > 6)
        notes << QString("• and %1 more notes").arg(m_drawing.warnings.size() - 6);
    m_notes->setText(notes.join("\n"));
    m_fit->setCurrentIndex(static_cast<int>(edit::usualFit(m_drawing, m_question.width, m_question.height)));
    tell();
    askLetters();
}

void ImportDialog::askLetters() {
    tellSide();
    if (!m_question.letters || m_drawing.shapes.empty()) return;
    const int asked = m_shown;
    aside(
        this,
        [letters = m_question.letters, settings = m_settings, drawing = m_drawing] {
            return letters(settings, drawing);
        },
        [this, asked](quilt::Reading reading) {
            if (asked != m_shown) return;
            m_drawing.letters = reading;
            if (reading != quilt::Reading::unknown && !m_sideChosen)
                m_reversed->setChecked(reading == quilt::Reading::mirrored);
            tellSide();
        });
}

void ImportDialog::tellSide() {
    const bool backwards = m_drawing.letters == quilt::Reading::mirrored;
    const bool known = m_drawing.letters != quilt::Reading::unknown;
    const bool doubtful = known && backwards != m_reversed->isChecked();
    QString words = !known      ? ""
                    : backwards ? "Its letters read backwards: it came reversed."
                                : "Its letters read the right way: it is drawn as seen.";
    if (doubtful)
        words +=
            backwards ? " Unticked, it would be fused backwards." : " Ticked, it would be reversed twice.";
    m_side->setText(words);
    m_side->setStyleSheet("color: " + look::q(doubtful ? look::rust : look::moss).name());
    m_side->setVisible(known);
}

void ImportDialog::fillList() {
    m_filling = true;
    m_list->clear();
    for (std::size_t i = 0; i < m_drawing.shapes.size(); ++i) {
        const auto& drawn = m_drawing.shapes[i];
        auto* item = new QListWidgetItem(m_list);
        QPixmap swatch(18, 18);
        swatch.fill(look::q(drawn.fill));
        item->setIcon(swatch);
        const auto more = roleWords(drawn, m_roles[i]);
        item->setText(QString("%1 %2   %3%4")
                          .arg(i + 1)
                          .arg(QString::fromStdString(drawn.name),
                               sizeWords(boundsOf(drawn.outline), m_question.units),
                               more.isEmpty() ? "" : "   " + more));
        item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
        item->setCheckState(m_roles[i] == Role::piece  ? Qt::Checked
                            : m_roles[i] == Role::mark ? Qt::PartiallyChecked
                                                       : Qt::Unchecked);
    }
    m_filling = false;
}

void ImportDialog::chooseRole(int shape, Role role) {
    if (shape < 0 || shape >= static_cast<int>(m_roles.size())) return;
    m_roles[static_cast<std::size_t>(shape)] = role;
    m_picture->setRoles(m_roles);
    fillList();
    m_list->setCurrentRow(shape);
    tell();
}

/// The number on the button, and how large it will be.
void ImportDialog::tell() {
    const auto wanted = std::count(m_roles.begin(), m_roles.end(), Role::piece);
    m_add->setEnabled(wanted > 0);
    m_add->setText(wanted == 1 ? QString("Add 1 piece") : QString("Add %1 pieces").arg(wanted));
    shape::Box box;
    for (std::size_t i = 0; i < m_roles.size(); ++i)
        if (m_roles[i] == Role::piece) box.take(boundsOf(m_drawing.shapes[i].outline));
    if (box.isEmpty()) return m_size->clear();
    m_size->setText(
        "On its page " + sizeWords(box, m_question.units) + ", in a block of " +
        QString::fromStdString(measure::saySize(m_question.width, m_question.height, m_question.units)));
}

} // namespace up::app
