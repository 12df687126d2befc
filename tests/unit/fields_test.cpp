// SPDX-License-Identifier: GPL-3.0-or-later
// Every kept member, by the list of them: none is lost in a file, none is missing in the schema.
#include "core/pattern/pattern.hpp"
#include "core/quilt/fields.hpp"
#include "core/store/quilt_file.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>
#include <set>

namespace up::store {
namespace {

using namespace quilt;
using Json = nlohmann::json;
using test::must;

/// Gives every member of every struct a value that it does not have in a new one, each a little different.
class Filler {
public:
    template<Listed T> void fill(T& t, double = 0, double = 0) {
        eachField<T>([&](const auto& field) { fill(t.*field.member, field.least, field.most); });
        if constexpr (fields::hasExtra<T>) t.extra = R"({"someday":[1,{"deep":true}]})";
    }
    void fill(std::string& out, double, double) { out = "text " + std::to_string(++m_count); }
    void fill(bool& out, double, double) { out = !out; }
    void fill(int& out, double least, double most) {
        const int before = out;
        out = static_cast<int>(inside(least, most));
        if (out == before) ++out;
    }
    void fill(std::uint32_t& out, double, double) { out = 4'000'000'000U; }
    void fill(std::int64_t& out, double, double) { out = 1'790'000'000 + ++m_count; }
    void fill(double& out, double least, double most) { out = inside(least, most); }
    void fill(Length& out, double least, double most) { out = Length::ofMm(inside(least, most)); }
    void fill(Angle& out, double least, double most) { out = Angle::ofDegrees(inside(least, most)); }
    void fill(Colour& out, double, double) { out = {9, 8, static_cast<std::uint8_t>(++m_count)}; }
    /// What is named must be there, or reading lets go of it: there is one of each, and its id is 7.
    template<class Tag> void fill(Id<Tag>& out, double, double) { out = Id<Tag>{7}; }
    template<class Tag> void fill(std::vector<Id<Tag>>& out, double, double) {
        fill(out.emplace_back(), 0, 0);
    }
    template<Named E> void fill(E& out, double, double) {
        out = every<E>().back() == out ? E{} : every<E>().back();
    }
    template<class T> void fill(std::optional<T>& out, double least, double most) {
        fill(out.emplace(), least, most);
    }
    template<Listed T> void fill(std::vector<T>& out, double, double) { fill(out.emplace_back()); }
    void fill(std::vector<Colour>& out, double, double) { fill(out.emplace_back(), 0, 0); }
    void fill(std::vector<shape::Point>& out, double, double) { out = {{0.25, -0.5}, {0.75, 1}}; }
    void fill(std::vector<double>& out, double, double) { out = {inside(0, 10)}; }
    template<class T> void fill(SharedList<T>& out, double, double) {
        T item{};
        fill(item);
        out.push_back(std::move(item));
    }
    template<class T> void fill(Shared<std::vector<T>>& out, double, double) {
        std::vector<T> list(1);
        fill(list.front());
        out = std::move(list);
    }
    template<Listed T> void fill(Shared<T>& out, double, double) {
        T value{};
        fill(value);
        out = std::move(value);
    }
    void fill(Shared<std::vector<shape::Contour>>& out, double, double) {
        auto line = test::circle({50, 50}, 10.0 + ++m_count);
        line.closed = false;
        out = std::vector{line};
    }
    void fill(Shared<shape::Outline>& out, double, double) {
        out = shape::Outline{test::circle({60, 60}, 30), {test::circle({60, 60}, 5)}};
    }
    void fill(shape::Rings& out, double, double) { out = {test::square(0, 0, 50.5)}; }
    void fill(Recipe& out, double, double) {
        out = pattern::usualRecipe(RecipeKind::star);
        out.at = shape::Transform::moveBy(50, 60);
    }
    void fill(std::variant<Roll, Packet>& out, double, double) {
        out = Packet{};
        fill(std::get<Packet>(out));
    }

private:
    double inside(double least, double most) {
        const double wide = most - least;
        return least + wide * (0.3 + 0.001 * (++m_count % 300));
    }
    int m_count = 0;
};

Quilt fullQuilt() {
    Quilt out;
    Filler().fill(out);
    out.blocks[0].pieces[0].liningOf = PieceId{7};
    return out;
}

/// The list is complete (a member that is not in it does not compile), and nothing in it is as in a new one.
template<class T> void expectNothingUsual(const T& t) {
    eachField<T>([&](const auto& field) { EXPECT_FALSE(t.*field.member == T{}.*field.member) << field.key; });
}

TEST(Fields, AllOfAFullQuiltComesBackFromItsFile) {
    const auto quilt = fullQuilt();
    expectNothingUsual(quilt);
    expectNothingUsual(quilt.fabrics[0]);
    expectNothingUsual(quilt.webs[0]);
    expectNothingUsual(quilt.threads[0]);
    expectNothingUsual(quilt.supplies[0]);
    expectNothingUsual(quilt.wants[0]);
    expectNothingUsual(quilt.blocks[0]);
    expectNothingUsual(quilt.blocks[0].pieces[0]);
    expectNothingUsual(quilt.blocks[0].pieces[0].stretches[0]);
    expectNothingUsual(quilt.machine);
    expectNothingUsual(quilt.setting);
    expectNothingUsual(quilt.setting.borders[0]);
    expectNothingUsual(quilt.blocks[0].fitting);
    expectNothingUsual(quilt.blocks[0].lines[0]);
    expectNothingUsual(*quilt.blocks[0].lines[0].written);
    expectNothingUsual(*quilt.blocks[0].lines[0].laid);
    expectNothingUsual(*quilt.blocks[0].layout);
    expectNothingUsual(quilt.blocks[0].layout->traced[0]);
    expectNothingUsual(quilt.blocks[0].ground);
    const auto text = writeQuilt(quilt);
    const auto again = must(readQuilt(text, "q"));
    EXPECT_TRUE(again == quilt);
    EXPECT_EQ(writeQuilt(again), text);
}

TEST(Fields, WhatIsMadeAnewKeepsItsDesignAndLosesItsMaking) {
    auto piece = fullQuilt().blocks[0].pieces[0];
    const auto before = piece;
    reset(piece, About::making);
    eachField<Piece>([&](const auto& field) {
        if (field.about == About::making)
            EXPECT_TRUE(piece.*field.member == Piece{}.*field.member) << field.key;
        else
            EXPECT_TRUE(piece.*field.member == before.*field.member) << field.key;
    });
}

/// The keys that a T writes into its object: which of them always.
template<class T> void keysOfStruct(std::set<std::string>& all, std::set<std::string>& always) {
    eachField<T>([&](const auto& field) {
        using V = typename std::remove_cvref_t<decltype(field)>::Value;
        if (!field.key.empty()) {
            all.insert(std::string(field.key));
            if (field.always) always.insert(std::string(field.key));
        } else if constexpr (Listed<V>) {
            keysOfStruct<V>(all, always);
        } else if constexpr (std::is_same_v<V, Shared<shape::Outline>>) {
            all.insert({"outline", "holes"}), always.insert({"outline", "holes"});
        } else if constexpr (requires { keysOf(Of<V>{}); }) {
            for (const auto key : keysOf(Of<V>{}))
                all.insert(std::string(key));
        }
    });
}

template<class T> void expectDescribed(const Json& schema, const std::string& place) {
    const auto& node = schema.at(Json::json_pointer(place));
    std::set<std::string> all, always, described, required;
    keysOfStruct<T>(all, always);
    if (place.empty()) all.insert({"format", "version"}), always.insert({"format", "version"});
    for (const auto& [key, value] : node.at("properties").items())
        described.insert(key);
    for (const auto& key : node.at("required"))
        required.insert(key.get<std::string>());
    EXPECT_EQ(described, all) << place;
    EXPECT_EQ(required, always) << place;
}

TEST(Fields, TheSchemaDescribesThemAll) {
    const auto schema = Json::parse(test::readAll(test::source("docs/formats/quilt.schema.json")));
    EXPECT_EQ(schema["properties"]["version"]["const"], quiltVersion);
    const std::string defs = "/$defs/", layout = defs + "block/properties/layout";
    expectDescribed<Quilt>(schema, "");
    expectDescribed<Fabric>(schema, defs + "fabric");
    expectDescribed<Thread>(schema, defs + "thread");
    expectDescribed<Swatch>(schema, defs + "swatch");
    expectDescribed<Supply>(schema, defs + "supply");
    expectDescribed<Want>(schema, defs + "want");
    expectDescribed<Web>(schema, defs + "web");
    expectDescribed<Roll>(schema, defs + "web/properties/roll");
    expectDescribed<Packet>(schema, defs + "web/properties/packet");
    expectDescribed<Pressing>(schema, defs + "pressing");
    expectDescribed<OffCut>(schema, defs + "offCut");
    expectDescribed<Piece>(schema, defs + "piece");
    expectDescribed<Placement>(schema, defs + "piece/properties/place");
    expectDescribed<Block>(schema, defs + "block");
    expectDescribed<EdgeStitch>(schema, defs + "edgeStitch");
    expectDescribed<StretchStitch>(schema, defs + "piece/properties/stretches/items");
    expectDescribed<AtMachine>(schema, "/properties/machine");
    expectDescribed<Setting>(schema, "/properties/setting");
    expectDescribed<Border>(schema, defs + "border");
    expectDescribed<Fitting>(schema, defs + "fitting");
    expectDescribed<Measured>(schema, defs + "fitting/properties/measured");
    expectDescribed<Sides>(schema, defs + "fitting/properties/sides");
    expectDescribed<Line>(schema, defs + "line");
    expectDescribed<Written>(schema, defs + "line/properties/written");
    expectDescribed<Laid>(schema, defs + "line/properties/laid");
    expectDescribed<Over>(schema, defs + "block/properties/over/items");
    expectDescribed<LeftSo>(schema, defs + "block/properties/leftSo/items");
    expectDescribed<Layout>(schema, layout);
    expectDescribed<Traced>(schema, layout + "/properties/traced/items");
    expectDescribed<Unplaced>(schema, layout + "/properties/unplaced/items");
    expectDescribed<WebSheet>(schema, layout + "/properties/sheets/items");
    expectDescribed<Strip>(schema, layout + "/properties/strips/items");
    expectDescribed<Ground>(schema, defs + "ground");
    expectDescribed<Creases>(schema, defs + "ground/properties/creases");
    expectDescribed<GroundStrip>(schema, defs + "ground/properties/strips/items");
    expectDescribed<GroundPatch>(schema, defs + "ground/properties/strips/items/properties/patches/items");
    expectDescribed<LogEntry>(schema, defs + "entry");
}

/// Every key that version 1 had, in a file that stays in the tests for ever.
TEST(Migration, AFileOfVersionOneLosesNothing) {
    const auto path = test::source("tests/formats/v1/every-key.upstairs");
    const auto quilt = must(loadQuilt(path));
    ASSERT_EQ(quilt.webs.size(), 2U);
    ASSERT_TRUE(quilt.webs[0].roll());
    EXPECT_GT(quilt.webs[0].roll()->length, Length());
    ASSERT_TRUE(quilt.webs[1].packet());
    EXPECT_EQ(quilt.webs[1].packet()->sheets, 10);
    const auto& block = quilt.blocks.at(0);
    EXPECT_EQ(block.school, School::windowed);
    EXPECT_EQ(block.edge.kind, StitchKind::blanket);
    EXPECT_TRUE(block.ground.creases.diagonals);
    ASSERT_TRUE(block.layout);
    EXPECT_EQ(block.layout->unplaced.at(0).reason, WhyNot::webUsedUp);
    EXPECT_EQ(block.layout->sheets.at(1).offCut, OffCutId{900});
    EXPECT_EQ(quilt.log->at(quilt.log->size() - 2).what, Event::note);
    EXPECT_EQ(quilt.log->at(quilt.log->size() - 2).note, "unpicked: the seam");
    EXPECT_EQ(quilt.log->back().what, Event::putAway);
    // Every key of the old file is in the new one, but for those that have become others.
    const auto old = Json::parse(test::readAll(path)), now = Json::parse(writeQuilt(quilt));
    const auto expectSame = [&](const Json& before, const Json& after, std::set<std::string> changed) {
        for (const auto& [key, value] : before.items())
            if (!changed.contains(key)) {
                EXPECT_EQ(after.value(key, Json()), value) << key;
            }
    };
    expectSame(old, now, {"version", "webs", "log", "blocks", "fabrics"});
    expectSame(old["fabrics"][0], now["fabrics"][0], {});
    expectSame(old["blocks"][0], now["blocks"][0], {});
    expectSame(old["webs"][1], now["webs"][1], {"sheets", "length"});
}

TEST(Migration, APacketThatWasUsedUpIsAnEmptyPacket) {
    auto quilt = test::smallQuilt();
    quilt.webs[0].stock = Packet{0, Length::ofInches(12, 1)};
    EXPECT_TRUE(must(readQuilt(writeQuilt(quilt), "q")) == quilt);
}

} // namespace
} // namespace up::store
