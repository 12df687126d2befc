// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/shape_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/text.hpp"

#include "core/edit/saying.hpp"
#include "core/pattern/pattern.hpp"
#include "core/shape/joining.hpp"
#include "core/shape/region.hpp"
#include "intake/letters/letter_shapes.hpp"

#include <algorithm>

namespace up::app {
namespace {

constexpr Colour plainCloth{0x8a, 0xa5, 0xa0};

using Made = Result<std::vector<edit::NewShape>>;

std::string capitalised(const quilt::Recipe& recipe) {
    auto name = std::string(keyOf(recipe.kind));
    name[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(name[0])));
    return name;
}

Made newShapes(const quilt::Recipe& recipe, bool together) {
    if (recipe.kind != quilt::RecipeKind::letter)
        return intake::recipeOutline(recipe).map([&](const shape::Outline& outline) {
            return std::vector{edit::NewShape{capitalised(recipe), outline, recipe}};
        });
    if (auto ok = pattern::validate(recipe); !ok) return tl::unexpected(ok.error());
    std::vector<edit::NewShape> out;
    for (auto& letter : intake::letterShapes(recipe.text, {recipe.family, recipe.bold, recipe.italic},
                                             recipe.measures[0], together, {recipe.at.e, recipe.at.f}))
        out.push_back({letter.name, std::move(letter.outline), std::move(letter.recipe)});
    return out;
}

/// A piece stays one piece: a letter is made as the part that it is.
Made sameShape(const quilt::Recipe& recipe, bool) {
    return intake::recipeOutline(recipe).map([&](const shape::Outline& outline) {
        return std::vector{edit::NewShape{"", outline, recipe}};
    });
}

/// Where the piece lies is put into the recipe: it turns about the middle of its outline, which changes.
quilt::Recipe settled(const quilt::Piece& piece) {
    return pattern::remapped(*piece.recipe, placing(piece));
}

} // namespace

ShapeCommands::ShapeCommands(Session& session, Asker& asker, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker) {}

const quilt::Piece* ShapeCommands::chosen() {
    const auto* piece = m_session.piece();
    if (!piece) m_session.complain(tr("Choose a piece first."));
    return piece;
}

void ShapeCommands::apply(edit::Edited next, const QString& what) {
    m_session.apply(std::move(next), what);
}

ShapeQuestion ShapeCommands::questionFor(const quilt::Block& block) const {
    const auto& quilt = m_session.quilt();
    ShapeQuestion out;
    out.units = quilt.units;
    out.width = block.width, out.height = block.height;
    const auto colour = [&](FabricId id, Colour otherwise) {
        const auto* fabric = find(quilt.fabrics, id);
        return fabric ? fabric->colour : otherwise;
    };
    const auto* piece = m_session.piece();
    out.cloth = colour(piece ? piece->fabric : FabricId{}, plainCloth);
    out.background = colour(block.background, Colour{0xFF, 0xFF, 0xFF});
    for (const auto& family : intake::families())
        out.families << q(family);
    out.make = newShapes;
    return out;
}

namespace {

/// What a block is when nobody has said.
quilt::Block firstBlock() {
    quilt::Block block{};
    block.name = tr("Block 1").toStdString();
    return block;
}

/// In the block, or in a first one when there is none.
constexpr auto withShapes = [](const quilt::Quilt& quilt, const ShapeAnswer& answer, BlockId id,
                               FabricId fabric) {
    if (id) return edit::addShapes(quilt, id, answer.shapes, fabric);
    const auto first = firstBlock();
    return edit::addBlock(quilt, first.name, first.width, first.height)
        .and_then([&](const quilt::Quilt& with) {
            return edit::addShapes(with, with.blocks.back().id, answer.shapes, fabric);
        });
};

} // namespace

void ShapeCommands::addShape() {
    const auto* piece = m_session.piece();
    const auto fabric = piece ? piece->fabric : FabricId{};
    const auto id = m_session.blockId();
    const auto answer = m_asker.shape(questionFor(m_session.block() ? *m_session.block() : firstBlock()));
    if (!answer || answer->shapes.empty()) return;
    if (!answered(m_session, answer->shapes.size() == 1 ? tr("add a shape") : tr("add shapes"), answer,
                  withShapes, id, fabric))
        return;
    m_session.goTo(View::draw);
    if (m_session.block()) m_session.choosePiece(m_session.block()->pieces.back().id);
}

