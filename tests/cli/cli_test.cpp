// SPDX-License-Identifier: GPL-3.0-or-later
// The command line, run in this process with captured streams.
#include "tests/cli/saying.hpp"
#include "tests/support/files.hpp"
#include "tests/support/tool.hpp"

#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>
#include <sstream>

namespace up::cli {
namespace {

using test::TempDir;

std::string drawing(const std::string& name) {
    return test::source("demo/drawings/" + name);
}

/// One line that begins with the program's name, and nothing written.
void expectComplaint(const Said& said, int code, const std::string& part) {
    EXPECT_EQ(said.code, code) << said.err;
    EXPECT_TRUE(said.out.empty());
    EXPECT_TRUE(said.err.starts_with("upstairs-cli: ")) << said.err;
    EXPECT_EQ(std::count(said.err.begin(), said.err.end(), '\n'), 1) << said.err;
    EXPECT_NE(said.err.find(part), std::string::npos) << said.err;
}

TEST(Import, WritesPiecesBottomFirst) {
    const auto said = say({"import", drawing("windlass.svg")});
    ASSERT_EQ(said.code, 0) << said.err;
    const auto pieces = said.json();
    EXPECT_EQ(pieces["format"], "upstairs-pieces");
    EXPECT_EQ(pieces["unit"], "mm");
    ASSERT_EQ(pieces["pieces"].size(), 8U);
    EXPECT_EQ(pieces["pieces"][0]["name"], "roundel");
    EXPECT_EQ(pieces["pieces"][3]["name"], "head");
    EXPECT_EQ(pieces["pieces"][3]["holes"].size(), 1U);
}

TEST(New, MakesAQuiltFromPiecesOrDrawings) {
    const TempDir dir;
    ASSERT_EQ(say({"import", drawing("windlass.svg"), "-o", dir.file("w.json")}).code, 0);
    ASSERT_EQ(
        say({"new", dir.file("w.json"), "--name", "Key", "--finished", "6in", "-o", dir.file("q.upstairs")})
            .code,
        0);
    const auto order = say({"order", dir.file("q.upstairs"), "--block", "key"});
    ASSERT_EQ(order.code, 0) << order.err;
    EXPECT_EQ(order.json()["pieces"].size(), 8U);
    EXPECT_EQ(say({"new", drawing("lamp.svg"), "--name", "Lamp", "--finished", "9x12in", "-o",
                   dir.file("l.upstairs")})
                  .code,
              0);
}

TEST(New, RefusesZeroAndAbsurdSizes) {
    for (const char* size : {"0in", "-3in", "999in"})
        expectComplaint(say({"new", drawing("lamp.svg"), "--name", "L", "--finished", size}), 1,
                        "must be between");
    expectComplaint(say({"new", drawing("lamp.svg"), "--name", "L", "--finished", "big"}), 1,
                    "is not a length");
}

TEST(Order, NumbersBottomFirstWithSteps) {
    const auto order = say({"order", sample(), "--block", "Windlass"}).json();
    EXPECT_EQ(order["pieces"][0]["number"], 1);
    EXPECT_EQ(order["pieces"][0]["step"], 0);
    EXPECT_EQ(order["pieces"][1]["step"], 1) << "the inner disc lies on the roundel";
    for (const auto& overlap : order["overlaps"])
        EXPECT_LT(overlap["lower"], overlap["upper"]);
}

TEST(Nest, LaysOutAJob) {
    const TempDir dir;
    test::writeAll(
        dir.file("job.json"),
        R"({"format":"upstairs-nest-job","version":1,"unit":"mm","sheets":[{"id":"roll","width":100,"height":500}],
        "spacing":5,"pieces":[{"id":"a","copies":3,"outline":[[0,0],[40,0],[40,40],[0,40]]},{"id":"huge","outline":[[0,0],[900,0],[900,900]]}]})");
    const auto said = say({"nest", dir.file("job.json"), "--rounds", "3"});
    ASSERT_EQ(said.code, 0) << said.err;
    const auto layout = said.json();
    EXPECT_EQ(layout["placed"].size(), 3U);
    ASSERT_EQ(layout["unplaced"].size(), 1U);
    EXPECT_EQ(layout["unplaced"][0]["reason"], "larger than every sheet");
}

TEST(Nest, RefusesDamagedJobs) {
    const TempDir dir;
    test::writeAll(
        dir.file("flat.json"),
        R"({"format":"upstairs-nest-job","version":1,"sheets":[{"id":"r","width":9,"height":9}],"pieces":[{"id":"a","outline":[[0,0],[1,1],[2,2]]}]})");
    expectComplaint(say({"nest", dir.file("flat.json")}), 1, "pieces[0]");
    test::writeAll(dir.file("none.json"),
                   R"({"format":"upstairs-nest-job","version":1,"sheets":[],"pieces":[]})");
    expectComplaint(say({"nest", dir.file("none.json")}), 1, "sheet");
}

TEST(Layout, GivesTheSameAnswerForTheSameSeed) {
    const std::vector<std::string> words{"layout",   sample(), "--block", "Bulrushes",
                                         "--rounds", "2",      "--seed",  "5"};
    const auto first = say(words), second = say(words);
    ASSERT_EQ(first.code, 0) << first.err;
    EXPECT_EQ(first.out, second.out);
    EXPECT_EQ(first.json()["traced"].size(), 16U);
    EXPECT_GT(first.json()["used"].get<double>(), 0);
}

TEST(Order, SaysWhatHidesWhatAndWhatIsAUnit) {
    const auto order = say({"order", sample(), "--block", "Hurricane lamp"}).json();
    EXPECT_EQ(order["pieces"][6]["label"], "7a");
    EXPECT_EQ(order["pieces"][7]["label"], "7b");
    ASSERT_FALSE(order["units"].empty());
    EXPECT_EQ(order["units"][0], (Json{{"made", true}, {"pieces", {7, 8}}}));
    EXPECT_TRUE(order["interwoven"].empty());
    double shown = 0;
    for (const auto& piece : order["pieces"]) {
        for (const auto& hidden : piece["hiddenEdge"])
            EXPECT_GT(hidden["by"].get<int>(), piece["number"].get<int>());
        shown += piece["visibleArea"].get<double>();
    }
    EXPECT_NEAR(shown, order["layers"][0].get<double>(), 0.001 * shown) << "what shows is the lowest layer";
    for (const auto& border : order["borders"])
        EXPECT_LT(border["lower"].get<int>(), border["upper"].get<int>()) << "as drawn";
}

TEST(Order, NamesTheLiningBeneathItsPiece) {
    const auto order = say({"order", sample(), "--block", "Kingfisher"}).json();
    int linings = 0;
    for (const auto& piece : order["pieces"]) {
        if (!piece.contains("liningOf")) continue;
        ++linings;
        EXPECT_EQ(piece["liningOf"].get<int>(), piece["number"].get<int>() + 1) << "one number before";
    }
    EXPECT_EQ(linings, 1);
}

TEST(Check, SaysWhatPutsItRight) {
    bool tuck = false;
    const auto checks = say({"check", sample()}).json();
    for (const auto& finding : checks["findings"])
        for (const auto& fix : finding.value("fixes", Json::array()))
            tuck = tuck || fix == "Tuck it under";
    EXPECT_TRUE(tuck) << "the narrowboat's cabin beneath its roof";
}

TEST(Stitch, TellsTheWayOfTheNeedle) {
    const auto plan = say({"stitch", sample(), "--block", "Hurricane lamp"}).json();
    EXPECT_EQ(plan["version"], 2);
    std::map<int, std::string> threads;
    std::map<int, int> times;
    for (const auto& run : plan["runs"]) {
        EXPECT_FALSE(run["thread"].get<std::string>().empty());
        EXPECT_GE(run["points"].size(), 2U);
        threads[run["run"]] = run["thread"];
        times[run["run"]] = 0;
    }
    EXPECT_EQ(plan["ties"], plan["trails"].size());
    for (const auto& trail : plan["trails"])
        for (const auto& step : trail["steps"])
            if (step.contains("run")) {
                EXPECT_EQ(threads[step["run"]], trail["thread"]);
                EXPECT_GT(std::abs(step["from"].get<double>() - step["to"].get<double>()), 0);
                ++times[step["run"]];
            }
    for (const auto& [run, stitched] : times)
        EXPECT_EQ(stitched, 1) << run;
    EXPECT_TRUE(plan["proved"]["threadChanges"]);
    for (const auto& use : plan["use"])
        EXPECT_GT(use["needle"].get<double>(), 0);
    EXPECT_EQ(say({"stitch", sample(), "--block", "Lock gate"}).json()["ties"], 0) << "it is stitched";
}

/// The sum of what is cut from a cloth and of what is left is the cloth. Source: arithmetic.
TEST(Bond, OneBlockJustFitsOnWhatIsThereAndOneDoesNot) {
    const auto area = [](const Json& json) {
        const auto ring = [](const Json& points) {
            shape::Ring out;
            for (const auto& p : points)
                out.push_back({p[0], p[1]});
            return std::abs(shape::signedArea(out));
        };
        double sum = ring(json["outline"]);
        for (const auto& hole : json.value("holes", Json::array()))
            sum -= ring(hole);
        return sum;
    };
    const auto fits = say({"bond", sample(), "--block", "Windlass"}).json();
    EXPECT_EQ(fits["format"], "upstairs-bonding");
    EXPECT_TRUE(fits["short"].empty()) << fits["short"];
    EXPECT_EQ(fits["cloths"].size(), 7U);
    for (const auto& cloth : fits["cloths"]) {
        double sum = 0;
        for (const auto& chunk : cloth["chunks"]) {
            EXPECT_FALSE(chunk.contains("trouble")) << chunk;
            sum += area(chunk);
        }
        for (const auto& left : cloth["left"])
            sum += area(left);
        EXPECT_NEAR(sum, area(cloth), 0.1) << cloth["cloth"];
    }
    const auto shorter = say({"bond", sample(), "--block", "Bulrushes"}).json();
    ASSERT_EQ(shorter["short"].size(), 1U);
    EXPECT_EQ(shorter["short"][0]["fabric"], "moss");
    EXPECT_EQ(shorter["short"][0]["why"], "7 × 3 in of moss; the largest is 6 1/2 × 3 7/8 in");
}

TEST(Bond, ChunksAreThoseOfTheLayoutTurnedAndMoved) {
    const auto layout = say({"layout", sample(), "--block", "Windlass"}).json();
    const auto plan = say({"bond", sample(), "--block", "Windlass"}).json();
    const auto sides = [](const Json& outline) {
        std::vector<double> out;
        for (std::size_t i = 0; i < outline.size(); ++i) {
            const auto &a = outline[i], &b = outline[(i + 1) % outline.size()];
            out.push_back(
                std::hypot(a[0].get<double>() - b[0].get<double>(), a[1].get<double>() - b[1].get<double>()));
        }
        return out;
    };
    for (const auto& cloth : plan["cloths"])
        for (const auto& chunk : cloth["chunks"])
            for (const auto& made : layout["chunks"]) {
                if (made["chunk"] != chunk["chunk"]) continue;
                EXPECT_EQ(made["pieces"], chunk["pieces"]);
                const auto there = sides(made["outline"]), here = sides(chunk["outline"]);
                ASSERT_EQ(there.size(), here.size());
                for (std::size_t i = 0; i < here.size(); ++i)
                    EXPECT_NEAR(there[i], here[i], 1e-3) << "in the same order: not mirrored";
            }
}

TEST(Bond, TakesTheClothOfAStashFile) {
    const TempDir dir;
    test::writeAll(dir.file("stash.json"),
                   R"({"format":"upstairs-stash","version":1,"cloths":[{"cloth":"moss length","fabric":"moss",
                       "outline":[[0,0],[300,0],[300,200],[0,200]],"holes":[],"stripes":null}]})");
    const auto plan =
        say({"bond", sample(), "--block", "Bulrushes", "--stash", dir.file("stash.json")}).json();
    ASSERT_EQ(plan["cloths"].size(), 1U);
    EXPECT_EQ(plan["cloths"][0]["cloth"], "moss length");
    EXPECT_EQ(plan["short"].size(), 6U);
    test::writeAll(dir.file("bad.json"), R"({"format":"upstairs-stash","version":1,"cloths":[{"cloth":"bow",
        "fabric":"moss","outline":[[0,0],[9,9],[9,0],[0,9]]}]})");
    expectComplaint(say({"bond", sample(), "--block", "Bulrushes", "--stash", dir.file("bad.json")}), 1,
                    "bow");
    expectComplaint(say({"bond", sample(), "--block", "Bulrushes", "--stash", dir.file("none.json")}), 1,
                    "none.json");
    expectComplaint(say({"bond", sample(), "--block", "Bulrushes", "--stash", dir.file("bad.json"), "-o",
                         dir.file("bad.json")}),
                    2, "written over");
}

