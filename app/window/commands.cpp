// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/commands.hpp"

#include "app/look/look.hpp"
#include "app/session/aside.hpp"
#include "core/measure/say.hpp"
#include "core/store/file.hpp"
#include "intake/any/any.hpp"
#include "intake/pdf/pdf.hpp"
#include "output/pages/pages.hpp"
#include "output/pdf/pdf.hpp"
#include "output/svg/svg.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include <QFileInfo>
#include <algorithm>

namespace up::app {

using quilt::Step;

Commands::Commands(Session& session, LayoutJob& layout, Asker& asker, QObject* parent)
    : QObject(parent), m_session(session), m_layout(layout), m_asker(asker) {}

void Commands::doNow() {
    const auto* block = m_session.block();
    if (!block) return newBlock();
    if (!treadOf(m_session.view()))
        return m_session.goTo(block->trimmed ? View::finish : viewOf(plan::currentTread(*block)));
    if (m_layout.isRunning() && m_session.view() == View::trace) return m_layout.stop();
    const auto now = m_session.next();
    switch (now.what) {
    case plan::What::importDrawing: return importDrawing();
    case plan::What::layOut: startOrStopLayout(); return;
    case plan::What::step: return doStep(now.pieces, now.step);
    case plan::What::trim:
        m_session.apply(edit::setTrimmed(m_session.quilt(), block->id, m_session.now()), "trim");
        return;
    case plan::What::goOn: return m_session.goTo(viewOf(now.tread));
    case plan::What::allDone: return m_session.goTo(View::landing);
    }
}

/// As if done one after the other, so that a lower piece of the same pressing counts for the one above it.
Result<void> Commands::mayDoAll(const std::vector<PieceId>& pieces, Step step) const {
    auto block = *m_session.block();
    const auto& plan = m_session.derived().block();
    for (const auto id : pieces) {
        const auto index = static_cast<std::size_t>(plan::numberOf(block, id)) - 1;
        if (auto may = plan::mayDo(block, plan, index, step); !may) return may;
        auto& work = block.pieces[index].work;
        work = quilt::advanced(work, step, block.pieces[index].hasMarks()).value_or(work);
    }
    return {};
}

void Commands::doStep(const std::vector<PieceId>& pieces, Step step) {
    const auto* block = m_session.block();
    if (!block || pieces.empty()) return;
    if (auto may = mayDoAll(pieces, step); !may) return m_session.complain(may.error());
    const BlockId owner = block->id;
    for (const auto id : pieces) {
        const auto* piece = find(block->pieces, id);
        if (!quilt::losesMarks(piece->work, step, piece->hasMarks())) continue;
        const auto question = "The paper comes off “" + piece->name +
                              "” now and its marks are not drawn: they cannot be traced through any more.";
        if (!m_asker.yes("Marks would be lost", QString::fromStdString(question), "Lay it without marks"))
            return;
    }
    const auto what = words::asTask(step) + " " + words::piecesWords(*block, pieces);
    m_session.apply(edit::record(m_session.quilt(), owner, pieces, step, m_session.now()),
                    QString::fromStdString(what).toLower());
}

void Commands::newBlock() {
    const auto name = m_asker.text("New block", "What is it called?",
                                   "Block " + QString::number(m_session.quilt().blocks.size() + 1));
    if (!name) return;
    const auto size = m_asker.text("New block", "Finished size, such as 9, 9 1/2 or 9 x 12?", "9 in");
    if (!size) return;
    const auto sides = measure::readSize(size->toStdString(), m_session.quilt().units);
    if (!sides) return m_session.complain(sides.error());
    if (!m_session.apply(
            edit::addBlock(m_session.quilt(), name->trimmed().toStdString(), sides->width, sides->height),
            "new block"))
        return;
    m_session.chooseBlock(m_session.quilt().blocks.back().id);
    m_session.goTo(View::draw);
}

void Commands::startOrStopLayout() {
    if (m_layout.isRunning())
        m_layout.stop();
    else
        m_layout.start({});
}

void Commands::redraw(edit::Edited next, const QString& what) {
    const auto* block = m_session.block();
    const auto begun = std::count_if(block->pieces.begin(), block->pieces.end(),
                                     [](const auto& p) { return p.work.step != Step::toTrace; });
    const bool changes = next && !(*next == m_session.quilt());
    if (!m_session.apply(std::move(next), what) || begun == 0 || !changes) return;
    emit told(QString("%1 traced pieces no longer fit and go back to be traced. Undo brings them back.")
                  .arg(begun));
}

void Commands::resize(const QString& text) {
    const auto size = measure::readSize(text.toStdString(), m_session.quilt().units);
    if (!m_session.block()) return;
    if (!size) return m_session.complain(size.error());
    redraw(edit::resizeBlock(m_session.quilt(), m_session.blockId(), size->width, size->height),
           "set the size");
}

void Commands::askSize() {
    const auto* block = m_session.block();
    if (!block || block->pieces.empty()) return;
    const auto* piece = m_session.piece();
    const auto judged = m_session.derived().judgement();
    if (!judged) return emit told("The shapes are still being measured. Try again in a moment.");
    const auto answer =
        m_asker.size({m_session.quilt().units, *block, piece ? piece->id : PieceId{}, judged});
    if (!answer) return;
    auto next = edit::setEdge(m_session.quilt(), block->id, answer->edge);
    const auto scaled = [&](measure::Length side) {
        return measure::Length::ofMm(side.mm() * answer->factor);
    };
    if (next && answer->wholeBlock)
        next = edit::resizeBlock(*next, block->id, scaled(block->width), scaled(block->height));
    else if (next && answer->factor != 1 && piece)
        next = edit::scalePiece(*next, block->id, piece->id, answer->factor);
    if (answer->factor == 1)
        m_session.apply(std::move(next), "change the edge stitch");
    else
        redraw(std::move(next), "set the size");
}

void Commands::setCameReversed(bool reversed) {
    if (m_session.block())
        redraw(edit::setGivenReversed(m_session.quilt(), m_session.blockId(), reversed),
               reversed ? "drawing came reversed" : "drawing as seen");
}

void Commands::turn(double degrees) {
    if (const auto* piece = m_session.piece())
        m_session.apply(edit::turnPiece(m_session.quilt(), m_session.blockId(), piece->id,
                                        measure::Angle::ofDegrees(degrees)),
                        "turn");
}

void Commands::renameBlock() {
    const auto* block = m_session.block();
    if (!block) return;
    const auto name = m_asker.text("Rename block", "What is it called?", QString::fromStdString(block->name));
    if (name && !name->trimmed().isEmpty())
        m_session.apply(
            edit::renameBlock(m_session.quilt(), m_session.blockId(), name->trimmed().toStdString()),
            "rename block");
}

void Commands::removeBlock() {
    if (m_session.block())
        m_session.apply(edit::removeBlock(m_session.quilt(), m_session.blockId()), "remove block");
}

void Commands::removePiece() {
    if (const auto* piece = m_session.piece())
        m_session.apply(edit::removePiece(m_session.quilt(), m_session.blockId(), piece->id), "remove piece");
}

void Commands::renameQuilt() {
    const auto name =
        m_asker.text("Rename quilt", "What is it called?", QString::fromStdString(m_session.quilt().name));
    if (name && !name->trimmed().isEmpty())
        m_session.apply(edit::renameQuilt(m_session.quilt(), name->trimmed().toStdString()), "rename quilt");
}

std::optional<std::pair<std::string, Colour>> Commands::askSwatch(const QString& title) {
    const auto name = m_asker.text(title, "What do you call it?", "");
    if (!name || name->trimmed().isEmpty()) return std::nullopt;
    const auto colour = m_asker.colour("Its colour", look::q(look::brass));
    if (!colour) return std::nullopt;
    const auto channel = [](int value) { return static_cast<std::uint8_t>(value); };
    return std::pair{name->trimmed().toStdString(),
                     Colour{channel(colour->red()), channel(colour->green()), channel(colour->blue())}};
}

void Commands::newFabric() {
    const auto asked = askSwatch("New fabric");
    if (!asked) return;
    auto made = edit::addFabric(m_session.quilt(), asked->first, asked->second);
    const auto* piece = m_session.piece();
    if (made && piece) made = edit::setFabric(*made, m_session.blockId(), piece->id, made->fabrics.back().id);
    m_session.apply(std::move(made), "new fabric");
}

void Commands::renameFabric() {
    const auto* piece = m_session.piece();
    const auto* fabric = piece ? find(m_session.quilt().fabrics, piece->fabric) : nullptr;
    if (!fabric) return emit m_session.trouble("Choose a piece first: its fabric will be renamed.");
    const FabricId id = fabric->id;
    const auto name =
        m_asker.text("Rename fabric", "What do you call it?", QString::fromStdString(fabric->name));
    if (name && !name->trimmed().isEmpty())
        m_session.apply(edit::renameFabric(m_session.quilt(), id, name->trimmed().toStdString()),
                        "rename fabric");
}

void Commands::newThread() {
    const auto asked = askSwatch("New thread");
    if (!asked) return;
    auto made = edit::addThread(m_session.quilt(), asked->first, asked->second);
    const auto* piece = m_session.piece();
    if (made && piece) made = edit::setThread(*made, m_session.blockId(), piece->id, made->threads.back().id);
    m_session.apply(std::move(made), "new thread");
}

void Commands::editWeb() {
    const auto* block = m_session.block();
    const auto* known = block ? find(m_session.quilt().webs, block->web) : nullptr;
    if (!known) return newWeb();
    if (const auto web = m_asker.web(*known, m_session.quilt().units))
        m_session.apply(edit::putWeb(m_session.quilt(), *web), "change web");
}

void Commands::newWeb() {
    const auto* block = m_session.block();
    auto proposed = quilt::emptyQuilt("").webs.front();
    proposed.id = {};
    proposed.name = "New web";
    const auto web = m_asker.web(proposed, m_session.quilt().units);
    if (!web) return;
    auto made = edit::putWeb(m_session.quilt(), *web);
    const bool free = block && std::all_of(block->pieces.begin(), block->pieces.end(),
                                           [](const auto& p) { return p.work.step == Step::toTrace; });
    if (made && free) made = edit::setWeb(*made, block->id, made->webs.back().id);
    m_session.apply(std::move(made), "new web");
}

void Commands::restack(int by) {
    if (const auto* piece = m_session.piece())
        m_session.apply(edit::restack(m_session.quilt(), m_session.blockId(), piece->id, by), "restack");
}

void Commands::importDrawing() {
    const auto paths = m_asker.filesToOpen(
        "Import a drawing, or several pages of one",
        "Drawings and scans (*.svg *.dxf *.pdf *.png *.jpg *.jpeg *.tif *.tiff);;All files (*)");
    if (!paths.isEmpty()) importFiles(paths);
}

namespace {

/// One page of the pattern.
struct Source {
    std::string file;
    int page = 1; ///< of that file
};

struct FirstLook {
    std::vector<Source> sources;
    bool isScan = false;
    Result<quilt::Drawing> drawing;
};

intake::ReadOptions optionsFor(const ReadSettings& settings) {
    intake::Options shapes;
    shapes.borders = settings.borders;
    return {settings.page, settings.dpi, shapes};
}

Result<quilt::Drawing> readAs(const std::string& file, const ReadSettings& settings) {
    return store::readFile(file).and_then(
        [&](const std::string& bytes) { return intake::readDrawing(bytes, file, optionsFor(settings)); });
}

/// `settings.page` counts the pages of all files.
Result<quilt::Drawing> readSource(const std::vector<Source>& sources, ReadSettings settings) {
    const auto& source = sources.at(static_cast<std::size_t>(settings.page) - 1);
    settings.page = source.page;
    return readAs(source.file, settings);
}

Result<std::vector<quilt::Drawing>> readAll(const std::vector<Source>& sources, ReadSettings settings) {
    std::vector<quilt::Drawing> out;
    for (std::size_t i = 0; i < sources.size(); ++i) {
        settings.page = static_cast<int>(i) + 1;
        auto page = readSource(sources, settings);
        if (!page && page.error().code != Code::emptyDrawing) return tl::unexpected(page.error());
        if (page) out.push_back(std::move(*page)); // an empty page is no part of the pattern
    }
    if (out.empty()) return failure(Code::emptyDrawing, {sources.front().file});
    return out;
}

quilt::Reading lettersOn(const Source& source, ReadSettings settings, const quilt::Drawing& drawing) {
    settings.page = source.page;
    const auto bytes = store::readFile(source.file);
    return bytes ? intake::lettersOf(*bytes, source.file, optionsFor(settings), drawing)
                 : quilt::Reading::unknown;
}

FirstLook lookAt(const std::vector<std::string>& files) {
    FirstLook out{{}, false, failure(Code::unknownDrawing, {files.front()})};
    for (const auto& file : files) {
        const auto bytes = store::readFile(file);
        int pages = 1;
        if (bytes && intake::kindOf(*bytes) == intake::DrawingKind::pdf)
            if (const auto about = intake::aboutPdf(file)) pages = about->pages;
        out.isScan = out.isScan || (bytes && intake::kindOf(*bytes) == intake::DrawingKind::picture);
        for (int page = 1; page <= pages; ++page)
            out.sources.push_back({file, page});
    }
    out.drawing = readSource(out.sources, {});
    return out;
}

} // namespace

void Commands::importFiles(const QStringList& paths) {
    std::vector<std::string> files;
    for (const auto& path : paths)
        files.push_back(path.toStdString());
    aside(
        this, [files] { return lookAt(files); },
        [this, path = paths.front()](const FirstLook& found) {
            // Another page may hold what this one does not; otherwise there is nothing to show.
            if (!found.drawing && found.sources.size() == 1) return m_session.complain(found.drawing.error());
            const auto* block = m_session.block();
            const auto side = measure::Length::ofInches(9, 1);
            const auto sources = found.sources;
            ImportQuestion question{
                QFileInfo(path).fileName(),
                m_session.quilt().units,
                block ? block->width : side,
                block ? block->height : side,
                static_cast<int>(sources.size()),
                found.isScan,
                block && block->givenReversed,
                found.drawing,
                [sources](const ReadSettings& settings) { return readSource(sources, settings); }};
            question.readPages = [sources](const ReadSettings& settings) {
                return readAll(sources, settings);
            };
            question.askGrid = [this](const auto& pages) {
                return m_asker.pageGrid(pages, m_session.quilt().units);
            };
            question.letters = [sources](const ReadSettings& settings, const quilt::Drawing& drawing) {
                return lettersOn(sources[static_cast<std::size_t>(settings.page) - 1], settings, drawing);
            };
            if (const auto answer = m_asker.import(std::move(question))) addDrawing(path, *answer);
        });
}

void Commands::importAll(const QString& path) {
    const auto file = path.toStdString();
    aside(
        this, [file] { return readAs(file, {}); },
        [this, path](const Result<quilt::Drawing>& drawing) {
            if (drawing)
                addDrawing(path, {*drawing, {}});
            else
                m_session.complain(drawing.error());
        });
}

void Commands::addDrawing(const QString& path, const ImportAnswer& answer) {
    const auto& drawing = answer.drawing;
    auto quilt = edit::Edited(m_session.quilt());
    const bool fresh = !m_session.block();
    if (fresh) {
        const auto side = measure::Length::ofInches(9, 1);
        quilt = edit::addBlock(*quilt, QFileInfo(path).completeBaseName().toStdString(), side, side);
    }
    const auto* block = fresh ? &quilt->blocks.back() : m_session.block();
    quilt = edit::addDrawing(*quilt, block->id, drawing, answer.options, m_session.now());
    if (!m_session.apply(std::move(quilt), "import")) return;
    m_session.goTo(View::draw);
    QString told = QString("%1 pieces imported.").arg(drawing.shapes.size());
    QStringList notes;
    for (const auto& warning : drawing.warnings)
        notes << QString::fromStdString(words::sentence(warning));
    if (!notes.isEmpty()) told += " Note: " + notes.join("; ") + ".";
    emit this->told(told);
}

void Commands::write(const QString& title, const QString& kinds, const QString& ending,
                     std::function<Result<std::string>(const quilt::Quilt&, const quilt::Block&)> make) {
    const auto* block = m_session.block();
    if (!block) return;
    const auto copy = *block;
    const auto path = m_asker.fileToSave(title, kinds, QString::fromStdString(copy.name) + ending);
    if (path.isEmpty()) return;
    const auto work = [quilt = m_session.quilt(), copy, make = std::move(make),
                       file = path.toStdString()]() -> Result<void> {
        return make(quilt, copy).and_then([&](const std::string& bytes) {
            return store::writeFile(file, bytes);
        });
    };
    aside(this, work, [this, path](const Result<void>& done) {
        if (done)
            emit told("Written: " + path + ". Print at 100 %, then measure the one-inch square.");
        else
            m_session.complain(done.error());
    });
}

namespace {
output::PageOptions onPaper(bool a4) {
    return {a4 ? measure::a4 : measure::letter};
}
} // namespace

void Commands::writeTracing(bool a4) {
    write("Tracing pages", "PDF (*.pdf)", " tracing.pdf",
          [a4](const quilt::Quilt& quilt, const quilt::Block& block) {
              return output::tracingPages(quilt, block, onPaper(a4)).and_then([&](const auto& pages) {
                  return output::writePdf(pages, block.name);
              });
          });
}

void Commands::writePlacement(bool a4) {
    write("Placement sheet", "PDF (*.pdf)", " placement.pdf",
          [a4](const quilt::Quilt& quilt, const quilt::Block& block) {
              return output::placementPages(quilt, block, onPaper(a4)).and_then([&](const auto& pages) {
                  return output::writePdf(pages, block.name);
              });
          });
}

void Commands::writeCutFile() {
    write("Cut file", "SVG (*.svg)", " cut.svg", [](const quilt::Quilt& quilt, const quilt::Block& block) {
        return output::cutSheet(quilt, block).map(output::writeSvg);
    });
}

} // namespace up::app