void ShapeCommands::changeMeasures() {
    const auto* piece = chosen();
    if (!piece) return;
    if (!piece->recipe)
        return m_session.complain(
            tr("“%1” is a drawn shape without measures of its own. Use Sizes… for it.").arg(q(piece->name)));
    const auto id = piece->id;
    const auto block = m_session.blockId();
    auto question = questionFor(*m_session.block());
    question.now = settled(*piece);
    question.make = sameShape;
    const auto answer = m_asker.shape(question);
    if (!answer || answer->shapes.empty()) return;
    answered(
        m_session, tr("change the measures"), answer,
        [](const quilt::Quilt& quilt, const ShapeAnswer& now, BlockId of, PieceId remade) {
            const auto& made = now.shapes.front();
            return edit::remakePiece(quilt, of, remade, *made.recipe, made.outline);
        },
        block, id);
}

void ShapeCommands::arrange() {
    const auto* piece = chosen();
    if (!piece) return;
    const auto id = piece->id;
    const auto block = m_session.blockId();
    answered(
        m_session, tr("copies and cuts"), m_asker.arrange({m_session.quilt(), block, id}),
        [](const quilt::Quilt& quilt, const edit::Arrangement& how, BlockId of, PieceId arranged) {
            return edit::arranged(quilt, of, arranged, how);
        },
        block, id);
}

void ShapeCommands::mirror() {
    if (const auto* piece = chosen())
        apply(edit::mirrorPiece(m_session.quilt(), m_session.blockId(), piece->id), tr("mirror"));
}

void ShapeCommands::toggleMarksStitched() {
    const auto* piece = chosen();
    if (!piece) return;
    if (!piece->hasMarks()) return m_session.complain(tr("This piece has no marks."));
    const bool stitched = !piece->marksStitched;
    if (m_session.apply(edit::set(m_session.quilt(), m_session.blockId(), m_session.chosen(),
                                  &quilt::Piece::marksStitched, stitched),
                        tr("marks are stitched")))
        m_session.tell(stitched ? tr("Stitching will cover its marks: a permanent pen will do.")
                                : tr("Its marks stay in sight: a pen that washes out is wanted."));
}

void ShapeCommands::setEdges() {
    const auto* piece = chosen();
    if (!piece) return;
    const auto id = piece->id;
    const auto& plan = m_session.derived().block();
    const auto index = static_cast<std::size_t>(piece - m_session.block()->pieces.data());
    // What pieces above hide, brought back to where the piece is drawn.
    const auto above = shape::unite(
        std::vector(plan.regions.begin() + static_cast<std::ptrdiff_t>(index) + 1, plan.regions.end()));
    const auto back = placing(*piece).inverse();
    EdgeQuestion question{m_session.quilt(), m_session.blockId(), id, {}};
    std::vector<shape::Contour> parts;
    for (auto ring : plan.regions[index].rings) {
        ring.push_back(ring.front());
        for (const auto& part : shape::inside(ring, above)) {
            parts.push_back(shape::contourThrough(part));
            parts.back().closed = false;
        }
    }
    // A ring begins anywhere, so one stretch may come in two parts.
    constexpr double meet = 0.01, least = 2; // mm
    for (const auto& chain : shape::joinEnds(parts, meet))
        if (shape::lengthOf(flattened(chain.contour)) > least)
            question.hidden.push_back(transformed(chain.contour, back));
    answered(
        m_session, tr("dotted edges"), m_asker.edges(question),
        [](const quilt::Quilt& quilt, const std::vector<shape::Contour>& dotted, BlockId of, PieceId edged) {
            return edit::setDotted(quilt, of, edged, dotted);
        },
        question.block, id);
}

void ShapeCommands::findPiece() {
    const auto found = m_asker.which(m_session.quilt(), m_session.blockId());
    if (!found || !found->piece) return;
    if (found->block != m_session.blockId()) m_session.chooseBlock(found->block);
    m_session.choosePiece(found->piece);
}

void ShapeCommands::showTurning() {
    if (!m_session.block() || m_session.block()->pieces.empty()) return;
    const auto* piece = m_session.piece();
    m_asker.showTurning(m_session.quilt(), m_session.blockId(), piece ? piece->id : PieceId{});
}

} // namespace up::app
