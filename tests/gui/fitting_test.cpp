// SPDX-License-Identifier: GPL-3.0-or-later
// Finish, by mouse and keys: a block is measured, trimmed, and its strips are sewn on.
#include "core/plan/finish/finish_plan.hpp"
#include "tests/gui/bench.hpp"

namespace up::test {
namespace {

using app::View;
using quilt::Length;

class Fitting : public WindowTest {
protected:
    void SetUp() override {
        openSample();
        choose("Lock gate", View::finish);
    }
    [[nodiscard]] plan::FinishPlan plan() { return plan::planFinish(session().quilt(), block()); }
};

TEST_F(Fitting, ABlockThatIsTooNarrowGetsWiderStripsWhereItHasThem) {
    m_asker.fittingAnswer = [](const app::FittingQuestion& question) {
        auto fitting = the(question.quilt.blocks, question.block).fitting;
        fitting.measured = quilt::Measured{Length::ofInches(9, 1), Length::ofInches(19, 2)};
        fitting.sides = quilt::Sides{};
        return std::optional(fitting);
    };
    const auto before = session().quilt();
    click("finish.fit");
    EXPECT_EQ(m_asker.asked.back(), "fitting");
    ASSERT_EQ(plan().strips.size(), 4U);
    EXPECT_EQ(plan().strips[2].more, Length::ofInches(1, 4))
        << "9 in instead of 9 1/2: 1/4 in on either side";
    EXPECT_EQ(plan().strips[2].cutWide, Length::ofInches(7, 4));
    EXPECT_EQ(plan().trimming.lacking.wide, Length::ofInches(1, 2));
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(Fitting, SpaceSewsOneStripAfterTheOther) {
    m_asker.fittingAnswer = [](const app::FittingQuestion& question) {
        auto fitting = the(question.quilt.blocks, question.block).fitting;
        fitting.sides = quilt::Sides{};
        return std::optional(fitting);
    };
    m_asker.settingAnswer = [](const app::SettingQuestion& question) {
        auto setting = question.quilt.setting;
        setting.asTheyCome = true;
        return std::optional(app::SettingAnswer{setting, Length::ofInches(2, 1), 3});
    };
    click("finish.setting");
    EXPECT_EQ(session().quilt().sashing, Length::ofInches(2, 1));
    click("finish.fit");
    ASSERT_EQ(plan().strips.size(), 4U);
    window().mat().setFocus();
    for (int sewn = 1; sewn <= 4; ++sewn) {
        ASSERT_EQ(session().next().what, plan::What::sewStrip);
        key(Qt::Key_Space);
        EXPECT_EQ(block().fitting.sewn, sewn);
        EXPECT_EQ(session().quilt().log->back().what, quilt::Event::stripSewn);
    }
    EXPECT_EQ(session().next().what, plan::What::allDone);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(block().fitting.sewn, 3);
}

} // namespace
} // namespace up::test
