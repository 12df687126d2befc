// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/run.hpp"

#include "cli/refusals.hpp"
#include "core/base/version.hpp"
#include "core/store/file.hpp"
#include "words/sentences.hpp"

#include <CLI/CLI.hpp>
#include <cerrno>
#include <cstring>
#include <functional>
#include <ostream>

namespace up::cli {
namespace {

struct Verb {
    CLI::App* app;
    std::function<Bytes(const Words&)> act;
    bool writesItself = false;
};

class CommandLine {
public:
    CommandLine() {
        m_app.require_subcommand(1);
        m_app.set_version_flag("--version", std::string("upstairs-cli ") + version());
        auto* import = verb(
            "import", "Reads a drawing (SVG, DXF, PDF, PNG, JPEG, TIFF) and writes its pieces", cli::import);
        import->add_option("FILE", m_words.files, "the drawing; several are pages of one pattern, row by row")
            ->required();
        import->add_option("--columns", m_words.columns, "how many pages lie side by side; joins all pages")
            ->check(CLI::Range(1, 1000));
        import->add_option("--overlap", m_words.overlap, "how far neighbouring pages overlap, such as 1/2in");
        import->add_option("--page", m_words.page, "which page of a PDF file, from 1")
            ->check(CLI::Range(1, 100'000));
        import
            ->add_option("--dpi", m_words.dpi,
                         "dots to the inch of a scan, when the file doesn't say or is wrong")
            ->check(number(20, 4800));
        auto* fresh = verb("new", "Makes a quilt with one block from pieces files or drawings", makeNew);
        fresh->add_option("PIECES", m_words.files, "pieces files or drawings, bottom first")->required();
        fresh->add_option("--name", m_words.name, "the block's name")->required();
        fresh->add_option("--finished", m_words.finished, "finished size: 9in, 9x12in, 228.6mm")->required();
        fresh->add_flag("--reversed", m_words.reversed, "the drawing is already mirrored");
        fresh->add_flag("--own-size", m_words.ownSize,
                        "keep the drawing's size instead of fitting the block");
        fresh->add_option("--margin", m_words.margin,
                          "what stays free inside the finished edge when the drawing is scaled: 1/2in");
        auto* nesting = verb("nest", "Lays pieces out on sheets", cli::nest);
        nesting->add_option("JOB", m_words.file, "a nest job")->required();
        timed(nesting);
        onBlock(verb("order", "Overlaps, steps and numbers of a block", cli::order));
        auto* laying = onBlock(verb("layout", "Tracing layout of a block", cli::layout));
        timed(laying);
        laying->add_option("--school", m_words.school,
                           "oneByOne, byFabric, windowed or strip; the block's own if not given");
        laying->add_flag("--new-web", m_words.noOffCuts, "leave the off-cuts in the stash alone");
        auto* bonding =
            onBlock(verb("bond", "Which chunk of web goes onto which cloth, and what is left", cli::bond));
        bonding->add_option("--stash", m_words.stash, "cloth to take instead of what the quilt has");
        auto* pressing =
            onBlock(verb("press", "Where the iron goes on a block, and the heat of each piece", cli::press));
        pressing->add_option("--iron", m_words.iron, "household, small or wand; the one in use if not given");
        onBlock(verb("stitch", "Stitching plan of a block", cli::stitch));
        auto* finishing =
            verb("finish", "What blocks are trimmed to, their strips, and the quilt's top", cli::finish);
        finishing->add_option("QUILT", m_words.file, "the quilt file")->required();
        auto* finding = onBlock(verb("which", "Which piece a cut one without its label is", cli::which));
        finding->add_option("--size", m_words.size, "what it measures, either way up: 2 1/4 x 3in")
            ->required();
        auto* exporting = onBlock(verb("export", "Sheets and cut files at true size", exportSheets));
        exporting->add_option("--what", m_words.what, "tracing, templates, placement or cut")->required();
        exporting->add_option("--as", m_words.as, "pdf (tracing, templates, placement) or svg, dxf (cut)")
            ->required();
        exporting->add_flag("--mirrored", m_words.mirrored,
                            "the placement sheet, for tracing at a window from the back");
        exporting->add_flag("--guides", m_words.guides,
                            "the placement sheet without what other pieces hide, the corners marked");
        exporting->add_option("--paper", m_words.paper, "letter or a4");
        exporting->add_option("--square", m_words.square,
                              "what the printed one-inch square measures, such as 0.97 or 24.6mm");
        auto* checking = verb("check", "All checks of a quilt", cli::check);
        checking->add_option("QUILT", m_words.file, "the quilt file")->required();
        verb("demo", "Writes the sample quilt and its drawings into a folder", cli::demo);
        m_verbs.back().writesItself = true;
    }

    int run(std::vector<std::string> args, std::ostream& out, std::ostream& err) {
        std::reverse(args.begin(), args.end());
        try {
            m_app.parse(args);
        } catch (const CLI::CallForHelp&) {
            const auto chosen = m_app.get_subcommands();
            out << (chosen.empty() ? m_app.help() : chosen.front()->help());
            return 0;
        } catch (const CLI::CallForVersion& version) {
            out << version.what() << "\n";
            return 0;
        } catch (const CLI::ParseError& wrong) {
            std::string what = wrong.what();
            std::replace(what.begin(), what.end(), '\n', ' ');
            err << "upstairs-cli: " << what << ". See upstairs-cli --help.\n";
            return 2;
        }
        for (const auto& v : m_verbs)
            if (v.app->parsed()) return finish(v, out, err);
        return 2;
    }

private:
    CLI::App* verb(const char* name, const char* about, std::function<Bytes(const Words&)> act) {
        auto* app = m_app.add_subcommand(name, about);
        app->add_option("-o,--out", m_words.out, "where the result goes; - is standard output");
        m_verbs.push_back({app, std::move(act)});
        return app;
    }
    CLI::App* onBlock(CLI::App* app) {
        app->add_option("QUILT", m_words.file, "the quilt file")->required();
        app->add_option("--block", m_words.block, "the block's name")->required();
        return app;
    }
    void timed(CLI::App* app) {
        app->add_option("--seconds", m_words.seconds, "time to look for better layouts")
            ->check(number(0, 86400));
        app->add_option("--rounds", m_words.rounds,
                        "this many rounds instead of a time: the same answer everywhere")
            ->check(CLI::Range(0, 1'000'000));
        app->add_option("--seed", m_words.seed, "for the random numbers")->check(wholeNumber());
    }

    int finish(const Verb& v, std::ostream& out, std::ostream& err) {
        auto bytes = refuseOverInput(m_words).and_then([&] { return v.act(m_words); });
        if (bytes && !v.writesItself && m_words.out != "-") {
            if (auto written = store::writeFile(m_words.out, *bytes); !written)
                bytes = tl::unexpected(written.error());
        } else if (bytes && !v.writesItself) {
            out << *bytes << std::flush;
            if (!out)
                bytes = failure(Code::cannotWrite, {"standard output", std::strerror(errno ? errno : EIO)});
        }
        if (bytes) return 0;
        err << "upstairs-cli: " << words::sentence(bytes.error()) << "\n";
        return bytes.error().code == Code::badUse ? 2 : 1;
    }

    CLI::App m_app{"Upstairs on the command line: lengths in millimetres, angles in degrees.",
                   "upstairs-cli"};
    Words m_words;
    std::vector<Verb> m_verbs;
};

} // namespace

int run(const std::vector<std::string>& args, std::ostream& out, std::ostream& err) {
    return CommandLine().run(args, out, err);
}

} // namespace up::cli
