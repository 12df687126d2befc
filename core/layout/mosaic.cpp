// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/mosaic.hpp"

#include "core/layout/clash.hpp"
#include "core/layout/construct.hpp"

#include <algorithm>
#include <cmath>

namespace up::layout {
namespace {

using shape::Box;
using shape::Point;

// In mm.
constexpr double equal = 0.005;   // lengths of edges that may have been one
constexpr double together = 0.03; // ends of edges that lie on each other
constexpr double over = 0.008;    // the sheet's border
constexpr double leastEdge = 2;
constexpr std::size_t mostItems = 400;
constexpr double degree = 57.29577951308232; // per radian

struct Item {
    std::size_t part;
    int copy;
    Turn turn{};
    Point at{};
    bool laid = false;
    Laid shape{}; ///< once it is laid
};

struct Edge {
    std::size_t item;
    Point a, b;
    double length;
};

/// An item laid so that it shares edges with others.
struct Joint {
    std::size_t item;
    Turn turn;
    Point at;
    double contact; ///< mm of edge shared
};

Point mapped(const Turn& turn, Point at, Point p) {
    return {turn.cos * p.x - turn.sin * p.y + at.x, turn.sin * p.x + turn.cos * p.y + at.y};
}

class Assembly {
public:
    explicit Assembly(const NestJob& job) : m_job(job) {
        for (std::size_t p = 0; p < job.parts.size(); ++p) {
            m_forms.push_back(paddedForm(job.parts[p], 0));
            for (int copy = 0; copy < job.parts[p].copies && m_items.size() <= mostItems; ++copy)
                m_items.push_back({p, copy});
        }
    }
    bool assemble() {
        if (m_items.size() < 3 || m_items.size() > mostItems) return false;
        collectEdges();
        const auto largest =
            std::max_element(m_items.begin(), m_items.end(), [&](const Item& a, const Item& b) {
                return m_forms[a.part].area < m_forms[b.part].area;
            });
        const auto& turns = m_job.parts[largest->part].rotations;
        lay(static_cast<std::size_t>(largest - m_items.begin()), turnOf(turns.empty() ? 0 : turns.front()),
            {});
        std::size_t laid = 1;
        while (laid < m_items.size() && layNext())
            ++laid;
        return laid == m_items.size();
    }
    /// Turned as a whole so that it takes the least of the sheet.
    [[nodiscard]] std::optional<NestLayout> onSheet() const;

private:
    void collectEdges() {
        for (std::size_t i = 0; i < m_items.size(); ++i)
            for (const auto& ring : m_job.parts[m_items[i].part].shape.rings)
                for (std::size_t k = 0; k < ring.size(); ++k) {
                    const Point a = ring[k], b = ring[(k + 1) % ring.size()];
                    if (const double length = shape::distance(a, b); length > leastEdge)
                        m_edges.push_back({i, a, b, length});
                }
        std::sort(m_edges.begin(), m_edges.end(),
                  [](const Edge& a, const Edge& b) { return a.length < b.length; });
    }
    void lay(std::size_t index, const Turn& turn, Point at);
    /// The joint with most contact that meets nothing.
    bool layNext();
    void addJoints(const Edge& laid);
    [[nodiscard]] std::optional<Turn> turnFor(const Edge& edge, const Edge& laid) const;
    /// Shared edges are measured, and the item is moved to where they lie on each other best.
    [[nodiscard]] Joint settled(std::size_t item, const Turn& turn, Point at) const;
    [[nodiscard]] bool allows(std::size_t part, double degrees) const;

