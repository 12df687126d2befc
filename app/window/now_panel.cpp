// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/now_panel.hpp"

#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/look/wrap_label.hpp"
#include "core/plan/work/progress.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include <QPushButton>
#include <QVBoxLayout>

namespace up::app {
namespace {

words::NowWords wordsFor(Session& session) {
    const auto* block = session.block();
    if (!block)
        return {words::tr("Add the first block."),
                words::tr("Give it a name and its finished size; then import a drawing."),
                words::tr("New block…"), ""};
    if (treadOf(session.view()))
        return words::nowWords(session.quilt(), *block, session.next(), session.derived().trace());
    if (block->trimmed)
        return {words::said(N_("“{0}” is finished."), {block->name}),
                words::tr("Choose another block on the wall."), words::tr("Look at it"), ""};
    const auto tread = plan::currentTread(*block);
    return {words::said(N_("Go on with “{0}”."), {block->name}),
            words::said(N_("{0} is its next tread."), {words::treadName(tread)}),
            words::said(N_("Go to {0}"), {words::treadName(tread)}), ""};
}

} // namespace

NowPanel::NowPanel(Session& session, const LayoutJob& layout, const PressClock& clock, QWidget* parent)
    : QFrame(parent), m_session(session), m_layout(layout), m_clock(clock), m_do(new WrapLabel("do", this)),
      m_because(new WrapLabel("because", this)), m_caution(new WrapLabel("caution", this)),
      m_button(named(new QPushButton(this), "now")) {
    setProperty("card", true);
    auto* title = new WrapLabel("title", this);
    title->setText(tr("Now"));
    m_button->setProperty("big", true);
    m_do->setObjectName("now.do"), m_because->setObjectName("now.because"),
        m_caution->setObjectName("now.caution");
    auto* column = new QVBoxLayout(this);
    for (QWidget* part :
         {static_cast<QWidget*>(title), static_cast<QWidget*>(m_do), static_cast<QWidget*>(m_because),
          static_cast<QWidget*>(m_button), static_cast<QWidget*>(m_caution)})
        column->addWidget(part);
    connect(m_button, &QPushButton::clicked, this, &NowPanel::wanted);
    connect(&m_session, &Session::changed, this, &NowPanel::refresh);
    connect(&m_layout, &LayoutJob::runningChanged, this, &NowPanel::refresh);
    connect(&m_clock, &PressClock::runningChanged, this, &NowPanel::refresh);
    refresh();
}

void NowPanel::refresh() {
    const bool layingOut = m_layout.isRunning() && m_session.view() == View::trace;
    const auto words =
        layingOut ? words::NowWords{words::tr("Laying the pieces out…"),
                                    words::tr("Stop whenever you like; the best layout so far is kept."),
                                    words::tr("Stop"), ""}
                  : wordsFor(m_session);
    m_do->setText(q(words.doThis));
    m_because->setText(q(words.because));
    m_because->setVisible(!words.because.empty());
    const bool pressing = m_clock.isRunning() && m_session.next().what == plan::What::press;
    m_button->setText(pressing ? tr("Lift the iron early") : q(words.button));
    m_caution->setText("⚠ " + q(words.caution));
    m_caution->setVisible(!words.caution.empty());
}

} // namespace up::app
