// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/session.hpp"

#include "core/plan/work/progress.hpp"
#include "core/store/quilt_file.hpp"
#include "words/sentences.hpp"

#include <algorithm>

namespace up::app {

Session::Session(std::function<std::int64_t()> clock, QObject* parent)
    : QObject(parent), m_clock(std::move(clock)),
      m_history(quilt::emptyQuilt(QObject::tr("New quilt").toStdString())) {
    settle();
}

const quilt::Block* Session::block() const {
    return find(quilt().blocks, m_block);
}

const quilt::Piece* Session::piece() const {
    const auto* owner = block();
    return owner ? find(owner->pieces, m_piece) : nullptr;
}

bool Session::isChosen(PieceId id) const {
    return id && (id == m_piece || std::find(m_also.begin(), m_also.end(), id) != m_also.end());
}

std::vector<PieceId> Session::chosen() const {
    std::vector<PieceId> out;
    if (const auto* owner = block())
        for (const auto& piece : owner->pieces)
            if (isChosen(piece.id)) out.push_back(piece.id);
    return out;
}

void Session::goTo(View view) {
    if (m_view == view) return;
    m_view = view;
    m_next.reset();
    m_turnedOver = false;
    closeMerge();
    emit changed(Change::place);
}

void Session::chooseBlock(BlockId id) {
    if (m_block == id) return;
    m_block = id;
    m_piece = {};
    m_placementShown = 0;
    m_section.reset();
    settle();
    emit changed(Change::quilt);
}

void Session::choosePiece(PieceId id) {
    const bool more = !m_pointed.where.isEmpty() || !m_pointed.spots.empty() || !m_also.empty();
    m_pointed = {};
    m_also.clear();
    const bool same = m_piece == id && !more && !m_line;
    m_piece = id, m_line = {};
    if (!same) emit changed(Change::place);
}

void Session::chooseLine(LineId id) {
    if (m_line == id) return;
    m_pointed = {};
    m_also.clear();
    m_piece = {}, m_line = id;
    emit changed(Change::place);
}

const quilt::Line* Session::line() const {
    const auto* owner = block();
    return owner ? find(owner->lines, m_line) : nullptr;
}

void Session::chooseAlso(PieceId id) {
    if (!id) return;
    auto pieces = chosen();
    if (isChosen(id)) {
        std::erase(pieces, id);
        choosePieces(pieces, id == m_piece ? PieceId{} : m_piece);
    } else {
        pieces.push_back(id);
        choosePieces(pieces, id);
    }
}

void Session::choosePieces(std::vector<PieceId> pieces, PieceId last) {
    m_pointed = {};
    m_line = {};
    m_piece = last ? last : pieces.empty() ? PieceId{} : pieces.back();
    m_also = std::move(pieces);
    std::erase(m_also, m_piece);
    emit changed(Change::place);
}

void Session::pointAt(PieceId piece, Pointed places) {
    m_piece = piece, m_line = {};
    m_also.clear();
    m_pointed = std::move(places);
    emit changed(Change::place);
}

Session::Section Session::section() const {
    const auto* owner = block();
    if (m_section || !owner) return m_section.value_or(Section{});
    const double middle = owner->height.mm() / 2;
    return {{0, middle}, {owner->width.mm(), middle}};
}

void Session::setSection(const Section& section) {
    m_section = section;
    emit changed(Change::place);
}

void Session::setLayMode(LayMode mode) {
    if (m_layMode == mode) return;
    m_layMode = mode;
    emit changed(Change::place);
}

void Session::setPlacementShown(std::size_t step) {
    if (m_placementShown == step) return;
    m_placementShown = step;
    emit changed(Change::place);
}

void Session::turnOver() {
    m_turnedOver = !m_turnedOver;
    emit changed(Change::place);
}

void Session::showTemplates(bool templates) {
    if (m_templates == templates) return;
    m_templates = templates;
    emit changed(Change::place);
}

void Session::showHeat(bool heat) {
    if (m_heat == heat) return;
    m_heat = heat;
    emit changed(Change::place);
}

void Session::showStitches(bool stitches) {
    if (m_stitches == stitches) return;
    m_stitches = stitches;
    emit changed(Change::place);
}

void Session::searchStash(std::string text) {
    if (m_stashSearch == text) return;
    m_stashSearch = std::move(text);
    emit changed(Change::place);
}

plan::Now Session::next() {
    const auto* owner = block();
    const auto tread = treadOf(m_view);
    if (!owner) return {};
    if (!m_next)
        m_next = plan::nowOn(tread.value_or(plan::currentTread(*owner)), *owner,
                             {m_derived.block(), m_derived.trace(),
                              [this]() -> const plan::BondPlan& { return m_derived.bonding(); },
                              m_view == View::stitch ? [this] { return m_derived.stitching().get(); }
                                                     : std::function<const plan::StitchPlan*()>(),
                              m_view == View::fuse ? [this] { return m_derived.pressing().get(); }
                                                   : std::function<const plan::PressPlan*()>(),
                              [this]() -> const plan::CutPlan& { return m_derived.cutting(); },
                              [this]() -> const plan::FinishPlan& { return m_derived.finishing(); },
                              [this]() -> const plan::LinesPlan& { return m_derived.lines(); }});
    return *m_next;
}

void Session::foundPressing(std::shared_ptr<const plan::PressPlan> pressing) {
    m_derived.pressing().set(std::move(pressing), block());
    m_next.reset();
    emit changed(Change::place);
}

void Session::foundStitching(std::shared_ptr<const plan::StitchPlan> stitching) {
    m_derived.stitching().set(std::move(stitching), block());
    m_next.reset();
    emit changed(Change::place);
}

void Session::foundStitchHints(std::shared_ptr<const plan::StitchHints> hints) {
    m_derived.stitchHints().set(std::move(hints), block());
    emit changed(Change::place);
}

bool Session::apply(edit::Edited next, const QString& what, const std::string& mergeKey) {
    if (!next) {
        complain(next.error());
        return false;
    }
    if (!m_history.apply(std::move(*next), what.toStdString(), mergeKey)) return true;
    settle();
    emit changed(Change::quilt);
    return true;
}

void Session::rebase(const std::function<quilt::Quilt(const quilt::Quilt&)>& change) {
    m_history.rebase(change);
    settle();
    emit changed(Change::quilt);
}

bool Session::takeBack(const std::string& mergeKey) {
    if (!m_history.takeBack(mergeKey)) return false;
    settle();
    emit changed(Change::quilt);
    return true;
}

void Session::undo() {
    m_history.undo();
    settle();
    emit changed(Change::quilt);
}

void Session::redo() {
    m_history.redo();
    settle();
    emit changed(Change::quilt);
}

/// Nothing of where the user was in another quilt stays.
void Session::load(quilt::Quilt quilt, store::QuiltPlace place, bool dirty) {
    m_history = edit::History(std::move(quilt));
    if (dirty) m_history.markDirty();
    m_place = std::move(place);
    m_block = {};
    m_piece = {}, m_line = {};
    m_also.clear();
    m_section.reset();
    m_layMode = LayMode::block;
    m_placementShown = 0;
    m_turnedOver = m_templates = false;
    m_view = this->quilt().blocks.size() > 1 ? View::landing : View::draw;
    settle();
    emit opened();
    emit changed(Change::quilt);
    emit changed(Change::file);
}

void Session::startNew(quilt::Quilt quilt) {
    load(std::move(quilt), {}, false);
}

bool Session::open(const QString& file, store::FileLock lock) {
    const auto path = file.toStdString();
    const auto bytes = store::readFile(path);
    auto quilt = bytes.and_then([&](const std::string& text) { return store::readQuilt(text, path); });
    if (!quilt) {
        complain(quilt.error());
        return false;
    }
    load(std::move(*quilt), {path, std::move(lock), *bytes}, false);
    return true;
}

bool Session::saveTo(const QString& file, std::optional<store::FileLock> lock) {
    const auto path = file.toStdString();
    const auto bytes = store::writeQuilt(m_luggage.leave ? m_luggage.leave(quilt()) : quilt());
    if (auto saved = store::writeFile(path, bytes); !saved) {
        complain(saved.error());
        return false;
    }
    if (lock)
        m_place = {path, std::move(*lock), bytes};
    else
        m_place.wrote(bytes);
    m_history.markClean();
    emit changed(Change::file);
    return true;
}

bool Session::takeOver() {
    const auto path = m_place.path();
    const auto bytes = store::readFile(path);
    auto theirs = bytes.and_then([&](const std::string& text) { return store::readQuilt(text, path); });
    if (theirs && m_luggage.arrive) theirs = m_luggage.arrive(std::move(*theirs));
    if (!apply(std::move(theirs), QObject::tr("take the changed file over"))) return false;
    m_place.wrote(*bytes);
    m_history.markClean();
    emit changed(Change::file);
    return true;
}

void Session::recover(quilt::Quilt quilt, const QString& file) {
    const auto path = file.toStdString();
    const auto bytes = path.empty() ? Result<std::string>(std::string()) : store::readFile(path);
    store::QuiltPlace place;
    if (!path.empty()) place = {path, store::FileLock(path), bytes.value_or("")};
    load(std::move(quilt), std::move(place), true);
}

void Session::complain(const Error& error) {
    complain(QString::fromStdString(words::sentence(error)));
}

/// Block and piece that are looked at may be gone; another takes their place.
void Session::settle() {
    ++m_state;
    m_pointed = {};
    m_next.reset();
    if (!block()) m_block = quilt().blocks.empty() ? BlockId{} : quilt().blocks.front().id;
    const auto* owner = block();
    std::erase_if(m_also, [&](PieceId id) { return !owner || !find(owner->pieces, id); });
    if (!line()) m_line = {};
    if (!piece()) m_piece = m_also.empty() ? PieceId{} : m_also.back();
    std::erase(m_also, m_piece);
    m_derived.reset(&quilt(), block());
}

} // namespace up::app
