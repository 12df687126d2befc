// SPDX-License-Identifier: GPL-3.0-or-later
// What a hand does on the mat from taking hold of something to letting it go: begun once, ended once.
#pragma once

#include "core/sheet/tag.hpp"

#include <functional>
#include <memory>

namespace up::app {

/// What was taken hold of, and how.
struct Grip {
    sheet::Tag tag;      ///< nothing: what is chosen
    bool alone = false;  ///< with Shift
    bool byKeys = false; ///< with the arrow keys
};

/// Owns what it needs to be taken back: where things were, and the step of the history that it makes. The mat
/// calls `done` or `cancelled` (Escape, the right button, the keyboard going elsewhere, another scene)
/// exactly once.
class Gesture {
public:
    Gesture() = default;
    Gesture(const Gesture&) = delete;
    Gesture& operator=(const Gesture&) = delete;
    virtual ~Gesture() = default;
    /// How far since the last time, mm on the panel as it is shown.
    virtual void moved(double right, double down) = 0;
    virtual void done() = 0;
    virtual void cancelled() = 0;
};

/// Nothing, when that cannot be moved.
using TakeUp = std::function<std::unique_ptr<Gesture>(const Grip&)>;

} // namespace up::app
