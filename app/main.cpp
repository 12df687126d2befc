// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "app/look/translator.hpp"
#include "app/window/opening.hpp"
#include "app/window/posing.hpp"
#include "app/window/window.hpp"
#include "core/base/check.hpp"
#include "core/base/place.hpp"
#include "core/base/version.hpp"

#include <QApplication>
#include <QCommandLineParser>
#include <QMessageBox>
#include <QProcess>
#include <QScreen>
#include <QStandardPaths>
#include <cstdio>
#include <cstdlib>
#include <ctime>

namespace {

using namespace up::app;

Workroom* openRoom = nullptr; // for whoever ends the program

void rescue() {
    if (openRoom) openRoom->autosave.keepNow();
}

/// What goes wrong in answer to a click is no reason to lose anything: the work is copied, the user told, the
/// window stays.
class Application : public QApplication {
public:
    using QApplication::QApplication;
    bool notify(QObject* receiver, QEvent* event) override {
        try {
            return QApplication::notify(receiver, event);
        } catch (const std::exception& wrong) {
            std::fprintf(stderr, "upstairs: %s\n", wrong.what());
            rescue();
            if (openRoom)
                openRoom->session.complain(tr("That went wrong, through a mistake in the program. Nothing is "
                                              "lost; save under another name and start it again."));
            return false;
        }
    }
};

int complain(const QString& sentence) {
    std::fprintf(stderr, "upstairs: %s\n", qPrintable(sentence));
    return 2;
}

void addWords(QCommandLineParser& words) {
    words.setApplicationDescription(tr("Upstairs: fusible appliqué blocks, from a drawing to stitched."));
    words.addHelpOption();
    words.addVersionOption();
    words.addOptions(
        {{"demo", tr("Opens the sample quilt; with it come a sample scanner, printer and cutter.")},
         {"picture", tr("Writes a picture of the window and ends."), "file"},
         {"view", tr("The view for the picture."), "name", "Landing"},
         {"block", tr("The block for the picture."), "name", "Narrowboat"},
         {"size", tr("How large the window is in the picture: %1").arg("1024x640"), "pixels"},
         {"templates", tr("Draw shows every template in the picture.")},
         {"turned", tr("The picture shows the other side.")},
         {"piece", tr("The piece chosen in the picture."), "number"},
         {"press", tr("Controls used before the picture: %1").arg("draw.sizes,size.percent=60"), "names"},
         {"import", tr("Imports all of a drawing into the first block."), "file"},
         {"look-at", tr("Opens the import of a drawing."), "file"},
         {"autosave", tr("Keeps a recovery copy this long after a change."), "ms", "250"}});
    words.addPositionalArgument(
        "files",
        tr("A quilt to open, or drawings to import. Further quilts open in windows of "
           "their own."),
        "[files]");
}

/// A window holds one quilt: the others get their own.
QStringList forThisWindow(const QStringList& files) {
    QStringList out;
    bool hasQuilt = false;
    for (const auto& file : files) {
        const bool quilt = file.endsWith(".upstairs", Qt::CaseInsensitive);
        if (quilt && hasQuilt)
            QProcess::startDetached(QApplication::applicationFilePath(), {file});
        else
            out << file;
        hasQuilt = hasQuilt || quilt;
    }
    return out;
}

/// What the words ask for; nothing, said, when they do not fit.
std::optional<Pose> poseFrom(const QCommandLineParser& words) {
    const auto view = viewNamed(words.value("view"));
    if (!view) {
        QStringList views;
        for (const View known : up::every<View>())
            views << q(std::string(up::keyOf(known)));
        complain(
            tr("There is no view “%1”. Take one of these: %2.").arg(words.value("view"), views.join(", ")));
        return std::nullopt;
    }
    return Pose{
        words.value("picture"),
        *view,
        words.value("block"),
        words.value("piece").toUInt(),
        words.isSet("templates"),
        words.isSet("turned"),
        words.value("press").split(',', Qt::SkipEmptyParts),
        words.values("look-at"),
        {words.value("size").section('x', 0, 0).toInt(), words.value("size").section('x', 1, 1).toInt()}};
}

int run(int count, char** given) {
    Application application(count, given);
    QApplication::setApplicationName("upstairs");
    QApplication::setApplicationDisplayName("");
    QApplication::setApplicationVersion(up::version());
    QApplication::setDesktopFileName("upstairs");
    const auto data = q(up::dataFolder());
    speakUsersLanguage(data);
    QCommandLineParser words;
    addWords(words);
    words.process(application);
    look::apply(application, data);
    const auto folder = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
    Surroundings around;
    around.folder = folder;
    around.sample = data + "/demo/towpath.upstairs";
    around.otherSample = data + "/demo/other-ways.upstairs";
    around.scannedPage = data + "/demo/scanned-page.jpg";
    around.clock = [] { return static_cast<std::int64_t>(std::time(nullptr)); };
    around.autosaveDelay = words.value("autosave").toInt();
    DialogAsker asker;
    Workroom room(std::move(around), asker);
    Window window(room);
    asker.askOver(&window);
    openRoom = &room;
    up::onBrokenCheck(rescue);
    QString trouble; // what was said while opening
    QObject::connect(&room.session, &Session::trouble, [&trouble](const QString& said) { trouble = said; });
    if (!words.positionalArguments().isEmpty())
        room.openFiles(forThisWindow(words.positionalArguments()));
    else if (words.isSet("demo"))
        room.openSample();
    if (words.isSet("import")) room.imports.importAll(words.value("import"));
    if (words.isSet("picture")) {
        const auto pose = poseFrom(words);
        if (!pose) return 2;
        if (!trouble.isEmpty()) return complain(trouble);
        if (!takePicture(application, window, *pose))
            return complain(
                tr("%1 cannot be written. Choose another file ending in .png.").arg(pose->picture));
        // A drawing is read while the picture is posed for; what pressed controls lead to may be wanted in it.
        return trouble.isEmpty() || !pose->press.isEmpty() ? 0 : complain(trouble);
    }
    showWithin(window, QApplication::primaryScreen()->availableGeometry());
    room.files.offerRecovery();
    return QApplication::exec();
}

} // namespace

/// What still computes has nobody left to tell: the program does not wait for it.
int main(int count, char** given) {
    const int code = run(count, given);
    std::fflush(nullptr);
    std::_Exit(code);
}
