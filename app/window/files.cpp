// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/files.hpp"

#include "core/store/recovery.hpp"

#include <QFileInfo>
#include <QSettings>

namespace up::app {
namespace {
const QString quiltFiles = "Quilts (*.upstairs);;All files (*)";
constexpr int mostRecent = 8;
} // namespace

Files::Files(Session& session, Asker& asker, QString folder, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker), m_folder(std::move(folder)) {}

void Files::startNew() {
    if (mayLeave()) m_session.startNew(quilt::emptyQuilt("New quilt"));
}

void Files::open() {
    if (!mayLeave()) return;
    const auto path = m_asker.fileToOpen("Open a quilt", quiltFiles);
    if (!path.isEmpty() && m_session.open(path)) remember(path);
}

void Files::openFile(const QString& path) {
    if (mayLeave() && m_session.open(path)) remember(path);
}

void Files::openCopy(const QString& path) {
    if (!mayLeave()) return;
    auto quilt = store::loadQuilt(path.toStdString());
    if (quilt)
        m_session.startNew(std::move(*quilt));
    else
        m_session.complain(quilt.error());
}

bool Files::save() {
    return m_session.path().isEmpty() ? saveAs() : m_session.saveTo(m_session.path());
}

bool Files::saveAs() {
    auto path = m_asker.fileToSave("Save the quilt", quiltFiles,
                                   QString::fromStdString(m_session.quilt().name) + ".upstairs");
    if (path.isEmpty()) return false;
    if (QFileInfo(path).suffix().isEmpty()) path += ".upstairs";
    if (!m_session.saveTo(path)) return false;
    remember(path);
    emit told("Saved: " + path);
    return true;
}

bool Files::mayLeave() {
    if (!m_session.isDirty()) return true;
    switch (m_asker.saveChanges(QString::fromStdString(m_session.quilt().name))) {
    case SaveAnswer::save: return save();
    case SaveAnswer::discard: return true;
    case SaveAnswer::cancel: return false;
    }
    return false;
}

QStringList Files::recent() const {
    return QSettings(settingsFile(), QSettings::IniFormat).value("recent").toStringList();
}

void Files::remember(const QString& path) {
    QSettings settings(settingsFile(), QSettings::IniFormat);
    auto list = settings.value("recent").toStringList();
    const auto full = QFileInfo(path).absoluteFilePath();
    list.removeAll(full);
    list.prepend(full);
    settings.setValue("recent", list.mid(0, mostRecent));
    emit recentChanged();
}

void Files::offerRecovery() {
    const auto copies = store::leftRecoveries(m_folder.toStdString());
    for (const auto& copy : copies) {
        const auto name = QString::fromStdString(copy.quilt.name);
        if (m_asker.yes("Unsaved work was found",
                        "The program ended before “" + name + "” was saved. A copy of the work is here.",
                        "Take it up again")) {
            m_session.recover(copy.quilt, QString::fromStdString(copy.file));
            store::dropRecovery(copy.copy);
            return;
        }
        store::dropRecovery(copy.copy);
    }
}

} // namespace up::app
