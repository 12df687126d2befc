// SPDX-License-Identifier: GPL-3.0-or-later
// What the Stack menu does: order, underlap, linings, units, where the design lies.
#pragma once

#include "app/session/session.hpp"
#include "core/plan/centring.hpp"
#include "core/plan/underlap_plan.hpp"

namespace up::app {

class StackCommands : public QObject {
    Q_OBJECT
public:
    explicit StackCommands(Session& session, QObject* parent = nullptr);

    /// By step, fabric and place.
    void numberAnew();
    /// Every lower piece grows beneath those above it.
    void tuckAll(plan::Below below);
    /// The chosen piece gets a lining.
    void line();
    /// The chosen piece stays where it is, or may move again.
    void toggleLock();
    /// The unit that the overlaps suggest for the chosen piece; if it is in one, that is let go.
    void toggleUnit();
    void centre(plan::Centre how);

signals:
    void told(const QString& sentence);

private:
    [[nodiscard]] const quilt::Block* filled();
    [[nodiscard]] const quilt::Piece* chosen();
    void tell(const std::string& sentence);

    Session& m_session;
};

} // namespace up::app
