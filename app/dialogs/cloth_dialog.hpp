// SPDX-License-Identifier: GPL-3.0-or-later
// A piece of cloth in the stash: what it is of, how large, which way its print runs.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/stashing.hpp"
#include "core/shape/region.hpp"

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLineEdit;

namespace up::app {

class ClothPicture;

class ClothDialog : public Form {
    Q_OBJECT
public:
    explicit ClothDialog(ClothQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] const ClothAnswer& answer() const { return m_answer; }

private:
    void build();
    void addSizes(QVBoxLayout& column);
    void fill();
    [[nodiscard]] Result<void> read() override;
    [[nodiscard]] Result<shape::Region> area() const;
    [[nodiscard]] shape::Region sided(const shape::Region& traced, double width, double height) const;
    void follow(bool well) override;
    [[nodiscard]] const quilt::Fabric* fabric() const;
    /// Another fabric was chosen: both sides alike goes with it.
    void followFabric();

    ClothQuestion m_question;
    ClothAnswer m_answer;
    ClothPicture* m_picture;
    QLineEdit *m_name, *m_size;
    QComboBox *m_fabric, *m_heldFor;
    QCheckBox *m_runs, *m_scrap, *m_washed, *m_alike, *m_mirrored;
    QDoubleSpinBox* m_direction;
    QString m_sizeBefore; ///< untouched, the outline stays what it is
};

} // namespace up::app
