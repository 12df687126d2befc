// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/sheet_commands.hpp"

#include "app/session/aside.hpp"
#include "core/measure/say.hpp"
#include "core/store/file.hpp"
#include "output/dxf/dxf.hpp"
#include "output/pages/pages.hpp"
#include "output/pdf/pdf.hpp"
#include "output/svg/svg.hpp"

#include <QSettings>
#include <cmath>

namespace up::app {

SheetCommands::SheetCommands(Session& session, Asker& asker, QString settings, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker), m_settings(std::move(settings)) {}

void SheetCommands::write(const QString& title, const QString& kinds, const QString& ending,
                          std::function<Result<std::string>(const quilt::Quilt&, const quilt::Block&)> make) {
    const auto* block = m_session.block();
    if (!block) return;
    const auto copy = *block;
    const auto path = m_asker.fileToSave(title, kinds, QString::fromStdString(copy.name) + ending);
    if (path.isEmpty()) return;
    const auto work = [quilt = m_session.quilt(), copy, make = std::move(make),
                       file = path.toStdString()]() -> Result<void> {
        return make(quilt, copy).and_then([&](const std::string& bytes) {
            return store::writeFile(file, bytes);
        });
    };
    aside(this, work, [this, path](const Result<void>& done) {
        if (done)
            emit told("Written: " + path + ". Print at 100 %, then measure the one-inch square.");
        else
            m_session.complain(done.error());
    });
}

namespace {
constexpr const char* squareKey = "printer/square";

output::PageOptions onPaper(bool a4, double square) {
    return {a4 ? measure::a4 : measure::letter, square};
}
} // namespace

double SheetCommands::printedSquare() const {
    return QSettings(m_settings, QSettings::IniFormat).value(squareKey, output::testSquare).toDouble();
}

void SheetCommands::correctPrinter() {
    const auto units = m_session.quilt().units;
    const auto now = measure::Length::ofMm(printedSquare());
    const auto said = m_asker.text("Printer",
                                   "Print a page at 100 % and measure its square, which should be one inch.\n"
                                   "What does it measure?",
                                   QString::fromStdString(units == measure::System::inches
                                                              ? measure::fraction(now, 64) + " in"
                                                              : measure::sayMetric(now)));
    if (!said) return;
    const auto square = measure::readLength(said->trimmed().toStdString(), units);
    if (!square) return m_session.complain(square.error());
    if (square->mm() < output::leastSquare || square->mm() > output::mostSquare)
        return emit m_session.trouble(
            "A printer that is so far off must be set right first: choose 100 % or “actual "
            "size” in its dialog, then measure again.");
    QSettings(m_settings, QSettings::IniFormat).setValue(squareKey, square->mm());
    const double percent = output::testSquare / square->mm() * 100;
    emit told(std::abs(percent - 100) < 0.05
                  ? QString("Pages are written at true size.")
                  : QString("Pages are written at %1 % from now on, since the printer makes the square %2.")
                        .arg(percent, 0, 'f', 1)
                        .arg(QString::fromStdString(measure::say(*square, units))));
}

void SheetCommands::writeTracing(bool a4) {
    write("Tracing pages", "PDF (*.pdf)", " tracing.pdf",
          [a4, square = printedSquare()](const quilt::Quilt& quilt, const quilt::Block& block) {
              return output::tracingPages(quilt, block, onPaper(a4, square)).and_then([&](const auto& pages) {
                  return output::writePdf(pages, block.name);
              });
          });
}

void SheetCommands::writePlacement(bool a4) {
    write(
        "Placement sheet", "PDF (*.pdf)", " placement.pdf",
        [a4, square = printedSquare()](const quilt::Quilt& quilt, const quilt::Block& block) {
            return output::placementPages(quilt, block, onPaper(a4, square)).and_then([&](const auto& pages) {
                return output::writePdf(pages, block.name);
            });
        });
}

void SheetCommands::writeOnWeb() {
    write("Print on the web", "PDF (*.pdf)", " on web.pdf",
          [square = printedSquare()](const quilt::Quilt& quilt, const quilt::Block& block) {
              return output::webPages(quilt, block, onPaper(false, square)).and_then([&](const auto& pages) {
                  return output::writePdf(pages, block.name);
              });
          });
}

void SheetCommands::cutByMachine() {
    if (!m_session.block()) return;
    m_asker.cutByMachine(
        {m_session.quilt(), m_session.blockId(), std::make_shared<SampleCutter>(),
         [this](CutFormat format, const std::vector<sheet::Page>& mats) { writeMats(format, mats); }});
}

/// "Heron mat 1.svg", "Heron mat 2.svg", … beside the file that was chosen.
void SheetCommands::writeMats(CutFormat format, const std::vector<sheet::Page>& mats) {
    const QString ending = format == CutFormat::svg ? ".svg" : ".dxf";
    const auto name = QString::fromStdString(m_session.block()->name);
    auto path = m_asker.fileToSave("Cut files", format == CutFormat::svg ? "SVG (*.svg)" : "DXF (*.dxf)",
                                   name + " mat" + ending);
    if (path.isEmpty()) return;
    if (path.endsWith(ending, Qt::CaseInsensitive)) path.chop(ending.size());
    for (std::size_t i = 0; i < mats.size(); ++i) {
        const auto bytes = format == CutFormat::svg ? Result<std::string>(output::writeSvg(mats[i]))
                                                    : output::writeDxf(mats[i]);
        const auto file = (path + QString(" %1").arg(i + 1) + ending).toStdString();
        const auto written =
            bytes ? store::writeFile(file, *bytes) : Result<void>(tl::unexpected(bytes.error()));
        if (!written) return m_session.complain(written.error());
    }
    emit told(
        QString("%1 written beside “%2”: true size, mirrored already.")
            .arg(mats.size() == 1 ? QString("One cut file is") : QString("%1 cut files are").arg(mats.size()))
            .arg(path));
}

void SheetCommands::writeCutFile() {
    write("Cut file", "SVG (*.svg)", " cut.svg", [](const quilt::Quilt& quilt, const quilt::Block& block) {
        return output::cutSheet(quilt, block).map(output::writeSvg);
    });
}

} // namespace up::app
