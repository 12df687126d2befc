// SPDX-License-Identifier: GPL-3.0-or-later
// The window in a made-up language, every letter accented and every text 40 per cent longer: whatever is still
// plain was never given to a translator, whatever is cut off would be so in German.
#include "app/canvas/mat.hpp"
#include "tests/gui/bench.hpp"
#include "tests/gui/every_dialog.hpp"
#include "tests/language/painted_texts.hpp"

#include <QAbstractButton>
#include <QAction>
#include <QComboBox>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QRegularExpression>
#include <QSize>
#include <QTableWidget>
#include <set>

namespace up::test {
namespace {

using app::View;

/// Words of two plain letters or more; measures, keys and kinds of files are no words.
QString plainIn(QString text) {
    static const QRegularExpression notWords(
        "\\b((Mon|Tue|Wed|Thu|Fri|Sat|Sun) \\d+ \\w{3} "
        "\\d+|in|mm|cm|SVG|DXF|PDF|PNG|A4|Ctrl|Shift|Alt|Esc|Del|Enter|Space|Tab|F1|F2)\\b|"
        "<[^>]*>|&\\w+;|[\\w./-]+\\.(upstairs|svg|pdf|dxf|png|jpg|ini)\\b|/\\S+");
    static const QRegularExpression word("(?<![\\p{L}])[A-Za-z]{2,}(?![\\p{L}])");
    text.remove(notWords);
    const auto match = word.match(text);
    return match.hasMatch() ? match.captured() : QString();
}

class Language : public WindowTest {
protected:
    /// Each text is complained of once.
    void expectSpoken(const QString& text, const QString& where) {
        const auto plain = plainIn(text);
        if (plain.isEmpty() || !m_seen.insert(text).second) return;
        ADD_FAILURE() << "not translated: “" << text.toStdString() << "” (" << where.toStdString() << ")";
    }
    void expectWhole(const PaintedText& painted, const QWidget& widget, const QString& where) {
        const QRectF within = QRectF(widget.rect()).adjusted(-1.5, -1.5, 1.5, 1.5);
        const bool elided = painted.text.trimmed().endsWith(QChar(0x2026));
        if (within.contains(painted.where) && !elided) return;
        if (!m_seen.insert("cut " + painted.text).second) return;
        ADD_FAILURE() << "cut off: “" << painted.text.toStdString() << "” (" << where.toStdString() << ", "
                      << painted.where.width() << " × " << painted.where.height() << " at "
                      << painted.where.x() << ", " << painted.where.y() << " in " << widget.width() << " × "
                      << widget.height() << ")";
    }
    void look(QWidget& widget, const QString& where) {
        expectSpoken(widget.toolTip(), where + " tip");
        expectSpoken(widget.accessibleName(), where + " name");
        if (widget.isWindow()) expectSpoken(widget.windowTitle(), where + " title");
        if (auto* box = qobject_cast<QComboBox*>(&widget))
            for (int i = 0; i < box->count(); ++i)
                expectSpoken(box->itemText(i), where);
        if (auto* line = qobject_cast<QLineEdit*>(&widget)) expectSpoken(line->placeholderText(), where);
        if (auto* label = qobject_cast<QLabel*>(&widget)) expectRoom(*label, where);
        const bool scrolls = qobject_cast<app::Mat*>(&widget) || isOfList(widget);
        const auto texts = textsPaintedBy(widget);
        for (const auto& painted : texts) {
            expectSpoken(painted.text, where);
            if (!scrolls) expectWhole(painted, widget, where);
        }
        if (!scrolls) expectApart(texts, where);
    }
    static void expectRoom(const QLabel& label, const QString& where) {
        if (!label.wordWrap() || label.text().isEmpty()) return;
        EXPECT_LE(label.heightForWidth(label.width()), label.height() + 1)
            << where.toStdString() << ": " << label.text().toStdString();
    }
    static void expectApart(const std::vector<PaintedText>& texts, const QString& where) {
        for (std::size_t i = 0; i < texts.size(); ++i)
            for (std::size_t j = 0; j < i; ++j) {
                if (texts[i].text == texts[j].text) continue; // once plain, once chosen
                const auto both = texts[i].where & texts[j].where;
                EXPECT_FALSE(both.width() > 2 && both.height() > 4)
                    << "one over the other: “" << texts[j].text.toStdString() << "” and “"
                    << texts[i].text.toStdString() << "” (" << where.toStdString() << ")";
            }
    }
    /// The rows of a list: what is out of sight there comes into sight.
    static bool isOfList(const QWidget& widget) {
        return widget.parentWidget() && widget.parentWidget()->inherits("QAbstractItemView");
    }
    void walk(QWidget& top, const QString& where) {
        look(top, where);
        for (auto* widget : top.findChildren<QWidget*>())
            if (widget->isVisible() && widget->window() == &top)
                look(*widget, where + " " +
                                  (widget->objectName().isEmpty() ? widget->metaObject()->className()
                                                                  : widget->objectName()));
        for (const auto* action : top.findChildren<QAction*>()) {
            expectSpoken(action->text(), where + " action");
            expectSpoken(action->toolTip(), where + " action");
            expectSpoken(action->statusTip(), where + " action");
        }
    }

private:
    std::set<QString> m_seen;
};

TEST_F(Language, IsSpokenAtAll) {
    EXPECT_TRUE(find<QAction>("file.save").text().contains(QChar(0x0160)))
        << find<QAction>("file.save").text().toStdString();
}

class LanguageAt : public Language, public testing::WithParamInterface<QSize> {};

TEST_P(LanguageAt, EveryViewIsTranslatedAndNothingIsCutOff) {
    openSample();
    window().resize(GetParam());
    window().show();
    session().startNew(nameless(session().quilt()));
    for (std::size_t i = 0; i < session().quilt().blocks.size(); ++i) {
        session().chooseBlock(session().quilt().blocks[i].id);
        for (const auto view : every<View>()) {
            session().goTo(view);
            EXPECT_SOON(!room().checker.isBusy() && !room().planning.isBusy());
            for (const bool chosen : {false, true}) {
                const auto* owner = session().block();
                session().choosePiece(chosen && !owner->pieces.empty() ? owner->pieces.front().id
                                                                       : PieceId{});
                for (int i = 0; i < 4; ++i)
                    QTest::qWait(2); // a layout in a layout in a layout asks for room one after the other
                EXPECT_EQ(window().size(), GetParam()) << "asks for more room than there is";
                walk(window(), QString("%1 of block %2").arg(app::nameOf(view)).arg(i + 1));
            }
        }
    }
}

/// A usual screen, a small one, and 1920 × 1080 at 200 %.
INSTANTIATE_TEST_SUITE_P(Screens, LanguageAt,
                         testing::Values(QSize(1280, 800), QSize(1024, 640), QSize(960, 520)),
                         [](const auto& info) { return "Of" + std::to_string(info.param.width()); });

class DialogLanguage : public Language, public testing::WithParamInterface<const char*> {};

TEST_P(DialogLanguage, IsTranslatedAndNothingIsCutOff) {
    const auto form = dialogNamed(GetParam(), Names::numbers);
    form->show();
    EXPECT_TRUE(QTest::qWaitForWindowExposed(form.get()));
    EXPECT_SOON(!form->acceptButton() || form->acceptButton()->isEnabled());
    walk(*form, GetParam());
}

INSTANTIATE_TEST_SUITE_P(All, DialogLanguage, testing::ValuesIn(everyDialog),
                         [](const auto& info) { return std::string(info.param); });

} // namespace
} // namespace up::test
