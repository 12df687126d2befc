// SPDX-License-Identifier: GPL-3.0-or-later
// What a quilt of many blocks takes of memory after many steps that can all be taken back.
// usage: bench_memory [BLOCKS PIECES STEPS]
#include "app/session/session.hpp"
#include "tests/support/blobs.hpp"

#include <QCoreApplication>
#include <cstdio>
#include <cstdlib>
#include <fstream>
#include <string>

namespace {

/// Resident, MB, as the kernel counts it. Source: proc(5).
double resident() {
    std::ifstream status("/proc/self/status");
    for (std::string word; status >> word;)
        if (word == "VmRSS:" && status >> word) return std::atof(word.c_str()) / 1024;
    return 0;
}

up::quilt::Quilt manyBlocks(int blocks, int pieces) {
    auto quilt = up::quilt::emptyQuilt("Many");
    for (int i = 0; i < blocks; ++i) {
        const auto one = up::test::blobs(pieces, static_cast<std::uint64_t>(i + 1));
        const auto side = one.blocks[0].width;
        quilt = up::edit::addBlock(quilt, "Block " + std::to_string(i + 1), side, side).value();
        up::quilt::Drawing drawing;
        drawing.width = drawing.height = side.mm();
        for (const auto& piece : one.blocks[0].pieces)
            drawing.shapes.push_back({piece.name, {120, 40, 90}, *piece.outline, {}});
        quilt = up::edit::addDrawing(quilt, quilt.blocks.back().id, drawing, {}, 1'000).value();
    }
    return quilt;
}

} // namespace

int main(int count, char** words) {
    QCoreApplication application(count, words);
    const auto given = [&](int i, int usual) { return count > i ? std::atoi(words[i]) : usual; };
    const int blocks = given(1, 20), pieces = given(2, 100), steps = given(3, 400);
    up::app::Session session([] { return std::int64_t{1'790'000'000}; });
    session.startNew(manyBlocks(blocks, pieces));
    const double before = resident();
    for (int i = 0; i < steps; ++i) {
        const auto& owner = session.quilt().blocks[static_cast<std::size_t>(i % blocks)];
        session.chooseBlock(owner.id);
        const auto piece = owner.pieces[static_cast<std::size_t>(i % pieces)].id;
        session.apply(up::edit::movePiece(session.quilt(), owner.id, piece, up::measure::Length::ofMm(3),
                                          up::measure::Length::ofMm(2)),
                      "move");
        (void)session.derived().block();
        (void)session.derived().spots();
    }
    std::printf("%d blocks of %d pieces: %.0f MB; after %d steps %.0f MB\n", blocks, pieces, before, steps,
                resident());
}
