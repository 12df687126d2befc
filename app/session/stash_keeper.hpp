// SPDX-License-Identifier: GPL-3.0-or-later
// Keeps the open quilt and the stash of all quilts in step.
#pragma once

#include "app/session/session.hpp"
#include "core/store/stash_place.hpp"

#include <QTimer>
#include <memory>
#include <optional>

namespace up::app {

/// What is done to the quilt's cloth is done to the stash soon after, whether the quilt is saved or not; what
/// others do to it comes into the quilt, into every step that can be gone back to. Cloth of other stashes, which
/// a quilt from elsewhere carries, stays that quilt's own. A stash that cannot be read is told of once and left
/// as it is: the quilt goes on with what it carries.
class StashKeeper : public QObject {
    Q_OBJECT
public:
    /// `folder`: the user's data folder. The file follows a change after `delay` ms.
    StashKeeper(Session& session, const QString& folder, int delay, QObject* parent = nullptr);
    ~StashKeeper() override;

    /// For a new cloth. Begins a stash when there is none.
    [[nodiscard]] std::string newKey();
    /// Others may have written it: when the window comes to the front.
    void look();
    /// What was cut since the quilt was last saved has not been cut after all.
    void discard();
    [[nodiscard]] const store::StashPlace& place() const { return m_place; }

private:
    void begin();
    void follow();
    /// Both ways, aside.
    void exchange();
    /// What has not been written yet is, here and now.
    void flush();
    void bringIn(const quilt::Stash& mine, const quilt::Stash& all);
    void complainOnce(const Error& error);

    /// An exchange that goes on aside.
    struct Running {
        quilt::Stash mine; ///< as it was when it began
        std::optional<quilt::Stash>
            now; ///< as the file was afterwards; written there, read once it has ended
    };

    Session& m_session;
    store::StashPlace m_place;
    QTimer m_timer;
    quilt::Stash m_seen;  ///< as the file was when it was last read or written
    quilt::Stash m_mine;  ///< as the quilt has it
    quilt::Stash m_clean; ///< as the quilt had it when it was last saved
    bool m_usable = true, m_said = false;
    std::shared_ptr<Running> m_running;
};

} // namespace up::app
