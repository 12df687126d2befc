// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/history.hpp"

namespace up::edit {

bool History::apply(quilt::Quilt next, std::string what, std::string mergeKey) {
    if (next == now()) return false;
    if (m_hasClean && m_clean > m_at) m_hasClean = false; // the saved state is about to be dropped
    m_states.resize(m_at + 1, m_states.front());
    const bool merges = m_mergeOpen && m_at > 0 && !mergeKey.empty() && m_states[m_at].mergeKey == mergeKey &&
                        !(m_hasClean && m_clean == m_at);
    m_mergeOpen = true;
    if (merges) {
        m_states[m_at].quilt = std::move(next);
        return true;
    }
    m_states.push_back({std::move(next), std::move(what), std::move(mergeKey)});
    ++m_at;
    if (m_states.size() > most) {
        m_states.pop_front();
        --m_at;
        if (m_hasClean && m_clean == 0)
            m_hasClean = false;
        else if (m_hasClean)
            --m_clean;
    }
    return true;
}

bool History::takeBack(const std::string& mergeKey) {
    const bool isLast = m_mergeOpen && m_at > 0 && m_at + 1 == m_states.size();
    if (!isLast || mergeKey.empty() || m_states[m_at].mergeKey != mergeKey) return false;
    m_states.pop_back();
    --m_at;
    m_mergeOpen = false;
    if (m_hasClean && m_clean > m_at) m_hasClean = false;
    return true;
}

void History::undo() {
    if (canUndo()) --m_at;
    m_mergeOpen = false;
}

void History::redo() {
    if (canRedo()) ++m_at;
    m_mergeOpen = false;
}

} // namespace up::edit
