// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/sentences.hpp"

#include "words/translated.hpp"

#include <array>
#include <cstdlib>

namespace up::words {
namespace {

const char* pattern(Code code) {
    switch (code) {
    case Code::cannotOpen: return N_("{0} cannot be opened ({1}). Check the name and that you may read it.");
    case Code::cannotWrite:
        return N_("{0} cannot be written ({1}). The old file is untouched; choose another folder.");
    case Code::diskFull:
        return N_("There is no room left on the disk for {0}. The old file is untouched; free some space or "
                  "choose another disk.");
    case Code::notJson:
        return N_(
            "{0} is damaged near {1}: it is not readable as a file of this program. Use an earlier copy.");
    case Code::wrongFormat:
        return N_("{0} is another kind of file: {1} was expected, {2} was found. Choose the right file.");
    case Code::newerVersion:
        return N_(
            "{0} was written by a newer Upstairs (file version {1}, this one reads up to {2}). Update the "
            "program to open it.");
    case Code::damaged:
        return N_(
            "{0} is damaged at {1}: {2} was expected. Use an earlier copy, or mend that place in a text "
            "editor.");
    case Code::badLength: return N_("“{0}” is not a length. Write it like 3 1/8, 3.125, 3⅛ or 8cm.");
    case Code::badName:
        return N_("“{0}” cannot be a name. Type at least one letter and no more than 200, all on one line.");
    case Code::absurdSize:
        return N_("The {0} {1} cannot be right: it must be between {2} and {3}. Type another size.");
    case Code::noSuchBlock: return N_("There is no block “{0}”. The quilt has: {1}.");
    case Code::noSuchPiece: return N_("Piece {0} is not in this block any more. Choose another.");
    case Code::webIsARoll:
        return N_(
            "{0} is a roll, which no printer takes. Print on paper, or choose web that comes in sheets.");
    case Code::clothCrosses:
        return N_("The outline of the cloth {0} crosses itself. Draw it round once, without crossing.");
    case Code::clothNoArea:
        return N_("The outline of the cloth {0} is no one piece with something in it. Draw it anew, or give "
                  "its two sides.");
    case Code::noOtherCloth:
        return N_(
            "No other cloth of this fabric has room for the chunk. Cut a patch of the size shown, or put "
            "cloth into the stash (Ctrl+Shift+K).");
    case Code::noSuchCloth: return N_("The cloth {0} is not in the stash any more. Choose another.");
    case Code::noSuchSupply: return N_("{0} is not in the stash any more. Choose something else.");
    case Code::noSuchLine: return N_("Line {0} is not on this block any more. Choose another.");
    case Code::lineIsSewn:
        return N_("{0} is stitched or laid already. Unpick it, or undo that, before it is changed.");
    case Code::noSuchLetter:
        return N_("The single-line hand has no letter “{0}”. Leave it out, or choose a font that has it.");
    case Code::noSuchOffCut: return N_("Off-cut {0} is not in the stash any more. Choose another.");
    case Code::noSuchFabric: return N_("Fabric {0} is not in this quilt any more. Choose another.");
    case Code::nothingToDo:
        return N_("Block “{0}” has no pieces or no web yet. Import a drawing and choose a web first.");
    case Code::misprinted:
        return N_(
            "A printer that is so far off must be set right first: choose 100 % or “actual size” in its "
            "dialog, print again, then measure.");
    case Code::notDxf: return N_("{0} cannot be read as a DXF drawing: {1}. Save it again as DXF text.");
    case Code::notPdf:
        return N_("{0} cannot be read as PDF: {1}. Get the file again, or print it to a new PDF.");
    case Code::lockedPdf:
        return N_("{0} is locked with a password. Open it in a PDF viewer and save an unlocked copy.");
    case Code::noSuchPage: return N_("{0} has no page {1}. It has pages 1 to {2}; choose one of them.");
    case Code::onlyPicture:
        return N_("Page {1} of {0} is only a picture. Save it as PNG or JPEG and import that.");
    case Code::toolMissing:
        return N_("{1} needs the package {0}, which is not installed here. Install it and try again.");
    case Code::notPicture:
        return N_("{0} cannot be read as a picture: {1}. Scan it again as PNG, JPEG or TIFF.");
    case Code::tooManyDots:
        return N_("{0} has {1} dots, more than can be worked with. Scan it again at 300 dots to the inch.");
    case Code::unknownDrawing:
        return N_(
            "{0} is no drawing that this program reads. Choose an SVG, DXF, PDF, PNG, JPEG or TIFF file.");
    case Code::notSvg:
        return N_(
            "{0} cannot be read as an SVG drawing ({1}). Save it again as SVG in your drawing program.");
    case Code::emptyDrawing:
        return N_(
            "{0} holds no closed or filled shape. Draw the templates as closed outlines and save again.");
    case Code::nothingChosen:
        return N_("Nothing of the drawing becomes a piece yet. Tick at least one shape.");
    case Code::unreadableShape:
        return N_("The shape {0} cannot be read ({1}). Mend it in your drawing program.");
    case Code::crossing: return N_("The outline of {0} crosses itself. Mend it in your drawing program.");
    case Code::degenerate: return N_("The shape {0} has no area. Take it out of the drawing.");
    case Code::tooLarge: return N_("{0} is too large: the limit is {1}. Use a smaller file.");
    case Code::measureOut: return N_("The {0} must be between {1} and {2}. Type another measure.");
    case Code::noLetters: return N_("There is no letter to cut out. Type a letter or a word.");
    case Code::noSuchShape: return N_("There is nothing to draw a {0} from. Choose another shape.");
    case Code::noStraightEdge:
        return N_(
            "“{0}” has no straight edge to join it on. Draw the half with a straight edge on its fold.");
    case Code::lineMisses: return N_("The line does not cross “{0}”. Move it onto the piece.");
    case Code::notYet: return N_("“{0}” cannot be {1} yet.");
    case Code::alreadyTraced:
        return N_("Pieces of block “{0}” are on their web already. Choose the web before tracing.");
    case Code::alreadyFused:
        return N_("“{0}” is fused already and cannot be moved. If it must be, mark it as ruined and make it "
                  "again.");
    case Code::alreadyJoined:
        return N_("“{0}” is fused or stitched already. If it is to be joined otherwise, mark it as ruined "
                  "and make it "
                  "again.");
    case Code::locked: return N_("“{0}” is locked where it lies. Unlock it to move it.");
    case Code::comesBetween:
        return N_(
            "These cannot be fused together first: “{0}” has to go between them. Take it into the unit, "
            "or "
            "leave out what lies over it.");
    case Code::othersMind:
        return N_(
            "“{0}” cannot go over “{1}”: {2} would have to lie both over and under it. Move that first.");
    case Code::cannotUntie:
        return N_("{0} all meet in one place, where no cut helps. Put one of them lower.");
    case Code::nothingToLine:
        return N_("“{0}” is too small for a lining. Cut away what lies behind it instead.");
    case Code::stopped: return N_("Stopped.");
    case Code::halfAnOrder: return N_("An order must name every piece of the block once.");
    case Code::overItself: return N_("A piece cannot lie over itself. Choose two pieces.");
    case Code::badSoleplate:
        return N_("That is no iron: its outline crosses itself, or nothing of it would be left to press "
                  "with. Trace "
                  "it again.");
    case Code::badOpacity:
        return N_("How much light a fabric holds back is between 0 and 100 %. Type another.");
    case Code::badUse: return "{0}";
    }
    return "";
}

/// Of what there is only one, or whose number does not matter.
constexpr Plural alone(const char* text) {
    return {text, text};
}

Plural pattern(quilt::Remark remark) {
    using quilt::Remark;
    switch (remark) {
    case Remark::openLinesLeftOut: return N2_("{0} open line was left out", "{0} open lines were left out");
    case Remark::openShapeClosed:
        return alone(N_("the outline of {0} was open and has been closed with a straight line"));
    case Remark::crossingRepaired:
        return alone(N_("the outline of {0} crossed itself near {1}, {2} mm and has been repaired"));
    case Remark::beyondPage: return alone(N_("{0} reaches over the edge of the page"));
    case Remark::sizeAssumed: return alone(N_("the drawing gives no size; 96 units were taken as one inch"));
    case Remark::unitAssumed: return alone(N_("the drawing names no unit; one unit was taken as {0}"));
    case Remark::squareFound:
        return alone(
            N_("the printed test square measures {0} mm; the page was scaled so that it is 25.4 mm"));
    case Remark::dpiAssumed:
        return alone(
            N_("the picture gives no size and shows no test square; {0} dots to the inch were taken"));
    case Remark::flattened:
        return alone(
            N_("the page was photographed aslant and was flattened; its size follows from the paper"));
    case Remark::straightened: return alone(N_("the page lay askew by {0}° and was straightened"));
    case Remark::hiddenLeftOut:
        return N2_("{0} line on layers that are switched off was left out",
                   "{0} lines on layers that are switched off were left out");
    case Remark::textLeftOut:
        return N2_("{0} text was left out; turn it into outlines to get it as a piece",
                   "{0} texts were left out; turn them into outlines to get them as pieces");
    case Remark::imageLeftOut: return N2_("{0} picture was left out", "{0} pictures were left out");
    case Remark::penLines:
        return N2_("{0} line round coloured shapes was taken for its outline",
                   "{0} lines round coloured shapes were taken for their outlines");
    case Remark::linesAreMarks:
        return N2_("{0} line on coloured shapes was taken for an inner mark",
                   "{0} lines on coloured shapes were taken for inner marks");
    case Remark::tooSmallLeftOut:
        return N2_("{0} speck without area was left out", "{0} specks without area were left out");
    case Remark::smallMarksLeftOut:
        return N2_("{0} small mark was left out, such as letters and specks",
                   "{0} small marks were left out, such as letters and specks");
    case Remark::absurdLeftOut:
        return N2_("{0} shape more than 20 m from the page was left out",
                   "{0} shapes more than 20 m from the page were left out");
    case Remark::tangledLeftOut:
        return N2_("{0} shape too tangled to be a template was left out",
                   "{0} shapes too tangled to be templates were left out");
    case Remark::missingLeftOut:
        return N2_("{0} copy of a shape that is not in the file was left out",
                   "{0} copies of shapes that are not in the file were left out");
    case Remark::endlessLeftOut:
        return N2_("{0} part nested without end was left out", "{0} parts nested without end were left out");
    case Remark::unknownLeftOut: return alone(N_("{1} elements of the kind {0} were left out"));
    case Remark::cutShort: return alone(N_("the file is cut short; only what is there could be read"));
    case Remark::wrongLetters:
        return alone(N_("some of its letters are not in the encoding that it names; look over the names"));
    }
    return {"", ""};
}

struct StepWords {
    const char *task, *state;
};
constexpr std::array wordsOfSteps{StepWords{N_("Trace"), N_("to trace")},
                                  StepWords{N_("Trace"), N_("traced")},
                                  StepWords{N_("Rough cut"), N_("rough cut")},
                                  StepWords{N_("Bond"), N_("bonded")},
                                  StepWords{N_("Draw the marks"), N_("marked")},
                                  StepWords{N_("Clean cut"), N_("clean cut")},
                                  StepWords{N_("Turn the edge"), N_("turned")},
                                  StepWords{N_("Lay"), N_("laid")},
                                  StepWords{N_("Fuse"), N_("fused")},
                                  StepWords{N_("Test the edges"), N_("tested")},
                                  StepWords{N_("Stitch"), N_("stitched")},
                                  StepWords{N_("Cut away"), N_("cut away")}};

/// "notYet" in full: what comes first, or what lies beneath.
std::string notYet(const Error& error) {
    const auto step = error.args.size() > 1 ? fromKey<quilt::Step>(error.args[1]) : std::nullopt;
    const auto first = error.args.size() > 2 ? fromKey<quilt::Step>(error.args[2]) : std::nullopt;
    const std::string name = error.args.empty() ? "" : error.args[0];
    if (!step || !first) return said(N_("“{0}” cannot do that yet."), {name});
    if (error.args.size() > 3)
        return said(N_("“{0}” lies on “{1}”, which must be {2} first."), {name, error.args[3], state(*step)});
    if (*first <= *step && *first != *step)
        return said(N_("“{0}” must be {1} before it is {2}."), {name, state(*first), state(*step)});
    return said(N_("“{0}” cannot be {1} now; next for it is: {2}."), {name, state(*step), asTask(*first)});
}

} // namespace

std::string sentence(const Error& error) {
    if (error.code == Code::notYet) return notYet(error);
    if (error.code == Code::noSuchBlock && error.args.size() < 2)
        return said(N_("That block is not in the quilt any more. Choose another."));
    if (error.code == Code::noSuchBlock && error.args[1].empty())
        return said(N_("There is no block “{0}”: the quilt has none yet. Make one first."), error.args);
    return said(pattern(error.code), error.args);
}

std::string sentence(const quilt::Warning& warning) {
    // The first argument is how many, where it is a number.
    const auto& args = warning.args;
    const auto n = args.empty() ? 2 : std::strtoul(args.front().c_str(), nullptr, 10);
    const auto text = pattern(warning.remark);
    return filled(text.one == text.many ? tr(text.one) : tr(text, n), args);
}

std::string asTask(quilt::Step step) {
    return tr(entryOf(wordsOfSteps, step).task);
}
std::string state(quilt::Step step) {
    return tr(entryOf(wordsOfSteps, step).state);
}

std::string treadName(quilt::Tread tread) {
    return tr(entryOf(std::array{N_("Draw"), N_("Trace"), N_("Bond"), N_("Cut"), N_("Lay"), N_("Fuse"),
                                 N_("Stitch"), N_("Finish")},
                      tread));
}

std::string logWords(quilt::Event event) {
    using quilt::Event;
    switch (event) {
    case Event::ruined: return tr("ruined, to be made again");
    case Event::imported: return tr("imported");
    case Event::resized: return tr("resized");
    case Event::trimmed: return tr("trimmed");
    case Event::lineDrawn: return tr("a line drawn on");
    case Event::lineLaid: return tr("a trimming laid");
    case Event::lineSewn: return tr("a line stitched");
    case Event::stripSewn: return tr("a strip sewn on");
    case Event::quilted: return tr("background quilted");
    case Event::layout: return tr("laid out on web");
    case Event::putAway: return tr("what was left of the web put away");
    case Event::note: return tr("noted");
    default: return state(*quilt::stepOf(event));
    }
}

std::string sideWords(bool front) {
    return front ? tr("Front, as seen") : tr("Paper side, reversed");
}

std::string backWords() {
    return tr("Back of the block, reversed");
}

} // namespace up::words
