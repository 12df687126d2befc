// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/size_dialog.hpp"
#include "app/dialogs/choice.hpp"

#include "app/dialogs/size_table.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/size_picture.hpp"
#include "app/session/aside.hpp"
#include "core/pattern/pattern.hpp"
#include "words/stitch_words.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSlider>
#include <QTableView>
#include <QTimer>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {
namespace {

constexpr double least = 0.05, most = 10; // factors
constexpr int sliderSteps = 1000;         // from a quarter to four times, by equal ratios

int sliderAt(double factor) {
    return static_cast<int>(std::lround((std::log2(std::clamp(factor, 0.25, 4.0)) + 2) / 4 * sliderSteps));
}
double factorAt(int slider) {
    return std::exp2(static_cast<double>(slider) / sliderSteps * 4 - 2);
}

/// The sized pieces' thin parts; the others keep theirs.
std::vector<std::vector<shape::Narrow>> thinOf(const SizeQuestion& question, const quilt::EdgeStitch& edge,
                                               bool whole, double factor) {
    std::vector<std::vector<shape::Narrow>> out;
    for (std::size_t i = 0; i < question.judged->pieces.size(); ++i) {
        const bool sized = whole || question.block.pieces[i].id == question.chosen;
        out.push_back(plan::thinAt(question.judged->pieces[i], edge, sized ? factor : 1));
    }
    return out;
}

} // namespace

SizeDialog::SizeDialog(SizeQuestion question, QWidget* parent)
    : Form(tr("Sizes of “%1”").arg(q(question.block.name)), parent), m_question(std::move(question)),
      m_edge(m_question.block.edge), m_picture(named(new SizePicture(m_question, this), "size.picture")),
      m_model(new SizeTable(m_question, this)), m_verdict(new QLabel(this)),
      m_table(named(new QTableView(this), "size.table")), m_later(new QTimer(this)) {
    auto* row = new QHBoxLayout(this);
    row->addWidget(m_picture, 1);
    auto* side = new QWidget(this);
    side->setFixedWidth(560);
    row->addWidget(side);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    buildFields(*column);
    buildStitch(*column);
    m_verdict->setObjectName("size.verdict");
    m_verdict->setWordWrap(true);
    column->addWidget(m_verdict);
    m_table->setModel(m_model);
    m_table->verticalHeader()->hide();
    m_table->setSelectionMode(QAbstractItemView::NoSelection);
    m_table->setFocusPolicy(Qt::NoFocus);
    m_table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    column->addWidget(m_table, 1);
    const auto hasWidth = [](const quilt::Piece& piece) {
        return piece.recipe && pattern::hasWidth(*piece.recipe);
    };
    m_keep = named(new QCheckBox(tr("Stems, strips and rings keep their width"), this), "size.keep");
    m_keep->setVisible(std::any_of(m_question.block.pieces.begin(), m_question.block.pieces.end(), hasWidth));
    column->addWidget(m_keep);
    auto* fixed =
        new QLabel(tr("Seam allowance, cutting margins and the edge stitch stay as they are."), this);
    fixed->setProperty("role", "quiet");
    fixed->setWordWrap(true);
    column->addWidget(fixed);
    addFoot(*column, tr("Set this size"), "size.set");
    connect(m_picture, &SizePicture::markMoved, this, [this] { setFactor(m_factor, nullptr); });
    m_later->setSingleShot(true);
    m_later->setInterval(20);
    connect(m_later, &QTimer::timeout, this, &SizeDialog::judge);
    resize(1080, 640);
    offerSmallest();
    setFactor(1);
}

