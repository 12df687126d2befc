// SPDX-License-Identifier: GPL-3.0-or-later
// Every dialog that asks: each control says what it is, Tab reaches each, and whatever is typed wrong holds
// back the answer only until it is right.
#include "app/dialogs/choice.hpp"
#include "app/dialogs/fabric_dialog.hpp"
#include "app/dialogs/ground_dialog.hpp"
#include "tests/gui/every_dialog.hpp"
#include "tests/gui/patience.hpp"
#include "tests/support/shapes.hpp"

#include <QAbstractSlider>
#include <QAbstractSpinBox>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QRadioButton>
#include <QTableWidget>
#include <QTest>
#include <gtest/gtest.h>
#include <set>

namespace up::test {
namespace {

using app::Form;

bool isControl(const QWidget* widget) {
    const bool within = qobject_cast<const QAbstractSpinBox*>(widget->parentWidget()) ||
                        qobject_cast<const QComboBox*>(widget->parentWidget()) ||
                        QString(widget->parentWidget()->metaObject()->className()) == "QHeaderView";
    return !within &&
           (qobject_cast<const QLineEdit*>(widget) || qobject_cast<const QComboBox*>(widget) ||
            qobject_cast<const QAbstractButton*>(widget) || qobject_cast<const QAbstractSpinBox*>(widget) ||
            qobject_cast<const QListWidget*>(widget) || qobject_cast<const QTableWidget*>(widget) ||
            (qobject_cast<const QAbstractSlider*>(widget) &&
             QString(widget->metaObject()->className()) == "QSlider"));
}

/// *Cancel* and *Close* say what they are.
bool isCancel(const QWidget* widget) {
    const auto* button = qobject_cast<const QPushButton*>(widget);
    return button && (button->text() == "Cancel" || button->text() == "Close");
}

class Forms : public testing::TestWithParam<const char*> {
protected:
    Forms() : m_form(dialogNamed(GetParam())) {
        m_form->show();
        EXPECT_TRUE(QTest::qWaitForWindowExposed(m_form.get()));
        QApplication::setActiveWindow(m_form.get()); // no window manager does it in tests
        settle();
    }
    /// What is worked out aside has come.
    void settle() {
        EXPECT_TRUE(QTest::qWaitFor([&] { return mayAccept(); }, test::patience)) << "as it opens";
    }
    std::vector<QWidget*> controls() {
        std::vector<QWidget*> out;
        for (auto* widget : m_form->findChildren<QWidget*>())
            if (widget->isVisible() && isControl(widget) && !isCancel(widget)) out.push_back(widget);
        return out;
    }
    static void type(QLineEdit& field, const QString& text) {
        field.setFocus();
        field.selectAll();
        QTest::keyClick(&field, Qt::Key_Backspace);
        QTest::keyClicks(&field, text);
    }
    [[nodiscard]] bool mayAccept() const {
        return !m_form->acceptButton() || m_form->acceptButton()->isEnabled();
    }

