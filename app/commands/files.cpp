// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/files.hpp"

#include "app/look/text.hpp"
#include "core/store/quilt_file.hpp"
#include "core/store/recovery.hpp"

#include <QDateTime>
#include <QFileInfo>
#include <QSettings>

namespace up::app {
namespace {
QString quiltFiles() {
    return tr("Quilts (*.upstairs);;All files (*)");
}
constexpr int mostRecent = 8;
} // namespace

Files::Files(Session& session, Autosave& autosave, Asker& asker, QString folder, QObject* parent)
    : QObject(parent), m_session(session), m_autosave(autosave), m_asker(asker), m_folder(std::move(folder)) {
}

void Files::startNew() {
    if (mayLeave()) m_session.startNew(quilt::emptyQuilt(tr("New quilt").toStdString()));
}

void Files::open() {
    const auto path = m_asker.fileToOpen(tr("Open a quilt"), quiltFiles());
    if (!path.isEmpty()) openFile(path);
}

namespace {

QString nameOf(const QString& path) {
    return QFileInfo(path).fileName();
}

QString whereabouts(const store::Holder& holder) {
    if (!holder.isHere) return tr("on the machine “%1”").arg(q(holder.host));
    return holder.process > 0 ? tr("in another window (process %1)").arg(holder.process)
                              : tr("in another window");
}

} // namespace

std::optional<store::FileLock> Files::lockFor(const QString& path) {
    store::FileLock lock(path.toStdString());
    if (!lock.other()) return lock;
    const auto holder = *lock.other();
    QStringList answers{tr("Only look at it")};
    if (!holder.isHere)
        answers << tr("Open it all the same"); // nobody can tell from here whether it still runs
    answers << tr("Leave it");
    const auto answer =
        m_asker.decide(tr("It is open already"),
                       tr("“%1” is open %2. Two who save into one file lose each other's work.")
                           .arg(nameOf(path), whereabouts(holder)),
                       answers);
    if (answer == 0) return lock;
    if (!holder.isHere && answer == 1) return store::FileLock(path.toStdString(), true);
    return std::nullopt;
}

void Files::openFile(const QString& path) {
    if (!mayLeave()) return;
    const bool same = store::isSameFile(path.toStdString(), m_session.path().toStdString());
    if (same && !m_session.isReadOnly())
        m_session.startNew(quilt::emptyQuilt(tr("New quilt").toStdString())); // lets go of it
    auto lock = lockFor(path);
    if (lock && m_session.open(path, std::move(*lock))) remember(path);
}

bool Files::openCopy(const QString& path) {
    if (!mayLeave()) return false;
    auto quilt = store::loadQuilt(path.toStdString());
    if (quilt)
        m_session.startNew(std::move(*quilt));
    else
        m_session.complain(quilt.error());
    return quilt.has_value();
}

bool Files::save() {
    if (m_session.path().isEmpty()) return saveAs();
    if (m_session.isReadOnly()) {
        m_session.tell(tr("“%1” is open in another window: give this version a name of its own.")
                           .arg(nameOf(m_session.path())));
        return saveAs();
    }
    return m_session.onDisk() == store::OnDisk::changed ? saveOverOthers()
                                                        : m_session.saveTo(m_session.path());
}

bool Files::saveAs() {
    const auto path =
        m_asker.fileToSave(tr("Save the quilt"), quiltFiles(), q(m_session.quilt().name) + ".upstairs");
    return !path.isEmpty() && saveUnder(path);
}

bool Files::saveUnder(const QString& path) {
    if (store::isSameFile(path.toStdString(), m_session.path().toStdString()) && !m_session.isReadOnly())
        return m_session.saveTo(path);
    store::FileLock lock(path.toStdString());
    if (lock.other()) {
        m_session.complain(
            tr("“%1” is open %2. Choose another name.").arg(nameOf(path), whereabouts(*lock.other())));
        return false;
    }
    if (!m_session.saveTo(path, std::move(lock))) return false;
    remember(path);
    m_session.tell(tr("Saved: %1").arg(path));
    return true;
}

QString Files::putAside(const std::string& bytes, const QString& whose) {
    const QFileInfo file(m_session.path());
    const auto stem = file.path() + "/" + file.completeBaseName() + " (" + whose + " " +
                      QDateTime::fromSecsSinceEpoch(m_session.now()).toString("yyyy-MM-dd hh.mm");
    QString path = stem + ").upstairs";
    for (int i = 2; QFileInfo::exists(path); ++i)
        path = stem + QString(", %1").arg(i) + ").upstairs";
    if (auto written = store::writeFile(path.toStdString(), bytes); !written) {
        m_session.complain(written.error());
        return {};
    }
    return path;
}

bool Files::saveOverOthers() {
    const auto path = m_session.path();
    const auto answer =
        m_asker.decide(tr("The file has changed"),
                       tr("“%1” was changed by another program since it was read here.").arg(nameOf(path)),
                       {tr("Keep both"), tr("Save under another name"), tr("Don't save now")});
    if (answer == 1) return saveAs();
    if (answer != 0) return false;
    const auto theirs = store::readFile(path.toStdString());
    if (!theirs) {
        m_session.complain(theirs.error());
        return false;
    }
    const auto aside = putAside(*theirs, tr("other version"));
    if (aside.isEmpty() || !m_session.saveTo(path)) return false;
    m_session.tell(tr("Saved. The other version is beside it as “%1”.").arg(nameOf(aside)));
    return true;
}

void Files::lookAtDisk() {
    if (m_asking || m_session.onDisk() != store::OnDisk::changed) return;
    m_asking = true;
    const auto path = m_session.path();
    const bool dirty = m_session.isDirty();
    const auto answer = m_asker.decide(
        tr("The file has changed"),
        (dirty ? tr("“%1” was changed by another program. What you changed here is not saved yet; it is kept "
                    "beside it either way.")
               : tr("“%1” was changed by another program."))
            .arg(nameOf(path)),
        {tr("Go on with this one"), tr("Take the other")});
    if (answer == 1 && dirty) {
        const auto aside = putAside(store::writeQuilt(m_session.quilt()), tr("my version"));
        if (!aside.isEmpty() && m_session.takeOver())
            m_session.tell(
                tr("This is the other version now. Yours is beside it as “%1”; Undo brings it back.")
                    .arg(nameOf(aside)));
    } else if (answer == 1 && m_session.takeOver()) {
        m_session.tell(tr("This is the other version now. Undo brings yours back."));
    }
    m_asking = false;
}

bool Files::mayLeave() {
    if (!m_session.isDirty()) return true;
    switch (m_asker.saveChanges(q(m_session.quilt().name))) {
    case SaveAnswer::save: return save();
    case SaveAnswer::discard: m_session.discard(); return true;
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
    auto left = store::leftWorks(m_folder.toStdString());
    for (const auto& damaged : left.damaged)
        m_session.complain(tr("A copy of unsaved work cannot be read. It is kept as %1.").arg(q(damaged)));
    for (auto& work : left.works) {
        const auto name = q(work.quilt.name);
        const auto answer = m_asker.decide(
            tr("Unsaved work was found"),
            tr("The program ended before “%1” was saved. A copy of the work is here.").arg(name),
            {tr("Take it up again"), tr("Later"), tr("Throw it away")});
        if (answer == 2) work.copy.drop();
        if (answer != 0) continue;
        if (mayLeave()) m_autosave.takeUp(std::move(work));
        return;
    }
}

} // namespace up::app
