// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/json.hpp"

#include "core/base/spoken.hpp"

#include "core/base/text.hpp"

namespace up::store {

namespace {

constexpr int deepest = 64;

/// How deep lists and objects stand in each other; what is no JSON may give any number.
int depthOf(const std::string& text) {
    int depth = 0, most = 0;
    bool inText = false;
    for (std::size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (inText && c == '\\')
            ++i;
        else if (c == '"')
            inText = !inText;
        else if (!inText && (c == '[' || c == '{'))
            most = std::max(most, ++depth);
        else if (!inText && (c == ']' || c == '}'))
            --depth;
    }
    return most;
}

} // namespace

Result<Json> parseJson(const std::string& text, const std::string& file) {
    if (depthOf(text) > deepest)
        return failure(Code::notJson,
                       {file, spoken("more than {0} lists in each other", {std::to_string(deepest)})});
    try {
        return Json::parse(text);
    } catch (const Json::parse_error& error) {
        if (!trimmed(text).starts_with('{'))
            return failure(Code::wrongFormat,
                           {file, spoken("a file of this program"), spoken("something else")});
        const auto upTo = text.substr(0, error.byte);
        const auto line = static_cast<int>(std::count(upTo.begin(), upTo.end(), '\n')) + 1;
        return failure(Code::notJson, {file, spoken("line {0}", {std::to_string(line)})}, {line, {}});
    } catch (const Json::out_of_range&) { // a number beyond what a computer holds
        return failure(Code::notJson, {file, spoken("a number that is too large")});
    }
}

Result<void> expectFormat(const Json& json, const std::string& file, const std::string& format, int newest) {
    if (!json.is_object()) return failure(Code::wrongFormat, {file, format, spoken("no object")});
    const std::string found =
        json.contains("format") && json["format"].is_string() ? json["format"].get<std::string>() : "none";
    if (found != format) return failure(Code::wrongFormat, {file, format, found});
    if (!json.contains("version") || !json["version"].is_number_integer())
        return failure(Code::damaged, {file, "version", spoken("a whole number")});
    const auto version = json["version"].get<std::int64_t>();
    if (version > newest)
        return failure(Code::newerVersion, {file, std::to_string(version), std::to_string(newest)});
    if (version < 1) return failure(Code::damaged, {file, "version", spoken("1 or more")});
    return {};
}

namespace {

bool isRow(const Json& json) {
    if (!json.is_array()) return false;
    return std::all_of(json.begin(), json.end(), [](const Json& v) { return v.is_number(); });
}

void dump(const Json& json, const std::string& indent, std::string& out) {
    if ((!json.is_array() && !json.is_object()) || json.empty() || isRow(json)) {
        out += json.dump();
        return;
    }
    const std::string deeper = indent + " ";
    const bool object = json.is_object();
    out += object ? "{" : "[";
    bool first = true;
    for (const auto& [key, value] : json.items()) {
        out += first ? "\n" : ",\n";
        first = false;
        out += deeper;
        if (object) out += Json(key).dump() + ": ";
        dump(value, deeper, out);
    }
    out += "\n" + indent + (object ? "}" : "]");
}

} // namespace

std::string dumpReadably(const Json& json) {
    std::string out;
    dump(json, "", out);
    return out + "\n";
}

Json contourToJson(const shape::Contour& contour) {
    Json out = Json::array();
    out.push_back(Json::array({contour.start.x, contour.start.y}));
    for (const auto& c : contour.curves)
        out.push_back(
            Json::array({c.control1.x, c.control1.y, c.control2.x, c.control2.y, c.end.x, c.end.y}));
    return out;
}

shape::Contour contourFrom(const Node& node, bool closed) {
    shape::Contour contour;
    contour.closed = closed;
    const auto rows = node.items();
    if (rows.empty()) node.complain("at least a starting point");
    for (std::size_t i = 0; i < rows.size(); ++i) {
        const auto numbers = rows[i].items();
        if (numbers.size() != (i == 0 ? 2U : 6U)) rows[i].complain(i == 0 ? "two numbers" : "six numbers");
        std::vector<double> v;
        for (const auto& n : numbers)
            v.push_back(n.number(-1e5, 1e5));
        if (i == 0)
            contour.start = {v[0], v[1]};
        else
            contour.curveTo({v[0], v[1]}, {v[2], v[3]}, {v[4], v[5]});
    }
    return contour;
}

} // namespace up::store
