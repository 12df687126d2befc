// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/aside.hpp"

#include <QThreadPool>
#include <array>
#include <mutex>
#include <sys/resource.h>
#include <unistd.h>

namespace up::app::jobs {
namespace {

/// Never destroyed: whoever ends the program does not wait for what nobody will look at.
QThreadPool& threadsOf(Pool pool) {
    static const auto all = [] {
        std::array<QThreadPool*, 3> out{};
        constexpr std::array threads{2, 2, 2};
        for (std::size_t i = 0; i < out.size(); ++i) {
            out[i] = new QThreadPool;
            out[i]->setMaxThreadCount(threads[i]);
        }
        return out;
    }();
    return *all[static_cast<std::size_t>(pool)];
}

/// The window comes first: Linux knows a niceness of each thread, which those it starts inherit. Source: sched(7),
/// setpriority(2).
void standBack() {
    constexpr int nicer = 10; // about a tenth of a core, while the window wants all of it
    thread_local const bool stands = setpriority(PRIO_PROCESS, static_cast<id_t>(gettid()), nicer) == 0;
    (void)stands; // where that is not allowed, all are alike
}

/// Lives with the owner, in its thread; the worker sees when it is gone.
class Mailbox : public QObject {
public:
    struct Slot {
        std::mutex mutex;
        Mailbox* box; ///< null once it is gone
    };
    explicit Mailbox(QObject* owner) : QObject(owner), m_slot(std::make_shared<Slot>()) {
        m_slot->box = this;
    }
    ~Mailbox() override {
        const std::scoped_lock lock(m_slot->mutex);
        m_slot->box = nullptr;
    }
    [[nodiscard]] std::shared_ptr<Slot> slot() const { return m_slot; }

private:
    std::shared_ptr<Slot> m_slot;
};

void post(Mailbox::Slot& slot, std::function<void()> act) {
    const std::scoped_lock lock(slot.mutex);
    if (!slot.box) return;
    QMetaObject::invokeMethod(
        slot.box,
        [box = slot.box, act = std::move(act)] {
            box->deleteLater();
            act();
        },
        Qt::QueuedConnection);
}

} // namespace

bool anyAtWork() {
    for (const auto pool : {Pool::answers, Pool::errands, Pool::layouts})
        if (threadsOf(pool).activeThreadCount() > 0) return true;
    return false;
}

void run(QObject* owner, Pool pool, std::function<std::function<void()>()> work) {
    auto* box = new Mailbox(owner);
    threadsOf(pool).start([slot = box->slot(), work = std::move(work)]() mutable {
        std::function<void()> then;
        standBack();
        try {
            then = work();
        } catch (...) {
            then = [thrown = std::current_exception()] { std::rethrow_exception(thrown); };
        }
        work = nullptr; // what it held goes here, in this thread
        post(*slot, std::move(then));
    });
}

} // namespace up::app::jobs
