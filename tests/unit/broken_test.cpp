// SPDX-License-Identifier: GPL-3.0-or-later
// Files broken in every way: one clear sentence, never a crash.
#include "core/store/quilt_file.hpp"
#include "intake/svg/svg.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"
#include "words/sentences.hpp"

#include <filesystem>
#include <gtest/gtest.h>

namespace up::store {
namespace {

/// The quilt's text with one spot changed.
std::string changed(const std::string& from, const std::string& to) {
    auto text = writeQuilt(test::smallQuilt());
    const auto at = text.find(from);
    EXPECT_NE(at, std::string::npos) << from;
    return text.replace(at, from.size(), to);
}

/// A key that nobody knows, with 120,000 lists in each other: deeper than any stack.
const char* deepList() {
    constexpr std::size_t deep = 120'000;
    static const std::string text =
        "\"unknown\": " + std::string(deep, '[') + std::string(deep, ']') + ", \"log\": [";
    return text.c_str();
}

struct Fault {
    const char *name, *from, *to;
    Code code;
    const char* says; ///< part of the sentence
};

class BrokenQuilt : public testing::TestWithParam<Fault> {};

TEST_P(BrokenQuilt, IsRefusedWithTheFileThePlaceAndWhatToDo) {
    const auto& fault = GetParam();
    const auto read = readQuilt(changed(fault.from, fault.to), "boat.upstairs");
    ASSERT_FALSE(read);
    EXPECT_EQ(read.error().code, fault.code);
    const auto text = words::sentence(read.error());
    EXPECT_NE(text.find("boat.upstairs"), std::string::npos) << text;
    EXPECT_NE(text.find(fault.says), std::string::npos) << text;
}

INSTANTIATE_TEST_SUITE_P(
    Faults, BrokenQuilt,
    testing::Values(
        Fault{"newer", "\"version\": 2", "\"version\": 7", Code::newerVersion, "version 7"},
        Fault{"noVersion", "\"version\": 2", "\"edition\": 2", Code::damaged, "version"},
        Fault{"otherFormat", "upstairs-quilt", "upstairs-pieces", Code::wrongFormat, "upstairs-pieces"},
        Fault{"deep", "\"log\": [", deepList(), Code::notJson, "more than 64"},
        Fault{"cutOff", "\"log\": [", "", Code::notJson, "line"},
        Fault{"noName", "\"name\": \"Test quilt\"", "\"title\": \"x\"", Code::damaged, "\"name\""},
        Fault{"textForNumber", "\"columns\": 3", "\"columns\": \"three\"", Code::damaged, "columns"},
        Fault{"absurdWidth", "\"width\": 228.6", "\"width\": 1e300", Code::damaged, "width"},
        Fault{"endlessNumber", "\"width\": 228.6", "\"width\": 1e999999", Code::notJson, "too large"},
        Fault{"zeroWidth", "\"width\": 228.6", "\"width\": 0", Code::damaged, "width"},
        Fault{"unknownStep", "\"step\": \"toTrace\"", "\"step\": \"ironed\"", Code::damaged,
              "pieces[0].step"},
        Fault{"badColour", "\"colour\": \"#", "\"colour\": \"blue", Code::damaged, "colour"},
        Fault{"hugeId", "\"nextId\": ", "\"nextId\": 99999999999", Code::damaged, "nextId"},
        Fault{"negativeId", "\"nextId\": ", "\"nextId\": -", Code::damaged, "nextId"},
        Fault{"badTime", "1970-01-01T00:16:40Z", "last Tuesday", Code::damaged, "log[0].time"},
        Fault{"openOutline", "\"outline\": [", "\"outline\": [[1,2]], \"old\": [", Code::damaged, "outline"}),
    [](const auto& fault) { return fault.param.name; });

TEST(BrokenQuilt, ThatNamesOneIdTwiceIsRefused) {
    auto quilt = test::smallQuilt();
    quilt.blocks[0].pieces[1].id = quilt.blocks[0].pieces[0].id;
    EXPECT_EQ(readQuilt(writeQuilt(quilt), "q").error().code, Code::damaged);
}

TEST(BrokenQuilt, ThatNamesAMissingFabricIsReadWithoutIt) {
    auto quilt = test::smallQuilt();
    quilt.fabrics.erase(quilt.fabrics.begin());
    const auto read = readQuilt(writeQuilt(quilt), "q");
    ASSERT_TRUE(read);
    EXPECT_FALSE(read->blocks[0].pieces[0].fabric);
}

TEST(BrokenQuilt, CutOffAnywhereNeverCrashes) {
    const auto text = writeQuilt(test::smallQuilt());
    for (std::size_t size = 0; size + 2 < text.size(); size += 37)
        EXPECT_FALSE(readQuilt(text.substr(0, size), "q")) << size;
}

TEST(BrokenQuilt, WithAnyByteChangedNeverCrashes) {
    const auto text = writeQuilt(test::smallQuilt());
    Random random(71);
    for (int i = 0; i < 3000; ++i) {
        auto bad = text;
        bad[random.below(bad.size())] = static_cast<char>(random.below(256));
        const auto read = readQuilt(bad, "q");
        if (!read) {
            EXPECT_FALSE(words::sentence(read.error()).empty());
        }
    }
}

/// tests/broken holds drawings named by their fault; the name before the first "-" is the code.
TEST(BrokenDrawings, AreRefusedOrRepairedWithASentence) {
    std::size_t seen = 0;
    for (const auto& entry : std::filesystem::directory_iterator(test::source("tests/broken"))) {
        if (entry.path().extension() != ".svg") continue;
        ++seen;
        const auto name = entry.path().filename().string();
        const auto drawing = intake::readSvg(test::readAll(entry.path().string()), name);
        if (name.starts_with("repaired")) {
            ASSERT_TRUE(drawing) << name;
            EXPECT_FALSE(drawing->warnings.empty()) << name;
        } else {
            ASSERT_FALSE(drawing) << name;
            EXPECT_NE(words::sentence(drawing.error()).find(name), std::string::npos);
        }
    }
    EXPECT_GE(seen, 9U);
}

} // namespace
} // namespace up::store
