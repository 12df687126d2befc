// SPDX-License-Identifier: GPL-3.0-or-later
#include "benchmarks/many.hpp"

#include "core/base/random.hpp"
#include "core/edit/edits.hpp"
#include "tests/support/blobs.hpp"

#include <cmath>
#include <numbers>

namespace up::bench {

std::string drawing(int colours) {
    Random random(11);
    std::string out =
        "<svg xmlns='http://www.w3.org/2000/svg' width='40in' height='40in' viewBox='0 0 4000 4000'>";
    const char* shapes[] = {"M0 -60C40 -40 40 40 0 60C-40 40 -40 -40 0 -60Z",
                            "M0 -60L14 -19 57 -19 22 7 35 49 0 23 -35 49 -22 7 -57 -19 -14 -19Z",
                            "M-40 -50H-5V15C20 15 40 25 42 50H-40Z"};
    for (int i = 0; i < pieces; ++i) {
        std::string path;
        if (i % 4 < 3) {
            path = shapes[i % 4];
        } else {
            const std::size_t corners = 12;
            for (std::size_t k = 0; k < corners; ++k) {
                const double angle = 2 * std::numbers::pi * static_cast<double>(k) / corners,
                             r = random.between(30, 60);
                path += (k ? "L" : "M") + std::to_string(r * std::cos(angle)) + " " +
                        std::to_string(r * std::sin(angle));
            }
            path += "Z";
        }
        out += "<path fill='#" + std::to_string(100 + i % colours) + "' d='" + path +
               "' transform='translate(" + std::to_string(100 + i % 25 * 155) + " " +
               std::to_string(100 + i / 25 * 190) + ") rotate(" + std::to_string(i * 37 % 360) + ") scale(" +
               (i % 5 ? "1" : "-1") + " 1)'/>";
    }
    return out + "</svg>";
}

quilt::Quilt overlapping(int pieces, std::uint64_t seed) {
    return test::blobs(pieces, seed);
}

quilt::Quilt quiltOf(const quilt::Drawing& found) {
    const auto side = measure::Length::ofInches(40, 1);
    auto quilt = edit::addBlock(quilt::emptyQuilt("bench"), "block", side, side);
    return *edit::addDrawing(*quilt, quilt->blocks[0].id, found, {}, 0);
}

} // namespace up::bench
