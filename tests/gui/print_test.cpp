// SPDX-License-Identifier: GPL-3.0-or-later
// Printing: the dialog, the stand-in that misprints, any printer of the desktop; the screen as a light box.
#include "app/canvas/painter.hpp"
#include "app/devices/printer.hpp"
#include "app/dialogs/light_box.hpp"
#include "app/dialogs/print_dialog.hpp"
#include "app/look/true_size.hpp"
#include "app/pictures/pages_picture.hpp"
#include "output/pdf/pdf.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPrinter>
#include <QPushButton>
#include <QScreen>
#include <array>
#include <cmath>
#include <sstream>

namespace up::test {
namespace {

using app::View;

/// The middle one of the lengths of dark runs and of the light runs between them; those at the ends aside.
template<class IsDark> sheet::DashLengths dashesIn(std::size_t pixels, double mmEach, IsDark&& isDark) {
    std::array<std::vector<double>, 2> runs;
    std::size_t from = 0;
    for (std::size_t x = 1; x < pixels; ++x) {
        if (isDark(x) == isDark(x - 1)) continue;
        if (from > 0) runs[isDark(x - 1) ? 1 : 0].push_back(static_cast<double>(x - from) * mmEach);
        from = x;
    }
    const auto middle = [](std::vector<double>& lengths) {
        if (lengths.empty()) return 0.0;
        std::sort(lengths.begin(), lengths.end());
        return lengths[lengths.size() / 2];
    };
    return {middle(runs[1]), middle(runs[0])};
}

/// A page as poppler renders it, grey.
class Rendered {
public:
    static constexpr int dpi = 300;
    Rendered(const TempDir& dir, const std::string& pdf, int page = 1) {
        const auto name = dir.file("rendered");
        const auto said = tool("pdftoppm -gray -r " + std::to_string(dpi) + " -f " + std::to_string(page) +
                               " -l " + std::to_string(page) + " -singlefile '" + pdf + "' '" + name + "'");
        EXPECT_EQ(said.code, 0) << said.out;
        const auto bytes = readAll(name + ".pgm");
        std::istringstream head(bytes);
        std::string kind;
        head >> kind >> m_width >> m_height;
        m_pixels = bytes.substr(bytes.size() - m_width * m_height);
    }
    [[nodiscard]] double widthMm() const { return static_cast<double>(m_width) / dpi * 25.4; }
    [[nodiscard]] double heightMm() const { return static_cast<double>(m_height) / dpi * 25.4; }
    /// The longest dark run along a line of pixels: the side of the test square, where nothing else is as
    /// long.
    [[nodiscard]] double longestRun(double leftMm, double rightMm, double topMm, double bottomMm) const {
        std::size_t best = 0;
        for (auto y = pixel(topMm); y < std::min(pixel(bottomMm), m_height); ++y) {
            std::size_t run = 0;
            for (auto x = pixel(leftMm); x < std::min(pixel(rightMm), m_width); ++x) {
                run = static_cast<unsigned char>(m_pixels[y * m_width + x]) < 160 ? run + 1 : 0;
                best = std::max(best, run);
            }
        }
        return static_cast<double>(best) / dpi * 25.4;
    }

