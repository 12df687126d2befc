// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/rail.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/views/pieces.hpp"
#include "core/sheet/sheet.hpp"
#include "words/sentences.hpp"

#include <QComboBox>
#include <QPainter>
#include <QShortcut>
#include <QStyledItemDelegate>
#include <QVBoxLayout>

namespace up::app {
namespace {

/// Of the steps that it goes through.
double shareDone(const quilt::Piece& piece) {
    int done = 0, all = 0;
    for (const auto step : every<quilt::Step>()) {
        if (step == quilt::Step::toTrace || step == quilt::Step::marked || !goesThrough(step, piece.way()))
            continue;
        ++all, done += step <= piece.work.step ? 1 : 0;
    }
    return static_cast<double>(done) / all;
}

constexpr int idRole = Qt::UserRole, numberRole = Qt::UserRole + 1, colourRole = Qt::UserRole + 2,
              stateRole = Qt::UserRole + 3, doneRole = Qt::UserRole + 4, pathRole = Qt::UserRole + 5;

class PieceDelegate : public QStyledItemDelegate {
public:
    explicit PieceDelegate(QObject* parent) : QStyledItemDelegate(parent) {}
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override {
        return {200, 46};
    }

    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        const QRectF r = option.rect;
        painter->save();
        painter->setRenderHint(QPainter::Antialiasing);
        if (option.state & QStyle::State_Selected) {
            painter->fillRect(r, QColor(0xEF, 0xE3, 0xCC));
            painter->fillRect(QRectF(r.left(), r.top(), 4, r.height()), look::q(look::brass));
        }
        const QColor cloth = index.data(colourRole).value<QColor>();
        paintShape(*painter, r, index.data(pathRole).value<QPainterPath>(), cloth);
        paintWords(*painter, r, index);
        painter->restore();
    }

private:
    static void paintShape(QPainter& painter, const QRectF& r, const QPainterPath& path,
                           const QColor& cloth) {
        const auto fit = fitted(path.boundingRect(), QRectF(r.left() + 38, r.top() + 6, 40, r.height() - 12));
        painter.setPen(QPen(look::q(look::slate), 1));
        painter.setBrush(cloth);
        painter.drawPath(fit.map(path));
    }

    static void paintWords(QPainter& painter, const QRectF& r, const QModelIndex& index) {
        QFont font = painter.font();
        const auto label = index.data(numberRole).toString();
        font.setPixelSize(label.size() > 3 ? 11 : 15);
        font.setBold(true);
        painter.setFont(font);
        painter.setPen(look::q(look::ink));
        painter.drawText(QRectF(r.left() + 6, r.top(), 28, r.height()), Qt::AlignCenter, label);
        font.setPixelSize(15);
        const QRectF words(r.left() + 86, r.top() + 3, r.width() - 92, 20);
        font.setBold(false);
        painter.setFont(font);
        painter.drawText(words, Qt::AlignLeft | Qt::AlignVCenter,
                         painter.fontMetrics().elidedText(index.data(Qt::DisplayRole).toString(),
                                                          Qt::ElideRight, static_cast<int>(words.width())));
        font.setPixelSize(13);
        painter.setFont(font);
        painter.setPen(look::q(look::slate));
        painter.drawText(words.translated(0, 18), Qt::AlignLeft | Qt::AlignVCenter,
                         index.data(stateRole).toString());
        const double share = index.data(doneRole).toDouble();
        const QRectF bar(words.left(), r.bottom() - 6, words.width(), 3);
        painter.fillRect(bar, look::q(look::line));
        painter.fillRect(QRectF(bar.left(), bar.top(), bar.width() * share, bar.height()),
                         look::q(share >= 1 ? look::moss : look::brass));
    }
};

} // namespace

Rail::Rail(Session& session, QWidget* parent)
    : QWidget(parent), m_session(session), m_block(named(new QComboBox(this), "block")),
      m_find(named(new QLineEdit(this), "find")), m_list(named(new QListWidget(this), "rail")) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(m_block);
    column->addWidget(m_find);
    column->addWidget(m_list);
    m_find->setPlaceholderText(tr("Find a piece  /"));
    m_find->setClearButtonEnabled(true);
    m_list->setItemDelegate(new PieceDelegate(m_list));
    m_list->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    QFont bold = m_block->font();
    bold.setBold(true);
    m_block->setFont(bold);
    connect(m_block, &QComboBox::activated, this,
            [this](int i) { m_session.chooseBlock(BlockId{m_block->itemData(i).toUInt()}); });
    connect(m_find, &QLineEdit::textChanged, this, &Rail::filter);
    auto* leave = new QShortcut(Qt::Key_Escape, m_find, m_find, &QLineEdit::clear, Qt::WidgetShortcut);
    connect(leave, &QShortcut::activated, m_list, qOverload<>(&QWidget::setFocus));
    connect(m_find, &QLineEdit::returnPressed, this, [this] { m_list->setFocus(); });
    m_list->setSelectionMode(QAbstractItemView::ExtendedSelection);
    connect(m_list, &QListWidget::itemSelectionChanged, this, &Rail::choose);
    connect(&m_session, &Session::changed, this, &Rail::refresh);
    fill();
}

