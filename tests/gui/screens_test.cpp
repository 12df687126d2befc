// SPDX-License-Identifier: GPL-3.0-or-later
// Small screens: what there is no room for folds away, by itself or as the user likes it; the window comes back
// where it was.
#include "app/window/fold_handle.hpp"
#include "tests/gui/bench.hpp"

#include <QAction>
#include <QLineEdit>
#include <QListWidget>

namespace up::test {
namespace {

using app::View;

class Screens : public WindowTest {
protected:
    void resize(int width, int height) {
        window().show();
        window().resize(width, height);
        EXPECT_SOON(window().size() == QSize(width, height));
    }
    [[nodiscard]] bool shows(const char* part) { return find<QWidget>(part).isVisible(); }
};

TEST_F(Screens, RailPlanAndSectionGiveWayToTheMat) {
    openSample();
    session().goTo(View::lay);
    resize(1280, 800);
    EXPECT_TRUE(shows("rail") && shows("rows") && shows("section"));
    const double before = window().mat().height();
    resize(1024, 640);
    EXPECT_FALSE(shows("rail") || shows("rows"));
    EXPECT_TRUE(shows("section"));
    resize(960, 500); // 1920 × 1080 at 200 %, less a panel
    EXPECT_FALSE(shows("section"));
    EXPECT_SOON(window().mat().height() >= before / 2);
    resize(1280, 800);
    EXPECT_TRUE(shows("rail") && shows("rows") && shows("section"));
}

TEST_F(Screens, WhatTheUserFoldsStaysSo) {
    openSample();
    resize(1280, 800);
    QTest::mouseClick(&find<app::FoldHandle>("rail.fold"), Qt::LeftButton);
    EXPECT_FALSE(shows("rail"));
    key(Qt::Key_F9);
    EXPECT_FALSE(shows("rows"));
    openWindow();
    openSample();
    resize(1300, 820);
    EXPECT_FALSE(shows("rail") || shows("rows"));
    key(Qt::Key_F8);
    key(Qt::Key_F9);
    resize(1000, 640);
    EXPECT_TRUE(shows("rail") && shows("rows")) << "wanted, however little room there is";
}

TEST_F(Screens, FindingAPieceUnfoldsTheRail) {
    openSample();
    resize(1024, 640);
    key(Qt::Key_Slash);
    EXPECT_TRUE(find<QLineEdit>("find").hasFocus());
}

TEST_F(Screens, TheWindowComesBackWhereItWas) {
    openSample();
    resize(1111, 777);
    window().close();
    openWindow();
    EXPECT_EQ(window().size(), QSize(1111, 777));
}

} // namespace
} // namespace up::test
