// SPDX-License-Identifier: GPL-3.0-or-later
// Random keys and clicks on the real window, seeded: no crash, and no answer later than half a second.
// usage: wild_hands QUILT|COUNT SECONDS SEED   (QT_QPA_PLATFORM=offscreen does; COUNT: of blobs in one block)
#include "app/dialogs/asker.hpp"
#include "app/look/look.hpp"
#include "app/window/window.hpp"
#include "core/base/place.hpp"
#include "core/base/random.hpp"
#include "tests/support/blobs.hpp"

#include <QAbstractButton>
#include <QAction>
#include <QApplication>
#include <QMenu>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>
#include <atomic>
#include <chrono>
#include <csignal>
#include <cstdio>
#include <cstdlib>
#include <functional>
#include <thread>

namespace {

using namespace up::app;
using Clock = std::chrono::steady_clock;

/// Files are written into a folder of our own only, and none is looked for.
class QuietAsker : public DialogAsker {
public:
    explicit QuietAsker(QString folder) : m_folder(std::move(folder)) {}
    QString fileToOpen(const QString&, const QString&) override { return {}; }
    QStringList filesToOpen(const QString&, const QString&) override { return {}; }
    QString fileToSave(const QString&, const QString&, const QString& proposed) override {
        return m_folder + "/" + QString(proposed).replace('/', '_');
    }
    SaveAnswer saveChanges(const QString&) override { return SaveAnswer::discard; }
    std::optional<QColor> colour(const QString&, const QColor& proposed) override { return proposed; }

private:
    QString m_folder;
};

/// What was done last, for whoever reads why the program ended or kept its user waiting.
std::string& lastDeed() {
    static std::string deed;
    return deed;
}

/// Watches from outside: how long the window's thread does not come back.
class Pulse {
public:
    Pulse() : m_thread([this] { watch(); }) {}
    ~Pulse() {
        m_ends = true;
        m_thread.join();
    }
    void beat() { m_beats.fetch_add(1); }

private:
    void watch() {
        auto since = Clock::now();
        unsigned seen = 0;
        bool said = false;
        while (!m_ends) {
            std::this_thread::sleep_for(std::chrono::milliseconds(20));
            if (const unsigned beats = m_beats; beats != seen) {
                seen = beats, since = Clock::now(), said = false;
                continue;
            }
            const auto waited = std::chrono::duration<double>(Clock::now() - since).count();
            if (waited > 10) std::fprintf(stderr, "no answer for 10 s\n"), std::abort();
            if (waited > 0.5 && !said) said = true, std::fprintf(stderr, "no answer for half a second\n");
        }
    }
    std::atomic<unsigned> m_beats = 0;
    std::atomic<bool> m_ends = false;
    std::thread m_thread;
};

class WildHands : public QObject {
public:
    WildHands(Window& window, double seconds, std::uint64_t seed, std::function<void()> begin)
        : m_window(window), m_random(seed), m_begin(std::move(begin)),
          m_ends(Clock::now() + std::chrono::milliseconds(static_cast<long>(seconds * 1000))) {
        next();
    }
    [[nodiscard]] long deeds() const { return m_deeds; }
    [[nodiscard]] double slowest() const { return m_slowest; }
    [[nodiscard]] const std::string& slowestDeed() const { return m_slowestDeed; }
    [[nodiscard]] int late() const { return m_late; }

private:
    /// The quilt as it was: in time little is left of what hundreds of hands have been at.
    void begin() {
        lastDeed() = "begin anew";
        m_begun = m_deeds;
        m_begin();
    }
    [[nodiscard]] int upTo(int most) {
        return static_cast<int>(m_random.below(static_cast<std::uint64_t>(most)));
    }

    /// A new timer each time: a dialog that a deed opens keeps the deed from ending, and its timer from
    /// coming again.
    void next() { QTimer::singleShot(5, this, &WildHands::act); }

    void act() {
        m_pulse.beat();
        if (m_since != Clock::time_point())
            settle(std::chrono::duration<double>(Clock::now() - m_since).count());
        if (Clock::now() > m_ends) {
            for (auto* open : QApplication::topLevelWidgets())
                if (open->isModal()) open->close();
            return QTimer::singleShot(0, qApp, [] { QApplication::exit(); });
        }
        next();
        if (auto* menu = QApplication::activePopupWidget()) {
            menu->close();
            return;
        }
        m_since = Clock::now();
        ++m_deeds;
        auto* front = QApplication::activeModalWidget();
        if (front && ++m_inFront > 60) { // nobody stays in one dialog for ever
            m_inFront = 0;
            lastDeed() = "close " + front->windowTitle().toStdString();
            front->close();
            return;
        }
        if (!front && m_deeds - m_begun > 400) return begin();
        upTo(3) == 0 ? click(front ? *front : m_window) : press(front ? *front : m_window);
    }

    /// The time from a deed until the window came back for the next.
    void settle(double seconds) {
        if (seconds > 0.5) {
            ++m_late;
            std::fprintf(stderr, "%.2f s: %s, in %s\n", seconds, lastDeed().c_str(),
                         nameOf(m_window.room().session.view()).toStdString().c_str());
        }
        if (seconds > m_slowest) m_slowest = seconds, m_slowestDeed = lastDeed();
        m_since = {};
    }

