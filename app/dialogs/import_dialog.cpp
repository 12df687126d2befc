// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/import_dialog.hpp"
#include "app/dialogs/choice.hpp"
#include "app/look/text.hpp"

#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/pictures/import_picture.hpp"
#include "core/edit/naming.hpp"
#include "core/measure/say.hpp"
#include "words/sentences.hpp"

#include <QCheckBox>
#include <QComboBox>
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

/// As large as it will be in the block.
QString sizeWords(const shape::Box& box, double scale, measure::System units) {
    return q(measure::saySize(measure::Length::ofMm(box.width() * scale),
                              measure::Length::ofMm(box.height() * scale), units));
}

QString roleWords(const quilt::DrawnShape& drawn, Role role) {
    if (role == Role::out) return tr("left out");
    if (role == Role::mark) return tr("inner mark of the piece beneath");
    const QString from = drawn.origin == quilt::Origin::band ? tr("from a wide line") : QString();
    const auto marks = drawn.marks.size();
    const auto with =
        marks == 0 ? QString() : q(words::said(N2_("{0} inner mark", "{0} inner marks"), marks));
    return QStringList({from, with}).filter(QRegularExpression(".")).join(", ");
}

} // namespace

ImportDialog::ImportDialog(ImportQuestion question, QWidget* parent)
    : Form(tr("Import %1").arg(question.file), parent), m_question(std::move(question)),
      m_read(m_question.drawing), m_picture(named(new ImportPicture(this), "import.picture")),
      m_notes(new QLabel(this)), m_size(new QLabel(this)), m_side(named(new QLabel(this), "import.side")) {
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
    addFoot(*column, tr("Add"), "import.add");
    connect(m_picture, &ImportPicture::clicked, this, [this](int shape) {
        m_list->setCurrentRow(shape);
        chooseRole(shape, m_roles[static_cast<std::size_t>(shape)] == Role::piece ? Role::out : Role::piece);
    });
    resize(1040, 680);
    present(m_question.drawing);
    acceptButton()->setFocus();
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
    if (!length) return m_notes->setText(q(words::sentence(length.error())));
    const double factor = length->mm() / m_picture->marked();
    if (!(factor > 0.01 && factor < 100))
        return m_notes->setText(tr("That cannot be: look at the unit you typed."));
    const auto roles = m_roles;
    const bool chosen = m_sideChosen;
    m_measure->setChecked(false);
    if (m_read) present(edit::scaled(*m_read, factor));
    m_roles = roles, m_sideChosen = chosen;
    m_picture->setRoles(m_roles);
    fillList();
    changed();
}

Result<void> ImportDialog::read() {
    if (!m_read) return tl::unexpected(m_read.error());
    const auto text = m_margin->text().trimmed().toStdString();
    const auto length = measure::readLength(text, m_question.units);
    if (!length) return tl::unexpected(length.error());
    if (length->mm() < 0) return failure(Code::badLength, {text});
    m_free = *length;
    if (std::count(m_roles.begin(), m_roles.end(), Role::piece) == 0) return failure(Code::nothingChosen);
    return {};
}

edit::ImportOptions ImportDialog::options() const {
    return {m_reversed->isChecked(), chosenIn<edit::Fit>(*m_fit), m_free,
            m_loose->isVisibleTo(this) && m_loose->isChecked()};
}

ImportAnswer ImportDialog::answer() const {
    return {edit::withRoles(m_drawing, m_roles), options(), m_question.first && m_numbered->isChecked()};
}

void ImportDialog::readAgain() {
    acceptButton()->setEnabled(false);
    m_notes->clear();
    m_reading.start(
        tr("Reading it again"),
        [pattern = m_question.pattern, settings = m_settings](const std::shared_ptr<Job>& job) {
            return pattern->read(settings.with(job));
        },
        [this](const Result<quilt::Drawing>& drawing) { present(drawing); });
}

