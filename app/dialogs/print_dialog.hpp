// SPDX-License-Identifier: GPL-3.0-or-later
// Printing: what, on which paper, by which printer, how far that is off; a preview of every page.
#pragma once

#include "app/questions/printing.hpp"

#include <QDialog>

class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace up::app {

class PagesPicture;

class PrintDialog : public QDialog {
    Q_OBJECT
public:
    explicit PrintDialog(PrintQuestion question, QWidget* parent = nullptr);
    /// Pages are being worked out or printed.
    [[nodiscard]] bool isBusy() const { return m_busy; }
    [[nodiscard]] const std::vector<sheet::Page>& pages() const { return *m_pages; }

private:
    void build();
    void fillPrinters();
    /// Aside: the pages anew.
    void make();
    void go();
    void readSquare();
    void choosePrinter();
    void refresh();
    void say(const QString& sentence, bool bad);
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
    QPushButton *m_back, *m_on, *m_go;
    std::shared_ptr<const std::vector<sheet::Page>> m_pages;
    bool m_busy = false, m_again = false;
};

} // namespace up::app
