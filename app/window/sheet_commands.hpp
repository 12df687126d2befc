// SPDX-License-Identifier: GPL-3.0-or-later
// Sheets for the printer and files for the cutter.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/session.hpp"

#include <QObject>
#include <functional>

namespace up::app {

class SheetCommands : public QObject {
    Q_OBJECT
public:
    /// `settings`: the file for what is remembered of the printer.
    SheetCommands(Session& session, Asker& asker, QString settings, QObject* parent = nullptr);

    void writeTracing(bool a4);
    void writePlacement(bool a4);
    void writeCutFile();
    /// Shows what a cutting machine makes of the block.
    void cutByMachine();
    /// The layout straight onto sheets of web.
    void writeOnWeb();
    /// Asks what the printed one-inch square measures; pages are corrected by it from then on.
    void correctPrinter();

signals:
    void told(const QString& sentence);

private:
    void writeMats(CutFormat format, const std::vector<sheet::Page>& mats);
    [[nodiscard]] double printedSquare() const; ///< mm
    void write(const QString& title, const QString& kinds, const QString& ending,
               std::function<Result<std::string>(const quilt::Quilt&, const quilt::Block&)> make);

    Session& m_session;
    Asker& m_asker;
    QString m_settings;
};

} // namespace up::app
