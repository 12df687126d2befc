// SPDX-License-Identifier: GPL-3.0-or-later
// Labels for the envelopes that cut pieces are kept in.
#include "core/plan/cut/envelopes.hpp"
#include "drawn/parts.hpp"
#include "output/pages/contents.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::output {
namespace {

using namespace sheet::palette;
using quilt::Block;
using quilt::Quilt;
using sheet::Align;
using sheet::Words;

// mm; eight of them go onto a sheet of Letter or A4
constexpr double cardWidth = 92, cardHeight = 49, between = 3, border = 3;
constexpr std::size_t across = 2, down = 4;
constexpr double cellWidth = 21.5, cellHeight = 15.5;
constexpr std::size_t cellsAcross = 4, cells = 8;

/// What goes onto one label.
struct Card {
    std::string title, sub;
    std::vector<PieceId> pieces;
};

std::vector<Card> cardsOf(const Block& block) {
    std::vector<Card> out;
    for (const auto& envelope : plan::envelopesOf(block)) {
        const auto title =
            envelope.unit > 0
                ? words::said(N_("{0}: unit {1}"), {block.name, std::to_string(envelope.unit)})
                : words::said(N_("{0}: step {1}"), {block.name, std::to_string(envelope.step + 1)});
        const auto sub = envelope.unit > 0    ? words::said(N_("Fused together first; goes on in step {0}."),
                                                            {std::to_string(envelope.step + 1)})
                         : envelope.step == 0 ? words::tr("Lies on the background.")
                                              : words::tr("Lies on pieces of the steps before.");
        const auto parts = (envelope.pieces.size() + cells - 1) / cells;
        for (std::size_t part = 0; part < parts; ++part) {
            const auto first = envelope.pieces.begin() + static_cast<std::ptrdiff_t>(part * cells);
            const auto count = std::min(cells, envelope.pieces.size() - part * cells);
            out.push_back({parts == 1 ? title
                                      : words::said(N_("{0} ({1} of {2})"),
                                                    {title, std::to_string(part + 1), std::to_string(parts)}),
                           sub,
                           {first, first + static_cast<std::ptrdiff_t>(count)}});
        }
    }
    return out;
}

/// As seen, as large as the cell allows; never larger than it is.
void addPiece(std::vector<sheet::Item>& items, const Quilt& quilt, const Block& block, PieceId id,
              const shape::Box& cell) {
    const auto& piece = the(block.pieces, id);
    const auto box = boundsOf(*piece.outline);
    const double caption = 4.4, room = cell.height() - caption;
    const double scale = std::min(
        {1.0, (cell.width() - 3) / std::max(box.width(), 0.1), (room - 1) / std::max(box.height(), 0.1)});
    const shape::Point middle{cell.centre().x, cell.top + room / 2};
    const auto by = shape::Transform::moveBy(middle.x, middle.y) * shape::Transform::scale(scale, scale) *
                    shape::Transform::moveBy(-box.centre().x, -box.centre().y);
    items.push_back(sheet::Shape{sheet::contoursOf(transformed(*piece.outline, by)),
                                 mixed(panel, drawn::clothOf(quilt, piece.fabric), 0.35),
                                 sheet::Pen{ink, 0.25}});
    items.push_back(
        Words{quilt::calledOf(block, piece), {cell.centre().x, cell.bottom - 1}, 3, ink, Align::centre});
}

void addCard(std::vector<sheet::Item>& items, const Quilt& quilt, const Block& block, const Card& card,
             shape::Point at) {
    const shape::Box box{at.x, at.y, at.x + cardWidth, at.y + cardHeight};
    items.push_back(sheet::box(box, {}, sheet::Pen{slate, 0.3, sheet::Dash::dashed}));
    items.push_back(Words{card.title, {box.left + border, box.top + 7}, 5, ink, Align::left, true});
    items.push_back(Words{card.sub, {box.left + border, box.top + 12}, 3.4, slate, Align::left});
    for (std::size_t i = 0; i < card.pieces.size(); ++i) {
        const double left = box.left + border + static_cast<double>(i % cellsAcross) * cellWidth;
        const double top = box.top + 15 + static_cast<double>(i / cellsAcross) * cellHeight;
        addPiece(items, quilt, block, card.pieces[i], {left, top, left + cellWidth, top + cellHeight});
    }
}

} // namespace

Result<std::vector<sheet::Page>> labelPages(const Quilt& quilt, const Block& block,
                                            const PageOptions& options) {
    const auto cards = cardsOf(block);
    if (cards.empty()) return failure(Code::nothingToDo, {block.name});
    std::vector<sheet::Page> pages;
    for (std::size_t first = 0; first < cards.size(); first += across * down) {
        Content content{{},
                        {0, 0, across * cardWidth + between, down * cardHeight + (down - 1) * between},
                        words::said(N_("{0}: labels for envelopes"), {block.name}),
                        words::tr("Pieces as seen from the front; small ones at their size."),
                        words::tr("Cut along the dashed lines; a label to each envelope, its pieces in it.")};
        for (std::size_t i = 0; i < across * down && first + i < cards.size(); ++i)
            addCard(content.items, quilt, block, cards[first + i],
                    {static_cast<double>(i % across) * (cardWidth + between),
                     static_cast<double>(i / across) * (cardHeight + between)});
        for (auto& page : tiled(content, options))
            pages.push_back(std::move(page));
    }
    return pages;
}

} // namespace up::output
