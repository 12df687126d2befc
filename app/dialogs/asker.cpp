// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/asker.hpp"
#include "app/dialogs/block_dialog.hpp"
#include "app/dialogs/cloth_dialog.hpp"
#include "app/dialogs/iron_dialog.hpp"
#include "app/look/text.hpp"

#include "app/dialogs/arrange_dialog.hpp"
#include "app/dialogs/edge_dialog.hpp"
#include "app/dialogs/fabric_dialog.hpp"
#include "app/dialogs/fastening_dialog.hpp"
#include "app/dialogs/fitting_dialog.hpp"
#include "app/dialogs/ground_dialog.hpp"
#include "app/dialogs/import_dialog.hpp"
#include "app/dialogs/join_dialog.hpp"
#include "app/dialogs/laid_dialog.hpp"
#include "app/dialogs/light_box.hpp"
#include "app/dialogs/line_dialog.hpp"
#include "app/dialogs/machine_dialog.hpp"
#include "app/dialogs/print_dialog.hpp"
#include "app/dialogs/setting_dialog.hpp"
#include "app/dialogs/shape_dialog.hpp"
#include "app/dialogs/size_dialog.hpp"
#include "app/dialogs/stitch_dialog.hpp"
#include "app/dialogs/stripes_dialog.hpp"
#include "app/dialogs/supply_dialog.hpp"
#include "app/dialogs/thread_dialog.hpp"
#include "app/dialogs/threads_dialog.hpp"
#include "app/dialogs/turn_dialog.hpp"
#include "app/dialogs/underlap_dialog.hpp"
#include "app/dialogs/web_dialog.hpp"
#include "app/dialogs/which_dialog.hpp"

#include <QColorDialog>
#include <QFileDialog>
#include <QFileInfo>
#include <QInputDialog>
#include <QMessageBox>
#include <QPushButton>

