// SPDX-License-Identifier: GPL-3.0-or-later
// Which built-in shape, and its measures.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/shaping.hpp"

class QCheckBox;
class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QSpinBox;
class QVBoxLayout;

namespace up::app {

class ShapePicture;

class ShapeDialog : public Form {
    Q_OBJECT
public:
    explicit ShapeDialog(ShapeQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] ShapeAnswer answer() const { return {m_shapes}; }

private:
    void buildKinds(QVBoxLayout& column);
    void buildLetters();
    /// Fields for the measures of the shape chosen.
    void buildMeasures();
    void addLength(std::size_t measure);
    void addNumber(std::size_t measure);
    void choose(quilt::RecipeKind kind);
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;

    ShapeQuestion m_question;
    quilt::Recipe m_recipe;
    std::vector<edit::NewShape> m_shapes;
    ShapePicture* m_picture;
    QListWidget* m_kinds = nullptr;
    QWidget *m_measures = nullptr, *m_letters = nullptr;
    QVBoxLayout* m_column = nullptr;
    QLineEdit* m_text = nullptr;
    QComboBox* m_family = nullptr;
    QCheckBox *m_bold = nullptr, *m_italic = nullptr, *m_together = nullptr;
    std::vector<std::pair<std::size_t, QWidget*>> m_fields; ///< of which measure
};

} // namespace up::app
