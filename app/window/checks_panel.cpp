// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/checks_panel.hpp"

#include "app/look/names.hpp"
#include "app/look/wrap_label.hpp"
#include "core/mend/mend.hpp"
#include "words/sentences.hpp"

#include <QGridLayout>
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
    const auto& findings = m_checker.findings();
    m_title->setText(findings.empty() ? "Checks: all well"
                                      : "Checks: " + QString::number(findings.size()) + " to look at");
    if (std::exchange(m_of, m_session.blockId()) != m_session.blockId()) m_most = firstShown;
    for (std::size_t i = 0; i < std::min(m_most, findings.size()); ++i)
        m_rows->addWidget(rowFor(findings[i]));
    if (m_most < findings.size()) {
        const auto more = std::min(firstShown, findings.size() - m_most);
        auto* button = named(new QPushButton(QString("Show %1 more").arg(more), m_list), "checks.more");
        m_rows->addWidget(button);
        connect(button, &QPushButton::clicked, this, [this] {
            m_most += firstShown;
            refresh();
        });
    }
    m_scroll->setVisible(!findings.empty());
    setSizePolicy(QSizePolicy::Preferred, findings.empty() ? QSizePolicy::Maximum : QSizePolicy::Expanding);
    m_rows->addStretch();
}

QWidget* ChecksPanel::rowFor(const check::Finding& finding) {
    auto* row = new QWidget(m_list);
    auto* column = new QVBoxLayout(row);
    column->setContentsMargins(0, 2, 0, 6);
    column->setSpacing(4);
    const bool blocked = finding.severity == check::Severity::blocked;
    auto* text = new WrapLabel("finding", row);
    text->setText((blocked ? "✖ " : "? ") + QString::fromStdString(words::sentence(finding)));
    text->setStyleSheet(blocked ? "color: #B03A25; font-weight: 700;" : "color: #7A5A00;");
    column->addWidget(text);
    auto* buttons = new QGridLayout; // two in a row: more are wider than the panel
    column->addLayout(buttons);
    int count = 0;
    const auto add = [&](const QString& label, const char* key) {
        auto* button = named(new QPushButton(label, row), key);
        buttons->addWidget(button, count / 2, count % 2);
        ++count;
        return button;
    };
    if (finding.piece || !finding.where.isEmpty())
        connect(add("Show", "check.show"), &QPushButton::clicked, this,
                [this, finding] { m_session.pointAt(finding.piece, finding.where, finding.spot); });
    for (const auto how : finding.fixes)
        connect(add(QString::fromStdString(words::fixWords(how)), "check.fix"), &QPushButton::clicked, this,
                [this, finding, how] { fix(finding, how); });
    buttons->setColumnStretch(2, 1);
    return row;
}

void ChecksPanel::fix(const check::Finding& finding, check::Fix how) {
    m_mending.start(QString::fromStdString(words::fixWords(how)).toLower(),
                    [finding, how](const quilt::Quilt& quilt) { return mend::mended(quilt, finding, how); });
}

} // namespace up::app
