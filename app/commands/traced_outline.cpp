// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/traced_outline.hpp"

#include "app/session/reading.hpp"

#include <QFileInfo>

namespace up::app {

QString drawingFiles() {
    return QObject::tr(
        "Drawings and scans (*.svg *.svgz *.dxf *.pdf *.png *.jpg *.jpeg *.tif *.tiff);;All files (*)");
}

void traceOutline(Session& session, Asker& asker, Errand& reading, const QString& title, Traced then) {
    const auto path = asker.fileToOpen(title, drawingFiles());
    if (path.isEmpty()) return;
    const QFileInfo file(path);
    reading.start(
        QObject::tr("Reading %1").arg(file.fileName()),
        [name = path.toStdString()](const std::shared_ptr<Job>& job) { return readLargest(name, job); },
        [&session, stem = file.completeBaseName(),
         then = std::move(then)](const Result<shape::Region>& found) {
            if (found)
                then(*found, stem);
            else
                session.complain(found.error());
        });
}

} // namespace up::app
