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

/// What all walks over one document share, so that copies of copies come to an end.
struct Journey {
    std::size_t visited = 0;          ///< elements
    std::size_t copied = 0;           ///< those that were reached through a reference
    std::vector<pugi::xml_node> open; ///< what is being referred to just now, the innermost last

    /// Whether a reference from `node` to `target` would lead back to where it came from.
    [[nodiscard]] bool goesRound(const pugi::xml_node& node, const pugi::xml_node& target) const;
};

class Walker {
public:
    /// `tolerance`: mm, for clip paths.
    Walker(const Document& document, Listener& listener, double tolerance, Journey& journey)
        : m_document(document), m_listener(listener), m_tolerance(tolerance), m_journey(journey) {}

    void children(const pugi::xml_node& parent, const Setting& setting);
    void element(const pugi::xml_node& node, const Setting& outer);

private:
    void group(const pugi::xml_node& node, Setting& inner);
    void firstThatSuits(const pugi::xml_node& node, const Setting& inner);
    void nested(const pugi::xml_node& node, Setting inner, std::string_view width, std::string_view height);
    void use(const pugi::xml_node& node, Setting inner);
    void copy(const pugi::xml_node& target, const pugi::xml_node& node, Setting inner);
    [[nodiscard]] bool isTooMuch(const Setting& outer);
    void text(const pugi::xml_node& node, const Setting& inner);
    void clipBy(const pugi::xml_node& node, Setting& inner);

    const Document& m_document;
    Listener& m_listener;
    double m_tolerance;
    Journey& m_journey;
};

} // namespace up::intake
