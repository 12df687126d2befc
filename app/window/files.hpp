// SPDX-License-Identifier: GPL-3.0-or-later
// Quilt files: new, open, save, recent ones, "save changes?", copies found after a crash.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/session.hpp"

#include <QStringList>

namespace up::app {

class Files : public QObject {
    Q_OBJECT
public:
    /// `folder`: the user's data folder, for settings and recovery copies.
    Files(Session& session, Asker& asker, QString folder, QObject* parent = nullptr);

    void startNew();
    void open();
    void openFile(const QString& path);
    /// A fresh copy of the quilt in `path`, not saved yet.
    void openCopy(const QString& path);
    bool save();
    bool saveAs();
    /// True when the quilt may be left: saved, or the user does not want to.
    [[nodiscard]] bool mayLeave();
    [[nodiscard]] QStringList recent() const;
    /// Offers the newest copy that a crash left.
    void offerRecovery();

signals:
    void recentChanged();
    void told(const QString& sentence);

private:
    void remember(const QString& path);
    [[nodiscard]] QString settingsFile() const { return m_folder + "/settings.ini"; }

    Session& m_session;
    Asker& m_asker;
    QString m_folder;
};

} // namespace up::app
