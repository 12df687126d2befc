// SPDX-License-Identifier: GPL-3.0-or-later
// What readers of every kind hand their findings to: it decides what is a piece, a mark, or nothing.
#pragma once

#include "core/quilt/drawing.hpp"
#include "core/shape/region.hpp"

#include <map>
#include <memory>
#include <optional>

namespace up::intake {

class FilledShapes;

/// The part of the page that shows: as an area, and as the outlines it was drawn with.
struct Clip {
    shape::Region region;
    std::vector<shape::Outline> outlines;
};

/// One thing as the drawing paints it, in mm on the page.
struct Painted {
    std::string name;
    std::vector<shape::Contour> contours;
    std::optional<Colour> fill, pen;
    shape::Fill rule = shape::Fill::nonZero;
    double penWidth = 0; ///< mm
    shape::Cap cap = shape::Cap::butt;
    shape::Join join = shape::Join::round;
    bool dashed = false; ///< the pen
    std::shared_ptr<const Clip> clip{};
};

/// An open line at least this wide is a band, not a mark.
inline constexpr double leastBand = 25.4 / 8; // mm
/// A dotted line is an edge's when it stays this close to it.
inline constexpr double alongEdge = 0.8; // mm
/// More than this is no pattern for cloth; guards against drawings that multiply themselves.
inline constexpr std::size_t mostShapes = 20'000;
/// Lines that shapes are joined from.
inline constexpr std::size_t mostLines = 500'000;

/// A text and where it stands, mm on the page.
struct Label {
    std::string text;
    shape::Point at;
};

struct Options {
    bool borders = false; ///< pens at least `leastBand` wide round filled or closed shapes are pieces too
    bool largeBeneath = false; ///< the drawing's order says nothing: larger shapes lie beneath smaller ones
    /// The drawing went through a printer's language: its page may be painted white first, the pens of filled
    /// shapes come as lines of their own, and letters are shapes; those lower than `leastLetter` are left
    /// out.
    bool printed = false;
    double endsMeet = 0.1;       ///< mm: open lines whose ends are no further apart are one line
    std::vector<Label> labels{}; ///< the smallest shape around each takes its name
};

inline constexpr double leastLetter = 12.7; // mm

/// The rule: a filled shape is its path, its pen is ignored; a closed outline without fill is a piece where
/// nothing filled lies beneath it, else the pen line of what lies there, and where it follows no edge, an
/// inner mark (or a band, when it is that wide); an open thin line is an inner mark of the topmost piece it
/// lies on, or, when it is dotted and runs along the edge of one, says that this stretch lies beneath another
/// piece; an open line at least 1/8 in wide is a band. Thin open lines of which each end meets just one other
/// are joined where that closes them.
class Collector {
public:
    explicit Collector(Options options = {}) : m_options(std::move(options)) {}

    /// mm; 0×0 when the file doesn't say: `finish` then takes the extent of what was found.
    void setPage(double width, double height);
    /// Flattening that cannot be seen at the size of the page, mm.
    [[nodiscard]] double tolerance() const { return m_tolerance; }

    void add(Painted painted);
    /// A text that stands there: the name of the smallest shape around it.
    void addLabel(std::string text, shape::Point at) { m_options.labels.push_back({std::move(text), at}); }
    /// Letters that read as seen, or backwards.
    void addReading(int letters, bool mirrored) { (mirrored ? m_backwards : m_forwards) += letters; }
    void remark(quilt::Remark what, std::vector<std::string> args = {});
    /// Counted; said once at the end.
    void leaveOut(quilt::Remark what) { ++m_left[what]; }
    void leaveOutUnknown(const std::string& element) { ++m_unknown[element]; }
    [[nodiscard]] bool isFull() const {
        return m_drawing.shapes.size() >= mostShapes || m_lines.size() >= mostLines;
    }
    [[nodiscard]] std::size_t count() const { return m_drawing.shapes.size(); }

    /// Nothing when there are more than `mostShapes`.
    [[nodiscard]] std::optional<quilt::Drawing> finish();

private:
    struct Line {
        shape::Contour contour;
        std::string name;
        Colour colour;
        bool dashed;
        double pen;        ///< mm
        std::size_t after; ///< shapes drawn before it
    };
    void addOpen(const Painted& painted, const shape::Contour& contour);
    void addFilled(const Painted& painted, std::vector<shape::Contour> closed, quilt::Origin origin);
    void addBand(const Painted& painted, const shape::Contour& contour);
    void addOutlines(const Painted& painted, std::vector<shape::Outline> outlines, quilt::Origin origin);
    void closeJoinedLines();
    void dropRepeatedOutlines();
    void sortBySize();
    void takeLinesOver();
    void takeOpenPenLines(const FilledShapes& filled);
    [[nodiscard]] std::vector<quilt::DrawnShape> bandOf(const quilt::DrawnShape& line) const;
    [[nodiscard]] bool isPaintedPage(const shape::Outline& outline, Colour colour) const;
    void applyLabels();
    void placeMarks();
    void placeDottedEdges();
    void dropSpecks();
    void dropFlatHoles();
    [[nodiscard]] bool isFlat(const shape::Contour& contour) const;
    /// mm from corner to corner.
    [[nodiscard]] double pageAcross() const;
    void takeExtentAsPage();

    Options m_options;
    quilt::Drawing m_drawing;
    std::vector<Line> m_lines;
    std::map<quilt::Remark, int> m_left;
    std::map<std::string, int> m_unknown;
    int m_forwards = 0, m_backwards = 0;
    double m_tolerance = 0.01;
    bool m_sized = false;
};

} // namespace up::intake
