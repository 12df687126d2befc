// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/import_commands.hpp"

#include "app/commands/traced_outline.hpp"
#include "app/look/text.hpp"
#include "core/edit/naming.hpp"
#include "core/measure/say.hpp"
#include "core/mend/mend.hpp"
#include "words/sentences.hpp"

#include <QFileInfo>

namespace up::app {

ImportCommands::ImportCommands(Session& session, Asker& asker, Scanner& scanner, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker), m_scanner(scanner) {
    connect(&m_reading, &Errand::stopped, this,
            [this] { m_session.tell(tr("Reading was stopped; nothing has been imported.")); });
}

void ImportCommands::scanPage() {
    if (const auto page = m_scanner.scan())
        importFiles({*page});
    else
        m_session.complain(page.error());
}

void ImportCommands::importDrawing() {
    const auto paths = m_asker.filesToOpen(tr("Import a drawing, or several pages of one"), drawingFiles());
    if (!paths.isEmpty()) importFiles(paths);
}

namespace {

std::vector<std::string> namesIn(const quilt::Block* block) {
    std::vector<std::string> out;
    if (!block) return out;
    for (const auto& piece : block->pieces)
        out.push_back(piece.name);
    return out;
}

} // namespace

void ImportCommands::importFiles(const QStringList& paths) {
    std::vector<std::string> files;
    for (const auto& path : paths)
        files.push_back(path.toStdString());
    m_reading.start(
        tr("Reading %1").arg(QFileInfo(paths.front()).fileName()),
        [files](const std::shared_ptr<Job>& job) { return lookAt(files, job); },
        [this, path = paths.front()](const FirstLook& found) {
            // Another page may hold what this one does not; otherwise there is nothing to show.
            if (!found.drawing && found.pages == 1) return m_session.complain(found.drawing.error());
            const auto* block = m_session.block();
            const auto side = measure::Length::ofInches(9, 1);
            ImportQuestion question{QFileInfo(path).fileName(),
                                    m_session.quilt().units,
                                    block ? block->width : side,
                                    block ? block->height : side,
                                    found.pages,
                                    found.isScan,
                                    block && block->givenReversed,
                                    !block || block->pieces.empty(),
                                    found.drawing,
                                    m_session.quilt().fabrics,
                                    namesIn(block),
                                    found.pattern};
            question.askGrid = [this](const auto& pages) {
                return m_asker.pageGrid(pages, m_session.quilt().units);
            };
            const auto id = m_session.blockId();
            const auto stem = QFileInfo(path).completeBaseName().toStdString();
            if (const auto answer = m_asker.import(std::move(question))) add({id, stem, *answer});
        });
}

void ImportCommands::importAll(const QString& path) {
    const auto file = path.toStdString();
    const auto stem = QFileInfo(path).completeBaseName().toStdString();
    m_reading.start(
        tr("Reading %1").arg(QFileInfo(path).fileName()),
        [file](const std::shared_ptr<Job>& job) { return readFirstPage(file, job); },
        [this, id = m_session.blockId(), stem](const Result<quilt::Drawing>& drawing) {
            if (drawing)
                add({id, stem, {*drawing, {}}});
            else
                m_session.complain(drawing.error());
        });
}

namespace {

/// The drawing in the block it was asked for; in a new one named after its file when there was none.
edit::Edited withDrawing(const quilt::Quilt& quilt, const ImportCommands::Wanted& wanted, std::int64_t now) {
    const auto& [block, name, answer] = wanted;
    if (block) return edit::addDrawing(quilt, block, answer.drawing, answer.options, now);
    const auto side = measure::Length::ofInches(9, 1);
    return edit::addBlock(quilt, edit::properName(name).value_or(tr("Block 1").toStdString()), side, side)
        .and_then([&](const quilt::Quilt& fresh) {
            return edit::addDrawing(fresh, fresh.blocks.back().id, answer.drawing, answer.options, now);
        });
}

} // namespace

void ImportCommands::add(const Wanted& wanted) {
    if (wanted.block && !quilt::find(m_session.quilt().blocks, wanted.block))
        return m_session.complain(tr("The block that the drawing was for is gone. Import it again."));
    auto added = withDrawing(m_session.quilt(), wanted, m_session.now());
    if (!added || !wanted.answer.numbered) return finish(std::move(added), wanted.answer.drawing);
    const auto id = wanted.block ? wanted.block : std::as_const(*added).blocks.back().id;
    m_reading.start(
        tr("Numbering the pieces"),
        [quilt = std::move(*added), id](const std::shared_ptr<Job>&) {
            return mend::numberedAnew(quilt, id);
        },
        [this, wanted, state = m_session.state()](const edit::Edited& numbered) {
            if (m_session.state() == state) return finish(numbered, wanted.answer.drawing);
            add(wanted); // what was done meanwhile is kept: onto the quilt as it is now
        });
}

void ImportCommands::finish(edit::Edited quilt, const quilt::Drawing& drawing) {
    if (!m_session.apply(std::move(quilt), tr("import"))) return;
    m_session.goTo(View::draw);
    QString told = q(words::said(N2_("{0} piece imported.", "{0} pieces imported."), drawing.shapes.size()));
    QStringList notes;
    for (const auto& warning : drawing.warnings)
        notes << q(words::sentence(warning));
    if (!notes.isEmpty()) told += " " + tr("Note: %1.").arg(notes.join("; "));
    m_session.tell(told);
}

} // namespace up::app
