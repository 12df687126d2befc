// SPDX-License-Identifier: GPL-3.0-or-later
// Undo and redo by keeping the old quilts. An edit that changes nothing leaves no entry; a drag is one entry.
#pragma once

#include "core/quilt/quilt.hpp"

#include <deque>
#include <functional>
#include <string>

namespace up::edit {

class History {
public:
    explicit History(quilt::Quilt first) : m_states{{std::move(first), "", ""}} {}

    [[nodiscard]] const quilt::Quilt& now() const { return m_states[m_at].quilt; }

    /// `what`: for the menu ("Undo move"). `mergeKey`: an edit with the same non-empty key as the one before
    /// replaces its result, until `closeMerge`. False when the quilt is the same as before.
    bool apply(quilt::Quilt next, std::string what, std::string mergeKey = "");
    void closeMerge() { m_mergeOpen = false; }
    /// Changes every state there is: what others did to what the quilt shares with them. No step of its own.
    void rebase(const std::function<quilt::Quilt(const quilt::Quilt&)>& change) {
        for (auto& state : m_states)
            state.quilt = change(state.quilt);
    }
    /// Takes an edit back that may still be merged with, as if it had never been. False when the last edit is
    /// another.
    bool takeBack(const std::string& mergeKey);

    [[nodiscard]] bool canUndo() const { return m_at > 0; }
    [[nodiscard]] bool canRedo() const { return m_at + 1 < m_states.size(); }
    [[nodiscard]] std::string undoName() const { return canUndo() ? m_states[m_at].what : ""; }
    [[nodiscard]] std::string redoName() const { return canRedo() ? m_states[m_at + 1].what : ""; }
    void undo();
    void redo();

    [[nodiscard]] bool isClean() const { return m_hasClean && m_clean == m_at; }
    void markClean() { m_clean = m_at, m_hasClean = true, m_mergeOpen = false; }
    /// Nothing on disk matches any more (a recovered copy).
    void markDirty() { m_hasClean = false; }

    static constexpr std::size_t most = 400; ///< states kept; the oldest go first

private:
    struct State {
        quilt::Quilt quilt;
        std::string what, mergeKey;
    };
    std::deque<State> m_states; ///< the present one stays where it is while others come
    std::size_t m_at = 0, m_clean = 0;
    bool m_hasClean = true, m_mergeOpen = false;
};

} // namespace up::edit