TEST(Bond, WhatIsBondedNeedsNoClothAnyMore) {
    const auto plan = say({"bond", sample(), "--block", "Kingfisher"}).json();
    EXPECT_TRUE(plan["cloths"].empty());
    EXPECT_TRUE(plan["short"].empty());
}

TEST(Press, SaysWhereTheIronGoesAndWhatHeatThatGives) {
    const auto plan = say({"press", sample(), "--block", "Bulrushes"}).json();
    EXPECT_EQ(plan["format"], "upstairs-pressing");
    ASSERT_EQ(plan["stages"].size(), 2U) << "from the front, then from the back";
    EXPECT_EQ(plan["stages"][0]["side"], "front");
    EXPECT_EQ(plan["stages"][1]["side"], "back");
    EXPECT_FALSE(plan["stages"][0]["presses"].empty());
    const double seconds = plan["stages"][0]["seconds"];
    for (const auto& heat : plan["heat"]) { // each place once from each side at least
        EXPECT_GE(heat["least"].get<double>(), heat["before"].get<double>() + 2 * seconds) << heat;
        EXPECT_GE(heat["most"], heat["least"]);
    }
    const auto small = say({"press", sample(), "--block", "Bulrushes", "--iron", "small"}).json();
    EXPECT_GT(small["stages"][0]["presses"].size(), plan["stages"][0]["presses"].size());
    const auto wrong = say({"press", sample(), "--block", "Bulrushes", "--iron", "toaster"});
    EXPECT_EQ(wrong.code, 2);
    EXPECT_NE(wrong.err.find("toaster"), std::string::npos) << wrong.err;
}

