// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/workroom.hpp"

#include "app/look/text.hpp"

namespace up::app {

Workroom::Workroom(Surroundings around, Asker& asks)
    : m_around(std::move(around)), asker(asks), session(m_around.clock), checker(session), layout(session),
      placements(session), planning(session), scanner(m_around.scannedPage), imports(session, asker, scanner),
      tracing(session, layout, asker), mending(session),
      stash(session, m_around.folder, m_around.autosaveDelay),
      cloths(session, mending, stash, asker, imports.reading()),
      presses(session, stash, asker, imports.reading()), sewing(session, asker), finishing(session, asker),
      lines(session, asker), shelf(session, stash, asker, {tracing, cloths, presses, imports.reading()}),
      commands(session, layout, asker, imports, tracing, cloths, presses, sewing, finishing, lines),
      sheets(session, asker, m_around.folder), shapes(session, asker), stack(session, mending, asker),
      places(session, mending), autosave(session, m_around.folder, m_around.autosaveDelay),
      files(session, autosave, asker, m_around.folder) {
    if (m_around.standIns) useStandIns();
}

void Workroom::useStandIns() {
    m_standIns = true;
    sheets.useStandIns();
}

void Workroom::openSample() {
    const bool had = std::exchange(m_standIns, true); // there already when the menus look
    if (files.openCopy(m_around.sample))
        sheets.useStandIns();
    else
        m_standIns = had;
}

void Workroom::openOtherSample() {
    files.openCopy(m_around.otherSample);
}

void Workroom::openFiles(const QStringList& paths) {
    QStringList quilts, drawings;
    for (const auto& path : paths)
        (path.endsWith(".upstairs", Qt::CaseInsensitive) ? quilts : drawings) << path;
    if (quilts.size() > 1)
        session.complain(tr("Only one quilt is open in a window: the first of those is opened here."));
    if (!quilts.isEmpty()) files.openFile(quilts.front());
    if (!drawings.isEmpty()) imports.importFiles(drawings);
}

} // namespace up::app
