// SPDX-License-Identifier: GPL-3.0-or-later
// A line on a block: its words, or how it was drawn; how it is stitched.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/lining.hpp"

class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QSpinBox;

namespace up::app {

class LinePicture;

/// What words run along.
enum class Baseline : std::uint8_t {
    arc,  ///< a straight line or an arc
    edge, ///< of a piece
    drawn ///< with the mouse
};

class LineDialog : public Form {
    Q_OBJECT
public:
    explicit LineDialog(LineQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const quilt::Line& answer() const { return m_answer; }

private:
    void buildWords(QFormLayout& form);
    void buildStitches(QFormLayout& form);
    void start();
    void fill(const quilt::Line& line);
    void showKind();
    /// Along a piece's edge or a line that was drawn, on the block; none: straight or on an arc.
    [[nodiscard]] Result<std::vector<shape::Contour>> baseline() const;
    [[nodiscard]] Result<void> readWords();
    /// Errors: Code::badLength, absurdSize outside so many mm.
    [[nodiscard]] Result<quilt::Length> lengthIn(const QLineEdit& field, const QString& what, double least,
                                                 double most) const;
    [[nodiscard]] Result<void> readStitches();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    LineQuestion m_question;
    quilt::Line m_answer;
    std::vector<shape::Contour> m_drawn;    ///< with the mouse, or as it came
    std::vector<shape::Contour> m_baseline; ///< the last one that was drawn, or as it came
    LinePicture* m_picture;
    QComboBox *m_kind, *m_family, *m_along, *m_stitch, *m_thread, *m_pen;
    QLineEdit *m_text, *m_height, *m_name, *m_length, *m_width, *m_off;
    QSpinBox *m_bend, *m_from, *m_strands;
    QPushButton* m_clear;
    QFormLayout* m_form = nullptr;
    QLabel* m_about;
};

} // namespace up::app
