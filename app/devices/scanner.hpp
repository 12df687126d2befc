// SPDX-License-Identifier: GPL-3.0-or-later
// What hands over scanned pages.
#pragma once

#include "core/base/error.hpp"

#include <QString>

namespace up::app {

class Scanner {
public:
    virtual ~Scanner() = default;
    /// As a menu names it: "the sample scanner".
    [[nodiscard]] virtual QString name() const = 0;
    /// A file with the page that lies on it. Errors: Code::cannotOpen.
    [[nodiscard]] virtual Result<QString> scan() = 0;
};

/// Stands in for a scanner: hands over the sample page, which lies a little askew under uneven light.
class SampleScanner : public Scanner {
public:
    /// `page`: the picture's file.
    explicit SampleScanner(QString page) : m_page(std::move(page)) {}
    [[nodiscard]] QString name() const override;
    [[nodiscard]] Result<QString> scan() override;

private:
    QString m_page;
};

} // namespace up::app
