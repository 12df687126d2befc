// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/size_table.hpp"

#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "words/judge_words.hpp"

namespace up::app {

using measure::Length;

SizeTable::SizeTable(const SizeQuestion& question, QObject* parent)
    : QAbstractTableModel(parent), m_question(question), m_edge(question.block.edge) {
    for (const auto& piece : question.block.pieces)
        m_boxes.push_back(boundsOf(*piece.outline));
}

void SizeTable::show(bool wholeBlock, double factor, const quilt::EdgeStitch& edge) {
    m_whole = wholeBlock, m_factor = factor, m_edge = edge;
    if (rowCount() > 0) emit dataChanged(index(0, 2), index(rowCount() - 1, 3));
}

int SizeTable::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(m_boxes.size());
}

double SizeTable::factorOf(std::size_t piece) const {
    return m_whole || m_question.block.pieces[piece].id == m_question.chosen ? m_factor : 1;
}

QVariant SizeTable::data(const QModelIndex& index, int role) const {
    const auto row = static_cast<std::size_t>(index.row());
    const double factor = factorOf(row);
    const auto size = [&](double by) {
        const auto& box = m_boxes[row];
        return q(measure::saySize(Length::ofMm(box.width() * by), Length::ofMm(box.height() * by),
                                  m_question.units));
    };
    const auto& judged = m_question.judged->pieces[row];
    const auto thin =
        index.column() == 3 ? plan::thinAt(judged, m_edge, factor) : std::vector<shape::Narrow>{};
    if (role == Qt::DisplayRole) {
        switch (index.column()) {
        case 0: return QString("%1 %2").arg(row + 1).arg(q(m_question.block.pieces[row].name));
        case 1: return size(1);
        case 2: return size(factor);
        default: break;
        }
        const double width = thin.empty()
                                 ? shape::narrowest(judged.widths, plan::longestPoint.mm(), factor).width
                                 : thin.front().narrowest.width;
        return QString(thin.empty() ? "" : "⚠ ") + q(words::fineWords(width, m_question.units));
    }
    if (role == Qt::ForegroundRole && !thin.empty()) return look::q(look::rust);
    return {};
}

QVariant SizeTable::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal || role != Qt::DisplayRole) return {};
    return QStringList{tr("Piece"), tr("Now"), tr("Then"), tr("Narrowest then")}.at(section);
}

} // namespace up::app