TEST(Press, TheIronKeepsAwayFromWhatMelts) {
    const TempDir dir;
    auto quilt = Json::parse(test::readAll(sample()));
    for (auto& block : quilt["blocks"])
        if (block["name"] == "Bulrushes") {
            block["pieces"][9]["melts"] = true; // the middle tip
            for (auto& web : quilt["webs"])
                if (web["id"] == block["web"]) web["longest"] = 30;
        }
    test::writeAll(dir.file("q.upstairs"), quilt.dump());
    const auto plan =
        say({"press", dir.file("q.upstairs"), "--block", "Bulrushes", "--iron", "small"}).json();
    EXPECT_EQ(plan["noIron"], Json({10}));
    ASSERT_FALSE(plan["stages"][0]["presses"].empty());
    for (const auto& stage : plan["stages"])
        for (const auto& press : stage["presses"])
            for (const auto& piece : press["pieces"])
                EXPECT_NE(piece, 10);
    for (const auto& heat : plan["heat"]) {
        EXPECT_NE(heat["piece"], 10) << "it gets none";
        EXPECT_EQ(heat["limit"], 30);
    }
}

TEST(Press, WhatIsFusedNeedsNoneAnyMore) {
    EXPECT_TRUE(say({"press", sample(), "--block", "Lock gate"}).json()["stages"].empty());
}

