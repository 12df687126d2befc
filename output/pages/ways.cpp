// SPDX-License-Identifier: GPL-3.0-or-later
// The ways of the needle on a sheet for beside the machine.
#include "core/base/text.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "core/sheet/figures.hpp"
#include "drawn/parts.hpp"
#include "output/pages/contents.hpp"
#include "words/now_words.hpp"
#include "words/stitch_words.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::output {
namespace {

using namespace sheet::palette;
using plan::StitchPlan;
using quilt::Block;
using quilt::Quilt;
using shape::Point;
using sheet::Align;
using sheet::Words;

// mm
constexpr double wide = 187, high = 205, picture = 120, line = 5.2, letters = 3.5;

struct Line {
    std::string text;
    bool isTitle = false;
    std::optional<ThreadId> thread{}; ///< its swatch stands before
};

bool isLeft(const std::vector<plan::Leg>& legs) {
    return std::any_of(legs.begin(), legs.end(), [](const plan::Leg& leg) { return !leg.done; });
}

void addTrail(std::vector<Line>& out, const Quilt& quilt, const Block& block, const StitchPlan& plan,
              std::size_t t) {
    const auto& trail = plan.trails[t];
    const auto legs = plan::legsOf(plan, trail);
    if (!isLeft(legs)) return;
    const ThreadId thread{static_cast<std::uint32_t>(trail.thread)};
    out.push_back({words::said(N_("Trail {0}: {1}. Begin {2}."),
                               {std::to_string(t + 1), words::threadWords(quilt, thread),
                                words::knotWords(plan::knotOf(plan, trail, true))}),
                   true, thread});
    for (std::size_t i = 0; i < legs.size(); ++i) {
        if (legs[i].done) continue;
        const auto what = words::legWords(quilt, block, plan.runs[legs[i].run], legs[i].times);
        out.push_back({words::said(N_("{0}: {1}"), {std::to_string(i + 1), what})});
        if (!legs[i].before.empty()) out.back().text += ". " + words::arrivalWords(legs[i], i == 0);
    }
}

std::vector<Line> linesOf(const Quilt& quilt, const Block& block, const StitchPlan& plan) {
    std::vector<Line> out;
    for (std::size_t t = 0; t < plan.trails.size(); ++t)
        addTrail(out, quilt, block, plan, t);
    return out;
}

class Picture {
public:
    Picture(const Quilt& quilt, const Block& block)
        : m_quilt(quilt), m_block(block), m_scale(scaleOf(block)),
          m_by(shape::Transform::scale(m_scale, m_scale)) {}

    std::vector<sheet::Item> draw(const StitchPlan& plan) {
        for (const auto& piece : m_block.pieces)
            m_items.push_back(sheet::Shape{sheet::contoursOf(transformed(quilt::placed(piece), m_by)), panel,
                                           sheet::Pen{mixed(panel, ink, 0.35), 0.2}});
        m_items.push_back(sheet::box(boxOf(), {}, sheet::Pen{slate, 0.3}));
        for (std::size_t t = 0; t < plan.trails.size(); ++t)
            addWay(plan, t);
        return std::move(m_items);
    }
    [[nodiscard]] shape::Box boxOf() const {
        const auto box = quilt::finishedBox(m_block);
        return {box.left * m_scale, box.top * m_scale, box.right * m_scale, box.bottom * m_scale};
    }

private:
    static double scaleOf(const Block& block) {
        const auto box = quilt::finishedBox(block);
        return std::min({1.0, picture / box.width(), picture / box.height()});
    }
    [[nodiscard]] Point at(Point p) const { return {p.x * m_scale, p.y * m_scale}; }
    [[nodiscard]] Colour colourOf(const plan::StitchRun& run) const {
        const auto* thread = find(m_quilt.threads, run.thread);
        return mixed(thread ? thread->colour : slate, ink, 0.2);
    }
    void addWay(const StitchPlan& plan, std::size_t t) {
        constexpr double barb = 1.6, apart = 8; // mm
        const auto legs = plan::legsOf(plan, plan.trails[t]);
        if (!isLeft(legs)) return;
        for (const auto& leg : legs) {
            const auto& run = plan.runs[leg.run];
            shape::Polyline way;
            for (const auto p : run.line)
                way.push_back(at(p));
            m_items.push_back(sheet::Shape{sheet::contoursOf(std::vector<shape::Polyline>{way}), std::nullopt,
                                           sheet::Pen{colourOf(run), 0.7}});
            const double length = shape::lengthOf(way);
            if (length < apart) continue;
            const double tip = length * (leg.back ? 0.45 : 0.55), tail = tip + (leg.back ? barb : -barb);
            m_items.push_back(sheet::arrow(shape::pointAlong(way, tail), shape::pointAlong(way, tip), barb,
                                           false, sheet::Pen{ink, 0.35}));
        }
        addNumber(plan, legs.front(), t);
    }
    /// Where the trail begins.
    void addNumber(const StitchPlan& plan, const plan::Leg& first, std::size_t t) {
        constexpr double radius = 2.2;
        const auto& run = plan.runs[first.run].line;
        const auto begin = at(first.back ? run.back() : run.front());
        m_items.push_back(sheet::Shape{{sheet::disc(begin, radius)}, panel, sheet::Pen{ink, 0.3}});
        m_items.push_back(
            Words{std::to_string(t + 1), {begin.x, begin.y + 1}, 2.6, ink, Align::centre, true});
    }

