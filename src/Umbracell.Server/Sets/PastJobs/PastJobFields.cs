using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Server.Means;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sets.PastJobs;

/// <summary>Takes what was typed of a finished job, on the screen or in a table.</summary>
internal static class PastJobFields
{
    public static readonly string[] All =
    [
        "name",
        "crew",
        "product",
        "finished",
        "area",
        "meanDepth",
        "sets",
        "substrate",
        "drum",
        "lift",
        "depthReadings",
        "depthScatter",
        "leftOut",
    ];

    /// <summary>What a finished job cannot teach without.</summary>
    public static readonly string[] Needed = [.. All.Except(["depthReadings", "depthScatter", "leftOut"])];

    private static readonly FigureRange Area = new(0.1, 1e6, Dimension.Area),
        Depth = new(0.002, 1, Dimension.Thickness),
        Lift = new(0.002, 0.5, Dimension.Thickness),
        Sets = new(0.01, 1000, Dimension.Sets),
        Readings = new(0, 10_000, Dimension.Count),
        Scatter = new(0, 0.1, Dimension.Thickness);

    public static PastJobRow New() =>
        new()
        {
            Id = Guid.NewGuid(),
            Name = "",
            SheetSlug = "",
        };

    /// <summary>Takes the fields; throws with every fault.</summary>
    public static void Take(
        TypedFields fields,
        PastJobRow row,
        IReadOnlyDictionary<string, ProductSheet> sheets,
        MeansByName crews,
        bool isNew
    )
    {
        if (isNew)
        {
            fields.Require(Needed);
        }

        fields.Text("name", 200, required: true, text => row.Name = text);
        fields.Text("crew", MeansRow.LongestName, required: true, name => By(row, crews.Named(name)!));
        fields.Known("product", typed => Product(typed, sheets) is not null, typed => Sprayed(row, Product(typed, sheets)!));
        fields.Date("finished", day => row.FinishedOn = day ?? row.FinishedOn);
        fields.Quantity("area", Area, si => row.AreaM2 = si);
        fields.Quantity("meanDepth", Depth, si => row.MeanDepthM = si);
        fields.Quantity("sets", Sets, si => row.SetsUsed = si);
        fields.Quantity("substrate", FieldRanges.ReadTemperature, si => row.SubstrateC = si);
        fields.Quantity("drum", FieldRanges.ReadTemperature, si => row.DrumC = si);
        fields.Quantity("lift", Lift, si => row.LiftM = si);
        fields.QuantityOrBlank("depthReadings", Readings, n => row.DepthReadings = (int)Math.Round(n ?? 0));
        fields.QuantityOrBlank("depthScatter", Scatter, si => row.DepthScatterM = si ?? 0);
        fields.Text("leftOut", 300, required: false, text => row.LeftOutBecause = text);
        fields.ThrowIfFaulty(All);
    }

    private static void By(PastJobRow row, MeansRow crew) => (row.CrewId, row.CrewRow) = (crew.Id, crew);

    // Of another product no edition was said.
    private static void Sprayed(PastJobRow row, string product) =>
        (row.SheetSlug, row.SheetNumber) = (product, row.SheetSlug == product ? row.SheetNumber : null);

    // A product by its id or by its name as people write it.
    private static string? Product(string typed, IReadOnlyDictionary<string, ProductSheet> sheets) =>
        sheets
            .Values.FirstOrDefault(s =>
                string.Equals(s.Id, typed.Trim(), StringComparison.OrdinalIgnoreCase)
                || string.Equals(s.Name, typed.Trim(), StringComparison.OrdinalIgnoreCase)
            )
            ?.Id;
}
