// SPDX-License-Identifier: GPL-3.0-or-later
// Edits, keeps a recovery copy and saves as the window does, until somebody kills it. For kills.py.
// usage: edits_for_ever FOLDER QUILT ROUND [second]: as the window that opens a quilt which another one has open.
#include "app/session/autosave.hpp"
#include "core/store/quilt_file.hpp"
#include "core/store/recovery.hpp"

#include <QCoreApplication>
#include <QTimer>
#include <algorithm>
#include <chrono>
#include <cstdio>
#include <cstdlib>

namespace {

double now() {
    return std::chrono::duration<double>(std::chrono::system_clock::now().time_since_epoch()).count();
}

long countIn(const std::string& name) {
    const auto blank = name.rfind(' ');
    return blank == std::string::npos ? 0 : std::atol(name.c_str() + blank);
}

} // namespace

int main(int count, char** words) {
    if (count != 4 && count != 5) return 2;
    const bool second = count == 5;
    const std::string name = second ? "Second " : "Edit ";
    using namespace up;
    QCoreApplication application(count, words);
    app::Session session([] { return std::int64_t(1'790'000'000); });
    app::Autosave autosave(session, words[1], 250);
    const QString path = words[2];
    // What the round before left of this window: taken up again, as after a crash.
    auto works = store::leftWorks(words[1]).works;
    const auto own = std::find_if(works.begin(), works.end(),
                                  [&](const auto& work) { return work.quilt.name.starts_with(name); });
    if (own != works.end())
        autosave.takeUp(std::move(*own));
    else if (auto quilt = store::loadQuilt(words[2]))
        session.open(path, store::FileLock(words[2]));
    else
        session.startNew(quilt::emptyQuilt(name + "0"));
    works.clear();
    const QString elsewhere = path + ".second.upstairs";
    long edits = countIn(session.quilt().name);
    const int round = std::atoi(words[3]);
    QTimer often;
    QObject::connect(&often, &QTimer::timeout, [&] {
        ++edits;
        session.apply(edit::renameQuilt(session.quilt(), name + std::to_string(edits)), "edit");
        std::printf("%ld %.3f\n", edits, now());
        std::fflush(stdout);
        if ((edits + round) % 7 != 0) return;
        // Where it may: the second window under a name of its own.
        const auto& wanted = second ? elsewhere : path;
        if (session.path() == wanted && !session.isReadOnly())
            session.saveTo(wanted);
        else if (session.path() == wanted)
            return;
        else if (store::FileLock lock(wanted.toStdString()); lock.isHeld())
            session.saveTo(wanted, std::move(lock));
    });
    often.start(round % 3 == 0 ? 5 : 100);
    return QCoreApplication::exec();
}
