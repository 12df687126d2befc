// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/thread_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/edit/naming.hpp"

#include <QColorDialog>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

namespace up::app {
namespace {

constexpr double unsaid = -1; // below what can be left: nobody has said

void showMetres(QDoubleSpinBox& box, const std::optional<quilt::Length>& length) {
    box.setRange(unsaid, 10'000), box.setDecimals(0), box.setSuffix(" m");
    box.setSpecialValueText(QObject::tr("not known"));
    box.setValue(length ? length->mm() / 1000 : unsaid);
}

std::optional<quilt::Length> metresIn(const QDoubleSpinBox& box) {
    return box.value() < 0 ? std::nullopt : std::optional(quilt::Length::ofMm(box.value() * 1000));
}

std::optional<Colour> picked(QWidget* parent, Colour now) {
    const auto colour = QColorDialog::getColor(look::q(now), parent, QObject::tr("Its colour"));
    if (!colour.isValid()) return std::nullopt;
    const auto channel = [](int value) { return static_cast<std::uint8_t>(value); };
    return Colour{channel(colour.red()), channel(colour.green()), channel(colour.blue())};
}

} // namespace

ThreadDialog::ThreadDialog(quilt::Thread thread, QWidget* parent)
    : Form(thread.id ? tr("Thread: %1").arg(q(thread.name)) : tr("New thread"), parent), m_answer{std::move(
                                                                                                      thread),
                                                                                                  false},
      m_name(named(new QLineEdit(this), "thread.name")),
      m_colour(named(new QPushButton(tr("Colour…"), this), "thread.colour")),
      m_spool(named(new QDoubleSpinBox(this), "thread.spool")),
      m_bobbin(named(new QDoubleSpinBox(this), "thread.bobbin")),
      m_tex(named(new QDoubleSpinBox(this), "thread.tex")),
      m_grams(named(new QDoubleSpinBox(this), "thread.grams")) {
    auto* column = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    column->addLayout(form);
    form->addRow(tr("Name"), m_name);
    form->addRow("", m_colour);
    addShades(*form);
    form->addRow(tr("Left on the spool"), m_spool);
    form->addRow(tr("Left on bobbins"), m_bobbin);
    form->addRow(tr("Its tex, as on the label"), m_tex);
    form->addRow(tr("Or weigh it: thread alone"), m_grams);
    auto* hint = new QLabel(tr("Weigh the spool and an empty one; the thread is what it weighs more. "
                               "50 weight is about 24 tex, 40 weight about 30, 28 weight about 40."),
                            this);
    hint->setWordWrap(true);
    hint->setProperty("role", "quiet");
    column->addWidget(hint);
    column->addStretch(1);
    fill();
    watch({m_name, m_spool, m_bobbin, m_tex, m_shadeLength});
    connect(m_colour, &QPushButton::clicked, this, &ThreadDialog::pickColour);
    connect(m_grams, &QDoubleSpinBox::valueChanged, this, &ThreadDialog::weigh);
    connect(m_tex, &QDoubleSpinBox::valueChanged, this, &ThreadDialog::weigh);
    addFoot(*column, tr("Keep it so"), "thread.keep");
    if (m_answer.thread.id) addGone("thread.gone", m_answer.gone);
}

void ThreadDialog::addShades(QFormLayout& form) {
    m_shade = named(new QPushButton(tr("Another shade…"), this), "thread.shade");
    m_plain = named(new QPushButton(tr("One colour only"), this), "thread.plain");
    m_shades = new QLabel(this);
    m_shadeLength = named(new QDoubleSpinBox(this), "thread.shadeLength");
    m_shadeLength->setRange(0.01, 100), m_shadeLength->setDecimals(2), m_shadeLength->setSuffix(" m");
    m_shadeLength->setValue(m_answer.thread.shadeLength.mm() / 1000);
    auto* row = new QHBoxLayout;
    for (QWidget* part : std::initializer_list<QWidget*>{m_shade, m_plain, m_shades})
        row->addWidget(part);
    form.addRow(tr("Variegated"), row);
    form.addRow(tr("Thread in each shade"), m_shadeLength);
    connect(m_shade, &QPushButton::clicked, this, &ThreadDialog::pickShade);
    connect(m_plain, &QPushButton::clicked, this, [this] {
        m_answer.thread.shades.clear();
        showColours();
    });
}

void ThreadDialog::showColours() {
    const auto& thread = m_answer.thread;
    m_colour->setIcon(swatchOf(thread.colour));
    const int side = 16, count = static_cast<int>(thread.shades.size());
    QPixmap strip(std::max(1, count * side), side);
    strip.fill(Qt::transparent);
    QPainter painter(&strip);
    for (int i = 0; i < count; ++i)
        painter.fillRect(i * side, 0, side - 1, side, look::q(thread.shades[static_cast<std::size_t>(i)]));
    painter.end();
    m_shades->setPixmap(strip);
    m_plain->setEnabled(count > 0), m_shadeLength->setEnabled(count > 0);
}

void ThreadDialog::fill() {
    const auto& thread = m_answer.thread;
    m_name->setText(q(thread.name));
    showColours();
    for (auto* button : {m_colour, m_shade, m_plain})
        button->setAutoDefault(false);
    showMetres(*m_spool, thread.spool);
    showMetres(*m_bobbin, thread.bobbin);
    m_tex->setRange(0, 1000), m_tex->setDecimals(0);
    m_tex->setSpecialValueText(tr("not known"));
    m_tex->setValue(thread.tex.value_or(0));
    m_grams->setRange(0, 2000), m_grams->setDecimals(1), m_grams->setSuffix(" g");
    m_grams->setSpecialValueText(tr("not weighed"));
}

void ThreadDialog::pickColour() {
    if (const auto colour = picked(this, m_answer.thread.colour)) m_answer.thread.colour = *colour;
    showColours();
}

void ThreadDialog::pickShade() {
    constexpr std::size_t most = 8;
    auto& shades = m_answer.thread.shades;
    if (shades.size() >= most) return;
    if (const auto colour = picked(this, m_answer.thread.colour)) shades.push_back(*colour);
    showColours();
}

void ThreadDialog::weigh() {
    if (m_grams->value() > 0 && m_tex->value() > 0)
        m_spool->setValue(quilt::threadOf(m_grams->value(), m_tex->value()).mm() / 1000);
}

Result<void> ThreadDialog::read() {
    auto& thread = m_answer.thread;
    thread.spool = metresIn(*m_spool), thread.bobbin = metresIn(*m_bobbin);
    if (!thread.shades.empty()) thread.shadeLength = quilt::Length::ofMm(m_shadeLength->value() * 1000);
    thread.tex = m_tex->value() > 0 ? std::optional(m_tex->value()) : std::nullopt;
    return edit::properName(m_name->text().toStdString()).map([&](const std::string& name) {
        thread.name = name;
    });
}

} // namespace up::app