/// Everything that Lay shows is there to be read too.
TEST(Order, TellsHowTheBlockIsLaidAndCounted) {
    const auto order = say({"order", sample(), "--block", "Heron"}).json();
    EXPECT_NEAR(order["background"]["width"].get<double>(), 254, 1e-6) << "10 in for a block of 9";
    EXPECT_GE(order["laying"].size(), order["pieces"].size());
    bool guided = false;
    for (const auto& step : order["laying"]) {
        EXPECT_LE(step["measures"].size(), 3U);
        for (const auto& measure : step["measures"]) {
            EXPECT_GE(measure["away"].get<double>(), 0);
            EXPECT_LE(measure["away"].get<double>(), 127) << "from the nearer edge";
        }
        guided |= step["forAMoment"].get<bool>();
        EXPECT_TRUE(step["words"].get<std::string>().starts_with("Lay "));
    }
    EXPECT_TRUE(guided);
    std::size_t counted = 0;
    for (const auto& heap : order["count"])
        counted += heap["pieces"].size();
    EXPECT_EQ(counted, order["pieces"].size()) << "each in one heap";
}

TEST(Export, WritesEverySheet) {
    const TempDir dir;
    const auto out = [&](const char* what, const char* as, const std::string& file) {
        return say({"export", sample(), "--block", "Duck family", "--what", what, "--as", as, "-o", file});
    };
    EXPECT_EQ(out("tracing", "pdf", dir.file("t.pdf")).code, 0);
    EXPECT_EQ(out("placement", "pdf", dir.file("p.pdf")).code, 0);
    EXPECT_EQ(out("cut", "svg", dir.file("c.svg")).code, 0);
    EXPECT_EQ(out("cut", "dxf", dir.file("c.dxf")).code, 0);
    EXPECT_NE(test::readAll(dir.file("c.dxf")).find("AC1009"), std::string::npos)
        << "R12, which every reader knows";
    EXPECT_EQ(out("cut", "dxf2000", dir.file("c2.dxf")).code, 0);
    EXPECT_NE(test::readAll(dir.file("c2.dxf")).find("AC1015"), std::string::npos);
    EXPECT_TRUE(test::readAll(dir.file("t.pdf")).starts_with("%PDF"));
    EXPECT_EQ(test::tool("rsvg-convert '" + dir.file("c.svg") + "' -o '" + dir.file("c.png") + "'").code, 0);
}

