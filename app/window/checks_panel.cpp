// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/checks_panel.hpp"

#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/look/wrap_label.hpp"
#include "core/edit/stacking.hpp"
#include "core/mend/mend.hpp"
#include "words/finding_words.hpp"

#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>
#include <utility>

namespace up::app {

ChecksPanel::ChecksPanel(Session& session, const Checker& checker, Mending& mending, QWidget* parent)
    : QFrame(parent), m_session(session), m_checker(checker), m_mending(mending), m_title(new QLabel(this)) {
    setProperty("card", true);
    m_title->setProperty("role", "title");
    m_scroll = named(new QScrollArea(this), "checks");
    m_scroll->setWidgetResizable(true);
    m_scroll->setMinimumHeight(44);
    m_scroll->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Ignored);
    m_scroll->setFrameShape(QFrame::NoFrame);
    m_scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_scroll->setStyleSheet("QScrollArea, QScrollArea > QWidget > QWidget { background: transparent; }");
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_title);
    column->addWidget(m_scroll, 1);
    m_list = new QWidget(m_scroll);
    m_rows = new QVBoxLayout(m_list);
    m_rows->setContentsMargins(0, 0, 0, 0);
    m_scroll->setWidget(m_list);
    connect(&m_checker, &Checker::checked, this, &ChecksPanel::refresh);
    refresh();
}

void ChecksPanel::refresh() {
    while (auto* item = m_rows->takeAt(0)) {
        if (item->widget()) item->widget()->deleteLater();
        delete item;
    }
    const auto& rows = m_checker.rows();
    if (std::exchange(m_of, m_session.blockId()) != m_session.blockId()) {
        m_unfolded.reset();
        m_most = firstShown;
    }
    m_title->setText(
        rows.empty() ? tr("Checks: all well")
                     : q(words::said(N2_("Checks: {0} to look at", "Checks: {0} to look at"), rows.size())));
    for (const auto& row : rows)
        m_rows->addWidget(boxFor(row));
    if (m_checker.left() > 0) m_rows->addWidget(leftBox());
    const bool any = !rows.empty() || m_checker.left() > 0;
    m_scroll->setVisible(any);
    setSizePolicy(QSizePolicy::Preferred, any ? QSizePolicy::Expanding : QSizePolicy::Maximum);
    m_rows->addStretch();
}

/// A sentence and its buttons, as many in a line as the panel has room for.
class ChecksPanel::Box : public QWidget {
public:
    Box(const QString& text, bool blocked, QWidget* parent) : QWidget(parent), m_buttons(new QVBoxLayout) {
        auto* column = new QVBoxLayout(this);
        column->setContentsMargins(0, 2, 0, 6);
        column->setSpacing(4);
        auto* label = new WrapLabel("finding", this);
        label->setText(text);
        label->setStyleSheet(blocked ? "color: #B03A25; font-weight: 700;" : "color: #7A5A00;");
        column->addWidget(label);
        column->addLayout(m_buttons);
        m_buttons->setSpacing(4);
    }
    template<class Do> QPushButton* add(const QString& label, const char* key, Do&& act) {
        auto* button = named(new QPushButton(label, this), key);
        const int wide = button->sizeHint().width();
        if (m_used == 0 || m_used + wide > room) {
            m_line = new QHBoxLayout;
            m_line->setSpacing(4);
            m_line->addStretch();
            m_buttons->addLayout(m_line);
            m_used = 0;
        }
        m_line->insertWidget(m_line->count() - 1, button);
        m_used += wide + m_line->spacing();
        connect(button, &QPushButton::clicked, this, std::forward<Do>(act));
        return button;
    }
    [[nodiscard]] QVBoxLayout* column() const { return static_cast<QVBoxLayout*>(layout()); }

private:
    static constexpr int room = 250; // beside the scroll bar
    QVBoxLayout* m_buttons;
    QHBoxLayout* m_line = nullptr;
    int m_used = 0;
};

ChecksPanel::Box* ChecksPanel::bareBox(const check::Row& row, QWidget* parent) {
    const bool blocked = row.worst().severity() == check::Severity::blocked;
    auto* box =
        new Box((blocked ? "✖ " : "? ") + q(words::sentence(m_session.quilt(), row)), blocked, parent);
    const bool hasPlace = row.worst().piece || !row.worst().where.isEmpty();
    if (hasPlace)
        box->add(tr("Show"), "check.show", [this, row] {
            m_session.pointAt(row.worst().piece, {row.where(), row.spots()});
        });
    for (const auto how : row.fixes()) {
        const auto count = row.with(how).size();
        box->add(q(words::fixWords(how, count)), how == check::Fix::leaveSo ? "check.leave" : "check.fix",
                 [this, row, how] { fix(row, how); });
    }
    return box;
}

QWidget* ChecksPanel::boxFor(const check::Row& row) {
    auto* box = bareBox(row, m_list);
    if (row.count() == 1) return box;
    const bool unfolded = m_unfolded == check::rowOf(row.worst().kind);
    box->add(unfolded ? tr("Together") : tr("One by one"), "check.each",
             [this, unfolded, kind = check::rowOf(row.worst().kind)] {
                 m_unfolded = unfolded ? std::nullopt : std::optional(kind);
                 m_most = firstShown;
                 refresh();
             });
    if (!unfolded) return box;
    for (std::size_t i = 0; i < std::min(m_most, row.count()); ++i) {
        auto* one = bareBox({{row.findings[i]}}, box);
        one->layout()->setContentsMargins(14, 2, 0, 6);
        box->column()->addWidget(one);
    }
    if (m_most >= row.count()) return box;
    auto* more =
        named(new QPushButton(tr("Show %1 more").arg(std::min(firstShown, row.count() - m_most)), box),
              "checks.more");
    box->column()->addWidget(more);
    connect(more, &QPushButton::clicked, this, [this] {
        m_most += firstShown;
        refresh();
    });
    return box;
}

QWidget* ChecksPanel::leftBox() {
    const auto count = m_checker.left();
    auto* box =
        new Box(count == 1 ? tr("1 doubt left as it is.") : tr("%1 doubts left as they are.").arg(count),
                false, m_list);
    box->findChild<QLabel*>()->setStyleSheet("color: #55626C;");
    box->add(tr("Ask again"), "check.again", [this] {
        m_session.apply(edit::askAgain(m_session.quilt(), m_session.blockId()), tr("ask again"));
    });
    return box;
}

void ChecksPanel::fix(const check::Row& row, check::Fix how) {
    const auto all = row.with(how);
    m_mending.start(q(words::fixWords(how, all.size())),
                    [all, how](const quilt::Quilt& quilt) { return mend::mended(quilt, all, how); });
}

} // namespace up::app
