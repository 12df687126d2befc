// SPDX-License-Identifier: GPL-3.0-or-later
// What cuts pieces from a file.
#pragma once

#include "core/base/error.hpp"
#include "core/shape/path.hpp"

#include <string>
#include <vector>

namespace up::app {

/// What a machine makes of a cut file.
struct CutRun {
    struct Stroke {
        shape::Polyline line; ///< mm on the mat
        bool cutting = true;  ///< or lifted, on its way
    };
    std::vector<Stroke> strokes; ///< in the order in which the blade goes
    double seconds = 0;
    struct Refusal {
        enum class Why : std::uint8_t { offTheMat, tooFine };
        std::string name; ///< of the shape in the file
        Why why = Why::offTheMat;
        shape::Point where; ///< mm on the mat
    };
    std::vector<Refusal> refusals; ///< these shapes are not cut
};

class Cutter {
public:
    virtual ~Cutter() = default;
    /// As a menu names it.
    [[nodiscard]] virtual std::string name() const = 0;
    [[nodiscard]] virtual double matWidth() const = 0;  ///< mm
    [[nodiscard]] virtual double matHeight() const = 0; ///< mm
    /// An SVG drawing at true size. Errors: as reading an SVG.
    [[nodiscard]] virtual Result<CutRun> cut(const std::string& svg) = 0;
};

/// Stands in for a cutting machine: a mat of 12 by 12 in, parts no finer than 1/16 in, 40 mm of cut and 120
/// mm of way in a second, half a second to lift and lower the blade. Common practice, no source.
class SampleCutter : public Cutter {
public:
    [[nodiscard]] std::string name() const override;
    [[nodiscard]] double matWidth() const override { return 304.8; }
    [[nodiscard]] double matHeight() const override { return 304.8; }
    /// The nearest shape next, each begun where the blade comes to it first.
    [[nodiscard]] Result<CutRun> cut(const std::string& svg) override;
};

} // namespace up::app
