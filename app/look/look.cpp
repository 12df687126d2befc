// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/look.hpp"

#include "app/look/text.hpp"

#include <QApplication>
#include <QFontDatabase>
#include <QPalette>
#include <QStyleFactory>

/// Resources of a static library must be asked for, from outside any namespace.
static void readyIcons() {
    Q_INIT_RESOURCE(icons);
}

namespace up::app::look {
namespace {

QString sheet() {
    QString text = R"(
QWidget { color: @ink; }
QMainWindow, #centre { background: @plaster; }
QFrame[card="true"] { background: @panel; border: 1px solid @line; border-radius: 6px; }
QLabel[role="title"] { font-size: 15px; font-weight: 700; color: @slate; }
QLabel[role="do"] { font-size: 20px; font-weight: 700; }
QLabel[role="because"] { font-size: 16px; color: @slate; }
QLabel[role="caution"] { font-size: 14px; color: @rust; font-weight: 700; }
QLabel[role="quiet"] { color: @slate; }
QPushButton { background: @panel; border: 1px solid #A9B0B3; border-radius: 5px; padding: 4px 12px; min-height: 26px; }
QPushButton:hover { border-color: @ink; }
QPushButton:focus { border: 2px solid @brass; }
QPushButton:disabled { color: #8B9296; background: @plaster; border-color: @line; }
QPushButton:checked { background: #E4E7E6; border-color: @ink; font-weight: 700; }
QPushButton[big="true"] { background: @brass; color: white; border: 2px solid @brass; font-size: 19px; font-weight: 700;
  min-height: 46px; }
QPushButton[big="true"]:hover { background: #8E5D12; }
QPushButton[big="true"]:focus { border-color: @ink; }
QPushButton[big="true"]:disabled { background: @line; color: @slate; border-color: @line; }
QLineEdit, QComboBox, QAbstractSpinBox { background: @panel; border: 1px solid #A9B0B3; border-radius: 5px; padding: 3px 8px;
  min-height: 26px; }
QLineEdit:focus, QComboBox:focus, QAbstractSpinBox:focus { border: 2px solid @brass; }
QProgressBar { background: @panel; border: 1px solid #A9B0B3; border-radius: 5px; min-height: 12px; max-height: 12px; }
QProgressBar::chunk { background: @brass; border-radius: 4px; }
QComboBox::drop-down { border: none; width: 24px; }
QComboBox::down-arrow { image: url(:/icons/down.xpm); width: 11px; height: 6px; }
QAbstractSpinBox { padding-right: 26px; }
QAbstractSpinBox::up-button, QAbstractSpinBox::down-button { border: none; background: transparent; width: 24px; }
QAbstractSpinBox::up-arrow { image: url(:/icons/up.xpm); width: 11px; height: 6px; }
QAbstractSpinBox::down-arrow { image: url(:/icons/down.xpm); width: 11px; height: 6px; }
QDialogButtonBox { dialogbuttonbox-buttons-have-icons: 0; }
QDialog { background: @plaster; }
QCheckBox { min-height: 32px; spacing: 8px; }
QListWidget { background: @panel; border: none; outline: none; }
QListWidget::item { padding: 5px 4px; border-bottom: 1px solid #ECEAE3; }
QListWidget::item:selected { background: #EFE3CC; color: @ink; }
QMenuBar, QMenu { background: @panel; }
QMenu::item { padding: 6px 26px; }
QMenu::item:selected, QMenuBar::item:selected { background: #EFE3CC; color: @ink; }
QMenu::item:disabled { color: #8B9296; }
QToolTip { background: @panel; color: @ink; border: 1px solid @slate; }
QStatusBar { background: @plaster; }
QScrollBar:vertical { width: 12px; background: transparent; }
QScrollBar::handle:vertical { background: #C4C6C2; border-radius: 5px; min-height: 30px; margin: 1px; }
QScrollBar::add-line, QScrollBar::sub-line { height: 0; }
)";
    const std::pair<const char*, Colour> colours[] = {
        {"@plaster", plaster}, {"@panel", panel}, {"@ink", ink},  {"@slate", slate},
        {"@brass", brass},     {"@line", line},   {"@rust", rust}};
    for (const auto& [name, colour] : colours)
        text.replace(name, app::q(hex(colour)));
    return text;
}

} // namespace

void apply(QApplication& application, const QString& dataFolder) {
    readyIcons();
    for (const char* name : {"AtkinsonHyperlegible_400Regular.ttf", "AtkinsonHyperlegible_700Bold.ttf"})
        QFontDatabase::addApplicationFont(dataFolder + "/fonts/" + name);
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    QFont font("Atkinson Hyperlegible");
    font.setPixelSize(15);
    QApplication::setFont(font);
    QPalette palette;
    palette.setColor(QPalette::Window, q(plaster));
    palette.setColor(QPalette::WindowText, q(ink));
    palette.setColor(QPalette::Text, q(ink));
    palette.setColor(QPalette::Base, q(panel));
    palette.setColor(QPalette::Highlight, q(brass));
    application.setPalette(palette);
    application.setStyleSheet(sheet());
}

} // namespace up::app::look