TEST(Export, RefusesWhatItCannotWriteAsBadUsage) {
    expectComplaint(say({"export", sample(), "--block", "Heron", "--what", "dance", "--as", "pdf"}), 2,
                    "dance");
    expectComplaint(say({"export", sample(), "--block", "Heron", "--what", "cut", "--as", "pdf"}), 2,
                    "--as svg");
}

TEST(Check, SaysTheFindingsAsSentences) {
    const auto checks = say({"check", sample()});
    ASSERT_EQ(checks.code, 0) << checks.err;
    const auto json = checks.json();
    for (const auto& finding : json["findings"])
        EXPECT_FALSE(finding["says"].get<std::string>().empty());
}

TEST(Demo, WritesTheSampleAndItsDrawings) {
    const TempDir dir;
    ASSERT_EQ(say({"demo", "-o", dir.file("sample")}).code, 0);
    std::size_t drawings = 0;
    for (const auto& entry : std::filesystem::directory_iterator(dir.file("sample")))
        drawings += entry.path().extension() == ".svg";
    EXPECT_EQ(drawings, 9U);
    EXPECT_EQ(test::readAll(dir.file("sample/towpath.upstairs")), test::readAll(sample()))
        << "the same bytes every time";
    expectComplaint(say({"demo"}), 2, "-o");
}

TEST(BadInput, NamesTheFileOrTheBlock) {
    expectComplaint(say({"order", "/no/such.upstairs", "--block", "x"}), 1, "/no/such.upstairs");
    expectComplaint(say({"order", sample(), "--block", "Steamer"}), 1, "Narrowboat");
    expectComplaint(say({"import", test::source("tests/broken/refused-empty.svg")}), 1, "refused-empty.svg");
    expectComplaint(say({"check", drawing("lamp.svg")}), 1, "lamp.svg");
}

TEST(BadInput, LeavesNoPartialFile) {
    const TempDir dir;
    expectComplaint(
        say({"import", test::source("tests/broken/refused-empty.svg"), "-o", dir.file("out.json")}), 1,
        "refused-empty.svg");
    expectComplaint(say({"import", drawing("lamp.svg"), "-o", dir.file("no folder/out.json")}), 1,
                    "no folder");
    EXPECT_TRUE(std::filesystem::is_empty(dir.path()));
}

TEST(BadUsage, AnswersTwo) {
    expectComplaint(say({}), 2, "--help");
    expectComplaint(say({"fly"}), 2, "--help");
    expectComplaint(say({"order"}), 2, "--help");
    expectComplaint(say({"nest", "x", "--seconds", "-1"}), 2, "--help");
}

TEST(Help, IsThereForEveryVerb) {
    for (const char* verb :
         {"import", "new", "nest", "order", "layout", "stitch", "which", "export", "check", "demo"}) {
        const auto said = say({verb, "--help"});
        EXPECT_EQ(said.code, 0) << verb;
        EXPECT_NE(said.out.find("-o"), std::string::npos) << verb;
    }
}

TEST(CliWhich, RanksPiecesByWhatTheyMeasure) {
    const auto done = say({"which", sample(), "--block", "Heron", "--size", "15/16 x 4 1/16in"});
    ASSERT_EQ(done.code, 0) << done.err;
    const auto answer = nlohmann::json::parse(done.out);
    ASSERT_GE(answer["candidates"].size(), 5U);
    EXPECT_EQ(answer["candidates"][0]["name"], "reed 2");
    EXPECT_TRUE(answer["candidates"][0]["fits"].get<bool>());
    const auto refused = say({"which", sample(), "--block", "Heron", "--size", "big"});
    expectComplaint(refused, 1, "big");
}

