// SPDX-License-Identifier: GPL-3.0-or-later
// Every question the program asks, behind one interface, so that tests can answer.
#pragma once

#include "app/questions/arranging.hpp"
#include "app/questions/blocking.hpp"
#include "app/questions/edging.hpp"
#include "app/questions/fastening.hpp"
#include "app/questions/fitting.hpp"
#include "app/questions/grounding.hpp"
#include "app/questions/importing.hpp"
#include "app/questions/ironing.hpp"
#include "app/questions/lighting.hpp"
#include "app/questions/lining.hpp"
#include "app/questions/machining.hpp"
#include "app/questions/printing.hpp"
#include "app/questions/sewing.hpp"
#include "app/questions/shaping.hpp"
#include "app/questions/sizing.hpp"
#include "app/questions/stashing.hpp"
#include "app/questions/striping.hpp"
#include "app/questions/supplying.hpp"

#include "core/plan/work/which_plan.hpp"

#include <QColor>
#include <QString>
#include <QStringList>
#include <optional>

class QWidget;

namespace up::app {

enum class SaveAnswer { save, discard, cancel };

class Asker {
public:
    virtual ~Asker() = default;
    /// Empty when cancelled. `kinds`: "Quilts (*.upstairs)".
    virtual QString fileToOpen(const QString& title, const QString& kinds) = 0;
    virtual QStringList filesToOpen(const QString& title, const QString& kinds) = 0;
    /// Ends as what is proposed does, whatever was typed; asks before it names a file that is there.
    virtual QString fileToSave(const QString& title, const QString& kinds, const QString& proposed) = 0;
    virtual SaveAnswer saveChanges(const QString& quilt) = 0;
    /// Nothing when cancelled.
    virtual std::optional<QString> text(const QString& title, const QString& question,
                                        const QString& proposed) = 0;
    /// One of those, or whatever is typed instead.
    virtual std::optional<QString> choice(const QString& title, const QString& question,
                                          const QStringList& choices) = 0;
    /// One of those, which are told by their words.
    template<class V>
    std::optional<V> oneOf(const QString& title, const QString& question,
                           const std::vector<std::pair<V, QString>>& values) {
        QStringList choices;
        for (const auto& [value, words] : values)
            choices << words;
        const auto row = placeOf(title, question, choices);
        return row ? std::optional(values[*row].first) : std::nullopt;
    }
    virtual std::optional<QColor> colour(const QString& title, const QColor& proposed) = 0;
    virtual std::optional<BlockAnswer> block(const BlockQuestion& question) = 0;
    virtual std::optional<quilt::Web> web(const quilt::Web& web, measure::System units) = 0;
    virtual std::optional<SizeAnswer> size(const SizeQuestion& question) = 0;
    virtual std::optional<ImportAnswer> import(ImportQuestion question) = 0;
    virtual std::optional<intake::PageGrid> pageGrid(const std::vector<quilt::Drawing>& pages,
                                                     measure::System units) = 0;
    virtual std::optional<ShapeAnswer> shape(const ShapeQuestion& question) = 0;
    virtual std::optional<edit::Arrangement> arrange(const ArrangeQuestion& question) = 0;
    virtual std::optional<std::vector<shape::Contour>> edges(const EdgeQuestion& question) = 0;
    virtual std::optional<StripesAnswer> stripes(const StripesQuestion& question) = 0;
    virtual std::optional<plan::Candidate> which(const quilt::Quilt& quilt, BlockId block) = 0;
    virtual void showTurning(const quilt::Quilt& quilt, BlockId block, PieceId piece) = 0;
    virtual void cutByMachine(const MachineQuestion& question) = 0;
    virtual void print(const PrintQuestion& question) = 0;
    virtual void lightBox(const LightBoxQuestion& question) = 0;
    virtual std::optional<GroundAnswer> ground(const GroundQuestion& question) = 0;
    virtual std::optional<FasteningAnswer> fastening(const FasteningQuestion& question) = 0;
    virtual std::optional<UnderlapAnswer> underlap(const UnderlapQuestion& question) = 0;
    virtual std::optional<FabricAnswer> fabrics(const FabricQuestion& question) = 0;
    virtual std::optional<ClothAnswer> cloth(const ClothQuestion& question) = 0;
    virtual std::optional<IronAnswer> iron(const IronQuestion& question) = 0;
    virtual std::optional<StitchAnswer> stitch(const StitchQuestion& question) = 0;
    virtual std::optional<FittingAnswer> fitting(const FittingQuestion& question) = 0;
    virtual std::optional<quilt::Line> line(const LineQuestion& question) = 0;
    virtual std::optional<SettingAnswer> setting(const SettingQuestion& question) = 0;
    virtual std::optional<ThreadId> threads(const ThreadsQuestion& question) = 0;
    virtual std::optional<ThreadAnswer> thread(const quilt::Thread& thread) = 0;
    virtual std::optional<SupplyAnswer> supply(const quilt::Supply& supply, measure::System units) = 0;
    virtual bool yes(const QString& title, const QString& question, const QString& yesWords) = 0;
    /// Which of the answers; nothing when it is put off (Escape). The first is the safe one.
    virtual std::optional<std::size_t> decide(const QString& title, const QString& question,
                                              const QStringList& answers) = 0;

protected:
    /// Of what is chosen, from 0, within `choices`, all different; nothing when cancelled.
    virtual std::optional<std::size_t> placeOf(const QString& title, const QString& question,
                                               const QStringList& choices) = 0;
};

/// Asks with dialogs over `parent`.
class DialogAsker : public Asker {
public:
    /// Before this, dialogs belong to no window.
    void askOver(QWidget* window) { m_parent = window; }
    QString fileToOpen(const QString& title, const QString& kinds) override;
    QStringList filesToOpen(const QString& title, const QString& kinds) override;
    QString fileToSave(const QString& title, const QString& kinds, const QString& proposed) override;
    SaveAnswer saveChanges(const QString& quilt) override;
    std::optional<QString> text(const QString& title, const QString& question,
                                const QString& proposed) override;
    std::optional<std::size_t> placeOf(const QString& title, const QString& question,
                                       const QStringList& choices) override;
    std::optional<QString> choice(const QString& title, const QString& question,
                                  const QStringList& choices) override;
    std::optional<QColor> colour(const QString& title, const QColor& proposed) override;
    std::optional<BlockAnswer> block(const BlockQuestion& question) override;
    std::optional<quilt::Web> web(const quilt::Web& web, measure::System units) override;
    std::optional<SizeAnswer> size(const SizeQuestion& question) override;
    std::optional<ImportAnswer> import(ImportQuestion question) override;
    std::optional<intake::PageGrid> pageGrid(const std::vector<quilt::Drawing>& pages,
                                             measure::System units) override;
    std::optional<ShapeAnswer> shape(const ShapeQuestion& question) override;
    std::optional<edit::Arrangement> arrange(const ArrangeQuestion& question) override;
    std::optional<std::vector<shape::Contour>> edges(const EdgeQuestion& question) override;
    std::optional<StripesAnswer> stripes(const StripesQuestion& question) override;
    std::optional<plan::Candidate> which(const quilt::Quilt& quilt, BlockId block) override;
    void showTurning(const quilt::Quilt& quilt, BlockId block, PieceId piece) override;
    void cutByMachine(const MachineQuestion& question) override;
    void print(const PrintQuestion& question) override;
    void lightBox(const LightBoxQuestion& question) override;
    std::optional<GroundAnswer> ground(const GroundQuestion& question) override;
    std::optional<FasteningAnswer> fastening(const FasteningQuestion& question) override;
    std::optional<UnderlapAnswer> underlap(const UnderlapQuestion& question) override;
    std::optional<FabricAnswer> fabrics(const FabricQuestion& question) override;
    std::optional<ClothAnswer> cloth(const ClothQuestion& question) override;
    std::optional<IronAnswer> iron(const IronQuestion& question) override;
    std::optional<StitchAnswer> stitch(const StitchQuestion& question) override;
    std::optional<FittingAnswer> fitting(const FittingQuestion& question) override;
    std::optional<quilt::Line> line(const LineQuestion& question) override;
    std::optional<SettingAnswer> setting(const SettingQuestion& question) override;
    std::optional<ThreadId> threads(const ThreadsQuestion& question) override;
    std::optional<ThreadAnswer> thread(const quilt::Thread& thread) override;
    std::optional<SupplyAnswer> supply(const quilt::Supply& supply, measure::System units) override;
    bool yes(const QString& title, const QString& question, const QString& yesWords) override;
    std::optional<std::size_t> decide(const QString& title, const QString& question,
                                      const QStringList& answers) override;

private:
    QWidget* m_parent = nullptr;
};

} // namespace up::app
