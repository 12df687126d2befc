// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/run.hpp"

#include <iostream>

int main(int count, char** words) {
    return up::cli::run({words + 1, words + count}, std::cout, std::cerr);
}
