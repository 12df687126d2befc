// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid along a line of a block or set at places: a stem, a tape, a ribbon, buttons.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/lining.hpp"
#include "core/lead/tapes.hpp"

class QCheckBox;
class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QSpinBox;

namespace up::app {

class LinePicture;

/// Where it is laid.
enum class Where : std::uint8_t {
    drawn,  ///< with the mouse
    edge,   ///< of a piece
    borders ///< of all pieces: leading
};

/// What keeps it in its place.
enum class Held : std::uint8_t { machine, zigzag, hand, glue };

class LaidDialog : public Form {
    Q_OBJECT
public:
    explicit LaidDialog(LineQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const quilt::Line& answer() const { return m_answer; }

private:
    void buildWhat(QFormLayout& form);
    void buildHow(QFormLayout& form);
    void start();
    void fill(const quilt::Line& line);
    /// How such a thing usually is, where nobody has said otherwise.
    void takeUsual();
    void showFields();
    [[nodiscard]] std::vector<shape::Contour> strokes();
    [[nodiscard]] Result<void> readHow();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    LineQuestion m_question;
    quilt::Line m_answer;
    std::vector<shape::Contour> m_drawn;    ///< with the mouse, or as it came
    bool m_isExample = false;               ///< drawn by nobody yet: what is drawn takes its place
    std::optional<lead::Leading> m_leading; ///< once it was asked for
    LinePicture* m_picture;
    QComboBox *m_trim, *m_along, *m_fabric, *m_held, *m_thread, *m_begin, *m_end;
    QLineEdit *m_name, *m_width;
    QSpinBox* m_called;
    QCheckBox* m_melts;
    QPushButton* m_clear;
    QFormLayout* m_form = nullptr;
    QLabel* m_about;
    quilt::Trim m_usualOf{}; ///< what the fields were last set for
};

} // namespace up::app
