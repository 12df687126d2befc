// SPDX-License-Identifier: GPL-3.0-or-later
// The real window on a workbench: own folder, own clock, answers to its questions laid ready.
#pragma once

#include "app/canvas/mat.hpp"
#include "app/window/window.hpp"
#include "tests/gui/patience.hpp"
#include "tests/support/files.hpp"

#include <deque>

namespace up::test {

/// Gives the answers put in; a question without an answer is cancelled and counted.
class FakeAsker : public app::Asker {
public:
    std::deque<QString> files, texts, choices;
    std::deque<app::SaveAnswer> saves;
    std::deque<bool> yeses;
    QColor nextColour{10, 20, 30};
    std::function<void(quilt::Web&)> webAnswer; ///< none: cancelled
    std::optional<app::SizeAnswer> sizeAnswer;  ///< none: cancelled
    QStringList asked;

    QString fileToOpen(const QString& title, const QString&) override { return file(title); }
    QStringList filesToOpen(const QString& title, const QString&) override {
        const auto path = file(title);
        return path.isEmpty() ? QStringList() : path.split(';');
    }
    QString fileToSave(const QString& title, const QString&, const QString& proposed) override {
        const auto path = file(title), ending = proposed.section('.', -1);
        return path.isEmpty() || path.endsWith("." + ending) ? path : path + "." + ending;
    }
    app::SaveAnswer saveChanges(const QString& quilt) override;
    std::optional<QString> text(const QString& title, const QString& question, const QString&) override;
    std::optional<QString> choice(const QString& title, const QString& question, const QStringList&) override;
    std::optional<std::size_t> placeOf(const QString& title, const QString& question,
                                       const QStringList& choices) override;
    std::optional<QColor> colour(const QString&, const QColor&) override { return nextColour; }
    /// Name and size from `texts`, the rest as proposed, unless `blockAnswer` says otherwise.
    std::optional<app::BlockAnswer> block(const app::BlockQuestion& question) override;
    std::function<std::optional<app::BlockAnswer>(const app::BlockQuestion&)> blockAnswer;
    std::optional<quilt::Web> web(const quilt::Web& web, measure::System units) override;
    /// Everything found, as proposed, unless `importAnswer` says otherwise.
    std::optional<app::ImportAnswer> import(app::ImportQuestion question) override;
    std::function<std::optional<app::ImportAnswer>(const app::ImportQuestion&)> importAnswer;
    std::optional<app::SizeAnswer> size(const app::SizeQuestion& question) override;
    std::function<std::optional<app::ShapeAnswer>(const app::ShapeQuestion&)> shapeAnswer;
    std::function<std::optional<edit::Arrangement>(const app::ArrangeQuestion&)> arrangeAnswer;
    std::function<std::optional<std::vector<shape::Contour>>(const app::EdgeQuestion&)> edgesAnswer;
    std::optional<app::StripesAnswer> stripesAnswer; ///< none: cancelled
    std::optional<app::StripesAnswer> stripes(const app::StripesQuestion&) override { return stripesAnswer; }
    std::function<std::optional<app::ClothAnswer>(const app::ClothQuestion&)> clothAnswer;
    std::optional<app::ClothAnswer> cloth(const app::ClothQuestion& question) override {
        return clothAnswer ? clothAnswer(question) : std::nullopt;
    }
    std::function<std::optional<app::IronAnswer>(const app::IronQuestion&)> ironAnswer; ///< none: as proposed
    std::optional<app::IronAnswer> iron(const app::IronQuestion& question) override {
        return ironAnswer ? ironAnswer(question) : app::IronAnswer{question.name, question.outline};
    }
    std::function<std::optional<app::StitchAnswer>(const app::StitchQuestion&)>
        stitchAnswer; ///< none: cancelled
    std::optional<app::StitchAnswer> stitch(const app::StitchQuestion& question) override {
        asked << "stitch";
        return stitchAnswer ? stitchAnswer(question) : std::nullopt;
    }
    std::function<std::optional<app::FittingAnswer>(const app::FittingQuestion&)>
        fittingAnswer; ///< none: cancelled
    std::optional<app::FittingAnswer> fitting(const app::FittingQuestion& question) override {
        asked << "fitting";
        return fittingAnswer ? fittingAnswer(question) : std::nullopt;
    }
    std::function<std::optional<quilt::Line>(const app::LineQuestion&)> lineAnswer; ///< none: cancelled
    std::optional<quilt::Line> line(const app::LineQuestion& question) override {
        asked << "line";
        return lineAnswer ? lineAnswer(question) : std::nullopt;
    }
    std::function<std::optional<app::SettingAnswer>(const app::SettingQuestion&)>
        settingAnswer; ///< none: cancelled
    std::optional<app::SettingAnswer> setting(const app::SettingQuestion& question) override {
        asked << "setting";
        return settingAnswer ? settingAnswer(question) : std::nullopt;
    }
    std::function<std::optional<ThreadId>(const app::ThreadsQuestion&)> threadsAnswer; ///< none: cancelled
    std::optional<ThreadId> threads(const app::ThreadsQuestion& question) override {
        asked << "threads";
        return threadsAnswer ? threadsAnswer(question) : std::nullopt;
    }
    std::function<void(app::ThreadAnswer&)> threadAnswer; ///< none: cancelled
    std::optional<app::ThreadAnswer> thread(const quilt::Thread& thread) override {
        if (!threadAnswer) return std::nullopt;
        app::ThreadAnswer answer{thread};
        threadAnswer(answer);
        return answer;
    }
    std::function<void(app::SupplyAnswer&)> supplyAnswer; ///< none: cancelled
    std::optional<app::SupplyAnswer> supply(const quilt::Supply& supply, measure::System) override {
        if (!supplyAnswer) return std::nullopt;
        app::SupplyAnswer answer{supply};
        supplyAnswer(answer);
        return answer;
    }
    std::optional<plan::Candidate> whichAnswer;
    std::optional<intake::PageGrid> gridAnswer;
    std::optional<intake::PageGrid> pageGrid(const std::vector<quilt::Drawing>&, measure::System) override {
        return gridAnswer;
    }
    std::optional<app::ShapeAnswer> shape(const app::ShapeQuestion& question) override;
    std::optional<edit::Arrangement> arrange(const app::ArrangeQuestion& question) override;
    std::optional<std::vector<shape::Contour>> edges(const app::EdgeQuestion& question) override;
    std::optional<plan::Candidate> which(const quilt::Quilt&, BlockId) override { return whichAnswer; }
    void showTurning(const quilt::Quilt&, BlockId, PieceId) override { asked << "turning"; }
    std::function<void(const app::MachineQuestion&)> machineAnswer; ///< none: closed at once
    void cutByMachine(const app::MachineQuestion& question) override {
        if (machineAnswer) machineAnswer(question);
    }
    /// Writes what is proposed as PDF, unless `printAnswer` says otherwise.
    void print(const app::PrintQuestion& question) override;
    std::function<void(const app::PrintQuestion&)> printAnswer;
    std::function<void(const app::LightBoxQuestion&)> lightAnswer; ///< none: closed at once
    void lightBox(const app::LightBoxQuestion& question) override {
        if (lightAnswer) lightAnswer(question);
    }
    std::function<std::optional<app::GroundAnswer>(const app::GroundQuestion&)> groundAnswer;
    std::optional<app::GroundAnswer> ground(const app::GroundQuestion& question) override {
        return groundAnswer ? groundAnswer(question) : std::nullopt;
    }
    std::function<std::optional<app::FasteningAnswer>(const app::FasteningQuestion&)> fasteningAnswer;
    std::optional<app::FasteningAnswer> fastening(const app::FasteningQuestion& question) override {
        return fasteningAnswer ? fasteningAnswer(question) : std::nullopt;
    }
    std::function<std::optional<app::UnderlapAnswer>(const app::UnderlapQuestion&)> underlapAnswer;
    std::optional<app::UnderlapAnswer> underlap(const app::UnderlapQuestion& question) override {
        return underlapAnswer ? underlapAnswer(question) : std::nullopt;
    }
    std::function<std::optional<app::FabricAnswer>(const app::FabricQuestion&)> fabricAnswer;
    std::optional<app::FabricAnswer> fabrics(const app::FabricQuestion& question) override {
        return fabricAnswer ? fabricAnswer(question) : std::nullopt;
    }
    bool yes(const QString& title, const QString& question, const QString&) override;
    std::deque<std::size_t> decisions;
    std::optional<std::size_t> decide(const QString& title, const QString& question,
                                      const QStringList& answers) override;

private:
    QString file(const QString& title);
};

class WindowTest : public testing::Test {
protected:
    WindowTest();
    ~WindowTest() override;