    void click(QWidget& front) {
        const QPoint at(upTo(std::max(1, front.width())), upTo(std::max(1, front.height())));
        auto* under = front.childAt(at);
        QWidget& target = under ? *under : front;
        const auto place = target.mapFrom(&front, at);
        lastDeed() =
            "click " + target.objectName().toStdString() + " (" + target.metaObject()->className() + ")";
        if (qobject_cast<QMenu*>(&target) || target.inherits("QMenuBar")) return;
        const auto button = upTo(8) == 0 ? Qt::RightButton : Qt::LeftButton;
        const Qt::KeyboardModifiers with = upTo(5) == 0 ? Qt::ControlModifier : Qt::NoModifier;
        QTest::mousePress(&target, button, with, place);
        if (upTo(2) == 0)
            for (int i = upTo(6); i > 0; --i)
                QTest::mouseMove(&target, place + QPoint(upTo(120) - 60, upTo(120) - 60));
        QTest::mouseRelease(&target, button, with, place);
    }

    void press(QWidget& front) {
        auto* focus = QApplication::focusWidget();
        QWidget& target = focus && (focus == &front || front.isAncestorOf(focus)) ? *focus : front;
        if (upTo(4) == 0) return trigger();
        static const Qt::Key keys[] = {
            Qt::Key_Space, Qt::Key_Return, Qt::Key_Tab,   Qt::Key_Left,   Qt::Key_Right,  Qt::Key_Up,
            Qt::Key_Down,  Qt::Key_Escape, Qt::Key_1,     Qt::Key_2,      Qt::Key_3,      Qt::Key_5,
            Qt::Key_6,     Qt::Key_8,      Qt::Key_0,     Qt::Key_R,      Qt::Key_P,      Qt::Key_U,
            Qt::Key_O,     Qt::Key_L,      Qt::Key_Comma, Qt::Key_Period, Qt::Key_Delete, Qt::Key_Backspace,
            Qt::Key_Slash, Qt::Key_X,      Qt::Key_Minus};
        const auto key = keys[upTo(static_cast<int>(std::size(keys)))];
        const Qt::KeyboardModifiers with = upTo(6) == 0 ? Qt::ShiftModifier : Qt::NoModifier;
        lastDeed() = "key " + QKeySequence(key).toString().toStdString() + " on " +
                     target.objectName().toStdString() + " in " +
                     nameOf(m_window.room().session.view()).toStdString();
        QTest::keyClick(&target, key, with);
    }

    /// Any command of the menus but those that end the program or leave the quilt that it is tried on.
    void trigger() {
        if (QApplication::activeModalWidget()) return;
        QList<QAction*> all;
        for (auto* action : m_window.findChildren<QAction*>())
            if (action->isEnabled() && !action->menu() && !action->objectName().isEmpty() &&
                !QStringList{"file.quit", "file.new", "file.sample"}.contains(action->objectName()))
                all << action;
        if (all.isEmpty()) return;
        auto* action = all[upTo(static_cast<int>(all.size()))];
        lastDeed() = "command " + action->objectName().toStdString();
        action->trigger();
    }

    Window& m_window;
    up::Random m_random;
    std::function<void()> m_begin;
    Clock::time_point m_ends, m_since;
    Pulse m_pulse;
    long m_deeds = 0, m_begun = 0;
    int m_inFront = 0, m_late = 0;
    double m_slowest = 0;
    std::string m_slowestDeed;
};

} // namespace

int main(int count, char** words) {
    if (count != 4) return std::fprintf(stderr, "usage: wild_hands QUILT|COUNT SECONDS SEED\n"), 2;
    QApplication application(count, words);
    QApplication::setQuitOnLastWindowClosed(false);
    const auto data = QString::fromStdString(up::dataFolder());
    look::apply(application, data);
    QTemporaryDir folder;
    QuietAsker asker(folder.path());
    std::int64_t time = 1'790'000'000;
    Surroundings around;
    around.folder = folder.path();
    around.sample = data + "/demo/towpath.upstairs";
    around.scannedPage = data + "/demo/scanned-page.jpg";
    around.standIns = true;
    around.clock = [&time] { return time += 60; };
    Workroom room(std::move(around), asker);
    Window window(room);
    asker.askOver(&window);
    const auto seed = std::strtoull(words[3], nullptr, 10);
    std::signal(SIGSEGV, [](int) {
        std::fprintf(stderr, "crash after: %s\n", lastDeed().c_str());
        std::_Exit(1);
    });
    std::signal(SIGABRT, [](int) {
        std::fprintf(stderr, "ended after: %s\n", lastDeed().c_str());
        std::_Exit(1);
    });
    const auto begin = [&] {
        if (const int blobs = std::atoi(words[1]); blobs > 0)
            room.session.startNew(up::test::blobs(blobs));
        else
            room.files.openCopy(words[1]);
    };
    begin();
    window.show();
    WildHands hands(window, std::strtod(words[2], nullptr), seed, begin);
    QApplication::exec();
    std::printf("seed %s: %ld deeds, %d later than 0.5 s, slowest %.2f s (%s)\n", words[3], hands.deeds(),
                hands.late(), hands.slowest(), hands.slowestDeed().c_str());
    std::fflush(nullptr);
    std::_Exit(hands.late() > 0 ? 1 : 0);
}
