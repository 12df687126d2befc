// SPDX-License-Identifier: GPL-3.0-or-later
// Quilt files: new, open, save, recent ones, "save changes?", what others do to the file, work found after a
// crash.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/autosave.hpp"
#include "app/session/session.hpp"

#include <QStringList>

namespace up::app {

class Files : public QObject {
    Q_OBJECT
public:
    /// `folder`: the user's data folder, for settings and recovery copies.
    Files(Session& session, Autosave& autosave, Asker& asker, QString folder, QObject* parent = nullptr);

    void startNew();
    void open();
    /// Asks what to do when another window has it.
    void openFile(const QString& path);
    /// A fresh copy of the quilt in `path`, not saved yet. False when the user stays with what is open, or it
    /// cannot be read, which has been said.
    bool openCopy(const QString& path);
    /// What others wrote there meanwhile is never lost: asks first.
    bool save();
    bool saveAs();
    /// True when the quilt may be left: saved, or the user does not want to.
    [[nodiscard]] bool mayLeave();
    [[nodiscard]] QStringList recent() const;
    /// Offers the work that crashes left, newest first: to be taken up, thrown away, or asked about another
    /// time.
    void offerRecovery();
    /// Looks whether others have changed the file, and asks whose it is to be: when the window comes to the
    /// front.
    void lookAtDisk();

signals:
    void recentChanged();

private:
    void remember(const QString& path);
    [[nodiscard]] QString settingsFile() const { return m_folder + "/settings.ini"; }
    /// The lock to open it with; nothing when the user would rather not.
    [[nodiscard]] std::optional<store::FileLock> lockFor(const QString& path);
    bool saveUnder(const QString& path);
    bool saveOverOthers();
    /// The file as others left it, or what is worked on here, put aside under a name of its own; empty when
    /// that failed, which has been said.
    [[nodiscard]] QString putAside(const std::string& bytes, const QString& whose);

    Session& m_session;
    Autosave& m_autosave;
    Asker& m_asker;
    QString m_folder;
    bool m_asking = false;
};

} // namespace up::app
