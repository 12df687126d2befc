// SPDX-License-Identifier: GPL-3.0-or-later
// All that is at hand, drawn to scale, or what of it is looked for; what is to be bought.
#include "app/views/stash_panels.hpp"
#include "app/views/view.hpp"

#include "app/look/look.hpp"
#include "core/base/text.hpp"
#include "words/stash_words.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

std::string pressingWords(const quilt::Pressing& p) {
    return words::said(p.steam ? N_("{0} s {1}, steam") : N_("{0} s {1}, no steam"),
                       {plainNumber(p.seconds, 1), p.heat});
}

/// "5 pieces", "background of 2 blocks".
std::string usesOf(const quilt::Quilt& quilt, FabricId fabric) {
    std::ptrdiff_t pieces = 0, grounds = 0;
    for (const auto& block : quilt.blocks) {
        pieces += std::count_if(block.pieces.begin(), block.pieces.end(),
                                [&](const auto& p) { return p.fabric == fabric; });
        grounds += block.background == fabric;
    }
    if (pieces > 0 && grounds > 0) // in two lines
        return words::said(N2_("{1}, behind {0} block", "{1}, behind {0} blocks"),
                           static_cast<std::size_t>(grounds),
                           {words::said(N2_("{0} piece", "{0} pieces"), static_cast<std::size_t>(pieces))});
    std::string out;
    if (pieces > 0) out = words::said(N2_("{0} piece", "{0} pieces"), static_cast<std::size_t>(pieces));
    if (grounds > 0)
        out = words::said(N2_("background of {0} block", "background of {0} blocks"),
                          static_cast<std::size_t>(grounds));
    return out.empty() ? words::tr("not used") : out;
}

/// Rows of one kind of thing; of a search, those that suit it.
class Lines {
public:
    Lines(const quilt::Quilt& quilt, const plan::StashSearch& search) : m_quilt(quilt), m_search(search) {}
    [[nodiscard]] Rows all() && {
        wants();
        webs();
        offCuts();
        threads();
        fabrics();
        m_out.title = m_search.isEmpty() ? words::tr("At hand") : words::tr("Found");
        return std::move(m_out);
    }

private:
    void add(const plan::AtHand& thing, Row row) {
        if (!plan::suits(m_search, thing)) return;
        row.swatch = thing.colour;
        m_out.rows.push_back(std::move(row));
    }
    void wants() {
        for (const auto& want : m_quilt.wants) {
            const auto* fabric = find(m_quilt.fabrics, want.fabric);
            add({fabric ? fabric->name : "", fabric ? std::optional(fabric->colour) : std::nullopt, {}},
                {words::said(N_("To buy: {0}"), {words::wantWords(m_quilt, want)}),
                 words::tr("Click it once it is here."), want.id, false, true});
        }
    }
    void webs() {
        for (const auto& web : m_quilt.webs)
            add({web.name + " " + words::tr("web"), look::webPaper, {}},
                {web.name,
                 words::said(N_("{0}\nfirst {1}; final {2}"),
                             {words::stockWords(web, m_quilt.units), pressingWords(web.first),
                              pressingWords(web.final)}),
                 web.id});
    }
    void offCuts() {
        if (m_quilt.offCuts.empty() || !m_search.isEmpty()) return;
        m_out.rows.push_back({words::said(N2_("{0} off-cut", "{0} off-cuts"), m_quilt.offCuts.size()),
                              words::tr("They are laid out on first. Click one that is not there any more."),
                              {}});
    }
    void threads() {
        for (const auto& thread : m_quilt.threads)
            add({thread.name + " " + words::tr("thread"), thread.colour, {}},
                {words::said(N_("{0}, thread"), {thread.name}), words::leftWords(thread), thread.id});
    }
    void fabrics() {
        for (const auto& fabric : m_quilt.fabrics)
            add({saidOf(fabric), fabric.colour, {}},
                {fabric.name, usesOf(m_quilt, fabric.id), fabric.id, false, false, {}, fabric.swatch});
    }

    const quilt::Quilt& m_quilt;
    const plan::StashSearch& m_search;
    Rows m_out;
};

} // namespace

ViewParts stashParts(const quilt::Quilt& quilt, const std::string& looked) {
    ViewParts parts;
    const auto search = words::searchOf(looked, quilt.units);
    parts.scene.badges = Badges::arrows;
    parts.scene.flowing = true;
    parts.scene.leastScale = 0.27;
    parts.scene.empty = search.isEmpty() ? words::tr("The stash is empty.\nPut in what cloth you have with "
                                                     "“Cloth…”; scraps are offered when you bond.")
                                         : words::said(N_("Nothing at hand is “{0}”.\nSearch for less: a "
                                                          "colour, a name, or a size such as 9 × 2."),
                                                       {looked});
    for (auto& shown : stashPanels(quilt))
        if (plan::suits(search, shown.thing)) parts.scene.panels.push_back(std::move(shown.panel));
    parts.rows = Lines(quilt, search).all();
    return parts;
}

} // namespace up::app