void ImportDialog::joinPages() {
    acceptButton()->setEnabled(false);
    m_notes->clear();
    using Pages = Result<std::vector<quilt::Drawing>>;
    m_reading.start(
        tr("Reading all pages"),
        [pattern = m_question.pattern, settings = m_settings](const std::shared_ptr<Job>& job) {
            return pattern->readAll(settings.with(job));
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
    changed();
    m_notes->setText(tr("Nothing was read anew; this is the page as it was read before."));
}

/// In the fields, without reading anew.
void ImportDialog::showSettings() {
    const QSignalBlocker dpi(m_dpi), borders(m_borders);
    choose(*m_page, m_settings.joined ? allJoined : m_settings.page);
    m_dpi->setValue(static_cast<int>(m_settings.dpi));
    m_borders->setChecked(m_settings.borders);
}

void ImportDialog::present(const Result<quilt::Drawing>& drawing) {
    m_readBefore = m_settings;
    m_read = drawing;
    m_drawing = !drawing                   ? quilt::Drawing{}
                : m_linesOver->isChecked() ? quilt::withLinesAsPieces(*drawing)
                                           : *drawing;
    m_linesOver->setVisible(drawing && !drawing->linesOver.empty());
    m_loose->setVisible(std::any_of(m_drawing.loose.begin(), m_drawing.loose.end(),
                                    [](const quilt::Loose& line) { return !line.dotted; }));
    m_roles.assign(m_drawing.shapes.size(), Role::piece);
    m_picture->show(m_drawing);
    QStringList notes;
    for (std::size_t i = 0; i < m_drawing.warnings.size() && i < 6; ++i)
        notes << "• " + q(words::sentence(m_drawing.warnings[i]));
    if (m_drawing.warnings.size() > 6) notes << tr("• and %1 more notes").arg(m_drawing.warnings.size() - 6);
    m_notes->setText(notes.join("\n"));
    choose(*m_fit, edit::usualFit(m_drawing, m_question.width, m_question.height));
    fillList();
    changed();
    askLetters();
}

void ImportDialog::askLetters() {
    tellSide();
    m_letters.drop(); // of what was shown before
    if (!m_question.pattern || m_drawing.shapes.empty()) return;
    m_letters.ask([pattern = m_question.pattern, settings = m_settings,
                   drawing = m_drawing] { return pattern->letters(settings, drawing); },
                  [this](quilt::Reading reading) {
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
                    : backwards ? tr("Its letters read backwards: it came reversed.")
                                : tr("Its letters read the right way: it is drawn as seen.");
    if (doubtful)
        words += " " + (backwards ? tr("Unticked, it would be fused backwards.")
                                  : tr("Ticked, it would be reversed twice."));
    m_side->setText(words);
    m_side->setStyleSheet("color: " + look::q(doubtful ? look::rust : look::moss).name());
    m_side->setVisible(known);
}

/// Pieces as they will be called; what is left out as it would be.
std::vector<std::string> ImportDialog::namesShown() const {
    const bool reversed = m_reversed->isChecked();
    auto out = edit::namesFor(m_drawing, m_question.fabrics, reversed, m_question.names);
    const auto wanted =
        edit::namesFor(edit::withRoles(m_drawing, m_roles), m_question.fabrics, reversed, m_question.names);
    for (std::size_t i = 0, next = 0; i < out.size() && next < wanted.size(); ++i)
        if (m_roles[i] == Role::piece) out[i] = wanted[next++];
    return out;
}

void ImportDialog::fillList() {
    m_filling = true;
    m_list->clear();
    const auto names = namesShown();
    const double scale = edit::scaleFor(m_drawing, m_question.width, m_question.height, options());
    for (std::size_t i = 0; i < m_drawing.shapes.size(); ++i) {
        const auto& drawn = m_drawing.shapes[i];
        auto* item = new QListWidgetItem(m_list);
        QPixmap swatch(18, 18);
        swatch.fill(look::q(drawn.fill));
        item->setIcon(swatch);
        const auto more = roleWords(drawn, m_roles[i]);
        item->setText(QString("%1 · %2   %3%4")
                          .arg(i + 1)
                          .arg(q(names[i]), sizeWords(boundsOf(drawn.outline), scale, m_question.units),
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
    changed();
}

/// The number on the button, and how large it will be.
void ImportDialog::follow(bool) {
    if (m_reading.isRunning()) acceptButton()->setEnabled(false);
    const auto wanted = std::count(m_roles.begin(), m_roles.end(), Role::piece);
    acceptButton()->setText(wanted == 1 ? tr("Add 1 piece") : tr("Add %1 pieces").arg(wanted));
    shape::Box box;
    for (std::size_t i = 0; i < m_roles.size(); ++i)
        if (m_roles[i] == Role::piece) box.take(boundsOf(m_drawing.shapes[i].outline));
    if (box.isEmpty()) return m_size->clear();
    const auto placed = options();
    m_marginRow->setVisible(placed.fit != edit::Fit::own);
    const double scale = edit::scaleFor(m_drawing, m_question.width, m_question.height, placed);
    const auto size = [&](measure::Length width, measure::Length height) {
        return q(measure::saySize(width, height, m_question.units));
    };
    m_size->setText(tr("In a block of %1 it will be %2 (%3 %)")
                        .arg(size(m_question.width, m_question.height),
                             sizeWords(box, scale, m_question.units),
                             QString::number(scale * 100, 'f', scale < 0.1 ? 1 : 0)));
}

} // namespace up::app
