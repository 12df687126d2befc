// SPDX-License-Identifier: GPL-3.0-or-later
// Drawings and scans into pieces: read aside, shown, added.
#pragma once

#include "app/devices/scanner.hpp"
#include "app/dialogs/asker.hpp"
#include "app/session/errand.hpp"
#include "app/session/session.hpp"

#include <QObject>

namespace up::app {

class ImportCommands : public QObject {
    Q_OBJECT
public:
    ImportCommands(Session& session, Asker& asker, Scanner& scanner, QObject* parent = nullptr);

    /// Asks for a drawing, reads it aside, shows what was found, adds what is wanted; makes a block named
    /// after the file if there is none.
    void importDrawing();
    /// The page on the scanner, as a drawing.
    void scanPage();
    /// The files are pages of one pattern.
    void importFiles(const QStringList& paths);
    /// Everything in the file, without asking.
    void importAll(const QString& path);
    /// A drawing that was asked for.
    struct Wanted {
        BlockId block;    ///< none: a new one
        std::string name; ///< of the new one, if it can be one
        ImportAnswer answer;
    };
    /// What is being read, if anything.
    [[nodiscard]] Errand& reading() { return m_reading; }

private:
    void finish(edit::Edited quilt, const quilt::Drawing& drawing);
    void add(const Wanted& wanted);

    Session& m_session;
    Asker& m_asker;
    Scanner& m_scanner;
    Errand m_reading;
};

} // namespace up::app
