// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/names.hpp"

#include "core/base/check.hpp"

#include <map>

namespace up::app {
namespace {

const std::map<QString, ControlWords>& table() {
    static const std::map<QString, ControlWords> words{
        // the four parts and the stair
        {"stair",
         {"The stair", "Eight treads from drawing to finished block; keys 1 to 8, 0 for the Landing"}},
        {"rail", {"Pieces, bottom first", "All pieces of the block, the lowest at the bottom"}},
        {"find", {"Find a piece", "Type a number, a name or a fabric (key /)"}},
        {"mat", {"The mat", "The drawing at true proportions; Ctrl + and Ctrl − zoom, R turns it over"}},
        {"rows", {"The plan of this step", "What this step consists of, in working order"}},
        {"now", {"Do this now", "Does the next thing (Space)"}},
        {"checks", {"Checks", "What is wrong or doubtful"}},
        {"check.show", {"Show", "Chooses the piece on the mat"}},
        {"check.fix", {"Fix", "Puts it right in one step"}},
        {"log", {"Logbook", "Every step taken, newest first"}},
        // the tool row
        {"block", {"Block", "The block you are working on"}},
        {"block.new", {"New block", "Adds a block to the quilt"}},
        {"draw.import",
         {"Import a drawing", "Brings in an SVG, DXF or PDF: every filled or closed shape becomes a piece"}},
        {"draw.size",
         {"Finished size", "Finished size: 9, 9 1/2, 9 x 12, 24cm; the templates scale with it"}},
        {"draw.sizes", {"Sizes", "Another size for the block or the chosen piece; what gets too thin"}},
        {"trace.compare", {"Compare ways", "What other ways to gather the pieces would cost"}},
        {"trace.pin", {"Pin", "The chosen chunk stays where it is when the rest is laid out again (P)"}},
        {"trace.stripes", {"Stripes and grain", "How the fabric is printed and how it runs over the piece"}},
        {"trace.window", {"Window", "Whether the middle of the chosen piece's web may be cut out"}},
        {"stripes.picture", {"The piece from both sides", "Drag to turn the stripes"}},
        {"stripes.print", {"Print", "How the fabric is printed"}},
        {"stripes.matters", {"It matters", "Without it the piece is turned however it uses least web"}},
        {"stripes.direction", {"Direction", "Seen from the front: 0 across, 90 down"}},
        {"stripes.within", {"Tolerance", "How far stripes may lie off that way"}},
        {"stripes.set", {"Set the stripes", "Keeps print and direction"}},
        {"trace.away", {"Put away", "What is left of the rough-cut web goes into the stash"}},
        {"trace.least", {"Off-cuts worth keeping", "How small an off-cut is still kept"}},
        {"trace.turnLeft", {"Turn left", "Turns the chosen chunk a little to the left (,)"}},
        {"trace.turnRight", {"Turn right", "Turns the chosen chunk a little to the right (.)"}},
        {"way.0", {"One by one", "Every piece is rough cut by itself"}},
        {"way.1", {"By fabric", "All pieces of a fabric are rough cut as one chunk"}},
        {"way.2", {"In windows", "Smaller pieces in the windows of larger ones"}},
        {"way.3", {"In strips", "Equal shapes in strips of their height"}},
        {"ways.stop", {"Stop comparing", "Keeps the ways found so far"}},
        {"import.picture", {"The page", "Click a shape to leave it out or take it in"}},
        {"import.list", {"Shapes found", "Ticked shapes become pieces"}},
        {"join.picture", {"The pages beside each other", "Drag a page until its lines go on in the next"}},
        {"join.columns", {"Pages in a row", "How many pages lie side by side"}},
        {"join.across", {"Overlap across", "How far a page lies over the one to its left"}},
        {"join.down", {"Overlap down", "How far a page lies over the one above"}},
        {"join.match", {"Match the lines", "Moves each page to where its lines go on"}},
        {"join.do", {"Join them", "The pages become one pattern"}},
        {"import.role",
         {"What the chosen shape is", "A piece to cut, a mark to draw on the piece beneath, or nothing"}},
        {"import.page", {"Page", "Which page of the file"}},
        {"import.dpi", {"Dots to the inch", "Only when the scan says nothing, or something wrong"}},
        {"import.borders", {"Wide pen lines", "Borders at least 1/8 in wide become pieces of their own"}},
        {"import.measure", {"I know one length", "Drag a ruler over something whose length you know"}},
        {"import.length", {"The known length", "What the length under the ruler is in truth"}},
        {"reading.stop", {"Stop reading", "Puts an end to it; nothing is changed"}},
        {"import.fit", {"Its size", "How the drawing comes to the block's size"}},
        {"import.reversed", {"Came reversed", "Tick this when the pattern is mirrored already"}},
        {"import.side", {"Which side it shows", "What the letters on the page say"}},
        {"import.add", {"Add", "Adds the ticked shapes to the block"}},
        {"size.which", {"What is sized", "The whole block, or the chosen piece alone"}},
        {"size.percent", {"Percent", "100 % is the size it has now"}},
        {"size.width", {"Width", "What it shall be wide: 12, 7 1/2, 20cm"}},
        {"size.height", {"Height", "What it shall be high: 12, 7 1/2, 20cm"}},
        {"size.mark",
         {"Ruler", "What the length under the ruler shall become; drag the ruler's ends on the picture"}},
        {"size.slider", {"Scale", "A quarter to four times the size"}},
        {"size.picture", {"The block at this size", "Drag the ends of the ruler to mark a length"}},
        {"size.table", {"Pieces now and then", "Every piece before and after"}},
        {"size.stitch", {"Edge stitch", "How the edges will be stitched: it decides what is too thin"}},
        {"size.stitchWidth",
         {"Width of the edge stitch", "Across; of a straight stitch, how far inside the edge"}},
        {"size.smallest", {"Smallest size", "Takes the smallest size at which nothing is too thin"}},
        {"size.keep", {"Keep widths", "Built-in stems, strips and rings are as wide afterwards as before"}},
        {"size.set", {"Set this size", "Scales the templates; traced pieces go back to be traced"}},
        {"draw.shape",
         {"Add a shape", "Circle, leaf, heart, stem, letters …: built-in shapes with their measures"}},
        {"draw.arrange",
         {"Copies, cuts and halves", "Copies of the chosen piece, a cut through it, halves made whole"}},
        {"shape.kind", {"Which shape", "Choose a built-in shape"}},
        {"shape.picture", {"The shape on its block", "As large as it will be, seen from the front"}},
        {"shape.text", {"Text", "A letter or a word: each letter becomes a piece"}},
        {"shape.family", {"Font", "Fonts installed on this computer"}},
        {"shape.bold", {"Bold", "Thicker letters are easier to cut and stitch"}},
        {"shape.italic", {"Slanted", "Slanted letters"}},
        {"shape.together", {"Letters that touch are one piece", "Joined handwriting stays in one piece"}},
        {"shape.add", {"Add it", "Puts the shape on top of the others"}},
        {"arrange.what", {"What to do", "Copies of the piece, a cut through it, or halves made whole"}},
        {"arrange.picture", {"The block as it would be", "Drag the round handles"}},
        {"arrange.count", {"How many in all", "The first one counts"}},
        {"arrange.right", {"Measure across", "From the left, or to the right"}},
        {"arrange.down", {"Measure down", "From the top, or downwards"}},
        {"arrange.other", {"The other half", "It is brought to the chosen piece"}},
        {"arrange.do", {"Do it", "Undo takes it back"}},
        {"edges.picture", {"The piece's edge", "Click a stretch between two dots"}},
        {"edges.set", {"Set the edges", "Dotted stretches are neither turned nor stitched"}},
        {"edges.hidden", {"What is hidden now", "What the pieces above it cover"}},
        {"edges.none", {"None", "The whole edge is a cut line"}},
        {"which.width", {"Across", "What the piece measures from left to right"}},
        {"which.height", {"Up", "What it measures from top to bottom"}},
        {"which.list", {"Pieces it may be", "The best fit first"}},
        {"which.picture", {"The piece at true size", "Hold yours against the screen"}},
        {"which.choose", {"It is this one", "Chooses the piece in its block"}},
        {"cut.which", {"Which piece is this?", "Finds a cut piece without its label by what it measures"}},
        {"turn.picture", {"The template on its way", "From the traced web to the front of the block"}},
        {"turn.slider", {"How far it has come", "Drag to look at any moment"}},
        {"turn.play", {"Play again", "From the beginning"}},
        {"piece.measures", {"Measures of this shape", "Other measures for the chosen built-in shape"}},
        {"piece.mirror", {"Mirror", "Left for right, as it is drawn"}},
        {"piece.edges", {"Dotted edges", "Stretches that lie beneath another piece or in a seam"}},
        {"piece.which", {"Which piece is this?", "Finds a cut piece without its label by what it measures"}},
        {"piece.turning",
         {"Why it is traced mirrored", "Shows the template turned over onto the cloth and to the front"}},
        {"piece.shape",
         {"Add a shape", "Circle, leaf, heart, stem, letters …: built-in shapes with their measures"}},
        {"piece.arrange",
         {"Copies, cuts and halves", "Copies of the chosen piece, a cut through it, halves made whole"}},
        {"draw.reversed", {"Drawing is already reversed", "Tick this when the pattern came mirrored"}},
        {"draw.templates", {"Every template", "Each template as seen beside as traced, with its size"}},
        {"trace.web", {"Web", "The fusible web for this block"}},
        {"trace.layout", {"Lay out", "Fits the reversed pieces on the web so that little is used"}},
        {"trace.pages", {"Tracing pages", "Writes the tracing layout as PDF at true size"}},
        {"paper", {"Paper", "Paper size for printed sheets"}},
        {"cut.file", {"Cut file", "Writes an SVG for a cutting machine, reversed"}},
        {"lay.sheet", {"Placement sheet", "Writes the block as PDF at true size, not reversed"}},
        {"lay.background", {"Background", "The fabric behind the pieces"}},
        {"lay.left", {"Turn left", "Turns the chosen piece 5° to the left"}},
        {"lay.right", {"Turn right", "Turns the chosen piece 5° to the right"}},
        {"trace.editWeb", {"About this web", "Size, papers and pressing times of the web, from its leaflet"}},
        {"stitch.thread", {"Thread", "The thread for the chosen piece"}},
        // the web's leaflet
        {"web.name", {"Name of the web", "What you call this web"}},
        {"web.papers", {"Papers", "Paper on one side or on both"}},
        {"web.kind", {"Roll or sheets", "How the web comes"}},
        {"web.width", {"Width of the web", "Width of the roll or sheet"}},
        {"web.length", {"Length of the web", "What is on the roll, or the length of a sheet"}},
        {"web.sheets", {"Number of sheets", "How many sheets you have"}},
        {"web.first.seconds", {"First pressing, seconds", "How long the web is pressed onto fabric"}},
        {"web.first.heat", {"First pressing, heat", "The iron's setting"}},
        {"web.first.steam", {"First pressing, steam", "Steam or not, by the leaflet"}},
        {"web.final.seconds", {"Final pressing, seconds", "How long each place is fused"}},
        {"web.final.heat", {"Final pressing, heat", "The iron's setting"}},
        {"web.final.steam", {"Final pressing, steam", "Steam or not, by the leaflet"}},
        // the piece card
        {"piece.name", {"Piece name", "The name of the chosen piece"}},
        {"piece.fabric", {"Fabric", "The fabric of the chosen piece"}},
        {"piece.up", {"Up the stack", "One higher in the stack (])"}},
        {"piece.down", {"Down the stack", "One lower in the stack ([)"}},
        {"piece.step", {"Next step of this piece", "Does the next step on the chosen piece alone"}},
        {"piece.ruined", {"Ruined", "Sends the piece back to be traced again, with the reason"}},
        {"piece.runsOff", {"Runs off the block", "The piece reaches over the finished edge on purpose"}},
        {"timer", {"Press timer", "Starts and stops the press timer (T)"}},
        // menus
        {"file.new", {"New quilt", "Begins an empty quilt"}},
        {"file.open", {"Open", "Opens a quilt file"}},
        {"file.recent", {"Open recent", "Quilts opened lately"}},
        {"file.save", {"Save", "Saves the quilt"}},
        {"file.saveAs", {"Save as", "Saves the quilt under another name"}},
        {"file.print", {"Print this view's sheets", "Writes the sheets of this view as PDF"}},
        {"file.printer", {"Correct the printer", "Says what the printed one-inch square measures"}},
        {"file.scan", {"Scan a page", "Brings in the page that lies on the scanner"}},
        {"file.sample", {"Open the sample quilt", "Opens “Towpath” as a new quilt"}},
        {"file.quit", {"Quit", "Ends the program"}},
        {"edit.undo", {"Undo", "Takes the last change back"}},
        {"edit.redo", {"Redo", "Does it again"}},
        {"edit.units", {"Metric measures", "Centimetres and millimetres instead of inches"}},
        {"edit.renameQuilt", {"Rename quilt", "Another name for the quilt"}},
        {"edit.renameFabric", {"Rename fabric", "Another name for the chosen piece's fabric"}},
        {"edit.newThread", {"New thread", "Adds a thread and gives it to the chosen piece"}},
        {"edit.newWeb", {"New web", "Adds a fusible web and uses it for this block"}},
        {"edit.rename", {"Rename block", "Another name for this block"}},
        {"edit.removeBlock", {"Remove block", "Takes this block out of the quilt"}},
        {"edit.removePiece", {"Remove piece", "Takes the chosen piece out of the block"}},
        {"edit.newFabric", {"New fabric", "Adds a fabric and gives it to the chosen piece"}},
        {"view.turn", {"Turn over", "Shows the other side (R)"}},
        {"view.in", {"Zoom in", "Larger"}},
        {"view.out", {"Zoom out", "Smaller"}},
        {"view.fit", {"Whole view", "Everything on the mat"}},
    };
    return words;
}

} // namespace

const ControlWords& wordsOf(const QString& key) {
    const auto it = table().find(key);
    UP_CHECK(it != table().end());
    return it->second;
}

bool hasWords(const QString& key) {
    return table().contains(key);
}

QAction* named(QAction* action, const char* key) {
    const auto& words = wordsOf(key);
    action->setObjectName(key);
    action->setToolTip(words.tip);
    action->setStatusTip(words.tip);
    return action;
}

} // namespace up::app