void SizeDialog::buildFields(QVBoxLayout& column) {
    auto* grid = new QGridLayout;
    column.addLayout(grid);
    m_which = named(new QComboBox(this), "size.which");
    offer<bool>(*m_which, {{true, tr("The whole block")}});
    if (const auto* piece = quilt::find(m_question.block.pieces, m_question.chosen))
        offer<bool>(*m_which,
                    {{false, tr("Only piece %1").arg(q(quilt::calledOf(m_question.block, *piece)))}});
    m_percent = named(new QDoubleSpinBox(this), "size.percent");
    m_percent->setRange(least * 100, most * 100);
    m_percent->setDecimals(1);
    m_percent->setSuffix(" %");
    m_percent->setButtonSymbols(QAbstractSpinBox::NoButtons);
    m_width = named(new QLineEdit(this), "size.width");
    m_height = named(new QLineEdit(this), "size.height");
    m_mark = named(new QLineEdit(this), "size.mark");
    m_slider = named(new QSlider(Qt::Horizontal, this), "size.slider");
    m_slider->setRange(0, sliderSteps);
    const auto add = [&](int row, int column_, const QString& name, QWidget* field) {
        grid->addWidget(new QLabel(name, this), row, column_);
        grid->addWidget(field, row, column_ + 1);
    };
    grid->addWidget(m_which, 0, 0, 1, 4);
    add(1, 0, tr("Percent"), m_percent);
    add(1, 2, tr("Ruler"), m_mark);
    add(2, 0, tr("Width"), m_width);
    add(2, 2, tr("Height"), m_height);
    grid->addWidget(m_slider, 3, 0, 1, 4);
    connect(m_which, &QComboBox::activated, this, [this] {
        offerSmallest();
        setFactor(m_factor);
    });
    connect(m_percent, &QDoubleSpinBox::valueChanged, this,
            [this](double v) { setFactor(v / 100, m_percent); });
    connect(m_slider, &QSlider::valueChanged, this, [this](int v) { setFactor(factorAt(v), m_slider); });
    for (auto* field : {m_width, m_height, m_mark})
        connect(field, &QLineEdit::textEdited, this, [this, field] { typedInto(*field); });
}

void SizeDialog::buildStitch(QVBoxLayout& column) {
    auto* row = new QHBoxLayout;
    column.addLayout(row);
    m_stitch = named(new QComboBox(this), "size.stitch");
    for (const auto kind : every<quilt::StitchKind>())
        m_stitch->addItem(q(words::stitchName(kind)), static_cast<int>(kind));
    choose(*m_stitch, m_edge.kind);
    m_stitchWidth = named(new QLineEdit(this), "size.stitchWidth");
    m_stitchWidth->setText(q(m_question.units == measure::System::inches
                                 ? measure::sayInches(m_edge.width, 32)
                                 : measure::sayMetric(m_edge.width)));
    m_stitchWidth->setFixedWidth(110);
    m_smallest = named(new QPushButton(this), "size.smallest");
    row->addWidget(new QLabel(tr("Edge"), this));
    row->addWidget(m_stitch, 1);
    row->addWidget(m_stitchWidth);
    column.addWidget(m_smallest);
    watch({m_stitch, m_stitchWidth});
    connect(m_smallest, &QPushButton::clicked, this,
            [this] { setFactor(m_smallest->property("factor").toDouble()); });
}

SizeAnswer SizeDialog::answer() const {
    return {isWhole(), m_factor, m_edge, m_keep->isChecked()};
}

bool SizeDialog::isWhole() const {
    return chosenIn<bool>(*m_which);
}

shape::Point SizeDialog::sizeNow() const {
    if (isWhole()) return {m_question.block.width.mm(), m_question.block.height.mm()};
    const auto box = shape::boundsOf(*quilt::the(m_question.block.pieces, m_question.chosen).outline);
    return {box.width(), box.height()};
}

Result<double> SizeDialog::factorIn(const QLineEdit& field, double now) const {
    const auto text = field.text().toStdString();
    const auto length = measure::readLength(text, m_question.units);
    if (!length) return tl::unexpected(length.error());
    const auto said = [&](double factor) {
        return measure::say(measure::Length::ofMm(now * factor), m_question.units);
    };
    const double factor = now > 0 ? length->mm() / now : 0;
    if (factor < least || factor > most)
        return failure(Code::absurdSize, {words::tr("size"), text, said(least), said(most)});
    return factor;
}

void SizeDialog::typedInto(QLineEdit& field) {
    m_typed = &field;
    const double now = &field == m_mark ? m_picture->marked() : &field == m_width ? sizeNow().x : sizeNow().y;
    if (const auto factor = factorIn(field, now)) setFactor(*factor, &field);
    changed();
}