    std::unique_ptr<Form> m_form;
};

TEST_P(Forms, EveryControlSaysWhatItIs) {
    for (const auto* control : controls()) {
        EXPECT_FALSE(control->objectName().isEmpty()) << control->metaObject()->className();
        EXPECT_FALSE(control->accessibleName().isEmpty()) << control->objectName().toStdString();
        EXPECT_FALSE(control->toolTip().isEmpty()) << control->objectName().toStdString();
    }
}

TEST_P(Forms, TabReachesEveryControl) {
    std::set<const QWidget*> wanted, reached;
    for (const auto* control : controls())
        if (control->isEnabled() && (control->focusPolicy() & Qt::TabFocus)) wanted.insert(control);
    std::erase_if(wanted, [](const QWidget* control) { // arrows go from one of these to the next
        const auto* radio = qobject_cast<const QRadioButton*>(control);
        return radio && !radio->isChecked();
    });
    const auto* first = QApplication::focusWidget();
    for (int i = 0; i < 60; ++i) {
        if (const auto* now = QApplication::focusWidget()) {
            if (i > 0 && now == first) break;
            reached.insert(now);
        }
        QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : m_form.get(),
                        Qt::Key_Tab);
    }
    for (const auto* control : wanted)
        EXPECT_TRUE(reached.contains(control)) << control->objectName().toStdString();
}

/// B18: a complaint that stayed when its cause was gone, and the other way round.
TEST_P(Forms, BadInputHoldsBackTheAnswerAndGoodInputLetsItGo) {
    for (auto* control : controls()) {
        auto* field = qobject_cast<QLineEdit*>(control);
        if (!field || !field->isEnabled()) continue;
        const auto name = field->objectName().toStdString();
        const auto good = field->text();
        const QString bad = name.ends_with("ame") ? QString(250, 'x') : QString("thumb");
        type(*field, bad);
        if (m_form->trouble().isEmpty()) { // any text will do there
            EXPECT_TRUE(name.ends_with("heat") || name.ends_with("text")) << name;
            type(*field, good);
            continue;
        }
        EXPECT_FALSE(mayAccept()) << name;
        EXPECT_FALSE(m_form->trouble().isEmpty()) << name << " gives no reason";
        for (auto* other : controls()) { // whatever else is touched
            if (auto* tick = qobject_cast<QCheckBox*>(other)) {
                tick->toggle();
                EXPECT_FALSE(mayAccept()) << name << ", then " << tick->objectName().toStdString();
                tick->toggle();
            }
        }
        QTest::keyClick(field, Qt::Key_Return);
        EXPECT_TRUE(m_form->isVisible()) << name << " was accepted as it is";
        type(*field, good);
        EXPECT_TRUE(QTest::qWaitFor([&] { return mayAccept(); }, test::patience)) << name;
        EXPECT_TRUE(m_form->trouble().isEmpty()) << name << ": " << m_form->trouble().toStdString();
    }
}

TEST_P(Forms, EscapeCancelsAndEnterAccepts) {
    QTest::keyClick(m_form.get(), Qt::Key_Escape);
    EXPECT_EQ(m_form->result(), QDialog::Rejected);
    EXPECT_FALSE(m_form->isVisible());
    if (!m_form->acceptButton() || !m_form->acceptButton()->isDefault()) return; // it does things, and stays
    m_form->show();
    settle();
    m_form->acceptButton()->setFocus();
    QTest::keyClick(m_form.get(), Qt::Key_Return);
    EXPECT_EQ(m_form->result(), QDialog::Accepted);
}

INSTANTIATE_TEST_SUITE_P(All, Forms, testing::ValuesIn(everyDialog),
                         [](const auto& info) { return std::string(info.param); });

/// A strip with a wrong measure can be taken out, and the rest is as it was.
TEST(GroundForm, AWrongStripCanBeRemoved) {
    const auto [quilt, block, piece] = smallGround();
    app::GroundDialog dialog({quilt, block});
    dialog.show();
    auto* strips = dialog.findChild<QTableWidget*>("ground.strips");
    strips->item(1, 1)->setText("a thumb");
    EXPECT_FALSE(dialog.acceptButton()->isEnabled());
    EXPECT_FALSE(dialog.findChild<QPushButton*>("ground.addStrip")->isEnabled());
    strips->setCurrentCell(1, 0);
    QTest::mouseClick(dialog.findChild<QPushButton*>("ground.remove"), Qt::LeftButton);
    EXPECT_TRUE(dialog.acceptButton()->isEnabled());
    EXPECT_TRUE(dialog.trouble().isEmpty());
    EXPECT_EQ(dialog.answer().ground.strips.size(), 1U);
}

TEST(FabricForm, HowItIsMadeStaysWithEachFabric) {
    auto [quilt, block, piece] = smallGround();
    quilt = edit::addFabric(quilt, "rust", {200, 90, 40}).value();
    app::FabricDialog dialog({quilt, block, quilt.fabrics[0].id});
    dialog.show();
    auto& weave = *dialog.findChild<QComboBox*>("fabric.weave");
    app::choose(weave, quilt::Weave::flannel);
    auto* list = dialog.findChild<QListWidget*>("fabric.list");
    list->setCurrentRow(list->count() - 1);
    EXPECT_EQ(app::chosenIn<quilt::Weave>(weave), quilt::Weave::cotton) << "the next one's own";
    list->setCurrentRow(0);
    EXPECT_EQ(app::chosenIn<quilt::Weave>(weave), quilt::Weave::flannel);
    EXPECT_EQ(dialog.answer()[0].weave, quilt::Weave::flannel);
    EXPECT_EQ(dialog.answer().back().weave, quilt::Weave::cotton);
}

TEST(FabricForm, AnEmptyNameIsForgottenWithTheNextFabric) {
    auto [quilt, block, piece] = smallGround();
    quilt = edit::addFabric(quilt, "rust", {200, 90, 40}).value();
    app::FabricDialog dialog({quilt, block, quilt.fabrics[0].id});
    dialog.show();
    dialog.findChild<QLineEdit*>("fabric.name")->setText("  ");
    EXPECT_FALSE(dialog.acceptButton()->isEnabled());
    auto* list = dialog.findChild<QListWidget*>("fabric.list");
    list->setCurrentRow(list->count() - 1);
    EXPECT_TRUE(dialog.acceptButton()->isEnabled());
    EXPECT_TRUE(dialog.trouble().isEmpty());
    EXPECT_EQ(dialog.answer()[0].name, quilt.fabrics[0].name);
}

} // namespace
} // namespace up::test
