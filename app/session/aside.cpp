// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/aside.hpp"

#include "app/session/workers.hpp"

#include <QCoreApplication>
#include <QEvent>
#include <array>
#include <mutex>

namespace up::app::jobs {
namespace {

/// Never destroyed: whoever ends the program does not wait for what nobody will look at.
Workers& workersOf(Pool pool) {
    constexpr int standBack = 10; // about a tenth of a core, while the window wants all of it
    static const auto all = [] {
        return std::array{new Workers(2, standBack), new Workers(2, standBack), new Workers(2, standBack),
                          new Workers(1)};
    }();
    return *all[static_cast<std::size_t>(pool)];
}

/// Lives with the owner, in its thread; the worker sees when it is gone.
class Mailbox : public QObject {
public:
    struct Slot {
        std::mutex mutex;
        Mailbox* box;                 ///< null once it is gone
        std::function<void()> answer; ///< once it has come
    };
    explicit Mailbox(QObject* owner) : QObject(owner), m_slot(std::make_shared<Slot>()) {
        m_slot->box = this;
    }
    ~Mailbox() override {
        const std::scoped_lock lock(m_slot->mutex);
        m_slot->box = nullptr;
    }
    [[nodiscard]] std::shared_ptr<Slot> slot() const { return m_slot; }

protected:
    /// The answer has come.
    void customEvent(QEvent*) override {
        std::function<void()> act;
        {
            const std::scoped_lock lock(m_slot->mutex);
            act.swap(m_slot->answer);
        }
        deleteLater();
        act();
    }

private:
    std::shared_ptr<Slot> m_slot;
};

void post(Mailbox::Slot& slot, std::function<void()> answer) {
    const std::scoped_lock lock(slot.mutex);
    if (!slot.box) return;
    slot.answer = std::move(answer);
    QCoreApplication::postEvent(slot.box, new QEvent(QEvent::User));
}

} // namespace

bool anyAtWork() {
    for (const auto pool : {Pool::answers, Pool::errands, Pool::layouts})
        if (!workersOf(pool).isIdle()) return true;
    return false;
}

void finish(Pool pool) {
    workersOf(pool).finish();
}

void run(QObject* owner, Pool pool, std::function<std::function<void()>()> work) {
    auto* box = new Mailbox(owner);
    workersOf(pool).start([slot = box->slot(), work = std::move(work)]() mutable {
        std::function<void()> then;
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