TEST(CliNew, AMarginThatIsNoneIsRefused) {
    const TempDir dir;
    const auto file = dir.file("pond.svg");
    test::writeAll(file,
                   "<svg xmlns='http://www.w3.org/2000/svg' width='20in' height='20in' viewBox='0 0 20 20'>"
                   "<rect width='20' height='20'/></svg>");
    expectComplaint(say({"new", file, "--name", "Pond", "--finished", "9in", "--margin=-1"}), 1, "-1");
    expectComplaint(say({"new", file, "--name", "Pond", "--finished", "9in", "--margin", "wide"}), 1, "wide");
}

TEST(CliImport, SeveralFilesAreOnePattern) {
    const TempDir dir;
    std::vector<std::string> words{"import"};
    for (const int left : {0, 3}) {
        words.push_back(dir.file("page" + std::to_string(left) + ".svg"));
        test::writeAll(words.back(),
                       "<svg xmlns='http://www.w3.org/2000/svg' width='4in' height='4in' viewBox='" +
                           std::to_string(left) +
                           " 0 4 4'><path fill='none' stroke='#000' stroke-width='.02' "
                           "d='M1 1H6V3H1Z' clip-path='none'/></svg>");
    }
    words.insert(words.end(), {"--columns", "2", "--overlap", "1in"});
    const auto done = say(words);
    ASSERT_EQ(done.code, 0) << done.err;
    const auto answer = nlohmann::json::parse(done.out);
    ASSERT_EQ(answer["pieces"].size(), 1U);
    EXPECT_NEAR(answer["page"][0].get<double>(), 7 * 25.4, 0.01);
}

// --- what is refused, with one line and nothing lost

TEST(Refused, AResultIsNotWrittenOverWhatItIsMadeFrom) {
    const TempDir dir;
    const auto quilt = dir.file("q.upstairs");
    test::writeAll(quilt, test::readAll(sample()));
    std::filesystem::create_symlink(quilt, dir.file("link"));
    for (const auto& out : {quilt, dir.file("link")}) {
        expectComplaint(say({"check", quilt, "-o", out}), 2, "written over");
        expectComplaint(say({"order", quilt, "--block", "Heron", "-o", out}), 2, "written over");
        EXPECT_EQ(test::readAll(quilt), test::readAll(sample()));
    }
}

TEST(Refused, NumbersThatAreNone) {
    expectComplaint(say({"import", drawing("windlass.svg"), "--dpi", "nan"}), 2, "dpi");
    expectComplaint(say({"layout", sample(), "--block", "Heron", "--seconds", "nan"}), 2, "seconds");
    expectComplaint(say({"layout", sample(), "--block", "Heron", "--seconds", "inf"}), 2, "seconds");
    expectComplaint(say({"layout", sample(), "--block", "Heron", "--seed", "-1"}), 2, "seed");
    expectComplaint(say({"which", sample(), "--block", "Heron", "--size", "0"}), 1, "0");
    expectComplaint(
        say({"import", drawing("windlass.svg"), drawing("lamp.svg"), "--columns", "2", "--overlap", "-1"}), 1,
        "-1");
}

TEST(Refused, NamesThatCannotBeShown) {
    const auto named = [](const std::string& name) {
        return say({"new", drawing("windlass.svg"), "--finished", "9in", "--name", name});
    };
    expectComplaint(named("   "), 1, "name");
    expectComplaint(named("one\ntwo"), 1, "name");
    expectComplaint(named(std::string("bell\a")), 1, "name");
    expectComplaint(named("caf\xe9"), 1, "name"); // Latin-1, no UTF-8
    EXPECT_EQ(named("café").code, 0);
}

TEST(Refused, AFileThatOnlyLooksLikeOne) {
    const TempDir dir;
    test::writeAll(dir.file("five.json"), R"({"format":5})");
    expectComplaint(say({"import", dir.file("five.json")}), 1, "five.json");
    expectComplaint(say({"new", dir.file("five.json"), "--name", "a", "--finished", "9in"}), 1, "five.json");
    expectComplaint(say({"import", "/dev/zero"}), 1, "/dev/zero");
}

TEST(Refused, AResultThatCannotBeWrittenIsAnError) {
    std::ostringstream err;
    std::ofstream full("/dev/full");
    EXPECT_EQ(run({"check", sample()}, full, err), 1);
    EXPECT_NE(err.str().find("standard output"), std::string::npos) << err.str();
}

TEST(Version, IsSaid) {
    EXPECT_TRUE(say({"--version"}).out.starts_with("upstairs-cli 0."));
}

} // namespace
} // namespace up::cli