void Rail::focusFind() {
    m_find->setFocus(Qt::ShortcutFocusReason);
    m_find->selectAll();
}

void Rail::refresh(Change change) {
    if (change == Change::quilt) fill();
    if (change == Change::place) mark();
}

std::vector<Rail::Entry> Rail::entries() const {
    std::vector<Entry> out;
    if (const auto* block = m_session.block())
        for (const auto& piece : block->pieces)
            out.push_back({piece.id, quilt::labelOf(*block, piece.id), piece.name,
                           drawn::fabricName(m_session.quilt(), piece.fabric),
                           drawn::clothOf(m_session.quilt(), piece.fabric), piece.work.step, piece.outline});
    return out;
}

void Rail::fill() {
    std::pair<std::vector<std::string>, std::vector<Entry>> wanted{{}, entries()};
    for (const auto& block : m_session.quilt().blocks)
        wanted.first.push_back(std::to_string(block.id.value) + " " + block.name);
    if (wanted == m_filled && m_shown.first == m_session.blockId()) return mark();
    m_filled = std::move(wanted);
    const auto* owner = m_session.block();
    const std::size_t count = owner ? owner->pieces.size() : 0;
    if (m_shown != std::pair(m_session.blockId(), count))
        m_find->clear(); // what was looked for belongs to what was there
    m_shown = {m_session.blockId(), count};
    m_filling = true;
    m_list->clear();
    m_block->clear();
    for (const auto& block : m_session.quilt().blocks)
        m_block->addItem(q(block.name), block.id.value);
    m_block->setCurrentIndex(m_block->findData(m_session.blockId().value));
    m_block->setVisible(m_block->count() > 0);
    if (const auto* block = m_session.block()) {
        for (std::size_t i = block->pieces.size(); i-- > 0;) {
            const auto& piece = block->pieces[i];
            auto* item = new QListWidgetItem(q(piece.name), m_list);
            item->setData(idRole, piece.id.value);
            const auto label = q(quilt::labelOf(*block, piece.id));
            item->setData(numberRole, label);
            item->setData(colourRole, look::q(drawn::clothOf(m_session.quilt(), piece.fabric)));
            item->setData(stateRole, q(words::state(piece.work.step)));
            item->setData(doneRole, shareDone(piece));
            item->setData(pathRole, QVariant::fromValue(pathOf(sheet::contoursOf(*piece.outline))));
            item->setData(Qt::AccessibleTextRole,
                          QString("%1 %2, %3, %4")
                              .arg(label, q(piece.name),
                                   q(drawn::fabricName(m_session.quilt(), piece.fabric)),
                                   q(words::state(piece.work.step))));
        }
    }
    m_filling = false;
    mark();
    filter(m_find->text());
}

void Rail::mark() {
    m_filling = true;
    const auto* piece = m_session.piece();
    m_list->clearSelection();
    m_list->setCurrentItem(nullptr);
    for (int i = 0; piece && i < m_list->count(); ++i) {
        const PieceId id{m_list->item(i)->data(idRole).toUInt()};
        if (id == piece->id) m_list->setCurrentRow(i, QItemSelectionModel::NoUpdate);
        if (m_session.isChosen(id)) m_list->item(i)->setSelected(true);
    }
    m_filling = false;
}

void Rail::choose() {
    if (m_filling) return;
    std::vector<PieceId> pieces;
    for (const auto* item : m_list->selectedItems())
        pieces.emplace_back(item->data(idRole).toUInt());
    const auto* current = m_list->currentItem();
    const PieceId last{current && current->isSelected() ? current->data(idRole).toUInt() : 0U};
    if (pieces.size() > 1)
        m_session.choosePieces(std::move(pieces), last);
    else if (!pieces.empty())
        m_session.choosePiece(pieces.front());
}

void Rail::filter(const QString& text) {
    const auto* block = m_session.block();
    for (int i = 0; i < m_list->count(); ++i) {
        auto* item = m_list->item(i);
        const auto* piece =
            block ? quilt::find(block->pieces, PieceId{item->data(idRole).toUInt()}) : nullptr;
        const QString fabric = piece ? q(drawn::fabricName(m_session.quilt(), piece->fabric)) : QString();
        const bool hit = text.isEmpty() || item->text().contains(text, Qt::CaseInsensitive) ||
                         fabric.contains(text, Qt::CaseInsensitive) ||
                         item->data(numberRole).toString() == text;
        item->setHidden(!hit);
    }
}

} // namespace up::app
