// SPDX-License-Identifier: GPL-3.0-or-later
// Edits, keeps a recovery copy and saves as the window does, until somebody kills it. For kills.py.
// usage: edits_for_ever FOLDER QUILT ROUND
#include "app/session/autosave.hpp"
#include "core/store/quilt_file.hpp"
#include "core/store/recovery.hpp"

#include <QCoreApplication>
#include <QTimer>
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
    if (count != 4) return 2;
    using namespace up;
    QCoreApplication application(count, words);
    app::Session session([] { return std::int64_t(1'790'000'000); });
    app::Autosave autosave(session, words[1], 250);
    const QString path = words[2];
    // What the round before left: taken up again, as after a crash.
    auto left = store::leftWorks(words[1]);
    if (!left.works.empty())
        autosave.takeUp(std::move(left.works.front()));
    else if (auto quilt = store::loadQuilt(words[2]))
        session.open(path, store::FileLock(words[2]));
    else
        session.startNew(quilt::emptyQuilt("Edit 0"));
    long edits = countIn(session.quilt().name);
    const int round = std::atoi(words[3]);
    QTimer often;
    QObject::connect(&often, &QTimer::timeout, [&] {
        ++edits;
        session.apply(edit::renameQuilt(session.quilt(), "Edit " + std::to_string(edits)), "edit");
        std::printf("%ld %.3f\n", edits, now());
        std::fflush(stdout);
        if ((edits + round) % 7 == 0)
            session.saveTo(path, session.path().isEmpty() ? std::optional(store::FileLock(words[2]))
                                                          : std::nullopt);
    });
    often.start(round % 3 == 0 ? 5 : 100);
    return QCoreApplication::exec();
}
