// SPDX-License-Identifier: GPL-3.0-or-later
// What pages are printed on.
#pragma once

#include "core/base/error.hpp"
#include "core/sheet/sheet.hpp"

#include <QString>
#include <memory>
#include <optional>
#include <vector>

class QPrinter;

namespace up::app {

class Printer {
public:
    virtual ~Printer() = default;
    /// As a list names it; what is known of the printer is remembered under this name.
    [[nodiscard]] virtual QString name() const = 0;
    /// Prints each page at the size it has; may be called aside. Answers where the sheets are now: "In the
    /// tray". Errors: Code::cannotWrite {printer or file, reason}.
    [[nodiscard]] virtual Result<QString> print(const std::vector<sheet::Page>& pages,
                                                const QString& title) = 0;
    /// What a stand-in is set to print at, percent; nothing: it prints as well as it can.
    [[nodiscard]] virtual std::optional<double> misprint() const { return std::nullopt; }
    virtual void setMisprint(double percent) { (void)percent; }
};

/// Stands in for a printer that prints a little too small, as printers do that fit pages to the paper: its
/// sheets are a PDF file in a folder.
class SamplePrinter : public Printer {
public:
    explicit SamplePrinter(QString folder) : m_folder(std::move(folder)) {}
    [[nodiscard]] QString name() const override;
    [[nodiscard]] Result<QString> print(const std::vector<sheet::Page>& pages, const QString& title) override;
    [[nodiscard]] std::optional<double> misprint() const override { return m_percent; }
    void setMisprint(double percent) override { m_percent = percent; }
    /// Of the sheets printed last.
    [[nodiscard]] QString file() const { return m_file; }

private:
    QString m_folder, m_file;
    double m_percent = 97;
};

/// A printer that the desktop knows.
class SystemPrinter : public Printer {
public:
    explicit SystemPrinter(QString name) : m_name(std::move(name)) {}
    [[nodiscard]] QString name() const override { return m_name; }
    [[nodiscard]] Result<QString> print(const std::vector<sheet::Page>& pages, const QString& title) override;

private:
    QString m_name;
};

/// The printers that the desktop knows, its usual one first. Asking may take a while.
[[nodiscard]] std::vector<std::shared_ptr<Printer>> systemPrinters();

/// Draws the pages edge to edge at true size; false when the printer refuses.
[[nodiscard]] bool printOn(QPrinter& printer, const std::vector<sheet::Page>& pages, const QString& title);

} // namespace up::app
