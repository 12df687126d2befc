// SPDX-License-Identifier: GPL-3.0-or-later
// Scales a block or a piece by percentage, to a width or height, or so that one marked length becomes
// another, and shows beforehand what every piece becomes and what gets too thin.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/sizing.hpp"
#include "app/session/aside.hpp"

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QSlider;
class QTableView;
class QTimer;
class QVBoxLayout;

namespace up::app {

class SizePicture;
class SizeTable;

class SizeDialog : public Form {
    Q_OBJECT
public:
    explicit SizeDialog(SizeQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] SizeAnswer answer() const;

private:
    void buildFields(QVBoxLayout& column);
    void buildStitch(QVBoxLayout& column);
    /// Width and height of what is sized, as it is now, mm.
    [[nodiscard]] shape::Point sizeNow() const;
    [[nodiscard]] bool isWhole() const;
    /// Everything follows, but for the field that is being written in.
    void setFactor(double factor, const QWidget* from = nullptr);
    /// The factor that the length in the field comes to, when it is `now` mm as it is.
    [[nodiscard]] Result<double> factorIn(const QLineEdit& field, double now) const;
    void typedInto(QLineEdit& field);
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    void judge();
    /// Thin parts, by piece.
    using Thin = std::vector<std::vector<shape::Narrow>>;
    void tellThin(const Thin& thin, double factor);
    void offerSmallest();

    SizeQuestion m_question;
    double m_factor = 1;
    quilt::EdgeStitch m_edge;
    QCheckBox* m_keep = nullptr;
    SizePicture* m_picture;
    SizeTable* m_model;
    QComboBox *m_which, *m_stitch;
    QDoubleSpinBox* m_percent;
    QLineEdit *m_width, *m_height, *m_mark, *m_stitchWidth;
    QSlider* m_slider;
    QPushButton* m_smallest;
    std::optional<std::pair<bool, quilt::EdgeStitch>> m_offered; ///< of what `m_smallest` tells: whole, edge
    QLabel* m_verdict;
    QTableView* m_table;
    QTimer* m_later;
    const QLineEdit* m_typed = nullptr; ///< what was written last gives the size
    Newest m_newest{this, Pool::answers, Newest::Before::stops};
};

} // namespace up::app
