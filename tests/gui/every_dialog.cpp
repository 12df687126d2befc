// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/gui/every_dialog.hpp"

#include "app/dialogs/arrange_dialog.hpp"
#include "app/dialogs/block_dialog.hpp"
#include "app/dialogs/cloth_dialog.hpp"
#include "app/dialogs/edge_dialog.hpp"
#include "app/dialogs/fabric_dialog.hpp"
#include "app/dialogs/fastening_dialog.hpp"
#include "app/dialogs/fitting_dialog.hpp"
#include "app/dialogs/ground_dialog.hpp"
#include "app/dialogs/import_dialog.hpp"
#include "app/dialogs/iron_dialog.hpp"
#include "app/dialogs/join_dialog.hpp"
#include "app/dialogs/laid_dialog.hpp"
#include "app/dialogs/light_box.hpp"
#include "app/dialogs/line_dialog.hpp"
#include "app/dialogs/machine_dialog.hpp"
#include "app/dialogs/print_dialog.hpp"
#include "app/dialogs/setting_dialog.hpp"
#include "app/dialogs/shape_dialog.hpp"
#include "app/dialogs/size_dialog.hpp"
#include "app/dialogs/stitch_dialog.hpp"
#include "app/dialogs/stripes_dialog.hpp"
#include "app/dialogs/supply_dialog.hpp"
#include "app/dialogs/thread_dialog.hpp"
#include "app/dialogs/threads_dialog.hpp"
#include "app/dialogs/turn_dialog.hpp"
#include "app/dialogs/underlap_dialog.hpp"
#include "app/dialogs/web_dialog.hpp"
#include "app/dialogs/which_dialog.hpp"
#include "app/look/text.hpp"
#include "core/pattern/pattern.hpp"
#include "intake/letters/written.hpp"
#include "tests/gui/questions.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <QDir>

