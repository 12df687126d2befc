// SPDX-License-Identifier: GPL-3.0-or-later
// Words over several lines that are never cut off: lists beside them give way.
#pragma once

#include <QLabel>

namespace up::app {

class WrapLabel : public QLabel {
public:
    /// `role`: for the style sheet ("do", "because", "caution", "title", "quiet").
    WrapLabel(const char* role, QWidget* parent) : QLabel(parent) {
        setProperty("role", role);
        setWordWrap(true);
        setTextFormat(Qt::PlainText); // names may hold < and &
    }
    /// As high as the words at the width it has; before it has one, what QLabel thinks.
    [[nodiscard]] QSize minimumSizeHint() const override {
        return m_placed ? QSize(0, heightForWidth(width())) : QLabel::minimumSizeHint();
    }

protected:
    void resizeEvent(QResizeEvent* event) override {
        QLabel::resizeEvent(event);
        m_placed = true;
        updateGeometry();
    }

private:
    bool m_placed = false;
};

} // namespace up::app
