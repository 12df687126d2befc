// SPDX-License-Identifier: GPL-3.0-or-later
// Through an SVG tree in painting order: what is painted, where, and how.
#pragma once

#include "intake/found/collector.hpp"
#include "intake/svg/document.hpp"
#include "intake/svg/style.hpp"
#include "intake/svg/viewport.hpp"

namespace up::intake {

/// Copies of copies, and clips of clips, go no deeper.
inline constexpr int deepestUse = 20;

/// What an element is read in.
struct Setting {
    Style style;
    shape::Transform at; ///< user units → mm on the page
    Viewport viewport;
    std::shared_ptr<const Clip> clip{};
    std::string group{}; ///< the nearest name around
    int depth = 0, uses = 0;
    bool isGlyph = false; ///< a letter that a printer's language drew by copying
};

/// Hears what the walker meets.
class Listener {
public:
    virtual ~Listener() = default;
    /// A shape or a letter, in mm, its style as computed.
    virtual void shape(std::string name, std::vector<shape::Contour> contours, const Setting& setting) = 0;
    /// That many letters of text, which read backwards when `mirrored`.
    virtual void wrote(int letters, bool mirrored) {
        static_cast<void>(letters), static_cast<void>(mirrored);
    }
    virtual void leftOut(quilt::Remark what) = 0;
    virtual void leftOutUnknown(const std::string& element) = 0;
    [[nodiscard]] virtual bool isFull() const { return false; }
};

class Walker {
public:
    /// `tolerance`: mm, for clip paths. `visited` counts elements through all walks over one document, so
    /// that copies of copies come to an end.
    Walker(const Document& document, Listener& listener, double tolerance, std::size_t& visited)
        : m_document(document), m_listener(listener), m_tolerance(tolerance), m_visited(visited) {}

    void children(const pugi::xml_node& parent, const Setting& setting);
    void element(const pugi::xml_node& node, const Setting& outer);

private:
    void group(const pugi::xml_node& node, Setting& inner);
    void firstThatSuits(const pugi::xml_node& node, const Setting& inner);
    void nested(const pugi::xml_node& node, Setting inner, std::string_view width, std::string_view height);
    void use(const pugi::xml_node& node, Setting inner);
    void text(const pugi::xml_node& node, const Setting& inner);
    void clipBy(const pugi::xml_node& node, Setting& inner);

    const Document& m_document;
    Listener& m_listener;
    double m_tolerance;
    std::size_t& m_visited;
};

} // namespace up::intake