    /// Closes the present window, if any, and opens another in the same folder.
    void openWindow();
    void openSample();

    [[nodiscard]] app::Window& window() { return *m_window; }
    [[nodiscard]] app::Workroom& room() { return *m_room; }
    [[nodiscard]] app::Session& session() { return m_room->session; }
    [[nodiscard]] const quilt::Block& block() { return *session().block(); }
    [[nodiscard]] QString drawing(const char* name) const {
        return QString::fromStdString(source(std::string("demo/drawings/") + name));
    }

    template<class Widget> Widget& find(const char* name) {
        auto* found = m_window->findChild<Widget*>(name);
        if (!found) throw std::runtime_error(std::string("no such control: ") + name);
        return *found;
    }
    /// The block of that name; then the view, if one is named.
    void choose(const char* block, std::optional<app::View> view = {});
    /// The piece of that name; none when there is no such.
    [[nodiscard]] PieceId named(const std::string& piece);
    void click(const char* button);
    /// On the stair, with the mouse.
    void climb(app::View view);
    void key(Qt::Key key, Qt::KeyboardModifiers modifiers = Qt::NoModifier);
    /// Clicks at a point of the block on the first panel.
    [[nodiscard]] QPoint onMat(shape::Point point, std::size_t panel = 0);
    [[nodiscard]] QString said();
    /// Imports into a fresh block by way of the window.
    void importInto(const char* drawing, std::size_t pieces);
    /// Waits for the layout that was started.
    void awaitLayout();
    /// Presses Space while Now has a step on this tread.
    void doTread(app::View view);

    TempDir m_dir;
    FakeAsker m_asker;
    bool m_standIns = true; ///< for the next window
    std::int64_t m_time = 1'790'000'000;

private:
    std::unique_ptr<app::Workroom> m_room;
    std::unique_ptr<app::Window> m_window;
};

} // namespace up::test
