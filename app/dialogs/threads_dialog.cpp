// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/threads_dialog.hpp"

#include "app/dialogs/choice.hpp"
#include "app/dialogs/parts.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/look/wrap_label.hpp"
#include "app/pictures/threads_picture.hpp"
#include "words/stitch_words.hpp"

#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QVBoxLayout>
#include <algorithm>

namespace up::app {
namespace {
enum class Order : std::uint8_t { matching, standingOut };
}

ThreadsDialog::ThreadsDialog(ThreadsQuestion question, QWidget* parent)
    : Form(tr("Threads for %1").arg(q(question.of)), parent), m_question(std::move(question)),
      m_answer(m_question.chosen), m_order(named(new QComboBox(this), "threads.order")),
      m_thread(named(new QComboBox(this), "threads.thread")),
      m_picture(named(new ThreadsPicture(m_question, this), "threads.picture")),
      m_about(new WrapLabel("quiet", this)) {
    auto* column = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    column->addLayout(form);
    offer<Order>(*m_order, {{Order::matching, tr("What matches the cloth")},
                            {Order::standingOut, tr("What stands out from it")}});
    form->addRow(tr("First"), m_order);
    form->addRow(tr("Thread"), m_thread);
    column->addWidget(m_picture, 1);
    column->addWidget(m_about);
    sort();
    connect(m_order, &QComboBox::activated, this, &ThreadsDialog::sort);
    connect(m_picture, &ThreadsPicture::picked, this,
            [this](ThreadId thread) { m_thread->setCurrentIndex(m_thread->findData(thread.value)); });
    watch({m_order, m_thread});
    addFoot(*column, tr("Stitch with it"), "threads.keep");
}

void ThreadsDialog::sort() {
    const bool standsOut = chosenIn<Order>(*m_order) == Order::standingOut;
    std::stable_sort(m_question.threads.begin(), m_question.threads.end(),
                     [&](const ThreadTried& a, const ThreadTried& b) {
                         return standsOut ? a.off > b.off : a.off < b.off;
                     });
    const auto chosen = m_thread->count() ? m_thread->currentData().toUInt() : m_question.chosen.value;
    m_thread->clear();
    for (const auto& tried : m_question.threads)
        m_thread->addItem(swatchOf(tried.strand), q(tried.name), tried.thread.value);
    m_thread->setCurrentIndex(std::max(0, m_thread->findData(chosen)));
}

Result<void> ThreadsDialog::read() {
    m_answer = ThreadId{m_thread->currentData().toUInt()};
    return {};
}

void ThreadsDialog::follow(bool) {
    auto shown = m_question.threads;
    const auto chosen = std::find_if(shown.begin(), shown.end(),
                                     [&](const ThreadTried& tried) { return tried.thread == m_answer; });
    if (chosen == shown.end()) return;
    const auto tried = *chosen;
    const auto place = chosen - shown.begin();
    if (place >= ThreadsPicture::tiles) // it is seen in any case
        std::swap(shown[ThreadsPicture::tiles - 1], shown[static_cast<std::size_t>(place)]);
    shown.resize(std::min<std::size_t>(shown.size(), ThreadsPicture::tiles));
    m_picture->show(std::move(shown), m_answer);
    m_about->setText(q(words::triedWords(tried.strand, m_question.cloth, tried.off, m_question.twice)));
}

} // namespace up::app
