// SPDX-License-Identifier: GPL-3.0-or-later
// The open quilt: its history, its file, where the user is. Every edit goes through `apply`; one `changed`
// tells all.
#pragma once

#include "app/session/derived.hpp"
#include "app/session/views.hpp"
#include "core/check/finding.hpp"
#include "core/edit/edits.hpp"
#include "core/edit/history.hpp"
#include "core/store/quilt_place.hpp"

#include <QObject>
#include <QString>
#include <functional>

namespace up::app {

enum class Change : std::uint8_t {
    quilt, ///< pieces, steps, layout: draw everything anew
    place, ///< another view, block, piece or side is looked at
    file   ///< name, saved or not
};

/// What Lay shows: the whole block, laying out step by step, or all pieces side by side to be counted.
enum class LayMode : std::uint8_t { block, steps, count };

class Session : public QObject {
    Q_OBJECT
public:
    /// `clock`: seconds since 1970 UTC, for the log.
    explicit Session(std::function<std::int64_t()> clock, QObject* parent = nullptr);

    [[nodiscard]] const quilt::Quilt& quilt() const { return m_history.now(); }
    [[nodiscard]] std::int64_t now() const { return m_clock(); }

    // --- where the user is
    [[nodiscard]] View view() const { return m_view; }
    [[nodiscard]] const quilt::Block* block() const;
    [[nodiscard]] BlockId blockId() const { return m_block; }
    /// The one chosen last.
    [[nodiscard]] const quilt::Piece* piece() const;
    /// All that are chosen, bottom first.
    [[nodiscard]] std::vector<PieceId> chosen() const;
    [[nodiscard]] bool isChosen(PieceId piece) const;
    /// The line that is chosen: then no piece is.
    [[nodiscard]] const quilt::Line* line() const;
    [[nodiscard]] bool turnedOver() const { return m_turnedOver; }
    [[nodiscard]] bool showsTemplates() const { return m_templates; }
    void goTo(View view);
    void chooseBlock(BlockId block);
    /// It alone; none: nothing is chosen.
    void choosePiece(PieceId piece);
    void chooseLine(LineId line);
    /// As well as those that are chosen, or no longer.
    void chooseAlso(PieceId piece);
    /// Those, `last` among them being the one that `piece` answers.
    void choosePieces(std::vector<PieceId> pieces, PieceId last);
    struct Pointed {
        shape::Region where;
        std::vector<shape::Point> spots;
    };
    /// Chooses the piece, and shows places until something else is looked at or changes.
    void pointAt(PieceId piece, Pointed places);
    [[nodiscard]] const Pointed& pointed() const { return m_pointed; }
    /// The line across the block along which the stack is shown from the side, mm on the block.
    struct Section {
        shape::Point from, to;
    };
    /// As it was drawn; else level through the middle of the block.
    [[nodiscard]] Section section() const;
    void setSection(const Section& section);
    [[nodiscard]] LayMode layMode() const { return m_layMode; }
    void setLayMode(LayMode mode);
    /// Of plan::dryLay, while laying step by step.
    [[nodiscard]] std::size_t placementShown() const { return m_placementShown; }
    void setPlacementShown(std::size_t step);
    void turnOver();
    void showTemplates(bool templates);
    /// What the Stash is searched for, as it was typed; empty: everything.
    [[nodiscard]] const std::string& stashSearch() const { return m_stashSearch; }
    void searchStash(std::string text);
    /// Fuse shows how much heat each place gets.
    [[nodiscard]] bool showsHeat() const { return m_heat; }
    void showHeat(bool heat);
    /// Stitch shows every stitch as it will lie.
    [[nodiscard]] bool showsStitches() const { return m_stitches; }
    void showStitches(bool stitches);

    // --- what follows from the quilt
    [[nodiscard]] Derived& derived() { return m_derived; }
    [[nodiscard]] plan::Now next();
    /// Where the iron goes has been worked out, of the quilt as it is.
    void foundPressing(std::shared_ptr<const plan::PressPlan> pressing);
    /// And where the needle goes.
    void foundStitchHints(std::shared_ptr<const plan::StitchHints> hints);
    void foundStitching(std::shared_ptr<const plan::StitchPlan> stitching);

    // --- edits
    /// False, with `trouble`, when the edit failed. `mergeKey` as in edit::History.
    bool apply(edit::Edited next, const QString& what, const std::string& mergeKey = "");
    /// As edit::History::rebase.
    void rebase(const std::function<quilt::Quilt(const quilt::Quilt&)>& change);
    void closeMerge() { m_history.closeMerge(); }
    /// As edit::History::takeBack.
    bool takeBack(const std::string& mergeKey);
    /// Another number after each change of the quilt, whoever made it.
    [[nodiscard]] std::uint64_t state() const { return m_state; }
    void undo();
    void redo();
    [[nodiscard]] const edit::History& history() const { return m_history; }

    // --- the file
    [[nodiscard]] QString path() const { return QString::fromStdString(m_place.path()); }
    /// Another window has the file: it can be saved under another name only.
    [[nodiscard]] bool isReadOnly() const { return m_place.isReadOnly(); }
    /// What others have done to the file meanwhile.
    [[nodiscard]] store::OnDisk onDisk() const { return m_place.look(); }
    [[nodiscard]] bool isDirty() const { return !m_history.isClean(); }
    /// The user leaves the quilt and does not want to keep what was changed since it was saved.
    void discard() { emit discarded(); }
    /// What a quilt leaves behind when it is saved, and what it finds when it is read again: cloth of the stash.
    struct Luggage {
        std::function<quilt::Quilt(quilt::Quilt)> leave, arrive;
    };
    void setLuggage(Luggage luggage) { m_luggage = std::move(luggage); }
    void startNew(quilt::Quilt quilt);
    /// `lock`: of that path; one that is not held opens it to be looked at only.
    bool open(const QString& path, store::FileLock lock);
    /// `lock`: of that path, when it is another than before.
    bool saveTo(const QString& path, std::optional<store::FileLock> lock = {});
    /// What others wrote into the file, as a step that can be undone.
    bool takeOver();
    /// A copy found after a crash: shown as not saved.
    void recover(quilt::Quilt quilt, const QString& path);

    // --- the one voice of the program: a sentence for the user
    /// Something done that does not show.
    void tell(const QString& sentence) { emit told(sentence); }
    /// Something that could not be done: what, where, what to do.
    void complain(const QString& sentence) { emit trouble(sentence); }
    void complain(const Error& error);

signals:
    void changed(up::app::Change change);
    /// Another quilt than before: told once it is there.
    void opened();
    void discarded();
    void told(const QString& sentence);
    void trouble(const QString& sentence);

private:
    void load(quilt::Quilt quilt, store::QuiltPlace place, bool dirty);
    void settle();

    std::function<std::int64_t()> m_clock;
    edit::History m_history;
    Derived m_derived;
    store::QuiltPlace m_place;
    View m_view = View::landing;
    BlockId m_block;
    std::uint64_t m_state = 0;
    PieceId m_piece;
    LineId m_line;
    std::vector<PieceId> m_also; ///< chosen besides that
    LayMode m_layMode = LayMode::block;
    std::size_t m_placementShown = 0;
    Pointed m_pointed;
    std::optional<plan::Now> m_next; ///< asked for several times after each change
    std::optional<Section> m_section;
    Luggage m_luggage;
    bool m_turnedOver = false, m_templates = false, m_heat = false, m_stitches = false;
    std::string m_stashSearch;
};

} // namespace up::app