namespace up::app {

QString DialogAsker::fileToOpen(const QString& title, const QString& kinds) {
    return QFileDialog::getOpenFileName(m_parent, title, {}, kinds);
}

QStringList DialogAsker::filesToOpen(const QString& title, const QString& kinds) {
    return QFileDialog::getOpenFileNames(m_parent, title, {}, kinds);
}

QString DialogAsker::fileToSave(const QString& title, const QString& kinds, const QString& proposed) {
    QFileDialog dialog(m_parent, title, {}, kinds);
    dialog.setAcceptMode(QFileDialog::AcceptSave);
    dialog.selectFile(proposed);
    const auto ending = QFileInfo(proposed).suffix();
    QString path;
    do {
        if (dialog.exec() != QDialog::Accepted || dialog.selectedFiles().isEmpty()) return {};
        path = dialog.selectedFiles().front();
        if (path.endsWith("." + ending, Qt::CaseInsensitive)) return path; // the dialog has asked
        path += "." + ending;
    } while (QFileInfo::exists(path) &&
             !yes(title, tr("“%1” is there already.").arg(QFileInfo(path).fileName()), tr("Replace it")));
    return path;
}

SaveAnswer DialogAsker::saveChanges(const QString& quilt) {
    QMessageBox box(QMessageBox::Question, tr("Save changes?"),
                    tr("“%1” has changes that are not saved.").arg(quilt), QMessageBox::NoButton, m_parent);
    box.setTextFormat(Qt::PlainText);
    const auto* save = box.addButton(tr("Save"), QMessageBox::AcceptRole);
    const auto* discard = box.addButton(tr("Don't save"), QMessageBox::DestructiveRole);
    box.addButton(tr("Cancel"), QMessageBox::RejectRole);
    box.exec();
    if (box.clickedButton() == save) return SaveAnswer::save;
    return box.clickedButton() == discard ? SaveAnswer::discard : SaveAnswer::cancel;
}

std::optional<QString> DialogAsker::text(const QString& title, const QString& question,
                                         const QString& proposed) {
    bool ok = false;
    const QString answer = QInputDialog::getText(m_parent, title, question, QLineEdit::Normal, proposed, &ok);
    return ok ? std::optional(answer) : std::nullopt;
}

std::optional<QString> DialogAsker::choice(const QString& title, const QString& question,
                                           const QStringList& choices) {
    bool ok = false;
    const QString answer = QInputDialog::getItem(m_parent, title, question, choices, 0, true, &ok);
    return ok ? std::optional(answer) : std::nullopt;
}

std::optional<std::size_t> DialogAsker::placeOf(const QString& title, const QString& question,
                                                const QStringList& choices) {
    bool ok = false;
    const QString answer = QInputDialog::getItem(m_parent, title, question, choices, 0, false, &ok);
    const auto row = ok ? choices.indexOf(answer) : -1;
    return row >= 0 ? std::optional(static_cast<std::size_t>(row)) : std::nullopt;
}

std::optional<QColor> DialogAsker::colour(const QString& title, const QColor& proposed) {
    const QColor answer = QColorDialog::getColor(proposed, m_parent, title);
    return answer.isValid() ? std::optional(answer) : std::nullopt;
}

std::optional<BlockAnswer> DialogAsker::block(const BlockQuestion& question) {
    BlockDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<quilt::Web> DialogAsker::web(const quilt::Web& web, measure::System units) {
    WebDialog dialog(web, units, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.web()) : std::nullopt;
}

std::optional<SizeAnswer> DialogAsker::size(const SizeQuestion& question) {
    SizeDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<ImportAnswer> DialogAsker::import(ImportQuestion question) {
    ImportDialog dialog(std::move(question), m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<intake::PageGrid> DialogAsker::pageGrid(const std::vector<quilt::Drawing>& pages,
                                                      measure::System units) {
    JoinDialog dialog(pages, units, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<ShapeAnswer> DialogAsker::shape(const ShapeQuestion& question) {
    ShapeDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<edit::Arrangement> DialogAsker::arrange(const ArrangeQuestion& question) {
    ArrangeDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<std::vector<shape::Contour>> DialogAsker::edges(const EdgeQuestion& question) {
    EdgeDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<ClothAnswer> DialogAsker::cloth(const ClothQuestion& question) {
    ClothDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<IronAnswer> DialogAsker::iron(const IronQuestion& question) {
    IronDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<StitchAnswer> DialogAsker::stitch(const StitchQuestion& question) {
    StitchDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<FittingAnswer> DialogAsker::fitting(const FittingQuestion& question) {
    FittingDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<quilt::Line> DialogAsker::line(const LineQuestion& question) {
    if (question.lays) {
        LaidDialog laid(question, m_parent);
        return laid.exec() == QDialog::Accepted ? std::optional(laid.answer()) : std::nullopt;
    }
    LineDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<SettingAnswer> DialogAsker::setting(const SettingQuestion& question) {
    SettingDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<ThreadId> DialogAsker::threads(const ThreadsQuestion& question) {
    ThreadsDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<ThreadAnswer> DialogAsker::thread(const quilt::Thread& thread) {
    ThreadDialog dialog(thread, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<SupplyAnswer> DialogAsker::supply(const quilt::Supply& supply, measure::System units) {
    SupplyDialog dialog(supply, units, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<StripesAnswer> DialogAsker::stripes(const StripesQuestion& question) {
    StripesDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<plan::Candidate> DialogAsker::which(const quilt::Quilt& quilt, BlockId block) {
    WhichDialog dialog(quilt, block, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

void DialogAsker::showTurning(const quilt::Quilt& quilt, BlockId block, PieceId piece) {
    TurnDialog(quilt, block, piece, m_parent).exec();
}

void DialogAsker::cutByMachine(const MachineQuestion& question) {
    MachineDialog(question, m_parent).exec();
}

void DialogAsker::print(const PrintQuestion& question) {
    PrintDialog(question, m_parent).exec();
}

void DialogAsker::lightBox(const LightBoxQuestion& question) {
    LightBox(question, m_parent).exec();
}

std::optional<GroundAnswer> DialogAsker::ground(const GroundQuestion& question) {
    GroundDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<FasteningAnswer> DialogAsker::fastening(const FasteningQuestion& question) {
    FasteningDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<UnderlapAnswer> DialogAsker::underlap(const UnderlapQuestion& question) {
    UnderlapDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

std::optional<FabricAnswer> DialogAsker::fabrics(const FabricQuestion& question) {
    FabricDialog dialog(question, m_parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.answer()) : std::nullopt;
}

bool DialogAsker::yes(const QString& title, const QString& question, const QString& yesWords) {
    QMessageBox box(QMessageBox::Question, title, question, QMessageBox::NoButton, m_parent);
    box.setTextFormat(Qt::PlainText);
    const auto* go = box.addButton(yesWords, QMessageBox::AcceptRole);
    box.addButton(tr("Cancel"), QMessageBox::RejectRole);
    box.exec();
    return box.clickedButton() == go;
}

std::optional<std::size_t> DialogAsker::decide(const QString& title, const QString& question,
                                               const QStringList& answers) {
    QMessageBox box(QMessageBox::Question, title, question, QMessageBox::NoButton, m_parent);
    box.setTextFormat(Qt::PlainText);
    QList<QAbstractButton*> buttons;
    for (const auto& answer : answers)
        buttons << box.addButton(answer, QMessageBox::ActionRole);
    box.setDefaultButton(qobject_cast<QPushButton*>(buttons.front()));
    auto* later = box.addButton(tr("Later"), QMessageBox::RejectRole);
    later->hide(); // what Escape presses
    box.setEscapeButton(later);
    box.exec();
    const auto at = buttons.indexOf(box.clickedButton());
    return at >= 0 ? std::optional(static_cast<std::size_t>(at)) : std::nullopt;
}

} // namespace up::app
