// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/gui/bench.hpp"
#include "core/base/place.hpp"

#include "app/window/stair.hpp"
#include "output/pdf/pdf.hpp"

#include <QLabel>
#include <QPushButton>

namespace up::test {

namespace {
template<class T> std::optional<T> next(std::deque<T>& answers) {
    if (answers.empty()) return std::nullopt;
    T answer = answers.front();
    answers.pop_front();
    return answer;
}
} // namespace

QString FakeAsker::file(const QString& title) {
    asked << title;
    return next(files).value_or(QString());
}

app::SaveAnswer FakeAsker::saveChanges(const QString& quilt) {
    asked << "save " + quilt;
    return next(saves).value_or(app::SaveAnswer::cancel);
}

std::optional<QString> FakeAsker::text(const QString& title, const QString& question, const QString&) {
    asked << title + ": " + question;
    return next(texts);
}

std::optional<QString> FakeAsker::choice(const QString& title, const QString& question, const QStringList&) {
    asked << title + ": " + question;
    return next(choices);
}

std::optional<std::size_t> FakeAsker::placeOf(const QString& title, const QString& question,
                                              const QStringList& from) {
    asked << title + ": " + question;
    const auto wanted = next(choices);
    const auto row = wanted ? from.indexOf(*wanted) : -1;
    EXPECT_EQ(row >= 0, wanted.has_value()) << "that is not to be chosen";
    return row >= 0 ? std::optional(static_cast<std::size_t>(row)) : std::nullopt;
}

std::optional<app::BlockAnswer> FakeAsker::block(const app::BlockQuestion& question) {
    if (blockAnswer) return blockAnswer(question);
    const auto name = text("New block", "name", "");
    const auto size = text("New block", "size", "");
    if (!name || !size) return std::nullopt;
    const auto sides = measure::readSize(size->toStdString(), question.quilt.units);
    if (!sides) return std::nullopt;
    const auto web = question.quilt.webs.empty() ? WebId{} : question.quilt.webs.front().id;
    return app::BlockAnswer{name->toStdString(), sides->width, sides->height, {}, {}, web};
}

std::optional<quilt::Web> FakeAsker::web(const quilt::Web& web, measure::System) {
    asked << "web " + QString::fromStdString(web.name);
    if (!webAnswer) return std::nullopt;
    auto answer = web;
    webAnswer(answer);
    return answer;
}

std::optional<app::SizeAnswer> FakeAsker::size(const app::SizeQuestion& question) {
    asked << "Sizes of " + QString::fromStdString(question.block.name);
    return sizeAnswer;
}

std::optional<app::ImportAnswer> FakeAsker::import(app::ImportQuestion question) {
    if (importAnswer) return importAnswer(question);
    if (!question.drawing) return std::nullopt;
    return app::ImportAnswer{
        *question.drawing,
        {question.reversed, edit::usualFit(*question.drawing, question.width, question.height)}};
}

std::optional<app::ShapeAnswer> FakeAsker::shape(const app::ShapeQuestion& question) {
    return shapeAnswer ? shapeAnswer(question) : std::nullopt;
}
std::optional<edit::Arrangement> FakeAsker::arrange(const app::ArrangeQuestion& question) {
    return arrangeAnswer ? arrangeAnswer(question) : std::nullopt;
}
std::optional<std::vector<shape::Contour>> FakeAsker::edges(const app::EdgeQuestion& question) {
    return edgesAnswer ? edgesAnswer(question) : std::nullopt;
}

void FakeAsker::print(const app::PrintQuestion& question) {
    if (printAnswer) return printAnswer(question);
    const auto& kind = question.kinds.at(question.first);
    const auto pages = kind.make({app::PrintMemory(question.settings).paper(), output::testSquare});
    if (pages) question.write(kind, *pages);
}

bool FakeAsker::yes(const QString& title, const QString& question, const QString&) {
    asked << title + ": " + question;
    return next(yeses).value_or(false);
}

std::optional<std::size_t> FakeAsker::decide(const QString& title, const QString& question,
                                             const QStringList&) {
    asked << title + ": " + question;
    return next(decisions);
}

WindowTest::WindowTest() {
    openWindow();
}
WindowTest::~WindowTest() = default;

void WindowTest::openWindow() {
    m_window.reset();
    m_room.reset();
    app::Surroundings around;
    around.folder = QString::fromStdString(m_dir.path());
    around.scannedPage = QString::fromStdString(dataFolder() + "/demo/scanned-page.jpg");
    around.sample = QString::fromStdString(dataFolder() + "/demo/towpath.upstairs");
    around.otherSample = QString::fromStdString(dataFolder() + "/demo/other-ways.upstairs");
    around.standIns = m_standIns;
    around.clock = [this] { return m_time += 60; };
    around.autosaveDelay = 20;
    m_room = std::make_unique<app::Workroom>(std::move(around), m_asker);
    m_window = std::make_unique<app::Window>(*m_room);
    m_window->show();
    m_window->activateWindow();
    (void)QTest::qWaitForWindowActive(m_window.get());
}

void WindowTest::openSample() {
    room().openSample();
}

void WindowTest::choose(const char* name, std::optional<app::View> view) {
    for (const auto& candidate : session().quilt().blocks)
        if (candidate.name == name) session().chooseBlock(candidate.id);
    if (view) session().goTo(*view);
    QTest::qWait(1);
}

PieceId WindowTest::named(const std::string& name) {
    for (const auto& piece : block().pieces)
        if (piece.name == name) return piece.id;
    return {};
}

void WindowTest::click(const char* button) {
    QTest::mouseClick(&find<QWidget>(button), Qt::LeftButton);
}

void WindowTest::climb(app::View view) {
    auto& stair = find<app::Stair>("stair");
    QTest::mouseClick(&stair, Qt::LeftButton, {}, stair.placeOf(view).center());
}

void WindowTest::key(Qt::Key code, Qt::KeyboardModifiers modifiers) {
    auto* focus = QApplication::focusWidget();
    QTest::keyClick(focus ? focus : m_window.get(), code, modifiers);
}

QPoint WindowTest::onMat(shape::Point point, std::size_t panel) {
    return window().mat().pixelOf(panel, point).toPoint();
}

QString WindowTest::said() {
    auto& label = find<QLabel>("says");
    return label.isVisible() ? label.text() : QString();
}

void WindowTest::importInto(const char* name, std::size_t pieces) {
    m_asker.texts = {"Canal", "9 in"};
    room().commands.newBlock();
    m_asker.files = {drawing(name)};
    click("draw.import");
    EXPECT_SOON(session().block() && block().pieces.size() == pieces);
}

void WindowTest::awaitLayout() {
    EXPECT_SOON(!room().layout.isRunning());
}

void WindowTest::doTread(app::View view) {
    climb(view);
    for (int i = 0; i < 200; ++i) {
        if (view == app::View::fuse) {
            EXPECT_SOON(session().derived().pressing().isNewest());
        }
        if (view == app::View::stitch) {
            EXPECT_SOON(session().derived().stitching().isNewest());
        }
        const auto what = session().next().what;
        if (what == plan::What::stitch)
            click("stitch.trail"); // there are tests that go leg by leg
        else if (what == plan::What::press)
            click("fuse.stage"); // there are tests that wait for each press
        else if (what == plan::What::step)
            key(Qt::Key_Space);
        else
            return;
    }
    ADD_FAILURE() << "no end to the steps";
}

} // namespace up::test
