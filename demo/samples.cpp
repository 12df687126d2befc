// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/samples.hpp"

namespace up::demo {

using quilt::Step;

const std::vector<Sample>& samples() {
    static const std::vector<Sample> all{
        {"narrowboat.svg", "Narrowboat", "morning sky", Step::bonded, true, false, "2026-10-24"},
        {"kingfisher.svg", "Kingfisher", "night ink", Step::laid, false, false, "2026-10-10"},
        {"heron.svg", "Heron", "mist", Step::cleanCut, true, false, "2026-10-17"},
        {"watercan.svg", "Water can", "straw", Step::cleanCut, false, false, "2026-10-15"},
        {"windlass.svg", "Windlass", "lichen", Step::traced, false, false, "2026-11-01"},
        {"lockgate.svg", "Lock gate", "morning sky", Step::stitched, false, true, "2026-09-05"},
        {"bulrushes.svg", "Bulrushes", "straw", Step::toTrace, false, false, "2026-11-08"},
        {"lamp.svg", "Hurricane lamp", "night ink", Step::tested, false, false, "2026-09-26"},
        {"ducks.svg", "Duck family", "lichen", Step::toTrace, false, false, "2026-11-14"}};
    return all;
}

const std::vector<Cloth>& cloths() {
    static const std::vector<Cloth> all{
        {"morning sky", {0xcf, 0xdf, 0xe6}}, {"night ink", {0x22, 0x33, 0x4d}},
        {"mist", {0xdd, 0xe3, 0xdf}},        {"straw", {0xee, 0xe2, 0xc0}},
        {"lichen", {0xcd, 0xd6, 0xbd}},      {"bottle green", {0x1f, 0x4f, 0x43}},
        {"brick red", {0xa9, 0x3b, 0x2c}},   {"cream plain", {0xf5, 0xec, 0xd7}},
        {"tar black", {0x26, 0x26, 0x2b}},   {"brass yellow", {0xd9, 0xa4, 0x3b}},
        {"water blue", {0x3f, 0x7c, 0x9a}},  {"kingfisher blue", {0x1f, 0x8f, 0xb5}},
        {"deep teal", {0x17, 0x5f, 0x73}},   {"orange breast", {0xdd, 0x7a, 0x2f}},
        {"slate grey", {0x5d, 0x6b, 0x78}},  {"heron grey", {0x93, 0xa1, 0xab}},
        {"oak", {0x8a, 0x5a, 0x33}},         {"light oak", {0xb9, 0x86, 0x54}},
        {"reed green", {0x5f, 0x8a, 0x4a}},  {"moss", {0x3e, 0x66, 0x3a}},
        {"lamp glass", {0xbf, 0xd9, 0xd6}},  {"iron", {0x4a, 0x4e, 0x55}},
        {"rose", {0xc9, 0x5f, 0x6f}},        {"duckling yellow", {0xf0, 0xcf, 0x62}}};
    return all;
}

const std::vector<AtHand>& atHand() {
    const auto rectangle = [](double width, double height) {
        return std::vector<shape::Point>{{0, 0}, {width, 0}, {width, height}, {0, height}};
    };
    static const std::vector<AtHand> all{
        {"brick red, cut into",
         "brick red",
         {{0, 0}, {18, 0}, {18, 9.5}, {9.25, 9.5}, {9.25, 22}, {0, 22}},
         {},
         false},
        {"cream square", "cream plain", rectangle(7.75, 7.75), {}, true},
        {"brass strip", "brass yellow", rectangle(40, 2.5), {}, false},
        {"slate scrap", "slate grey", {{0, 0.25}, {3.25, 0}, {4, 1.5}, {3.5, 3.5}, {0.25, 3.75}}, {}, true},
        {"heron scrap", "heron grey", {{0, 0}, {5, 0.25}, {4.5, 2}, {0, 1.75}}, {}, true},
        {"oak plank", "oak", rectangle(9, 2.5), 0, true},
        {"oak, fat eighth", "oak", rectangle(11, 9), 90, false},
        {"iron scrap", "iron", {{0, 0}, {5, 0}, {5, 2}, {1, 2.25}}, {}, true},
        {"water quarter", "water blue", rectangle(22, 18), {}, false},
        {"teal corner", "deep teal", {{0, 0}, {6, 0}, {0, 5}}, {}, true},
        {"light oak scrap", "light oak", {{0, 0}, {4, 0.5}, {3.75, 3.25}, {0.25, 3}}, 15, true},
        {"reed, fat eighth", "reed green", rectangle(11, 9), {}, false},
        {"moss scrap", "moss", {{0, 0}, {6.5, 0.25}, {6.25, 2.5}, {3, 4}, {0, 3.5}}, {}, true},
        {"lamp glass scrap", "lamp glass", {{0, 0}, {11, 0}, {11, 3.5}, {8, 4.5}, {0, 4.5}}, {}, true}};
    return all;
}

} // namespace up::demo
