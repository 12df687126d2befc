// SPDX-License-Identifier: GPL-3.0-or-later
// Printing: what, on which paper, by which printer, how far that is off; a preview of every page.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/printing.hpp"
#include "app/session/aside.hpp"

class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace up::app {

class PagesPicture;

class PrintDialog : public Form {
    Q_OBJECT
public:
    explicit PrintDialog(PrintQuestion question, QWidget* parent = nullptr);
    /// A field that loses its focus still reports.
    ~PrintDialog() override { hide(); }
    /// Pages are being worked out or printed.
    [[nodiscard]] bool isBusy() const { return m_newest.isBusy() || m_printing; }
    [[nodiscard]] const std::vector<sheet::Page>& pages() const { return *m_pages; }

private:
    void build();
    void fillPrinters();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    /// Prints.
    void act() override;
    /// Aside: the pages anew.
    void make();
    void keepSquare();
    void choosePrinter();
    void refresh();
    void say(const QString& sentence);
    [[nodiscard]] const PrintKind& kind() const;
    [[nodiscard]] Printer* printer() const; ///< none: a PDF file
    [[nodiscard]] QString printerName() const;

    PrintQuestion m_question;
    PrintMemory m_memory;
    PagesPicture* m_picture;
    QComboBox *m_kind, *m_paper, *m_printer;
    QLineEdit* m_square;
    QDoubleSpinBox* m_misprint;
    QLabel *m_misprintName, *m_advice, *m_corrected, *m_count, *m_says;
    QPushButton *m_back, *m_on;
    std::shared_ptr<const std::vector<sheet::Page>> m_pages;
    output::PageOptions m_options;                               ///< as the fields say
    std::optional<std::pair<int, output::PageOptions>> m_madeOf; ///< which kind, and how: the pages
    Newest m_newest{this, Pool::errands, Newest::Before::stops};
    bool m_printing = false;
};

} // namespace up::app
