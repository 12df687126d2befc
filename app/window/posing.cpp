// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/posing.hpp"

#include "app/look/text.hpp"

#include <QAbstractButton>
#include <QAction>
#include <QApplication>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QListWidget>
#include <QSlider>
#include <QSpinBox>
#include <QTimer>

namespace up::app {
namespace {

/// The dialog in front, else the window.
QWidget& inFront(Window& window) {
    auto* dialog = QApplication::activeModalWidget();
    return dialog ? *dialog : window;
}

/// As a hand would use the control.
void use(QWidget& front, const QString& name, const QString& value) {
    if (auto* field = front.findChild<QDoubleSpinBox*>(name)) field->setValue(value.toDouble());
    if (auto* field = front.findChild<QSpinBox*>(name)) field->setValue(value.toInt());
    if (auto* slider = front.findChild<QSlider*>(name))
        slider->setValue(value.toInt()), emit slider->sliderMoved(value.toInt());
    if (auto* list = front.findChild<QListWidget*>(name)) list->setCurrentRow(value.toInt());
    if (auto* field = front.findChild<QLineEdit*>(name)) field->setText(value), emit field->textEdited(value);
    if (auto* box = front.findChild<QComboBox*>(name))
        box->setCurrentText(value), emit box->activated(box->currentIndex());
    if (auto* button = front.findChild<QAbstractButton*>(name))
        button->click();
    else if (auto* action = front.findChild<QAction*>(name))
        action->trigger();
}

/// Uses controls one after the other (fields are given as name=value), each in what the one before has
/// opened; then `done`, then closes what is open. Written with timers, since a dialog keeps its opener
/// waiting.
void pressAll(Window& window, QStringList names, bool awaitsDialog,
              const std::function<void(QWidget&)>& done) {
    constexpr int pause = 400; // ms
    QTimer::singleShot(pause, &window, [&window, names, awaitsDialog, done]() mutable {
        if (window.room().layout.isRunning() || window.room().layout.isComparing())
            return pressAll(window, names, awaitsDialog, done);
        if (awaitsDialog && !QApplication::activeModalWidget()) return pressAll(window, names, true, done);
        if (names.isEmpty()) {
            done(inFront(window));
            for (auto* open : QApplication::topLevelWidgets()) // one dialog may have opened another
                if (open->isModal() && open->isVisible()) open->close();
            return;
        }
        pressAll(window, names.mid(1), false, done);
        auto& front = inFront(window);
        const auto [name, value] = std::pair(names.front().section('=', 0, 0), names.front().section('=', 1));
        use(front, name, value);
    });
}

} // namespace

bool takePicture(QApplication& application, Window& window, const Pose& pose) {
    for (const auto& block : window.room().session.quilt().blocks)
        if (q(block.name).compare(pose.block, Qt::CaseInsensitive) == 0)
            window.room().session.chooseBlock(block.id);
    window.room().session.goTo(pose.view);
    window.room().session.showTemplates(pose.templates);
    if (const auto* block = window.room().session.block();
        block && pose.piece > 0 && pose.piece <= block->pieces.size())
        window.room().session.choosePiece(block->pieces[pose.piece - 1].id);
    if (pose.turned) window.room().session.turnOver();
    if (!pose.size.isEmpty()) window.resize(pose.size);
    window.show();
    do
        application.processEvents();
    while (window.room().checker.isBusy() || window.room().planning.isBusy());
    application.processEvents();
    bool saved = false, finished = false;
    pressAll(window, pose.press, !pose.lookAt.isEmpty(), [&](QWidget& front) {
        saved = front.grab().save(pose.picture);
        finished = true;
    });
    if (!pose.lookAt.isEmpty()) window.room().imports.importFiles(pose.lookAt);
    while (!finished)
        application.processEvents(QEventLoop::WaitForMoreEvents);
    return saved;
}

} // namespace up::app
