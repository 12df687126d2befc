// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/canvas/mat.hpp"
#include "app/look/look.hpp"
#include "app/window/opening.hpp"
#include "app/window/window.hpp"
#include "core/base/check.hpp"
#include "output/pdf/pdf.hpp"

#include <QAbstractButton>
#include <QAction>
#include <QApplication>
#include <QComboBox>
#include <QCommandLineParser>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QListWidget>
#include <QScreen>
#include <QSlider>
#include <QSpinBox>
#include <QStandardPaths>
#include <QTimer>
#include <cstdio>
#include <ctime>

namespace {

using namespace up::app;

Window* openWindow = nullptr;

void rescue() {
    if (openWindow) openWindow->autosave().keepNow();
}

int complain(const QString& sentence) {
    std::fprintf(stderr, "upstairs: %s\n", qPrintable(sentence));
    return 2;
}

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
        if (window.layoutJob().isRunning() || window.layoutJob().isComparing())
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

/// Shows the wanted view for a moment and writes its picture.
int takePicture(QApplication& application, Window& window, const QCommandLineParser& words) {
    const auto view = viewNamed(words.value("view"));
    if (!view)
        return complain(
            "There is no view “" + words.value("view") +
            "”. Take Landing, Draw, Trace, Bond, Cut, Lay, Fuse, Stitch, Finish, Stash or Logbook.");
    for (const auto& block : window.session().quilt().blocks)
        if (QString::fromStdString(block.name).compare(words.value("block"), Qt::CaseInsensitive) == 0)
            window.session().chooseBlock(block.id);
    window.session().goTo(*view);
    window.session().showTemplates(words.isSet("templates"));
    const auto number = words.value("piece").toUInt();
    if (const auto* block = window.session().block(); block && number > 0 && number <= block->pieces.size())
        window.session().choosePiece(block->pieces[number - 1].id);
    if (words.isSet("turned")) window.session().turnOver();
    window.show();
    do
        application.processEvents();
    while (window.checker().isBusy());
    application.processEvents();
    bool saved = false, finished = false;
    pressAll(window, words.value("press").split(',', Qt::SkipEmptyParts), words.isSet("look-at"),
             [&](QWidget& front) {
                 saved = front.grab().save(words.value("picture"));
                 finished = true;
             });
    if (words.isSet("look-at")) window.imports().importFiles(words.values("look-at"));
    while (!finished)
        application.processEvents(QEventLoop::WaitForMoreEvents);
    if (!saved)
        return complain(words.value("picture") + " cannot be written. Choose another file ending in .png.");
    return 0;
}

} // namespace

int main(int count, char** given) {
    QApplication application(count, given);
    QApplication::setApplicationName("upstairs");
    QApplication::setApplicationDisplayName("");
    QCommandLineParser words;
    words.setApplicationDescription("Upstairs: fusible appliqué blocks, from a drawing to stitched.");
    words.addHelpOption();
    words.addOptions({{"demo", "Opens the sample quilt."},
                      {"picture", "Writes a picture of the window and ends.", "file"},
                      {"view", "The view for the picture.", "name", "Landing"},
                      {"block", "The block for the picture.", "name", "Narrowboat"},
                      {"templates", "Draw shows every template in the picture."},
                      {"turned", "The picture shows the other side."},
                      {"piece", "The piece chosen in the picture.", "number"},
                      {"press", "Controls used before the picture: draw.sizes,size.percent=60", "names"},
                      {"import", "Imports all of a drawing into the first block.", "file"},
                      {"look-at", "Opens the import of a drawing.", "file"},
                      {"autosave", "Keeps a recovery copy this long after a change.", "ms", "5000"}});
    words.addPositionalArgument("quilt", "A quilt file to open.", "[quilt]");
    words.process(application);

    const auto data = QString::fromStdString(up::output::dataFolder());
    look::apply(application, data);
    const bool picture = words.isSet("picture");
    const auto folder = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
    Window window({folder, data + "/demo/towpath.upstairs", data + "/demo/scanned-page.jpg",
                   [] { return static_cast<std::int64_t>(std::time(nullptr)); }, nullptr,
                   words.value("autosave").toInt()});
    openWindow = &window;
    up::onBrokenCheck(rescue);
    if (!words.positionalArguments().isEmpty())
        window.files().openFile(words.positionalArguments().front());
    else if (words.isSet("demo"))
        window.openSample();
    if (words.isSet("import")) window.imports().importAll(words.value("import"));
    if (picture) return takePicture(application, window, words);
    showWithin(window, QApplication::primaryScreen()->availableGeometry());
    window.files().offerRecovery();
    return QApplication::exec();
}
