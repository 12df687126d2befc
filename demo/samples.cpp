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

} // namespace up::demo
