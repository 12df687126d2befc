// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/history.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::edit {
namespace {

quilt::Quilt named(const std::string& name) {
    return quilt::emptyQuilt(name);
}

TEST(History, AnEditThatChangesNothingLeavesNoEntry) {
    History history(named("a"));
    EXPECT_FALSE(history.apply(named("a"), "nothing"));
    EXPECT_FALSE(history.canUndo());
}

TEST(History, UndoAndRedoGiveBackWhatWas) {
    History history(named("a"));
    history.apply(named("b"), "to b");
    history.apply(named("c"), "to c");
    EXPECT_EQ(history.undoName(), "to c");
    history.undo();
    history.undo();
    EXPECT_EQ(history.now().name, "a");
    EXPECT_FALSE(history.canUndo());
    history.undo();
    EXPECT_EQ(history.now().name, "a");
    EXPECT_EQ(history.redoName(), "to b");
    history.redo();
    history.redo();
    history.redo();
    EXPECT_EQ(history.now().name, "c");
}

TEST(History, ANewEditDropsWhatWasUndone) {
    History history(named("a"));
    history.apply(named("b"), "to b");
    history.undo();
    history.apply(named("c"), "to c");
    EXPECT_FALSE(history.canRedo());
    history.undo();
    EXPECT_EQ(history.now().name, "a");
}

TEST(History, ADragIsOneEntry) {
    History history(named("a"));
    for (const char* name : {"b", "c", "d"})
        history.apply(named(name), "move", "drag 1");
    history.closeMerge();
    history.apply(named("e"), "move", "drag 1");
    history.undo();
    EXPECT_EQ(history.now().name, "d");
    history.undo();
    EXPECT_EQ(history.now().name, "a");
}

TEST(History, TwoDifferentDragsAreTwoEntries) {
    History history(named("a"));
    history.apply(named("b"), "move", "drag 1");
    history.apply(named("c"), "move", "drag 2");
    history.undo();
    EXPECT_EQ(history.now().name, "b");
}

TEST(History, IsCleanOnlyWhereItWasSaved) {
    History history(named("a"));
    EXPECT_TRUE(history.isClean());
    history.apply(named("b"), "to b");
    EXPECT_FALSE(history.isClean());
    history.markClean();
    history.undo();
    EXPECT_FALSE(history.isClean());
    history.redo();
    EXPECT_TRUE(history.isClean());
    history.undo();
    history.apply(named("c"), "to c");
    EXPECT_FALSE(history.isClean());
    history.undo();
    EXPECT_FALSE(history.isClean()) << "the saved state is gone";
}

TEST(History, ADragOverTheSavedStateDoesNotChangeIt) {
    History history(named("a"));
    history.apply(named("b"), "move", "drag 1");
    history.markClean();
    history.apply(named("c"), "move", "drag 1");
    history.undo();
    EXPECT_EQ(history.now().name, "b");
    EXPECT_TRUE(history.isClean());
}

TEST(History, ForgetsTheOldestBeyondItsLimit) {
    History history(named("start"));
    for (std::size_t i = 0; i < History::most + 50; ++i)
        history.apply(named(std::to_string(i)), "step");
    std::size_t steps = 0;
    while (history.canUndo())
        history.undo(), ++steps;
    EXPECT_EQ(steps, History::most - 1);
    EXPECT_FALSE(history.isClean());
}

} // namespace
} // namespace up::edit
