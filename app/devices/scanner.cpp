// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/devices/scanner.hpp"

#include <QFileInfo>

namespace up::app {

QString SampleScanner::name() const {
    return QObject::tr("the sample scanner");
}

Result<QString> SampleScanner::scan() {
    if (!QFileInfo(m_page).isReadable())
        return failure(Code::cannotOpen,
                       {m_page.toStdString(), QObject::tr("the sample page is not there").toStdString()});
    return m_page;
}

} // namespace up::app
