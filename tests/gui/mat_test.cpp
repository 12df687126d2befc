// SPDX-License-Identifier: GPL-3.0-or-later
// The mat alone: proportions, zoom, hits, the other side.
#include "app/canvas/mat.hpp"
#include "app/canvas/mat_layout.hpp"
#include "app/canvas/painter.hpp"
#include "tests/support/shapes.hpp"

#include <QSignalSpy>
#include <QTest>
#include <QWheelEvent>
#include <gtest/gtest.h>

namespace up::app {
namespace {

Panel panelOf(double width, double height, std::uint32_t piece = 7) {
    Panel panel;
    panel.box = {0, 0, width, height};
    auto shape = sheet::box({10, 10, 30, 20}, Colour{200, 0, 0}, std::nullopt);
    shape.tag = PieceId{piece};
    panel.layers.push_back(
        {"shapes",
         {shape, sheet::Flag{"3", {15, 15}, false, Colour{200, 0, 0}, 6, PieceId{piece + 1}}},
         {},
         {}});
    return panel;
}

TEST(Mat, ShowsTrueProportionsAtEverySize) {
    for (const QSize size : {QSize(400, 300), QSize(900, 300), QSize(500, 900)}) {
        Mat mat;
        mat.resize(size);
        mat.show(Scene{{panelOf(200, 100)}});
        const auto across = mat.pixelOf(0, {200, 0}) - mat.pixelOf(0, {0, 0}),
                   down = mat.pixelOf(0, {0, 100}) - mat.pixelOf(0, {0, 0});
        EXPECT_NEAR(across.x(), 2 * down.y(), 1e-6);
        EXPECT_TRUE(QRectF(mat.rect()).contains(mat.pixelOf(0, {200, 100})));
    }
}

TEST(Mat, PanelsOfOneSceneShareTheirScale) {
    const auto shelves =
        shelvesFor(Scene{{panelOf(200, 100), panelOf(50, 50), panelOf(20, 90)}}, QRectF(0, 0, 900, 600));
    ASSERT_EQ(shelves.size(), 3U);
    EXPECT_DOUBLE_EQ(shelves[0].scale, shelves[1].scale);
    EXPECT_DOUBLE_EQ(shelves[0].scale, shelves[2].scale);
    for (std::size_t i = 0; i < 3; ++i)
        for (std::size_t j = 0; j < i; ++j)
            EXPECT_FALSE(shelves[i].whole.intersects(shelves[j].whole));
}

TEST(Mat, TellsWhatIsClicked) {
    Mat mat;
    mat.resize(600, 400);
    mat.show(Scene{{panelOf(100, 60)}});
    std::vector<sheet::Tag> clicked;
    QObject::connect(&mat, &Mat::clicked, [&](const sheet::Tag& tag) { clicked.push_back(tag); });
    QTest::mouseClick(&mat, Qt::LeftButton, {}, mat.pixelOf(0, {27, 12}).toPoint());
    QTest::mouseClick(&mat, Qt::LeftButton, {}, mat.pixelOf(0, {15, 15}).toPoint());
    QTest::mouseClick(&mat, Qt::LeftButton, {}, mat.pixelOf(0, {80, 50}).toPoint());
    ASSERT_EQ(clicked.size(), 3U);
    EXPECT_EQ(clicked[0], sheet::Tag(PieceId{7}));
    EXPECT_EQ(clicked[1], sheet::Tag(PieceId{8})) << "flags lie on top";
    EXPECT_FALSE(sheet::isSet(clicked[2]));
}

TEST(Mat, ZoomsAndFitsAgain) {
    Mat mat;
    mat.resize(600, 400);
    mat.show(Scene{{panelOf(100, 60)}});
    const double before = (mat.pixelOf(0, {100, 0}) - mat.pixelOf(0, {0, 0})).x();
    mat.zoomBy(2);
    EXPECT_NEAR((mat.pixelOf(0, {100, 0}) - mat.pixelOf(0, {0, 0})).x(), 2 * before, 1e-6);
    mat.fit();
    EXPECT_NEAR((mat.pixelOf(0, {100, 0}) - mat.pixelOf(0, {0, 0})).x(), before, 1e-6);
    mat.zoomBy(0.1);
    EXPECT_NEAR((mat.pixelOf(0, {100, 0}) - mat.pixelOf(0, {0, 0})).x(), before, 1e-6)
        << "never smaller than the whole";
}

TEST(Mat, ScrollsRowsThatDoNotFit) {
    Mat mat;
    mat.resize(600, 400);
    Scene scene{std::vector<Panel>(12, panelOf(100, 60))};
    scene.leastHeight = 150;
    scene.columns = 2;
    mat.show(scene);
    const double before = mat.pixelOf(11, {0, 0}).y();
    EXPECT_GT(before, 400);
    QWheelEvent down(QPointF(100, 100), QPointF(100, 100), {}, QPoint(0, -4000), Qt::NoButton, Qt::NoModifier,
                     Qt::NoScrollPhase, false);
    QApplication::sendEvent(&mat, &down);
    EXPECT_LT(mat.pixelOf(11, {0, 60}).y(), 400);
}

TEST(TurnedOver, MirrorsTheDrawingAndSaysSo) {
    const auto panel = panelOf(100, 60), other = turnedOver(panel);
    EXPECT_EQ(other.side, Side::paper);
    EXPECT_EQ(other.layers[0].place(shape::Point{10, 10}), (shape::Point{90, 10}));
    EXPECT_TRUE(std::get<sheet::Flag>(other.layers[0].items[1]).pointsLeft);
    const auto again = turnedOver(other);
    EXPECT_EQ(again.side, Side::front);
    EXPECT_EQ(again.layers[0].place(shape::Point{10, 10}), (shape::Point{10, 10}));
}

TEST(PathOf, FillsAsTheSheetSays) {
    const auto path = pathOf(
        {shape::contourThrough(test::square(0, 0, 30)), shape::contourThrough(test::square(10, 10, 10))});
    EXPECT_TRUE(path.contains(QPointF(5, 5)));
    EXPECT_FALSE(path.contains(QPointF(15, 15)));
}

} // namespace
} // namespace up::app
