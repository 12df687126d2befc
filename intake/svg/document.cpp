// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/document.hpp"

#include "core/base/spoken.hpp"
#include "core/base/text.hpp"

#include <algorithm>

namespace up::intake {
namespace {

constexpr std::size_t mostPutIn = 1'000'000; // characters from entities
constexpr int deepestTree = 1000;

using Entities = std::map<std::string, std::string, std::less<>>;

/// `<!ENTITY name "value">` in the text of a DOCTYPE.
Entities entitiesIn(std::string_view doctype) {
    Entities out;
    for (std::size_t at = 0; (at = doctype.find("<!ENTITY", at)) != std::string_view::npos;) {
        auto rest = trimmed(doctype.substr(at += 8));
        const auto blank = rest.find_first_of(" \t\r\n");
        if (blank == std::string_view::npos) break;
        const auto name = rest.substr(0, blank);
        rest = trimmed(rest.substr(blank));
        if (rest.empty() || (rest.front() != '"' && rest.front() != '\'')) continue;
        const auto end = rest.find(rest.front(), 1);
        if (end == std::string_view::npos) break;
        out.emplace(name, rest.substr(1, end - 1));
    }
    return out;
}

/// Known entities replaced once: an entity within an entity stays as it is, so nothing multiplies.
std::string replaced(std::string_view text, const Entities& entities, std::size_t& budget) {
    std::string out;
    for (std::size_t at = 0; at < text.size();) {
        const auto mark = std::min(text.find('&', at), text.size());
        out += text.substr(at, mark - at);
        at = mark;
        if (mark == text.size()) break;
        const auto end = text.find(';', mark);
        const auto it = end == std::string_view::npos ? entities.end()
                                                      : entities.find(text.substr(mark + 1, end - mark - 1));
        if (it == entities.end() || it->second.size() > budget) {
            out += text[at++];
            continue;
        }
        budget -= it->second.size();
        out += it->second;
        at = end + 1;
    }
    return out;
}

/// What the bytes of a file turn out to be.
enum class Letters : std::uint8_t {
    asTheySay,
    utf8After, ///< UTF-8, though the file says Latin-1
    mixed      ///< neither
};

bool isWide(std::string_view text) {
    const auto zero = text.substr(0, 4).find('\0') != std::string_view::npos;
    return zero || text.starts_with("\xFF\xFE") || text.starts_with("\xFE\xFF");
}

/// Characters of two or four bytes are the XML reader's business.
Letters lettersOf(std::string_view text) {
    if (isWide(text)) return Letters::asTheySay;
    const auto head = text.substr(0, std::min(text.find("?>"), std::size_t{200}));
    const bool latin = head.find("8859-1") != std::string_view::npos;
    const bool plain = std::all_of(text.begin(), text.end(), [](char c) { return c > 0; });
    if (plain) return Letters::asTheySay;
    const bool valid = isUtf8(text) && text.find('\0') == std::string_view::npos;
    if (latin) return valid ? Letters::utf8After : Letters::asTheySay;
    return valid ? Letters::asTheySay : Letters::mixed;
}

std::string withoutNulls(std::string text) {
    std::replace(text.begin(), text.end(), '\0', ' ');
    return text;
}

} // namespace

Result<void> Document::load(const std::string& text, const std::string& file) {
    if (text.size() > mostDrawingBytes)
        return failure(Code::tooLarge, {file, std::to_string(mostDrawingBytes / 1'000'000) + " MB"});
    constexpr auto flags = pugi::parse_default | pugi::parse_doctype;
    const auto letters = lettersOf(text);
    if (letters != Letters::asTheySay) m_remarks.push_back(quilt::Remark::wrongLetters);
    const auto parsed = letters == Letters::asTheySay ? m_tree.load_buffer(text.data(), text.size(), flags)
                        : letters == Letters::utf8After
                            ? m_tree.load_buffer(text.data(), text.size(), flags, pugi::encoding_utf8)
                            : m_tree.load_string(withoutNulls(latinWhereNotUtf8(text)).c_str(), flags);
    // Nothing whole follows the place where reading failed.
    const auto upToHere =
        std::min(static_cast<std::size_t>(std::max<std::ptrdiff_t>(parsed.offset, 0)), text.size());
    const bool cutShort = !parsed && text.find('>', upToHere + 1) == std::string::npos &&
                          root().first_child() && localName(root()) == "svg";
    if (cutShort) m_remarks.push_back(quilt::Remark::cutShort);
    if (!parsed && !cutShort) {
        const auto end = text.begin() + static_cast<std::ptrdiff_t>(upToHere);
        const int line = static_cast<int>(std::count(text.begin(), end, '\n')) + 1;
        return failure(Code::notSvg,
                       {file, spoken("line {0}: it is not well-formed", {std::to_string(line)})}, {line, {}});
    }
    if (localName(root()) != "svg")
        return failure(Code::notSvg,
                       {file, "its first element is <" + std::string(root().name()) + ">, not <svg>"});
    putEntitiesIn();
    gather();
    return {};
}

void Document::putEntitiesIn() {
    Entities entities;
    for (const auto& node : m_tree.children())
        if (node.type() == pugi::node_doctype) entities = entitiesIn(node.value());
    if (entities.empty()) return;
    struct Walker : pugi::xml_tree_walker {
        const Entities* entities = nullptr;
        std::size_t budget = mostPutIn;
        bool for_each(pugi::xml_node& node) override {
            for (auto& attribute : node.attributes())
                if (std::string_view(attribute.value()).find('&') != std::string_view::npos)
                    attribute.set_value(replaced(attribute.value(), *entities, budget).c_str());
            return depth() < deepestTree;
        }
    } walker;
    walker.entities = &entities;
    m_tree.traverse(walker);
}

void Document::gather() {
    struct Walker : pugi::xml_tree_walker {
        std::unordered_map<std::string, pugi::xml_node>* ids = nullptr;
        std::string css;
        bool for_each(pugi::xml_node& node) override {
            if (node.type() != pugi::node_element) return true;
            if (const auto id = node.attribute("id")) ids->emplace(id.value(), node);
            if (localName(node) == "style")
                for (const auto& child : node.children())
                    css += child.value();
            return true;
        }
    } walker;
    walker.ids = &m_ids;
    m_tree.traverse(walker);
    m_sheet.add(walker.css);
}

pugi::xml_node Document::byId(std::string_view id) const {
    const auto it = m_ids.find(std::string(id));
    return it == m_ids.end() ? pugi::xml_node() : it->second;
}

pugi::xml_node Document::referred(std::string_view reference) const {
    reference = trimmed(reference);
    if (reference.starts_with("url(")) {
        const auto close = reference.find(')');
        reference = trimmed(reference.substr(4, close == std::string_view::npos ? close : close - 4));
        if (reference.size() > 1 && (reference.front() == '"' || reference.front() == '\''))
            reference = trimmed(reference.substr(1, reference.size() - 2));
    }
    return reference.starts_with('#') ? byId(reference.substr(1)) : pugi::xml_node();
}

pugi::xml_node Document::linked(const pugi::xml_node& node) const {
    for (const auto& attribute : node.attributes()) {
        const std::string_view name = attribute.name();
        if (name == "href" || name.ends_with(":href")) return referred(attribute.value());
    }
    return {};
}

Properties Document::propertiesOf(const pugi::xml_node& node) const {
    Properties out;
    for (const auto& attribute : node.attributes())
        if (std::find(readProperties.begin(), readProperties.end(), std::string_view(attribute.name())) !=
            readProperties.end())
            out.insert_or_assign(attribute.name(), std::string(trimmed(attribute.value())));
    if (!m_sheet.isEmpty()) m_sheet.apply(node, out);
    addDeclarations(node.attribute("style").value(), out);
    for (auto& [key, value] : out)
        if (const auto mark = value.find("!important"); mark != std::string::npos)
            value = std::string(trimmed(std::string_view(value).substr(0, mark)));
    return out;
}

} // namespace up::intake
