// SPDX-License-Identifier: GPL-3.0-or-later
// Keeps a recovery copy while there is work that is not saved, written aside; removes it when the work is
// saved.
#pragma once

#include "app/session/session.hpp"
#include "core/store/recovery.hpp"

#include <QTimer>
#include <memory>

namespace up::app {

/// What is on the screen is in the copy or in the file, whatever comes, but for the last `delay` and the
/// writing.
class Autosave : public QObject {
    Q_OBJECT
public:
    /// `folder`: where copies are kept. A copy follows a change after `delay` ms.
    Autosave(Session& session, const QString& folder, int delay, QObject* parent = nullptr);
    ~Autosave() override;

    /// Shows work that a crash left; its copy stays until the work is saved.
    void takeUp(store::LeftWork work);
    /// Writes the copy now, in this thread; the last resort before the program ends on a mistake. May be
    /// called from any thread.
    void keepNow();
    [[nodiscard]] std::string copy() const { return m_copy->path(); }

private:
    void follow();
    void keepAside();

    Session& m_session;
    std::shared_ptr<const store::RecoveryCopy> m_copy;
    /// What is to be kept, for whoever writes last: another thread may.
    struct Work;
    std::shared_ptr<Work> m_work;
    QTimer m_timer;
    std::uint64_t m_kept = 0; ///< the state that is in the copy, or is being written; 0: none
    bool m_said = false;
};

} // namespace up::app
