using Umbracell.Core.Choosing;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Price;

/// <summary>A surface from hand kits against the rig.</summary>
/// <param name="Kit">The kit's name.</param>
/// <param name="Kits">Whole kits for the surface.</param>
/// <param name="Figures">kitCost, kitHours, rigCost, rigHours, rigSets, yield; upTo, upToArea and upToKits where there is such a
/// size.</param>
/// <param name="UpTo">How that size came about; null where kits are never cheaper.</param>
/// <param name="Findings">Findings.</param>
public sealed record KitAnswer(
    string Kit,
    int Kits,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    WorkingAnswer? UpTo,
    IReadOnlyList<FindingAnswer> Findings
);

/// <summary>Hand kits of the firm held against the rig for a surface.</summary>
internal static class Kits
{
    public static IReadOnlyList<KitAnswer> Of(StudiedJob job, SurfaceStudy row)
    {
        if (row is not { Sets: { } sets, SetsQuestion: { } asked } || job.Bid.Surfaces.FirstOrDefault(s => s.Row == row) is not { } priced)
        {
            return [];
        }

        var means = job.Means;
        var always = means.Practice.Of(PracticeQuestion.Equipment) == School.RigAlways;
        return
        [
            .. means
                .Supplies.Offered.Where(s => s.IsKit)
                .OrderBy(s => s.Name, StringComparer.Ordinal)
                .Select(kit =>
                    (
                        kit,
                        Compared: KitBreakEven.Of(
                            new()
                            {
                                Surface = priced.Priced,
                                Kit = kit,
                                Thickness = Length.FromMillimetres(asked.ThicknessMm),
                                Conditions = sets.Conditions with
                                {
                                    Substrate = Temperature.FromCelsius(asked.SubstrateTempC ?? sets.Conditions.Substrate.Celsius),
                                },
                                Rates = means.Rates,
                                RigAlways = always,
                            }
                        )
                    )
                )
                .Where(one => one.Compared is not null)
                .Select(one => Answer(one.kit.Name, one.Compared!)),
        ];
    }

    private static KitAnswer Answer(string kit, KitBreakEven compared)
    {
        var figures = new Dictionary<string, Figure>
        {
            ["kitCost"] = new(compared.KitBid.Cost, Dimension.Money),
            ["kitHours"] = Figure.Duration(TimeSpan.FromHours(compared.KitBid.CrewHours)),
            ["rigCost"] = new(compared.RigBid.Cost, Dimension.Money),
            ["rigHours"] = Figure.Duration(TimeSpan.FromHours(compared.RigBid.CrewHours)),
            ["rigSets"] = new(compared.RigSets, Dimension.Sets),
            ["yield"] = compared.Yield.Expected.ToFigure(),
        };
        if (compared is { UpTo: { } volume, UpToArea: { } area })
        {
            figures["upTo"] = volume.ToFigure();
            figures["upToArea"] = area.ToFigure();
            figures["upToKits"] = Figure.Count(compared.UpToKits);
        }

        return new(
            kit,
            compared.Kits,
            FigureAnswer.All(figures),
            WorkingAnswer.Maybe(compared.Working),
            FindingAnswer.All(compared.Findings)
        );
    }
}