    const NestJob& m_job;
    std::vector<Form> m_forms;
    std::vector<Item> m_items;
    std::vector<Edge> m_edges;  ///< of the parts as they are, the shortest first
    std::vector<Edge> m_laid{}; ///< of the items that are laid, where they lie
    std::vector<Joint> m_joints{};
};

bool Assembly::allows(std::size_t part, double degrees) const {
    const auto& turns = m_job.parts[part].rotations;
    return turns.empty() || std::any_of(turns.begin(), turns.end(), [&](double turn) {
               return std::abs(std::remainder(turn - degrees, 360)) < 1e-6;
           });
}

/// The edge runs against the laid one.
std::optional<Turn> Assembly::turnFor(const Edge& edge, const Edge& laid) const {
    const Point to = laid.a - laid.b, from = edge.b - edge.a;
    const double degrees = (std::atan2(to.y, to.x) - std::atan2(from.y, from.x)) * degree;
    const auto& turns = m_job.parts[m_items[edge.item].part].rotations;
    if (turns.empty()) return turnOf(std::nearbyint(degrees * 1e6) / 1e6);
    const double most = together / edge.length * degree;
    for (const double turn : turns)
        if (std::abs(std::remainder(turn - degrees, 360)) < most) return turnOf(turn);
    return std::nullopt;
}

Joint Assembly::settled(std::size_t item, const Turn& turn, Point at) const {
    Joint out{item, turn, at, 0};
    Point off{};
    double ends = 0;
    for (const auto& ring : m_job.parts[m_items[item].part].shape.rings)
        for (std::size_t k = 0; k < ring.size(); ++k) {
            const Point a = mapped(turn, at, ring[k]), b = mapped(turn, at, ring[(k + 1) % ring.size()]);
            for (const auto& laid : m_laid)
                if (std::abs(a.x - laid.b.x) < together && std::abs(a.y - laid.b.y) < together &&
                    shape::distance(b, laid.a) < together) {
                    out.contact += laid.length;
                    off = off + (laid.b - a) + (laid.a - b);
                    ends += 2;
                    break;
                }
        }
    if (ends > 0) out.at = at + off * (1 / ends);
    return out;
}

void Assembly::addJoints(const Edge& laid) {
    auto edge = std::lower_bound(m_edges.begin(), m_edges.end(), laid.length - equal,
                                 [](const Edge& e, double length) { return e.length < length; });
    for (; edge != m_edges.end() && edge->length <= laid.length + equal; ++edge) {
        if (m_items[edge->item].laid) continue;
        if (const auto turn = turnFor(*edge, laid)) {
            const Point middle = mapped(*turn, {}, (edge->a + edge->b) * 0.5);
            m_joints.push_back(settled(edge->item, *turn, (laid.a + laid.b) * 0.5 - middle));
        }
    }
}

void Assembly::lay(std::size_t index, const Turn& turn, Point at) {
    auto& item = m_items[index];
    item.laid = true, item.turn = turn, item.at = at;
    item.shape.lay(m_forms[item.part], turn, at);
    const auto first = m_laid.size();
    for (const auto& edge : m_edges)
        if (edge.item == index)
            m_laid.push_back({index, mapped(turn, at, edge.a), mapped(turn, at, edge.b), edge.length});
    std::erase_if(m_joints, [&](const Joint& joint) { return joint.item == index; });
    for (auto i = first; i < m_laid.size(); ++i)
        addJoints(m_laid[i]);
}

bool Assembly::layNext() {
    while (!m_joints.empty()) {
        const auto best =
            std::max_element(m_joints.begin(), m_joints.end(),
                             [](const Joint& a, const Joint& b) { return a.contact < b.contact; });
        const Joint joint = settled(best->item, best->turn, best->at);
        m_joints.erase(best);
        Laid laid;
        laid.lay(m_forms[m_items[joint.item].part], joint.turn, joint.at);
        if (std::any_of(m_items.begin(), m_items.end(),
                        [&](const Item& other) { return other.laid && meet(laid, other.shape); }))
            continue;
        lay(joint.item, joint.turn, joint.at);
        return true;
    }
    return false;
}

std::optional<NestLayout> Assembly::onSheet() const {
    const auto& sheet = m_job.sheets.front();
    std::vector<double> turns{0, 90, 180, 270};
    for (const auto& edge : m_laid) // one side of the whole lies along the sheet
        turns.push_back(-std::atan2(edge.b.y - edge.a.y, edge.b.x - edge.a.x) * degree);
    std::optional<NestLayout> best;
    for (const double degrees : turns) {
        if (!std::all_of(m_items.begin(), m_items.end(),
                         [&](const Item& item) { return allows(item.part, item.turn.degrees + degrees); }))
            continue;
        const Turn turn = turnOf(degrees);
        Box box;
        for (const auto& edge : m_laid)
            box.take(mapped(turn, {}, edge.a));
        if (box.width() > sheet.width + 2 * over || box.height() > sheet.height) continue;
        if (best && box.height() >= best->usedHeight) continue;
        NestLayout out;
        out.sheetsUsed = out.lastSheet = 1;
        out.usedHeight = box.height();
        const Point corner{std::min(-box.left, (sheet.width - box.width()) / 2 - box.left), -box.top};
        for (const auto& item : m_items) {
            const Point at = mapped(turn, {}, item.at) + corner;
            const auto whole = measure::Angle::ofDegrees(item.turn.degrees + degrees).normal();
            out.placed.push_back({{0, 0, whole.degrees(), at.x, at.y}, item.part, item.copy});
        }
        best = std::move(out);
    }
    return best;
}

} // namespace

std::optional<NestLayout> reassembled(const NestJob& job) {
    if (job.spacing > 0 || job.sheets.empty() || !job.sheets.front().outline.isEmpty() || hasFixed(job))
        return std::nullopt;
    Assembly assembly(job);
    return assembly.assemble() ? assembly.onSheet() : std::nullopt;
}

} // namespace up::layout