    /// Along a level line: the middle one of the lengths of what is drawn, and of what is left out, mm.
    [[nodiscard]] sheet::DashLengths dashesAlong(double y) const {
        const auto row = pixel(y) * m_width;
        return dashesIn(m_width, 25.4 / dpi,
                        [&](std::size_t x) { return static_cast<unsigned char>(m_pixels[row + x]) < 140; });
    }

private:
    [[nodiscard]] static std::size_t pixel(double mm) {
        return static_cast<std::size_t>(std::max(0.0, mm) / 25.4 * dpi);
    }
    std::size_t m_width = 0, m_height = 0;
    std::string m_pixels;
};

/// The test square stands at the lower left, 10 mm from the paper's edges; its pen is 0.2 mm wide.
double squareOn(const Rendered& page) {
    return page.longestRun(5, 45, page.heightMm() - 40, page.heightMm() - 5) - 0.2;
}

/// The same dashes in the PDF (cairo), from a desktop's printer at 1,200 dots to the inch (Qt) and on the
/// screen, drawn large.
TEST(Dashes, AreAsLongOnPaperFromAPrinterAndOnTheScreen) {
    const TempDir dir;
    const sheet::Pen dashed{{}, 0.4, sheet::Dash::dashed}, dotted{{}, 0.4, sheet::Dash::dotted};
    const sheet::Page page{
        200,
        100,
        {{"lines",
          {sheet::line({20, 30}, {180, 30}, dashed), sheet::line({20, 60}, {180, 60}, dotted)},
          {},
          {}}}};
    const auto cairo = dir.file("cairo.pdf"), desktop = dir.file("desktop.pdf");
    writeAll(cairo, must(output::writePdf({page}, "dashes")));
    QPrinter printer(QPrinter::HighResolution);
    printer.setResolution(1200);
    printer.setOutputFileName(QString::fromStdString(desktop));
    ASSERT_TRUE(app::printOn(printer, {page}, "dashes"));
    constexpr double zoom = 20; // pixels a millimetre
    QImage screen(4000, 2000, QImage::Format_RGB32);
    screen.fill(Qt::white);
    QPainter painter(&screen);
    app::paintLayer(painter, page.layers[0], QTransform::fromScale(zoom, zoom));
    painter.end();
    const Rendered onPaper(dir, cairo), fromDesktop(dir, desktop);
    for (const auto& [y, dash] :
         {std::pair{30.0, sheet::Dash::dashed}, std::pair{60.0, sheet::Dash::dotted}}) {
        const auto meant = sheet::lengthsOf(dash);
        const auto onScreen = dashesIn(4000, 1 / zoom, [&, at = static_cast<int>(y * zoom)](std::size_t x) {
            return qGray(screen.pixel(static_cast<int>(x), at)) < 140;
        });
        for (const auto& got : {onPaper.dashesAlong(y), fromDesktop.dashesAlong(y), onScreen}) {
            EXPECT_NEAR(got.on, meant.on, 0.13) << y;
            EXPECT_NEAR(got.off, meant.off, 0.13) << y;
        }
    }
}

class Printing : public WindowTest {
protected:
    /// The dialog for the block's tracing pages.
    std::unique_ptr<app::PrintDialog> dialog() {
        std::unique_ptr<app::PrintDialog> out;
        m_asker.printAnswer = [&](app::PrintQuestion question) {
            question.more = nullptr; // what the desktop has is nobody's business here
            out = std::make_unique<app::PrintDialog>(std::move(question));
        };
        climb(View::trace);
        click("trace.pages");
        EXPECT_TRUE(out);
        out->show();
        await(*out);
        return out;
    }
    static void await(const app::PrintDialog& dialog) { EXPECT_SOON(!dialog.isBusy()); }
    static void choose(QWidget& in, const char* box, const QString& text) {
        in.findChild<QComboBox*>(box)->setCurrentText(text);
    }
    static void type(QWidget& in, const char* field, const QString& text) {
        auto* line = in.findChild<QLineEdit*>(field);
        line->setFocus();
        line->selectAll();
        QTest::keyClicks(line, text);
        QTest::keyClick(line, Qt::Key_Return);
    }
    static bool says(const QWidget& in, const QString& words) {
        for (const auto* label : in.findChildren<QLabel*>())
            if (label->isVisible() && label->text().contains(words)) return true;
        return false;
    }
    [[nodiscard]] std::string printed() {
        return m_dir.file("printed/" + block().name + " Tracing pages.pdf");
    }
};

TEST_F(Printing, APrinterThatMisprintsIsFoundOutByTheSquareAndCorrected) {
    openSample();
    auto print = dialog();
    choose(*print, "print.printer", "The sample printer");
    await(*print);
    EXPECT_EQ(print->findChild<QDoubleSpinBox*>("print.misprint")->value(), 97);
    QTest::mouseClick(print->findChild<QPushButton*>("print.go"), Qt::LeftButton);
    await(*print);
    EXPECT_TRUE(says(*print, "Measure the one-inch square"));
    const Rendered first(m_dir, printed());
    EXPECT_NEAR(first.widthMm(), 279.4, 0.1) << "Letter on its side: 11 × 8 1/2 in";
    // The square stands where 97 % puts it.
    EXPECT_NEAR(first.longestRun(5, 45, first.heightMm() - 46, first.heightMm() - 5) - 0.2, 25.4 * 0.97, 0.1);

    type(*print, "print.square", "0.97");
    await(*print);
    EXPECT_TRUE(says(*print, "103.1 %"));
    QTest::mouseClick(print->findChild<QPushButton*>("print.go"), Qt::LeftButton);
    await(*print);
    EXPECT_NEAR(squareOn(Rendered(m_dir, printed())), 25.4, 0.1);
}

TEST_F(Printing, EachPrinterIsRememberedAndSoIsThePaper) {
    openSample();
    auto print = dialog();
    choose(*print, "print.printer", "The sample printer");
    type(*print, "print.square", "0.97");
    choose(*print, "print.paper", "A4");
    await(*print);
    const auto& page = print->pages().front();
    EXPECT_NEAR(std::max(page.width, page.height), 297, 0.01);
    choose(*print, "print.printer", "A PDF file");
    EXPECT_TRUE(says(*print, "at true size"));
    openWindow();
    openSample();
    print = dialog();
    EXPECT_EQ(print->findChild<QComboBox*>("print.paper")->currentText(), "A4");
    choose(*print, "print.printer", "The sample printer");
    EXPECT_TRUE(says(*print, "103.1 %"));
}

TEST_F(Printing, NonsenseIsOneSentenceAndKeepsWhatWas) {
    openSample();
    auto print = dialog();
    type(*print, "print.square", "nonsense");
    EXPECT_TRUE(says(*print, "not a length"));
    type(*print, "print.square", "2");
    EXPECT_TRUE(says(*print, "set right first"));
    EXPECT_TRUE(says(*print, "at true size"));
}

TEST_F(Printing, AnEmptyQuiltSaysWhyNothingIsPrinted) {
    QStringList told;
    QObject::connect(&session(), &app::Session::trouble, [&](const QString& sentence) { told << sentence; });
    key(Qt::Key_P, Qt::ControlModifier);
    key(Qt::Key_L, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_EQ(told.size(), 2);
    for (const auto& sentence : told)
        EXPECT_TRUE(sentence.contains("no block yet")) << sentence.toStdString();
}

TEST_F(Printing, PagesAreTurnedWithKeysAndButtons) {
    openSample();
    auto print = dialog();
    auto& picture = *print->findChild<app::PagesPicture*>("print.picture");
    ASSERT_GT(picture.count(), 2);
    QTest::mouseClick(print->findChild<QPushButton*>("print.on"), Qt::LeftButton);
    EXPECT_EQ(picture.page(), 1);
    QTest::keyClick(&picture, Qt::Key_PageDown);
    EXPECT_EQ(picture.page(), 2);
    for (int i = 0; i < picture.count(); ++i)
        QTest::keyClick(&picture, Qt::Key_Right);
    EXPECT_EQ(picture.page(), picture.count() - 1);
    EXPECT_FALSE(print->findChild<QPushButton*>("print.on")->isEnabled());
    choose(*print, "print.what", "Placement sheet");
    await(*print);
    EXPECT_LT(picture.page(), picture.count());
}

TEST_F(Printing, AFolderThatTakesNothingIsSaid) {
    openSample();
    writeAll(m_dir.file("printed"), "a file where the folder should be");
    auto print = dialog();
    choose(*print, "print.printer", "The sample printer");
    await(*print);
    QTest::mouseClick(print->findChild<QPushButton*>("print.go"), Qt::LeftButton);
    await(*print);
    EXPECT_TRUE(says(*print, "cannot be written"));
}

TEST_F(Printing, WithoutALayoutOnlyPlacementSheetsAreOffered) {
    importInto("windlass.svg", 8);
    std::vector<QString> offered;
    m_asker.printAnswer = [&](const app::PrintQuestion& question) {
        for (const auto& kind : question.kinds)
            offered.push_back(kind.name);
    };
    climb(View::trace);
    EXPECT_FALSE(find<QPushButton>("trace.pages").isEnabled());
    key(Qt::Key_P, Qt::ControlModifier);
    EXPECT_EQ(offered,
              (std::vector<QString>{"Placement sheet", "Lines that guide", "Placement sheet, mirrored"}));
}

/// What a printer of the desktop is given, by the toolkit's own way to PDF.
TEST_F(Printing, APrinterOfTheDesktopDrawsAtTrueSize) {
    openSample();
    const auto pages = must(output::tracingPages(session().quilt(), block(), {}));
    const auto pdf = m_dir.file("desktop.pdf");
    QPrinter printer(QPrinter::HighResolution);
    printer.setOutputFormat(QPrinter::PdfFormat);
    printer.setOutputFileName(QString::fromStdString(pdf));
    ASSERT_TRUE(app::printOn(printer, pages, "Narrowboat"));
    EXPECT_EQ(numberAfter(tool("pdfinfo '" + pdf + "'").out, "Pages:"), static_cast<double>(pages.size()));
    const Rendered page(m_dir, pdf);
    EXPECT_NEAR(page.widthMm(), pages.front().width, 0.2);
    EXPECT_NEAR(squareOn(page), 25.4, 0.1);
    const auto words = tool("pdftotext -f 1 -l 1 '" + pdf + "' -");
    EXPECT_NE(words.out.find("Paper side: reversed."), std::string::npos) << words.out;
}

TEST(SystemPrinter, OneThatIsGoneIsSaid) {
    app::SystemPrinter gone("a printer that nobody has");
    const auto done = gone.print({sheet::Page{215.9, 279.4, {}}}, "x");
    ASSERT_FALSE(done);
    EXPECT_EQ(done.error().code, Code::cannotWrite);
}

class LightBoxTest : public Printing {
protected:
    LightBoxTest() { openSample(); }
    std::unique_ptr<app::LightBox> opened() {
        std::unique_ptr<app::LightBox> out;
        m_asker.lightAnswer = [&](const app::LightBoxQuestion& question) {
            out = std::make_unique<app::LightBox>(question);
        };
        climb(View::trace);
        click("light.open");
        EXPECT_SOON(out != nullptr);
        out->show();
        (void)QTest::qWaitForWindowExposed(out.get());
        return out;
    }
};

/// 85.6 mm of card on 428 pixels are 5 pixels to a millimetre. By arithmetic; ISO/IEC 7810, ID-1.
TEST_F(LightBoxTest, IsMeasuredWithACardAndThenTrue) {
    app::setDotsPerMm(window().screen(), 3.5);
    auto box = opened();
    QTest::keyClick(box.get(), Qt::Key_C);
    ASSERT_TRUE(box->isMeasuring());
    const auto card = box->cardOutline();
    EXPECT_NEAR(card.width() / card.height(), 85.60 / 53.98, 1e-6);
    const QPoint from(static_cast<int>(card.right()), static_cast<int>(card.center().y()));
    const QPoint to(static_cast<int>(card.center().x()) + 214, from.y());
    QTest::mousePress(box.get(), Qt::LeftButton, {}, from);
    QTest::mouseMove(box.get(), to);
    QTest::mouseRelease(box.get(), Qt::LeftButton, {}, to);
    EXPECT_NEAR(box->cardOutline().width(), 428, 2);
    const double before = box->cardOutline().width();
    QTest::keyClick(box.get(), Qt::Key_Right);
    EXPECT_NEAR(box->cardOutline().width(), before * 1.001, 1e-6);
    QTest::keyClick(box.get(), Qt::Key_Left);
    QTest::keyClick(box.get(), Qt::Key_Return);
    EXPECT_FALSE(box->isMeasuring());
    const auto inch = box->pixelOf({25.4, 0}) - box->pixelOf({0, 0});
    EXPECT_NEAR(inch.x(), 25.4 * 5, 0.6);
    EXPECT_NEAR(app::dotsPerMm(window().screen()), 5, 0.025);
    // Remembered.
    app::setDotsPerMm(window().screen(), 3.5);
    openWindow();
    EXPECT_NEAR(app::dotsPerMm(window().screen()), 5, 0.025);
}

TEST_F(LightBoxTest, ArrowsMoveAnInchAndPagesTurn) {
    app::setDotsPerMm(window().screen(), 5);
    auto box = opened();
    ASSERT_FALSE(box->isMeasuring());
    const auto before = box->pixelOf({10, 10});
    QTest::keyClick(box.get(), Qt::Key_Right);
    EXPECT_NEAR(box->pixelOf({10, 10}).x(), before.x() - 127, 1e-6);
    QTest::keyClick(box.get(), Qt::Key_Left);
    QTest::keyClick(box.get(), Qt::Key_Down);
    EXPECT_NEAR(box->pixelOf({10, 10}).y(), before.y() - 127, 1e-6);
    EXPECT_TRUE(says(*box, "Paper side"));
    QTest::keyClick(box.get(), Qt::Key_PageDown);
    EXPECT_EQ(box->sheet(), 1U);
    EXPECT_TRUE(says(*box, "Front"));
    QTest::mouseClick(box->findChild<QPushButton*>("light.back"), Qt::LeftButton);
    EXPECT_EQ(box->sheet(), 0U);
    QTest::keyClick(box.get(), Qt::Key_Escape);
    EXPECT_FALSE(box->isVisible());
}

/// A traced outline is dark on the screen where its true size puts it.
TEST_F(LightBoxTest, OutlinesLieWhereTheirMillimetresAre) {
    app::setDotsPerMm(window().screen(), 4);
    auto box = opened();
    const auto sheets = must(output::wholeSheets(session().quilt(), block()));
    const auto& layer = sheets.front().page.layers.front();
    const auto picture = box->grab().toImage();
    int seen = 0, dark = 0;
    for (const auto& item : layer.items) {
        const auto* shape = std::get_if<sheet::Shape>(&item);
        if (!shape || !sheet::isSet(shape->tag)) continue;
        for (const auto p : shape::flattened(shape->contours.front())) {
            const auto at = box->pixelOf(layer.place(p)).toPoint();
            if (!picture.rect().adjusted(2, 2, -2, -120).contains(at)) continue;
            ++seen;
            bool near = false;
            for (int dx = -1; dx <= 1; ++dx)
                for (int dy = -1; dy <= 1; ++dy)
                    near = near || qGray(picture.pixel(at + QPoint(dx, dy))) < 170;
            dark += near ? 1 : 0;
        }
    }
    EXPECT_GT(seen, 20);
    EXPECT_EQ(dark, seen);
}

TEST_F(Printing, PrintersFoundLaterJoinTheListAndTheChoiceStays) {
    openSample();
    std::unique_ptr<app::PrintDialog> print;
    m_asker.printAnswer = [&](app::PrintQuestion question) {
        question.more = [] {
            return std::vector<std::shared_ptr<app::Printer>>{
                std::make_shared<app::SystemPrinter>("the one upstairs")};
        };
        print = std::make_unique<app::PrintDialog>(std::move(question));
    };
    climb(View::trace);
    key(Qt::Key_P, Qt::ControlModifier);
    print->show();
    auto& printers = *print->findChild<QComboBox*>("print.printer");
    EXPECT_SOON(printers.findText("The one upstairs") >= 0);
    EXPECT_EQ(printers.currentText(), "A PDF file");
    await(*print);
    choose(*print, "print.printer", "The one upstairs");
    await(*print);
    EXPECT_FALSE(print->findChild<QDoubleSpinBox*>("print.misprint")->isVisible()) << "only stand-ins";
    QTest::mouseClick(print->findChild<QPushButton*>("print.go"), Qt::LeftButton);
    await(*print);
    EXPECT_TRUE(says(*print, "the one upstairs")) << "it is not there: one sentence";
}

TEST_F(Printing, APdfIsWrittenWhereItIsAskedFor) {
    openSample();
    auto print = dialog();
    const auto file = m_dir.file("pages.pdf");
    m_asker.files = {QString::fromStdString(file)};
    QTest::mouseClick(print->findChild<QPushButton*>("print.go"), Qt::LeftButton);
    EXPECT_FALSE(print->isVisible()) << "done";
    EXPECT_SOON(said().contains("Written"));
    EXPECT_NEAR(squareOn(Rendered(m_dir, file)), 25.4, 0.1);
}

TEST_F(LightBoxTest, WithoutALayoutItShowsTheFrontAndTheMouseMovesIt) {
    app::setDotsPerMm(window().screen(), 9); // larger than any screen here
    m_asker.saves = {app::SaveAnswer::discard};
    importInto("windlass.svg", 8);
    auto box = opened();
    EXPECT_TRUE(says(*box, "Front"));
    EXPECT_FALSE(box->findChild<QPushButton*>("light.on")->isEnabled());
    EXPECT_NEAR(box->pixelOf({0, 0}).x(), 0, 0.01) << "larger than the screen: it begins at its corner";
    EXPECT_NEAR(box->pixelOf({0, 0}).y(), 0, 0.01);
    const auto before = box->pixelOf({50, 50});
    QTest::mousePress(box.get(), Qt::LeftButton, {}, {200, 200});
    QTest::mouseMove(box.get(), {180, 230});
    QTest::mouseRelease(box.get(), Qt::LeftButton, {}, {180, 230});
    const auto after = box->pixelOf({50, 50});
    EXPECT_NEAR(after.x() - before.x(), -20, 0.01);
    EXPECT_NEAR(after.y() - before.y(), 30, 0.01);
}

TEST_F(LightBoxTest, AnEmptyBlockIsOneSentence) {
    m_asker.texts = {"Empty", "9 in"};
    room().commands.newBlock();
    key(Qt::Key_L, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_SOON(said().startsWith("✖"));
}

} // namespace
} // namespace up::test
