// SPDX-License-Identifier: GPL-3.0-or-later
// Pages of one pattern: put beside each other, matched, imported as one.
#include "app/dialogs/import_dialog.hpp"
#include "app/dialogs/join_dialog.hpp"
#include "app/pictures/join_picture.hpp"
#include "intake/svg/svg.hpp"
#include "tests/gui/bench.hpp"
#include "tests/gui/questions.hpp"
#include "tests/support/shapes.hpp"

#include <QComboBox>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>

namespace up::test {
namespace {

/// A 4 × 4 in page that shows the pattern (a ring of 3 in on 7 × 4 in) from `left` inches on.
std::string pageFrom(double left) {
    return "<svg xmlns='http://www.w3.org/2000/svg' width='4in' height='4in' viewBox='" +
           std::to_string(left) + " 0 4 4'><clipPath id='page'><rect x='" + std::to_string(left) +
           "' width='4' height='4'/></clipPath><g clip-path='url(#page)'>"
           "<path fill='#3a6' fill-rule='evenodd' d='M2 2a1.5 1.5 0 1 1 3 0a1.5 1.5 0 1 1 -3 0z"
           "M2.6 2a.9 .9 0 1 1 1.8 0a.9 .9 0 1 1 -1.8 0z'/></g></svg>";
}
std::vector<quilt::Drawing> pages() {
    return {must(intake::readSvg(pageFrom(0), "1.svg")), must(intake::readSvg(pageFrom(3), "2.svg"))};
}

class Joining : public WindowTest {
protected:
    Joining() : m_dialog(pages(), measure::System::inches) { m_dialog.show(); }
    template<class Widget> Widget& in(const char* name) {
        auto* found = m_dialog.findChild<Widget*>(name);
        if (!found) throw std::runtime_error(name);
        return *found;
    }
    app::JoinPicture& picture() { return in<app::JoinPicture>("join.picture"); }
    app::JoinDialog m_dialog;
};

TEST_F(Joining, NumbersSayHowThePagesLie) {
    EXPECT_EQ(m_dialog.answer().columns, 2);
    auto& across = in<QLineEdit>("join.across");
    across.selectAll();
    QTest::keyClicks(&across, "1/2");
    EXPECT_NEAR(m_dialog.answer().across, 12.7, 1e-6);
    in<QSpinBox>("join.columns").setValue(1);
    EXPECT_EQ(m_dialog.answer().columns, 1);
}

TEST_F(Joining, APageDraggedNearlyRightSnapsToTheLines) {
    auto& view = picture();
    const auto from = view.pixelOf({150, 50}).toPoint();
    const double perMm = (view.pixelOf({100, 0}) - view.pixelOf({0, 0})).x() / 100;
    const QPoint by(static_cast<int>(std::lround(-21 * perMm)), static_cast<int>(std::lround(2 * perMm)));
    QTest::mousePress(&view, Qt::LeftButton, {}, from);
    QMouseEvent move(QEvent::MouseMove, from + by, view.mapToGlobal(from + by), Qt::LeftButton,
                     Qt::LeftButton, {});
    QApplication::sendEvent(&view, &move);
    QTest::mouseRelease(&view, Qt::LeftButton, {}, from + by);
    ASSERT_EQ(m_dialog.answer().moved.size(), 2U);
    EXPECT_NEAR(m_dialog.answer().moved[1].x, -25.4, 0.3);
    EXPECT_NEAR(m_dialog.answer().moved[1].y, 0, 0.3);
}

TEST_F(Joining, LinesAreMatchedByThemselves) {
    auto& across = in<QLineEdit>("join.across");
    across.selectAll();
    QTest::keyClicks(&across, "3/4");
    in<QPushButton>("join.match").click();
    const auto corners = cornersOf(pages(), m_dialog.answer());
    EXPECT_NEAR(corners[1].x, 3 * 25.4, 0.8);
}

TEST_F(Joining, TwoFilesComeInAsOnePattern) {
    openWindow();
    TempDir dir;
    QStringList files;
    for (const double left : {0.0, 3.0}) {
        files << QString::fromStdString(dir.file("page" + std::to_string(files.size()) + ".svg"));
        writeAll(files.back().toStdString(), pageFrom(left));
    }
    m_asker.importAnswer = [](const app::ImportQuestion& question) -> std::optional<app::ImportAnswer> {
        EXPECT_EQ(question.pages, 2);
        auto all = must(question.pattern->readAll({}));
        return app::ImportAnswer{must(intake::joinPages(all, {2, 25.4, 0})), {}};
    };
    m_asker.files = {files.join(';')};
    click("draw.import");
    EXPECT_SOON(session().block() && block().pieces.size() == 1);
    ASSERT_TRUE(session().block());
    EXPECT_EQ(block().pieces[0].outline->holes.size(), 1U);
}

TEST_F(Joining, TheImportAsksHowThePagesLie) {
    auto pattern = std::make_shared<FakePattern>(pages()[0]);
    pattern->pages = pages();
    auto question = questionAbout(pages()[0], 2, pattern);
    int asked = 0;
    question.askGrid = [&](const auto& all) {
        ++asked;
        EXPECT_EQ(all.size(), 2U);
        return std::optional(intake::PageGrid{2, 25.4, 0, {}});
    };
    app::ImportDialog dialog(question);
    dialog.show();
    auto& page = *dialog.findChild<QComboBox*>("import.page");
    page.setCurrentIndex(2);
    emit page.activated(2);
    EXPECT_SOON(dialog.answer().drawing.width > 170);
    EXPECT_EQ(asked, 1);
    EXPECT_EQ(dialog.answer().drawing.shapes.size(), 1U);
}

} // namespace
} // namespace up::test
