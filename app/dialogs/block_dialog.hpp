// SPDX-License-Identifier: GPL-3.0-or-later
// A new block: name, finished size, background, web; with the square as it will be cut.
#pragma once

#include "app/dialogs/form.hpp"
#include "app/questions/blocking.hpp"

#include <QColor>

class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;

namespace up::app {

class LayerPicture;

class BlockDialog : public Form {
    Q_OBJECT
public:
    explicit BlockDialog(BlockQuestion question, QWidget* parent = nullptr);
    [[nodiscard]] BlockAnswer answer() const;

private:
    void buildFields(QFormLayout& form);
    void buildCloth(QFormLayout& form);
    void chooseCloth();
    void pickColour();
    [[nodiscard]] Result<void> read() override;
    void follow(bool well) override;
    [[nodiscard]] Result<quilt::Block> block() const;
    [[nodiscard]] bool isFreshCloth() const;
    [[nodiscard]] QString says(const quilt::Block& block) const;

    BlockQuestion m_question;
    QColor m_picked;
    QLineEdit *m_name, *m_size, *m_clothName;
    QComboBox *m_cloth, *m_web;
    QPushButton* m_colour;
    QLabel* m_says;
    LayerPicture* m_picture;
};

} // namespace up::app
