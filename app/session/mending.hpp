// SPDX-License-Identifier: GPL-3.0-or-later
// Remedies and other edits that plan before they change anything, worked out aside: the window stays alive,
// and what has come of it becomes one step of the history.
#pragma once

#include "app/session/errand.hpp"
#include "app/session/session.hpp"

namespace up::app {

class Mending : public QObject {
    Q_OBJECT
public:
    using Remedy = std::function<edit::Edited(const quilt::Quilt&)>;
    /// What to say once it is done; an empty sentence says nothing.
    using Saying = std::function<std::string(const quilt::Quilt& before, const quilt::Quilt& after)>;

    explicit Mending(Session& session, QObject* parent = nullptr);

    /// `what`: the step's name for Undo. A new one puts an end to that before. When the quilt has changed by
    /// the time it is worked out, it is worked out anew, of the quilt as it is then.
    void start(const QString& what, Remedy remedy, Saying then = {});
    [[nodiscard]] bool isBusy() const { return m_errand.isRunning(); }
    [[nodiscard]] Errand& errand() { return m_errand; }

private:
    /// What has come of it, with the plan of the block that is looked at.
    struct Mended {
        edit::Edited quilt;
        std::shared_ptr<const plan::BlockPlan> plan;
    };
    struct Order {
        QString what;
        Remedy remedy;
        Saying then;
        BlockId block; ///< looked at when it was asked for
        int tries = 0;
    };
    void run(Order order);
    void finish(const Mended& mended, std::uint64_t of, BlockId block, const Order& order);
    Session& m_session;
    Errand m_errand;
};

} // namespace up::app
