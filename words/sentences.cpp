// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/sentences.hpp"

#include "words/translated.hpp"

#include <array>

namespace up::words {
namespace {

std::string_view pattern(Code code) {
    switch (code) {
    case Code::cannotOpen: return "{0} cannot be opened ({1}). Check the name and that you may read it.";
    case Code::cannotWrite:
        return "{0} cannot be written ({1}). The old file is untouched; choose another folder.";
    case Code::diskFull:
        return "There is no room left on the disk for {0}. The old file is untouched; free some space or "
               "choose another disk.";
    case Code::notJson:
        return "{0} is damaged near {1}: it is not readable as a file of this program. Use an earlier copy.";
    case Code::wrongFormat:
        return "{0} is another kind of file: {1} was expected, {2} was found. Choose the right file.";
    case Code::newerVersion:
        return "{0} was written by a newer Upstairs (file version {1}, this one reads up to {2}). Update the "
               "program to open it.";
    case Code::damaged:
        return "{0} is damaged at {1}: {2} was expected. Use an earlier copy, or mend that place in a text "
               "editor.";
    case Code::badLength: return "“{0}” is not a length. Write it like 3 1/8, 3.125, 3⅛ or 8cm.";
    case Code::badName:
        return "“{0}” cannot be a name. Type at least one letter and no more than 200, all on one line.";
    case Code::absurdSize:
        return "The {0} {1} cannot be right: it must be between {2} and {3}. Type another size.";
    case Code::noSuchBlock: return "There is no block “{0}”. The quilt has: {1}.";
    case Code::noSuchPiece: return "Piece {0} is not in this block any more. Choose another.";
    case Code::webIsARoll:
        return "{0} is a roll, which no printer takes. Print on paper, or choose web that comes in sheets.";
    case Code::noSuchOffCut: return "Off-cut {0} is not in the stash any more. Choose another.";
    case Code::noSuchFabric: return "Fabric {0} is not in this quilt any more. Choose another.";
    case Code::nothingToDo:
        return "Block “{0}” has no pieces or no web yet. Import a drawing and choose a web first.";
    case Code::notDxf: return "{0} cannot be read as a DXF drawing: {1}. Save it again as DXF text.";
    case Code::notPdf: return "{0} cannot be read as PDF: {1}. Get the file again, or print it to a new PDF.";
    case Code::lockedPdf:
        return "{0} is locked with a password. Open it in a PDF viewer and save an unlocked copy.";
    case Code::noSuchPage: return "{0} has no page {1}. It has pages 1 to {2}; choose one of them.";
    case Code::onlyPicture:
        return "Page {1} of {0} is only a picture. Save it as PNG or JPEG and import that.";
    case Code::toolMissing:
        return "{1} needs the package {0}, which is not installed here. Install it and try again.";
    case Code::notPicture: return "{0} cannot be read as a picture: {1}. Scan it again as PNG, JPEG or TIFF.";
    case Code::tooManyDots:
        return "{0} has {1} dots, more than can be worked with. Scan it again at 300 dots to the inch.";
    case Code::unknownDrawing:
        return "{0} is no drawing that this program reads. Choose an SVG, DXF, PDF, PNG, JPEG or TIFF file.";
    case Code::notSvg:
        return "{0} cannot be read as an SVG drawing ({1}). Save it again as SVG in your drawing program.";
    case Code::emptyDrawing:
        return "{0} holds no closed or filled shape. Draw the templates as closed outlines and save again.";
    case Code::nothingChosen: return "Nothing of the drawing becomes a piece yet. Tick at least one shape.";
    case Code::unreadableShape: return "The shape {0} cannot be read ({1}). Mend it in your drawing program.";
    case Code::crossing: return "The outline of {0} crosses itself. Mend it in your drawing program.";
    case Code::degenerate: return "The shape {0} has no area. Take it out of the drawing.";
    case Code::tooLarge: return "{0} is too large: the limit is {1}. Use a smaller file.";
    case Code::measureOut: return "The {0} must be between {1} and {2}. Type another measure.";
    case Code::noLetters: return "There is no letter to cut out. Type a letter or a word.";
    case Code::noSuchShape: return "There is nothing to draw a {0} from. Choose another shape.";
    case Code::noStraightEdge:
        return "“{0}” has no straight edge to join it on. Draw the half with a straight edge on its fold.";
    case Code::lineMisses: return "The line does not cross “{0}”. Move it onto the piece.";
    case Code::notYet: return "“{0}” cannot be {1} yet.";
    case Code::alreadyTraced:
        return "Pieces of block “{0}” are on their web already. Choose the web before tracing.";
    case Code::alreadyFused:
        return "“{0}” is fused already and cannot be moved. If it must be, mark it as ruined and make it "
               "again.";
    case Code::locked: return "“{0}” is locked where it lies. Unlock it to move it.";
    case Code::comesBetween:
        return "These cannot be fused together first: “{0}” has to go between them. Take it into the unit, "
               "or "
               "leave out what lies over it.";
    case Code::othersMind:
        return "“{0}” cannot go over “{1}”: {2} would have to lie both over and under it. Move that first.";
    case Code::cannotUntie: return "{0} all meet in one place, where no cut helps. Put one of them lower.";
    case Code::nothingToLine: return "“{0}” is too small for a lining. Cut away what lies behind it instead.";
    case Code::stopped: return "Stopped.";
    case Code::halfAnOrder: return "An order must name every piece of the block once.";
    case Code::overItself: return "A piece cannot lie over itself. Choose two pieces.";
    case Code::badOpacity: return "How much light a fabric holds back is between 0 and 100 %. Type another.";
    case Code::badUse: return "{0}";
    }
    return "";
}

std::string_view pattern(quilt::Remark remark) {
    using quilt::Remark;
    switch (remark) {
    case Remark::openLinesLeftOut: return "{0} open lines were left out";
    case Remark::openShapeClosed:
        return "the outline of {0} was open and has been closed with a straight line";
    case Remark::crossingRepaired:
        return "the outline of {0} crossed itself near {1}, {2} mm and has been repaired";
    case Remark::beyondPage: return "{0} reaches over the edge of the page";
    case Remark::sizeAssumed: return "the drawing gives no size; 96 units were taken as one inch";
    case Remark::unitAssumed: return "the drawing names no unit; one unit was taken as {0}";
    case Remark::squareFound:
        return "the printed test square measures {0} mm; the page was scaled so that it is 25.4 mm";
    case Remark::dpiAssumed:
        return "the picture gives no size and shows no test square; {0} dots to the inch were taken";
    case Remark::flattened:
        return "the page was photographed aslant and was flattened; its size follows from the paper";
    case Remark::straightened: return "the page lay askew by {0}° and was straightened";
    case Remark::hiddenLeftOut: return "{0} lines on layers that are switched off were left out";
    case Remark::textLeftOut: return "{0} texts were left out; turn them into outlines to get them as pieces";
    case Remark::imageLeftOut: return "{0} pictures were left out";
    case Remark::penLines: return "{0} lines round coloured shapes were taken for their outlines";
    case Remark::linesAreMarks: return "{0} lines on coloured shapes were taken for inner marks";
    case Remark::tooSmallLeftOut: return "{0} specks without area were left out";
    case Remark::smallMarksLeftOut: return "{0} small marks were left out, such as letters and specks";
    case Remark::absurdLeftOut: return "{0} shapes more than 20 m from the page were left out";
    case Remark::tangledLeftOut: return "{0} shapes too tangled to be templates were left out";
    case Remark::missingLeftOut: return "{0} copies of shapes that are not in the file were left out";
    case Remark::endlessLeftOut: return "{0} parts nested without end were left out";
    case Remark::unknownLeftOut: return "{1} elements of the kind {0} were left out";
    case Remark::cutShort: return "the file is cut short; only what is there could be read";
    case Remark::wrongLetters:
        return "some of its letters are not in the encoding that it names; look over the names";
    }
    return "";
}

struct StepWords {
    const char *task, *state;
};
constexpr std::array wordsOfSteps{StepWords{"Trace", "to trace"},
                                  StepWords{"Trace", "traced"},
                                  StepWords{"Rough cut", "rough cut"},
                                  StepWords{"Bond", "bonded"},
                                  StepWords{"Draw the marks", "marked"},
                                  StepWords{"Clean cut", "clean cut"},
                                  StepWords{"Lay", "laid"},
                                  StepWords{"Fuse", "fused"},
                                  StepWords{"Test the edges", "tested"},
                                  StepWords{"Stitch", "stitched"}};

/// "notYet" in full: what comes first, or what lies beneath.
std::string notYet(const Error& error) {
    const auto step = error.args.size() > 1 ? fromKey<quilt::Step>(error.args[1]) : std::nullopt;
    const auto first = error.args.size() > 2 ? fromKey<quilt::Step>(error.args[2]) : std::nullopt;
    const std::string name = error.args.empty() ? "The piece" : "“" + error.args[0] + "”";
    if (!step || !first) return name + " cannot do that yet.";
    if (error.args.size() > 3)
        return name + " lies on “" + error.args[3] + "”, which must be " + state(*step) + " first.";
    if (*first <= *step && *first != *step)
        return name + " must be " + state(*first) + " before it is " + state(*step) + ".";
    return name + " cannot be " + state(*step) + " now; next for it is: " + asTask(*first) + ".";
}

} // namespace

std::string sentence(const Error& error) {
    if (error.code == Code::notYet) return notYet(error);
    if (error.code == Code::noSuchBlock && error.args.size() < 2)
        return "That block is not in the quilt any more. Choose another.";
    return filled(pattern(error.code), error.args);
}

std::string sentence(const quilt::Warning& warning) {
    std::string text = filled(pattern(warning.remark), warning.args);
    if (!warning.args.empty() && warning.args.front() == "1") {
        for (const auto& [many, one] :
             {std::pair{"lines were", "line was"}, std::pair{"texts were", "text was"},
              std::pair{"turn them", "turn it"}, std::pair{"get them as pieces", "get it as pieces"},
              std::pair{"pictures were", "picture was"}, std::pair{"for their outlines", "for its outline"},
              std::pair{"for inner marks", "for an inner mark"},
              std::pair{"specks without area were", "speck without area was"},
              std::pair{"small marks were", "small mark was"}})
            if (const auto at = text.find(many); at != std::string::npos)
                text.replace(at, std::string_view(many).size(), one);
    }
    return text;
}

std::string asTask(quilt::Step step) {
    return entryOf(wordsOfSteps, step).task;
}
std::string state(quilt::Step step) {
    return entryOf(wordsOfSteps, step).state;
}

std::string treadName(quilt::Tread tread) {
    return entryOf(std::array{"Draw", "Trace", "Bond", "Cut", "Lay", "Fuse", "Stitch", "Finish"}, tread);
}

std::string logWords(quilt::Event event) {
    using quilt::Event;
    switch (event) {
    case Event::ruined: return "ruined, to be made again";
    case Event::imported: return "imported";
    case Event::resized: return "resized";
    case Event::trimmed: return "trimmed";
    case Event::layout: return "laid out on web";
    case Event::putAway: return "what was left of the web put away";
    case Event::note: return "noted";
    default: return state(*quilt::stepOf(event));
    }
}

} // namespace up::words
