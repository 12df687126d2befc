// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/sheet_commands.hpp"

#include "app/look/text.hpp"
#include "app/look/true_size.hpp"
#include "app/session/aside.hpp"
#include "core/store/file.hpp"
#include "output/dxf/dxf.hpp"
#include "output/pages/pages.hpp"
#include "output/pdf/pdf.hpp"
#include "output/svg/svg.hpp"
#include "words/now_words.hpp"
#include "words/stitch_words.hpp"

#include <QFileInfo>
#include <algorithm>

namespace up::app {

SheetCommands::SheetCommands(Session& session, Asker& asker, const QString& folder, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker), m_settings(folder + "/settings.ini"),
      m_folder(folder) {
    loadTrueSizes(m_settings);
}

void SheetCommands::useStandIns() {
    if (m_samplePrinters.empty()) m_samplePrinters = {std::make_shared<SamplePrinter>(m_folder + "/printed")};
}

const quilt::Block* SheetCommands::wanted() {
    const auto* block = m_session.block();
    if (!block)
        m_session.complain(tr("This quilt has no block yet, so there is nothing to print or cut: press "
                              "“New block…” first."));
    return block;
}

void SheetCommands::write(const QString& title, const QString& kinds, const QString& ending,
                          std::function<Result<std::string>(const quilt::Quilt&, const quilt::Block&)> make,
                          const QString& hint) {
    const auto* block = wanted();
    if (!block) return;
    const auto copy = *block;
    const auto path = m_asker.fileToSave(title, kinds, q(copy.name) + ending);
    if (path.isEmpty()) return;
    const auto work = [quilt = m_session.quilt(), copy, make = std::move(make),
                       file = path.toStdString()]() -> Result<void> {
        return make(quilt, copy).and_then([&](const std::string& bytes) {
            return store::writeFile(file, bytes);
        });
    };
    aside(this, work, [this, path, hint](const Result<void>& done) {
        if (done)
            m_session.tell(tr("Written: %1. %2").arg(path, hint));
        else
            m_session.complain(done.error());
    });
}

namespace {

using MakePages = Result<std::vector<sheet::Page>>(const quilt::Quilt&, const quilt::Block&,
                                                   const output::PageOptions&);

/// On the machine, or about to be.
ThreadId threadNext(Session& session) {
    const auto* hints = session.derived().stitchHints().get();
    return hints && hints->thread ? hints->thread : session.quilt().machine.thread;
}

/// `make` for the block as it is now.
PrintKind kindOf(const Session& session, const QString& name, const QString& advice, MakePages* make) {
    return {name, advice, false,
            [quilt = session.quilt(), block = *session.block(), make](const output::PageOptions& options) {
                return make(quilt, block, options);
            }};
}

using Sheets = SheetCommands::Sheets;

/// The plan that is shown; another when none is.
PrintKind waysOf(Session& session) {
    const auto& found = session.derived().stitching();
    return {tr("Ways of the needle"),
            tr("For beside the machine: trail by trail, with the thread that it takes."), false,
            [quilt = session.quilt(), block = *session.block(),
             plan = found.isNewest() ? found.shared() : nullptr](const output::PageOptions& options) {
                const auto own = plan ? *plan : plan::planStitching(block, plan::planBlock(block));
                return output::wayPages(quilt, block, own, options);
            }};
}

PrintKind waysWithOne(Session& session) {
    const auto thread = threadNext(session);
    return {tr("Ways with %1").arg(q(words::threadWords(session.quilt(), thread))),
            tr("What may be stitched in every block while this thread is on."), false,
            [quilt = session.quilt(), thread](const output::PageOptions& options) {
                return output::wayPagesWith(quilt, thread, options);
            }};
}

PrintKind kindOf(Session& session, Sheets sheets) {
    switch (sheets) {
    case Sheets::tracing:
        return kindOf(
            session, tr("Tracing pages"),
            tr("Reversed, for the smooth side of the web. Print at 100 %, tape pages that join cross on "
               "cross, lay the web over them and trace."),
            output::tracingPages);
    case Sheets::templates:
        return kindOf(session, tr("Templates"),
                      tr("For pieces without web: not reversed, with what is cut beyond the line. Print at "
                         "100 %, cut them "
                         "out of card and draw round."),
                      output::templatePages);
    case Sheets::placement:
        return kindOf(
            session, tr("Placement sheet"),
            tr("From the front, not reversed: to lay under the background or beside it. Print at 100 %."),
            output::placementPages);
    case Sheets::guides:
        return kindOf(
            session, tr("Lines that guide"),
            tr("The placement sheet without what other pieces hide, the block's corners marked: to be "
               "traced through. Print at 100 %."),
            output::guidePages);
    case Sheets::mirrored:
        return kindOf(
            session, tr("Placement sheet, mirrored"),
            tr("For tracing at a window from the back: tape it to the glass behind the background. Print at "
               "100 %."),
            output::mirroredPlacementPages);
    case Sheets::labels:
        return kindOf(
            session, tr("Labels for envelopes"),
            tr("Which pieces are kept together until they are laid, with their outlines. Once they are cut "
               "apart, the papers come off and the numbers with them."),
            output::labelPages);
    case Sheets::ways: return waysOf(session);
    case Sheets::waysWith: return waysWithOne(session);
    case Sheets::onWeb: break;
    }
    auto out =
        kindOf(session, tr("Onto sheets of web"),
               tr("Straight onto the smooth side of the web's own sheets. Only where the web's leaflet "
                  "allows it, and never in a printer that heats its paper: the glue melts. Try one "
                  "sheet of plain paper first."),
               output::webPages);
    out.ownSize = true;
    return out;
}

} // namespace

namespace {
/// Cut, or about to be, and not in its place yet: such pieces go astray.
bool anyToKeep(const quilt::Block& block) {
    return std::any_of(block.pieces.begin(), block.pieces.end(), [](const auto& piece) {
        return piece.work.step >= (piece.isOffWeb() ? quilt::Step::traced : quilt::Step::bonded) &&
               piece.work.step < quilt::Step::laid;
    });
}
/// Without web.
bool anyOffWeb(const quilt::Block& block) {
    return std::any_of(block.pieces.begin(), block.pieces.end(),
                       [](const auto& piece) { return piece.isOffWeb(); });
}
/// Fused, and not stitched yet.
bool anyToStitch(const quilt::Block& block) {
    return std::any_of(block.pieces.begin(), block.pieces.end(), [](const auto& piece) {
        return piece.next() && *piece.next() > quilt::Step::laid && piece.work.step < quilt::Step::stitched;
    });
}
} // namespace

void SheetCommands::print(Sheets first) {
    const auto* block = wanted();
    if (!block) return;
    PrintQuestion question;
    question.block = q(block->name);
    for (const auto sheets :
         {Sheets::tracing, Sheets::templates, Sheets::placement, Sheets::guides, Sheets::mirrored,
          Sheets::onWeb, Sheets::labels, Sheets::ways, Sheets::waysWith}) {
        if (!block->layout && (sheets == Sheets::tracing || sheets == Sheets::onWeb))
            continue; // nothing to trace yet
        if (sheets == Sheets::templates && !anyOffWeb(*block)) continue;
        if (sheets == Sheets::labels && !anyToKeep(*block)) continue;
        if (sheets == Sheets::ways && !anyToStitch(*block) && sheets != first) continue;
        if (sheets == Sheets::waysWith && !(anyToStitch(*block) && threadNext(m_session))) continue;
        if (sheets == first) question.first = question.kinds.size();
        question.kinds.push_back(kindOf(m_session, sheets));
    }
    question.printers = m_samplePrinters;
    question.more = systemPrinters;
    question.settings = m_settings;
    question.units = m_session.quilt().units;
    question.write = [this](const PrintKind& kind, const std::vector<sheet::Page>& pages) {
        writePdf(" " + kind.name + ".pdf", pages);
    };
    m_asker.print(question);
}

void SheetCommands::writePdf(const QString& ending, const std::vector<sheet::Page>& pages) {
    write(
        tr("Write a PDF"), tr("PDF (*.pdf)"), ending,
        [pages](const quilt::Quilt&, const quilt::Block& block) {
            return output::writePdf(pages, block.name);
        },
        tr("Print at 100 %, then measure the one-inch square."));
}

void SheetCommands::openLightBox() {
    const auto* block = wanted();
    if (!block) return;
    aside(
        this,
        [quilt = m_session.quilt(), copy = *block, marksFirst = m_session.view() == View::cut] {
            return output::wholeSheets(quilt, copy).map([&](std::vector<output::WholeSheet>&& sheets) {
                auto marks = output::markSheets(quilt, copy);
                sheets.insert(marksFirst ? sheets.begin() : sheets.end(), marks.begin(), marks.end());
                return sheets;
            });
        },
        [this](const Result<std::vector<output::WholeSheet>>& sheets) {
            if (!sheets) return m_session.complain(sheets.error());
            m_asker.lightBox({*sheets, m_settings, m_session.quilt().units});
        });
}

void SheetCommands::cutByMachine() {
    if (!wanted()) return;
    m_asker.cutByMachine(
        {m_session.quilt(), m_session.blockId(), std::make_shared<SampleCutter>(),
         [this](CutFormat format, const std::vector<sheet::Page>& mats) { writeMats(format, mats); },
         [this](const std::vector<PieceId>& pieces) { return tickCut(pieces); }, !m_samplePrinters.empty()});
}

/// What is bonded is cut out now; a machine may also have cut what nobody said was bonded.
QString SheetCommands::tickCut(const std::vector<PieceId>& pieces) {
    std::vector<PieceId> cut, others;
    for (const auto id : pieces) {
        const auto* piece = quilt::find(m_session.block()->pieces, id);
        const bool may = piece && piece->work.step < quilt::Step::cleanCut &&
                         quilt::advanced(piece->work, quilt::Step::cleanCut, piece->way());
        (may ? cut : others).push_back(id);
    }
    const auto named = [&](const std::vector<PieceId>& ids) {
        return q(words::numbersWords(*m_session.block(), ids, 9));
    };
    QString out;
    if (!others.empty()) out = tr("Not ticked, since not bonded yet or cut before: %1.").arg(named(others));
    if (cut.empty()) return out;
    const auto done = tr("Ticked as cut out: %1.").arg(named(cut)) + " ";
    if (!m_session.apply(
            edit::record(m_session.quilt(), m_session.blockId(), cut, quilt::Step::cleanCut, m_session.now()),
            tr("cut by machine")))
        return "";
    return done + out;
}

/// "Heron mat 1.svg", "Heron mat 2.svg", … beside the file that was chosen.
void SheetCommands::writeMats(CutFormat format, const std::vector<sheet::Page>& mats) {
    const QString ending = format == CutFormat::svg ? ".svg" : ".dxf";
    const auto name = q(m_session.block()->name);
    auto path =
        m_asker.fileToSave(tr("Cut files"), format == CutFormat::svg ? tr("SVG (*.svg)") : tr("DXF (*.dxf)"),
                           tr("%1 mat").arg(name) + ending);
    if (path.isEmpty()) return;
    if (path.endsWith(ending, Qt::CaseInsensitive)) path.chop(ending.size());
    const auto fileOf = [&](std::size_t mat) { return path + QString(" %1").arg(mat + 1) + ending; };
    QStringList there;
    for (std::size_t i = 0; i < mats.size(); ++i)
        if (QFileInfo::exists(fileOf(i))) there << "“" + QFileInfo(fileOf(i)).fileName() + "”";
    const auto question =
        q(words::said(N2_("{1} is there already.", "{1} are there already."),
                      static_cast<std::size_t>(there.size()), {there.join(", ").toStdString()}));
    if (!there.isEmpty() && !m_asker.yes(tr("Cut files"), question, tr("Replace"))) return;
    for (std::size_t i = 0; i < mats.size(); ++i) {
        const auto bytes = format == CutFormat::svg ? Result<std::string>(output::writeSvg(mats[i]))
                                                    : output::writeDxf(mats[i]);
        const auto file = fileOf(i).toStdString();
        const auto written =
            bytes ? store::writeFile(file, *bytes) : Result<void>(tl::unexpected(bytes.error()));
        if (!written) return m_session.complain(written.error());
    }
    m_session.tell(q(words::said(N2_("One cut file is written beside “{1}”: true size, mirrored already.",
                                     "{0} cut files are written beside “{1}”: true size, mirrored already."),
                                 mats.size(), {path.toStdString()})));
}

void SheetCommands::writeCutFile() {
    if (!wanted()) return;
    enum class As : std::uint8_t { svg, r12, r2000 };
    const auto as =
        m_asker.oneOf<As>(tr("Cut file"), tr("One layer for each fabric, linings too. Written as"),
                          {{As::svg, tr("SVG")},
                           {As::r12, tr("DXF R12, which every machine reads")},
                           {As::r2000, tr("DXF 2000 and later")}});
    if (!as) return;
    const bool svg = *as == As::svg;
    const auto make = [svg, version = *as == As::r12 ? output::DxfVersion::r12 : output::DxfVersion::r2000](
                          const quilt::Quilt& quilt, const quilt::Block& block) {
        return output::cutSheet(quilt, block).and_then([&](const sheet::Page& page) -> Result<std::string> {
            if (svg) return output::writeSvg(page);
            return output::writeDxf(page, version);
        });
    };
    write(tr("Cut file"), svg ? tr("SVG (*.svg)") : tr("DXF (*.dxf)"), svg ? " cut.svg" : " cut.dxf", make,
          tr("It is reversed, as it is cut with the paper side up."));
}

} // namespace up::app
