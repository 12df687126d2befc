// SPDX-License-Identifier: GPL-3.0-or-later
// What the print dialog works on.
#pragma once

#include "app/devices/printer.hpp"
#include "core/measure/length.hpp"
#include "output/pages/pages.hpp"

#include <functional>

namespace up::app {

/// Something that may be printed.
struct PrintKind {
    QString name;         ///< "Tracing pages"
    QString advice;       ///< what to put into the printer, and what to do with it
    bool ownSize = false; ///< the paper is as large as the pages are
    std::function<Result<std::vector<sheet::Page>>(const output::PageOptions&)> make; ///< called aside
};

struct PrintQuestion {
    QString block;
    std::vector<PrintKind> kinds;
    std::size_t first = 0; ///< of the kinds: the one proposed
    std::vector<std::shared_ptr<Printer>> printers;
    std::function<std::vector<std::shared_ptr<Printer>>()> more{}; ///< looks for others, called aside
    QString settings;                                              ///< the file for what is remembered
    measure::System units = measure::System::inches;
    std::function<void(const PrintKind&, const std::vector<sheet::Page>&)> write; ///< as PDF, asking where
};

/// What is remembered of paper and printers.
class PrintMemory {
public:
    explicit PrintMemory(QString settings) : m_settings(std::move(settings)) {}
    [[nodiscard]] measure::Paper paper() const;
    void keepPaper(const measure::Paper& paper) const;
    /// What that printer's one-inch square measures, mm.
    [[nodiscard]] double square(const QString& printer) const;
    void keepSquare(const QString& printer, double mm) const;

private:
    QString m_settings;
};

/// PDF files are printed by somebody else: their square is remembered under this name.
inline constexpr const char* pdfFile = "a PDF file";

} // namespace up::app
