// SPDX-License-Identifier: GPL-3.0-or-later
// Every piece before and after, with its narrowest place: a table that follows the scale while it is dragged.
#pragma once

#include "app/questions/sizing.hpp"

#include <QAbstractTableModel>

namespace up::app {

class SizeTable : public QAbstractTableModel {
    Q_OBJECT
public:
    explicit SizeTable(const SizeQuestion& question, QObject* parent = nullptr);

    void show(bool wholeBlock, double factor, const quilt::EdgeStitch& edge);

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] int columnCount(const QModelIndex&) const override { return 4; }
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    [[nodiscard]] double factorOf(std::size_t piece) const;
    const SizeQuestion& m_question;
    std::vector<shape::Box> m_boxes;
    quilt::EdgeStitch m_edge;
    double m_factor = 1;
    bool m_whole = true;
};

} // namespace up::app
