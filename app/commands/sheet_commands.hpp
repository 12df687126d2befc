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
    /// `folder`: the user's data; settings.ini in it remembers printer and screen.
    SheetCommands(Session& session, Asker& asker, const QString& folder, QObject* parent = nullptr);

    /// From now on there are a sample printer and a sample cutter.
    void useStandIns();
    /// What is printed of a block.
    enum class Sheets : std::uint8_t {
        tracing,
        templates,
        placement,
        guides,
        mirrored,
        onWeb,
        labels,
        ways,
        waysWith
    };
    /// Asks how; what is given is proposed first.
    void print(Sheets first);
    /// The screen as a light box.
    void openLightBox();
    void writeCutFile();
    /// Shows what a cutting machine makes of the block.
    void cutByMachine();

private:
    /// The block now looked at; none: says so.
    [[nodiscard]] const quilt::Block* wanted();
    void writeMats(CutFormat format, const std::vector<sheet::Page>& mats);
    /// Says which pieces it has ticked.
    [[nodiscard]] QString tickCut(const std::vector<PieceId>& pieces);
    void writePdf(const QString& ending, const std::vector<sheet::Page>& pages);
    void write(const QString& title, const QString& kinds, const QString& ending,
               std::function<Result<std::string>(const quilt::Quilt&, const quilt::Block&)> make,
               const QString& hint);

    Session& m_session;
    Asker& m_asker;
    QString m_settings;
    QString m_folder;
    std::vector<std::shared_ptr<Printer>> m_samplePrinters; ///< one or none
};

} // namespace up::app