Result<void> SizeDialog::read() {
    m_edge.kind = chosenIn<quilt::StitchKind>(*m_stitch);
    const auto width = measure::readLength(m_stitchWidth->text().toStdString(), m_question.units);
    if (!width) return tl::unexpected(width.error());
    constexpr auto narrowest = measure::Length::ofMm(0.1), widest = measure::Length::ofInches(1, 1);
    if (*width < narrowest || *width > widest)
        return failure(Code::absurdSize,
                       {words::tr("stitch"), measure::say(*width, m_question.units),
                        measure::say(narrowest, m_question.units), measure::say(widest, m_question.units)});
    m_edge.width = *width;
    if (!m_typed) return {};
    const double now = m_typed == m_mark    ? m_picture->marked()
                       : m_typed == m_width ? sizeNow().x
                                            : sizeNow().y;
    return factorIn(*m_typed, now).map([](double) {});
}

void SizeDialog::follow(bool) {
    offerSmallest();
    m_model->show(isWhole(), m_factor, m_edge);
    if (!m_later->isActive()) m_later->start();
}

void SizeDialog::setFactor(double factor, const QWidget* from) {
    m_factor = std::clamp(factor, least, most);
    if (m_typed != from) m_typed = nullptr; // the field follows again
    const auto now = sizeNow();
    const auto say = [&](double mm) { // so that it can be read again
        const auto length = measure::Length::ofMm(mm * m_factor);
        return q(m_question.units == measure::System::inches ? measure::fraction(length, 64) + " in"
                                                             : measure::sayMetric(length));
    };
    for (const auto& [field, mm] :
         {std::pair{m_width, now.x}, {m_height, now.y}, {m_mark, m_picture->marked()}})
        if (field != from) field->setText(say(mm));
    const QSignalBlocker quietly(m_percent), quiet(m_slider);
    if (m_percent != from) m_percent->setValue(m_factor * 100);
    if (m_slider != from) m_slider->setValue(sliderAt(m_factor));
    m_picture->show(isWhole(), m_factor);
    m_model->show(isWhole(), m_factor, m_edge);
    if (!m_later->isActive()) m_later->start();
    changed();
}

void SizeDialog::judge() {
    const double factor = m_factor;
    m_newest.ask([question = m_question, edge = m_edge, whole = isWhole(),
                  factor] { return thinOf(question, edge, whole, factor); },
                 [this, factor](const Thin& thin) { tellThin(thin, factor); });
}

void SizeDialog::tellThin(const Thin& thin, double factor) {
    const auto count =
        std::count_if(thin.begin(), thin.end(), [](const auto& parts) { return !parts.empty(); });
    m_verdict->setText(count == 0 ? tr("✓ Nothing is too thin at this size.")
                       : count == 1
                           ? tr("⚠ One piece is too thin to cut or to stitch at this size.")
                           : tr("⚠ %1 pieces are too thin to cut or to stitch at this size.").arg(count));
    m_verdict->setStyleSheet(count == 0 ? "color: #3B7A4B; font-weight: 700"
                                        : "color: #B03A25; font-weight: 700");
    m_picture->setThin(thin, factor);
}

void SizeDialog::offerSmallest() {
    const std::pair asked(isWhole(), m_edge);
    if (m_offered == asked) return; // whatever the scale now is
    m_offered = asked;
    std::vector<plan::PieceJudgement> judged;
    for (std::size_t i = 0; i < m_question.judged->pieces.size(); ++i)
        if (isWhole() || m_question.block.pieces[i].id == m_question.chosen)
            judged.push_back(m_question.judged->pieces[i]);
    const auto smallest = plan::smallestScale(judged, m_edge);
    m_smallest->setEnabled(smallest && *smallest >= least && *smallest <= most);
    if (!m_smallest->isEnabled()) return m_smallest->setText(tr("No size makes every part wide enough"));
    // A width that can be measured: up to the next 1/8 in, or half centimetre.
    const auto width = measure::Length::ofMm(sizeNow().x * *smallest);
    const double side = m_question.units == measure::System::inches ? measure::roundedUp(width, 8).mm()
                                                                    : std::ceil(width.mm() / 5 - 1e-6) * 5;
    const double rounded = side / sizeNow().x;
    m_smallest->setProperty("factor", rounded);
    m_smallest->setText(
        tr("Smallest without thin parts: %1")
            .arg(q(measure::saySize(measure::Length::ofMm(sizeNow().x * rounded),
                                    measure::Length::ofMm(sizeNow().y * rounded), m_question.units))));
}

} // namespace up::app