    const Quilt& m_quilt;
    const Block& m_block;
    double m_scale;
    shape::Transform m_by;
    std::vector<sheet::Item> m_items;
};

void addSwatch(std::vector<sheet::Item>& items, const Quilt& quilt, ThreadId id, Point at) {
    const auto* thread = find(quilt.threads, id);
    items.push_back(
        sheet::box({at.x, at.y - 3, at.x + 3, at.y}, thread ? thread->colour : panel, sheet::Pen{ink, 0.2}));
}

/// Beside the picture: what of each thread it takes.
void addThreads(std::vector<sheet::Item>& items, const Quilt& quilt, const plan::StitchAmounts& amounts) {
    constexpr double left = picture + 5;
    double y = 4;
    const auto metres = [](measure::Length length) { return plainNumber(length.mm() / 1000, 1); };
    for (const auto& use : amounts.threads) {
        if (y + 2 * line > picture) break;
        addSwatch(items, quilt, use.thread, {left, y});
        items.push_back(Words{words::threadWords(quilt, use.thread), {left + 4.5, y}, letters, ink});
        items.push_back(
            Words{words::said(N_("needle {0} m, bobbin {1} m"), {metres(use.needle), metres(use.bobbin)}),
                  {left + 4.5, y + line - 0.6},
                  letters * 0.9,
                  slate});
        y += 2 * line;
    }
}

Content pageOf(const Block& block, std::string advice) {
    return {{},
            {0, 0, wide, high},
            words::said(N_("{0}: the ways of the needle"), {block.name}),
            words::tr("From the front, in small; a number where each trail begins."),
            std::move(advice)};
}

} // namespace

Result<std::vector<sheet::Page>> wayPages(const Quilt& quilt, const Block& block, const StitchPlan& stitching,
                                          const PageOptions& options) {
    const auto lines = linesOf(quilt, block, stitching);
    if (lines.empty()) return failure(Code::nothingToDo, {block.name});
    const auto amounts = plan::amountsOf(block, plan::planBlock(block), stitching, quilt.threads);
    const auto advice =
        words::said(N_("About {0} min with changes of thread. Keep fingers off the needle's way."),
                    {plainNumber(std::max(1.0, amounts.minutes), 0)});
    std::vector<sheet::Page> pages;
    auto content = pageOf(block, advice);
    Picture drawing(quilt, block);
    content.items = drawing.draw(stitching);
    addThreads(content.items, quilt, amounts);
    double y = drawing.boxOf().bottom + 8;
    const auto close = [&] {
        for (auto& page : tiled(content, options))
            pages.push_back(std::move(page));
    };
    for (const auto& text : lines) {
        if (y > high - (text.isTitle ? line : 0)) {
            close();
            content = pageOf(block, advice);
            y = 4;
        }
        const double left = text.thread ? 4.5 : 8;
        if (text.thread) addSwatch(content.items, quilt, *text.thread, {0, y});
        content.items.push_back(Words{text.text, {left, y}, letters, ink, Align::left, text.isTitle});
        y += line;
    }
    close();
    return pages;
}

Result<std::vector<sheet::Page>> wayPagesWith(const Quilt& quilt, ThreadId thread,
                                              const PageOptions& options) {
    std::vector<sheet::Page> out;
    for (const auto& block : quilt.blocks) {
        auto pages = wayPages(
            quilt, block, plan::planStitching(block, plan::planBlock(block), {nullptr, {}, false, thread}),
            options);
        if (!pages) continue;
        std::move(pages->begin(), pages->end(), std::back_inserter(out));
    }
    if (out.empty()) return failure(Code::nothingToDo, {quilt.name});
    return out;
}

} // namespace up::output
