// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/shapes.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include "words/finding_words.hpp"
#include "words/translated.hpp"

#include <gtest/gtest.h>
#include <set>

namespace up::words {
namespace {

/// A sentence for people: begins large or with a name, ends with a full stop, no hole where a word belongs.
void expectSentence(const std::string& text) {
    ASSERT_FALSE(text.empty());
    EXPECT_TRUE(text.ends_with(".") || text.ends_with("…")) << text;
    EXPECT_EQ(text.find('{'), std::string::npos) << text;
    EXPECT_EQ(text.find("  "), std::string::npos) << text;
    EXPECT_EQ(text.find("()"), std::string::npos) << text;
}

TEST(Sentence, IsThereForEveryCode) {
    for (const auto code : every<Code>()) {
        const Error error{code, {"alpha.", "beta", "gamma", "delta"}};
        expectSentence(sentence(error));
    }
}

TEST(Sentence, IsThereForEveryFinding) {
    const auto quilt = test::smallQuilt();
    const auto piece = [&](std::size_t i) { return quilt.blocks[0].pieces.at(i).id; };
    for (const auto kind : every<check::Kind>()) {
        check::Finding finding;
        finding.kind = kind;
        finding.block = quilt.blocks[0].id;
        const auto inch = measure::Length::ofInches(1, 1);
        finding.args = {piece(0), piece(1), inch, inch, inch, inch};
        expectSentence(sentence(quilt, finding));
        expectSentence(sentence(quilt, check::Row{{finding, finding}}));
        using check::Kind;
        const std::set ofTheBlock{
            Kind::othersLaidOut, Kind::cameReversed,   Kind::reversedTwice,
            Kind::stiff,         Kind::noThread,       Kind::noStabiliser,
            Kind::needleWorn,    Kind::comesOutShort,  Kind::groundSmall,
            Kind::linesOverEdge, Kind::linesUnderIron, Kind::noPieces}; // there is one of these at most
        if (ofTheBlock.contains(kind)) continue;
        EXPECT_NE(sentence(quilt, finding), sentence(quilt, check::Row{{finding, finding}})) << keyOf(kind);
    }
}

TEST(Sentence, SaysWhatComesFirst) {
    const Error own{Code::notYet, {"hull", "bonded", "roughCut"}};
    EXPECT_EQ(sentence(own), "“hull” must be rough cut before it is bonded.");
    const Error beneath{Code::notYet, {"roof", "fused", "fused", "hull"}};
    EXPECT_EQ(sentence(beneath), "“roof” lies on “hull”, which must be fused first.");
}

TEST(Sentence, SaysWhatToDoAboutBadInput) {
    EXPECT_NE(sentence(Error{Code::diskFull, {"a.upstairs"}}).find("free some space"), std::string::npos);
    EXPECT_NE(sentence(Error{Code::newerVersion, {"a", "9", "1"}}).find("Update the program"),
              std::string::npos);
    EXPECT_NE(sentence(Error{Code::cannotWrite, {"a", "why"}}).find("untouched"), std::string::npos);
}

TEST(Warnings, CountInWords) {
    EXPECT_EQ(sentence(quilt::Warning{quilt::Remark::openLinesLeftOut, {"1"}}), "1 open line was left out");
    EXPECT_EQ(sentence(quilt::Warning{quilt::Remark::openLinesLeftOut, {"2"}}), "2 open lines were left out");
}

TEST(Listed, PutsAndBeforeTheLast) {
    EXPECT_EQ(listed({}), "");
    EXPECT_EQ(listed({"1"}), "1");
    EXPECT_EQ(listed({"1", "4"}), "1 and 4");
    EXPECT_EQ(listed({"1", "4", "7"}), "1, 4 and 7");
}

TEST(NumbersWords, DrawsRunsTogether) {
    std::vector<test::Drawn> drawn;
    for (int i = 0; i < 9; ++i)
        drawn.push_back({"p", test::square(10 + 22 * i, 10, 20)});
    const auto quilt = test::quiltOf(drawn);
    const auto& pieces = quilt.blocks[0].pieces;
    const auto ids = [&](std::initializer_list<std::size_t> numbers) {
        std::vector<PieceId> out;
        for (const auto n : numbers)
            out.push_back(pieces[n - 1].id);
        return out;
    };
    EXPECT_EQ(numbersWords(quilt.blocks[0], ids({1, 2, 3, 4, 5})), "1–5");
    EXPECT_EQ(numbersWords(quilt.blocks[0], ids({1, 2, 4, 6, 7, 8})), "1, 2, 4 and 6–8");
    EXPECT_EQ(piecesWords(quilt.blocks[0], ids({2})), "2 p");
    EXPECT_EQ(numbersWords(quilt.blocks[0], ids({1, 3, 5, 7, 9}), 2), "1, 3 and 3 more");
}

TEST(CautionWords, PutTheLeafletFirstAtEveryDanger) {
    for (const auto caution :
         {plan::Caution::iron, plan::Caution::scissors, plan::Caution::rotary, plan::Caution::needle})
        EXPECT_NE(cautionWords(caution).find("maker's leaflet and local rules"), std::string::npos);
    EXPECT_TRUE(cautionWords(plan::Caution::none).empty());
}

TEST(NowWords, SayEverythingOnEveryTread) {
    auto quilt = test::smallQuilt();
    const auto& block = quilt.blocks[0];
    const auto plan = plan::planBlock(block);
    const auto stitches = plan::planStitching(block, plan);
    for (const auto tread : every<quilt::Tread>()) {
        const auto trace = plan::planTrace(quilt, block);
        const auto bonding = plan::planBonding(quilt, block, trace);
        const auto words =
            nowWords(quilt, block,
                     plan::nowOn(tread, block,
                                 {plan, trace, [&]() -> const plan::BondPlan& { return bonding; },
                                  [&] { return &stitches; }}),
                     trace);
        expectSentence(words.doThis);
        EXPECT_FALSE(words.button.empty());
    }
}

TEST(StepWords, AreDifferentForEveryStep) {
    std::set<std::string> states;
    for (const auto step : every<quilt::Step>())
        states.insert(state(step));
    EXPECT_EQ(states.size(), every<quilt::Step>().size());
}

} // namespace
} // namespace up::words