namespace up::test {
namespace {

app::ShapeQuestion shapeQuestion(quilt::RecipeKind kind) {
    app::ShapeQuestion out;
    const auto side = measure::Length::ofInches(9, 1);
    out.units = measure::System::inches, out.width = side, out.height = side;
    out.now = pattern::usualRecipe(kind);
    out.make = [](const quilt::Recipe& recipe, bool) {
        return pattern::outlineOf(recipe).map([&](shape::Outline outline) {
            return std::vector<edit::NewShape>{{"a", std::move(outline), recipe}};
        });
    };
    return out;
}

app::ImportQuestion importQuestion() {
    const auto drawing = drawingOf({{"a", square(10, 10, 30)}, {"b", square(50, 10, 30), {90, 40, 20}}});
    auto pattern = std::make_shared<FakePattern>(drawing);
    pattern->reads = quilt::Reading::mirrored;
    auto out = questionAbout(drawing, 2, pattern);
    out.file = "pattern.svg", out.isScan = out.first = true;
    out.askGrid = [](const auto&) { return std::nullopt; };
    return out;
}

app::PrintQuestion printQuestion(const quilt::Quilt& quilt) {
    app::PrintQuestion out{};
    out.block = QString::fromStdString(quilt.blocks[0].name), out.settings = QDir::tempPath() + "/none.ini";
    out.kinds = {{app::tr("Placement sheet"), "100 %", false, [quilt](const output::PageOptions& options) {
                      return output::placementPages(quilt, quilt.blocks[0], options);
                  }}};
    out.printers = {std::make_shared<app::SamplePrinter>(QDir::tempPath())};
    return out;
}

app::LightBoxQuestion lightQuestion(const quilt::Quilt& quilt) {
    const auto pages = output::placementPages(quilt, quilt.blocks[0], {});
    return {{{quilt.name, false, pages->front()}}, QDir::tempPath() + "/none.ini", quilt.units};
}

} // namespace

Ground smallGround() {
    auto quilt =
        quiltOf({{"dark", square(20, 20, 80)}, {"light", square(100, 20, 80)}, {"top", square(60, 60, 40)}});
    const auto pair = quilt::GroundStrip{measure::Length::ofInches(5, 1),
                                         {{quilt.fabrics[0].id, measure::Length::ofInches(10, 1)}}};
    quilt.blocks[0].ground.strips = {pair, pair};
    return {quilt, quilt.blocks[0].id, quilt.blocks[0].pieces[0].id};
}

quilt::Quilt nameless(quilt::Quilt quilt) {
    int n = 0;
    const auto number = [&](std::string& name) { name = std::to_string(++n); };
    number(quilt.name);
    for (auto& fabric : quilt.fabrics)
        number(fabric.name);
    for (auto& thread : quilt.threads)
        number(thread.name);
    for (auto& web : quilt.webs) {
        number(web.name);
        web.first.heat.clear(), web.final.heat.clear();
    }
    for (auto& cloth : quilt.cloths)
        number(cloth.name);
    for (auto& supply : quilt.supplies)
        number(supply.name);
    for (auto& offCut : quilt.offCuts)
        offCut.from = std::to_string(++n);
    for (auto& block : quilt.blocks) {
        number(block.name);
        for (auto& piece : block.pieces)
            number(piece.name);
    }
    return quilt;
}

std::unique_ptr<app::Form> dialogNamed(const std::string& which, Names names) {
    auto [quilt, block, piece] = smallGround();
    if (names == Names::numbers) quilt = nameless(std::move(quilt));
    const auto& owner = quilt.blocks[0];
    if (which == "arrange")
        return std::make_unique<app::ArrangeDialog>(app::ArrangeQuestion{quilt, block, piece});
    if (which == "block")
        return std::make_unique<app::BlockDialog>(
            app::BlockQuestion{quilt, names == Names::words ? "Lock" : "1"});
    if (which == "cloth") {
        quilt::Cloth cloth{};
        cloth.id = ClothId{90}, cloth.name = names == Names::words ? "oak plank" : "1";
        cloth.fabric = quilt.fabrics[0].id;
        cloth.outline = shape::rectangle({0, 0, 200, 80}).rings;
        return std::make_unique<app::ClothDialog>(app::ClothQuestion{quilt, cloth});
    }
    if (which == "iron")
        return std::make_unique<app::IronDialog>(
            app::IronQuestion{names == Names::words ? "my iron" : "1",
                              {{-30, -60}, {30, -60}, {30, 60}, {-30, 60}},
                              measure::System::inches});
    if (which == "fitting") return std::make_unique<app::FittingDialog>(app::FittingQuestion{quilt, block});
    if (which == "laid")
        return std::make_unique<app::LaidDialog>(
            app::LineQuestion{quilt, block, {}, {}, true, {}, intake::written});
    if (which == "line")
        return std::make_unique<app::LineDialog>(
            app::LineQuestion{quilt, block, {}, {}, false, {}, intake::written});
    if (which == "setting") return std::make_unique<app::SettingDialog>(app::SettingQuestion{quilt});
    if (which == "stitch") {
        app::StitchQuestion question;
        question.of = names == Names::words ? "3 bank" : "3";
        question.jump = quilt::Length::ofInches(1, 2);
        return std::make_unique<app::StitchDialog>(std::move(question));
    }
    if (which == "threads") {
        app::ThreadsQuestion question;
        question.of = names == Names::words ? "3 bank" : "3";
        question.cloth = {20, 20, 30}, question.ground = {220, 210, 190};
        question.piece = {test::circle({50, 50}, 30)};
        question.stitches = {{{20, 50}, {22, 50}, {21, 53}, {24, 55}}};
        question.twice = true;
        for (std::uint32_t i = 1; i < 9; ++i)
            question.threads.push_back(
                {ThreadId{i},
                 names == Names::words ? "thread " + std::to_string(i) : std::to_string(i),
                 {static_cast<std::uint8_t>(20 * i), 20, 30},
                 4.0 * i});
        question.chosen = ThreadId{2};
        return std::make_unique<app::ThreadsDialog>(std::move(question));
    }
    if (which == "stretch") {
        app::StitchQuestion question;
        question.of = names == Names::words ? "along 3 bank, 2 1/4 in" : "3";
        question.isBlock = false, question.isStretch = true;
        question.asBlock = question.edge;
        return std::make_unique<app::StitchDialog>(std::move(question));
    }
    if (which == "thread") {
        quilt::Thread thread{ThreadId{91}, names == Names::words ? "gold" : "1", {200, 160, 40}, ""};
        thread.spool = measure::Length::ofMm(120'000), thread.tex = 30;
        return std::make_unique<app::ThreadDialog>(thread);
    }
    if (which == "supply")
        return std::make_unique<app::SupplyDialog>(
            quilt::Supply{SupplyId{92}, names == Names::words ? "tear-away" : "1", quilt::Purpose::stabiliser,
                          measure::Length::ofInches(20, 1), measure::Length::ofInches(36, 1), "", ""},
            measure::System::inches);
    if (which == "edges")
        return std::make_unique<app::EdgeDialog>(app::EdgeQuestion{quilt, block, piece, {}});
    if (which == "fabrics")
        return std::make_unique<app::FabricDialog>(app::FabricQuestion{quilt, block, quilt.fabrics[0].id});
    if (which == "ground") return std::make_unique<app::GroundDialog>(app::GroundQuestion{quilt, block});
    if (which == "pages")
        return std::make_unique<app::JoinDialog>(std::vector(2, drawingOf({{"a", square(10, 10, 30)}})),
                                                 measure::System::inches);
    if (which == "shape") return std::make_unique<app::ShapeDialog>(shapeQuestion(quilt::RecipeKind::star));
    if (which == "size")
        return std::make_unique<app::SizeDialog>(
            app::SizeQuestion{measure::System::inches, owner, piece,
                              std::make_shared<plan::Judgement>(plan::judge(owner, plan::planBlock(owner)))});
    if (which == "stripes")
        return std::make_unique<app::StripesDialog>(app::StripesQuestion{quilt, block, piece});
    if (which == "fastening")
        return std::make_unique<app::FasteningDialog>(app::FasteningQuestion{quilt, block, {piece}, "3"});
    if (which == "underlap")
        return std::make_unique<app::UnderlapDialog>(app::UnderlapQuestion{quilt, block});
    if (which == "web") return std::make_unique<app::WebDialog>(quilt.webs[0], measure::System::inches);
    if (which == "import") return std::make_unique<app::ImportDialog>(importQuestion());
    const auto smallPieces = nameless(quiltOf({{"1", square(20, 20, 30)}, {"2", square(100, 20, 30)}}));
    if (which == "machine")
        return std::make_unique<app::MachineDialog>(
            app::MachineQuestion{smallPieces, smallPieces.blocks[0].id, std::make_shared<app::SampleCutter>(),
                                 [](auto, const auto&) {}, [](const auto&) { return QString(); }});
    if (which == "print") return std::make_unique<app::PrintDialog>(printQuestion(quilt));
    if (which == "light") return std::make_unique<app::LightBox>(lightQuestion(quilt));
    if (which == "turn") return std::make_unique<app::TurnDialog>(quilt, block, piece);
    return std::make_unique<app::WhichDialog>(quilt, block);
}

} // namespace up::test
