// SPDX-License-Identifier: GPL-3.0-or-later
// The verb `finish`: strips, lines and what is laid on, against each other.
#include "tests/cli/saying.hpp"

#include <cmath>
#include <gtest/gtest.h>
#include <map>
#include <numbers>

namespace up::cli {
namespace {

/// Blocks and strips, counted together across each row and down each column, come to the quilt's size.
TEST(Finish, EveryStripListSumsToTheQuiltsSize) {
    const auto plan = say({"finish", sample()}).json();
    EXPECT_EQ(plan["format"], "upstairs-finishing");
    ASSERT_EQ(plan["blocks"].size(), 9U);
    constexpr double hair = 25.4 / 64;
    std::vector<double> wide(3, 0), high(3, 0);
    for (std::size_t i = 0; i < 9; ++i) {
        const auto& block = plan["blocks"][i];
        double across = block["trimTo"][0].get<double>() - 12.7,
               down = block["trimTo"][1].get<double>() - 12.7;
        for (const auto& strip : block["strips"]) {
            const bool upright = strip["side"] == "left" || strip["side"] == "right";
            (upright ? across : down) += strip["cut"][1].get<double>() - 12.7; // less two seams
        }
        wide[i / 3] += across, high[i % 3] += down;
    }
    for (std::size_t i = 0; i < 3; ++i) {
        EXPECT_NEAR(wide[i], plan["inner"][0].get<double>(), hair);
        EXPECT_NEAR(high[i], plan["inner"][1].get<double>(), hair);
    }
    EXPECT_NEAR(plan["inner"][0].get<double>(), 29 * 25.4, 1e-6)
        << "three blocks of 9 in, two strips of 1 in";
    EXPECT_NEAR(plan["top"][0].get<double>(), 33 * 25.4, 1e-6) << "and a border of 2 in";
    EXPECT_EQ(say({"finish", "nowhere.upstairs"}).code, 1);
}

/// The ways of joining in the second sample: steps, what is cut, and what is cut away.
TEST(Finish, TellsHowPiecesAreJoined) {
    const auto plan = say({"finish", test::share("demo/other-ways.upstairs")}).json();
    std::map<std::string, Json> blocks;
    for (const auto& block : plan["blocks"])
        blocks[block["block"].get<std::string>()] = block;
    EXPECT_TRUE(blocks["Bramble"]["joined"].empty()) << "all of it is fused";
    EXPECT_EQ(blocks["Duck family"]["quilting"], "first");
    EXPECT_EQ(blocks["Duck family"]["joined"].size(), 24U);
    const auto& moon = blocks["Night mooring"]["joined"][0];
    EXPECT_EQ(moon["join"], "reverse");
    EXPECT_EQ(moon["next"], "cutAway");
    EXPECT_FALSE(moon["cutAway"]["fromBack"].get<bool>());
    // A circle of 320 units in 900 of 9 in; the hole is cut 1/16 in inside it, the patch 1/2 in beyond.
    EXPECT_NEAR(moon["cutAway"]["area"].get<double>(), std::numbers::pi * std::pow(1.6 * 25.4 - 25.4 / 16, 2),
                15);
    EXPECT_NEAR(moon["cutWide"].get<double>(), 4.2 * 25.4, 0.2);
    int gathered = 0;
    for (const auto& piece : blocks["Lily pond"]["joined"]) {
        gathered += piece["gathered"].get<bool>() ? 1 : 0;
        EXPECT_EQ(piece["join"] == "turned", !piece.contains("cutAway"));
    }
    EXPECT_EQ(gathered, 1) << "the bud";
}

TEST(Export, TemplatesAreOnlyOfPiecesWithoutWeb) {
    const auto of = [](const char* block) {
        return say({"export", test::share("demo/other-ways.upstairs"), "--block", block, "--what",
                    "templates", "--as", "pdf"});
    };
    EXPECT_EQ(of("Lily pond").out.substr(0, 5), "%PDF-");
    EXPECT_EQ(of("Bramble").code, 2) << "bad use";
    EXPECT_NE(of("Bramble").err.find("all of “Bramble” are fused"), std::string::npos) << of("Bramble").err;
}

/// Every length of floss goes into one needle, and no cut gives more strands than floss has.
TEST(Finish, TellsHowLinesAreStitched) {
    const auto plan = say({"finish", test::share("demo/other-ways.upstairs")}).json();
    const auto& block = plan["blocks"][0];
    ASSERT_EQ(block["lines"].size(), 4U);
    EXPECT_EQ(block["lines"][3]["stitch"], "machineStraight");
    EXPECT_TRUE(block["lines"][3]["parts"].empty()) << "that takes thread, not floss";
    std::size_t parts = 0, threaded = 0;
    for (const auto& line : block["lines"])
        parts += line["parts"].size();
    for (const auto& floss : block["floss"]) {
        std::vector<int> split(floss["cuts"].size(), 0);
        for (const auto& needle : floss["needles"]) {
            threaded += needle["parts"].size();
            EXPECT_LE(needle["length"].get<double>(), 457.21) << "18 in";
            for (const auto& from : needle["from"])
                split.at(from["cut"].get<std::size_t>() - 1) += from["strands"].get<int>();
        }
        for (const int strands : split)
            EXPECT_LE(strands, 6);
    }
    EXPECT_EQ(threaded, parts);
    EXPECT_GT(parts, 4U);
}

TEST(Finish, TellsWhatIsLaidOnAndHowItIsCut) {
    const auto plan = say({"finish", test::share("demo/other-ways.upstairs")}).json();
    const auto named = [&](const std::string& name) {
        for (const auto& block : plan["blocks"])
            if (block["block"] == name) return nlohmann::json(block);
        return nlohmann::json();
    };
    const auto stems = named("Bramble")["laid"];
    ASSERT_EQ(stems.size(), 4U);
    EXPECT_EQ(stems[2]["what"], "stem");
    EXPECT_NEAR(stems[2]["cutWide"].get<double>(), 1.25 * 25.4, 1e-3) << "for 3/8 in";
    EXPECT_EQ(stems[2]["strips"][0]["begin"], "runsOff");
    EXPECT_EQ(named("Lock gate")["laid"][1]["places"].size(), 11U);
    EXPECT_EQ(named("Lock gate")["laid"][1]["called"], 12);
    const auto leading = named("Landing window")["laid"][0];
    EXPECT_EQ(leading["strips"].size(), 6U) << "sun, frame, two hills, shore, and one from top to bottom";
    std::size_t unsewn = 0, cut = 0;
    for (const auto& block : plan["blocks"])
        for (const auto& strip : block["strips"])
            unsewn += strip["sewn"].get<bool>() ? 0 : 1;
    for (const auto& setting : plan["setting"])
        for (const auto& band : setting["bands"])
            cut += band["parts"].size();
    EXPECT_EQ(cut, unsewn) << "every strip is cut once";
    ASSERT_EQ(plan["bias"].size(), 2U);
    for (const auto& bias : plan["bias"]) {
        double area = 0, needed = 0;
        for (const auto& band : bias["bands"])
            for (const auto& part : band["parts"])
                area += part["length"].get<double>() * band["wide"].get<double>();
        for (const auto& strip : bias["strips"])
            needed += strip["wide"].get<double>() * strip["length"].get<double>();
        const double wide = bias["strips"][0]["wide"].get<double>();
        EXPECT_NEAR(area, needed + bias["joins"].get<double>() * wide * wide, 1) << "a join takes its width";
        EXPECT_GE(bias["area"].get<double>(), needed);
    }
}

} // namespace
} // namespace up::cli
