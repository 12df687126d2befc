// SPDX-License-Identifier: GPL-3.0-or-later
// Shows a page with what was found and what was left out and why; what is wanted is ticked.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/importing.hpp"
#include "app/session/errand.hpp"

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QSpinBox;
class QVBoxLayout;

namespace up::app {

class ImportPicture;

class ImportDialog : public Form {
    Q_OBJECT
public:
    explicit ImportDialog(ImportQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] ImportAnswer answer() const;

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    void buildReading(QVBoxLayout& column);
    void buildShapes(QVBoxLayout& column);
    void buildPlacing(QVBoxLayout& column);
    void buildMeasuring(QVBoxLayout& column);
    void buildMargin(QVBoxLayout& column);
    /// The marked length becomes what was typed: the page is scaled by as much.
    void applyMark();
    void present(const Result<quilt::Drawing>& drawing);
    void readAgain();
    /// The user does not want to wait: what was shown before stays.
    void stopReading();
    void showSettings();
    /// Reads all pages, asks how they lie, and shows them as one.
    void joinPages();
    /// Finds out, aside, which way round the letters read.
    void askLetters();
    /// What the letters say, and whether the answer goes with it.
    void tellSide();
    [[nodiscard]] std::vector<std::string> namesShown() const;
    void fillList();
    void chooseRole(int shape, edit::Role role);
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    [[nodiscard]] edit::ImportOptions options() const;

    ImportQuestion m_question;
    ReadSettings m_settings;
    Result<quilt::Drawing> m_read; ///< as it was read
    quilt::Drawing m_drawing;      ///< as it is shown: lines over colours may be pieces
    std::vector<edit::Role> m_roles;
    Errand m_reading;
    Newest m_letters{this, Pool::errands, Newest::Before::stops}; ///< which way round the drawing's are
    ReadSettings m_readBefore{};                                  ///< what is shown was read so
    bool m_filling = false;
    ImportPicture* m_picture;
    static constexpr int allJoined = 0; ///< of m_page, where pages count from 1
    QComboBox* m_page;
    QSpinBox* m_dpi;
    QCheckBox *m_borders, *m_reversed, *m_numbered, *m_linesOver, *m_loose;
    QWidget* m_marginRow;
    QLineEdit* m_margin;
    measure::Length m_free = edit::usualMargin;
    QListWidget* m_list;
    QComboBox *m_role, *m_fit;
    QLabel *m_notes, *m_size, *m_side;
    bool m_sideChosen = false; ///< by hand: the letters change it no more
    QCheckBox* m_measure = nullptr;
    QLineEdit* m_length = nullptr;
    bool m_entered = false; ///< Enter was pressed in it
};

} // namespace up::app
