// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/devices/printer.hpp"

#include "app/canvas/painter.hpp"
#include "core/store/file.hpp"
#include "output/pages/tiling.hpp"
#include "output/pdf/pdf.hpp"

#include <QDir>
#include <QPageLayout>
#include <QPainter>
#include <QPrinter>
#include <QPrinterInfo>

namespace up::app {
namespace {

/// A file's name has no slashes, whatever the block is called.
QString fileName(QString title) {
    return title.replace('/', '-').replace(QChar(0), '-') + ".pdf";
}

QPageLayout layoutOf(const sheet::Page& page) {
    const bool onItsSide = page.width > page.height;
    const QSizeF upright(std::min(page.width, page.height), std::max(page.width, page.height));
    return {QPageSize(upright, QPageSize::Millimeter, {}, QPageSize::FuzzyMatch),
            onItsSide ? QPageLayout::Landscape : QPageLayout::Portrait, QMarginsF(0, 0, 0, 0),
            QPageLayout::Millimeter};
}

} // namespace

QString SamplePrinter::name() const {
    return QObject::tr("the sample printer");
}

Result<QString> SamplePrinter::print(const std::vector<sheet::Page>& pages, const QString& title) {
    if (!QDir().mkpath(m_folder))
        return failure(Code::cannotWrite,
                       {m_folder.toStdString(), QObject::tr("the folder cannot be made").toStdString()});
    m_file = QDir(m_folder).filePath(fileName(title));
    auto misprinted = pages;
    for (auto& page : misprinted)
        output::enlarge(page, m_percent / 100);
    return output::writePdf(misprinted, title.toStdString())
        .and_then([&](const std::string& bytes) { return store::writeFile(m_file.toStdString(), bytes); })
        .map([&] { return QObject::tr("The sheets lie in %1.").arg(m_file); });
}

bool printOn(QPrinter& printer, const std::vector<sheet::Page>& pages, const QString& title) {
    printer.setDocName(title);
    printer.setFullPage(true);
    QPainter painter;
    for (const auto& page : pages) {
        printer.setPageLayout(layoutOf(page));
        if (painter.isActive() ? !printer.newPage() : !painter.begin(&printer)) return false;
        const auto map = QTransform::fromScale(printer.logicalDpiX() / 25.4, printer.logicalDpiY() / 25.4);
        for (const auto& layer : page.layers)
            paintLayer(painter, layer, map);
    }
    return painter.end();
}

Result<QString> SystemPrinter::print(const std::vector<sheet::Page>& pages, const QString& title) {
    QPrinter printer(QPrinterInfo::printerInfo(m_name), QPrinter::HighResolution);
    if (!printer.isValid())
        return failure(
            Code::cannotWrite,
            {m_name.toStdString(), QObject::tr("the desktop does not know this printer now").toStdString()});
    if (pages.empty() || !printOn(printer, pages, title))
        return failure(Code::cannotWrite,
                       {m_name.toStdString(), QObject::tr("it does not take the pages").toStdString()});
    return QObject::tr("The pages are with %1.").arg(m_name);
}

std::vector<std::shared_ptr<Printer>> systemPrinters() {
    std::vector<std::shared_ptr<Printer>> out;
    const auto usual = QPrinterInfo::defaultPrinterName();
    auto names = QPrinterInfo::availablePrinterNames();
    if (names.removeAll(usual) > 0) names.prepend(usual);
    for (const auto& name : names)
        out.push_back(std::make_shared<SystemPrinter>(name));
    return out;
}

} // namespace up::app
