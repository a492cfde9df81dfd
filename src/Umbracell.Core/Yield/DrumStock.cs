using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>Drums of one side of one lot on hand.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Lot">Lot as printed on the drum.</param>
/// <param name="Expires">Last day it may be used; null where it is not known.</param>
/// <param name="Full">Full drums, 0 or more.</param>
/// <param name="Part">What is left in opened drums.</param>
public sealed record DrumLot(SetSide Side, string Lot, DateOnly? Expires, int Full, Mass Part);

/// <summary>What the drums on hand come to for a product.</summary>
/// <param name="SetsA">Sets of A that may be used.</param>
/// <param name="SetsB">Sets of B that may be used.</param>
/// <param name="Order">Whole sets to order so that the load stands on the rig; nothing where the stock suffices.</param>
/// <param name="Findings">Judgements, worst first.</param>
/// <param name="Working">How the order came about.</param>
public sealed record DrumStock(double SetsA, double SetsB, int Order, IReadOnlyList<Finding> Findings, Working Working)
{
    /// <summary>A lot this near its last day is used first.</summary>
    public static readonly TimeSpan NearExpiry = TimeSpan.FromDays(30);

    /// <summary>Sets that can be sprayed: the scarcer side rules.</summary>
    public double Sets => Math.Min(SetsA, SetsB);

    /// <summary>Counts a product's drums.</summary>
    /// <param name="sheet">The product.</param>
    /// <param name="lots">Drums on hand.</param>
    /// <param name="load">Whole sets to load, 0 or more.</param>
    /// <param name="day">The day of spraying.</param>
    /// <exception cref="QuantityRangeException">A count or weight below zero.</exception>
    public static DrumStock Of(ProductSheet sheet, IReadOnlyList<DrumLot> lots, int load, DateOnly day)
    {
        foreach (var lot in lots)
        {
            QuantityRangeException.Within("full drums", lot.Full, 0, 10_000, Dimension.Count);
            QuantityRangeException.Within("part drum", lot.Part.Kilograms, 0, 10_000, Dimension.Mass);
        }

        double Sets(SetSide side) =>
            lots.Where(l => l.Side == side && !IsExpired(l, day)).Sum(l => l.Full + l.Part.Kilograms / MassOf(sheet, side).Kilograms);
        var (a, b) = (Sets(SetSide.A), Sets(SetSide.B));
        var order = (int)Math.Max(0, Math.Ceiling(load - Math.Min(a, b) - 1e-9));
        return new(
            a,
            b,
            order,
            [
                .. Judged(lots, a, b, load, day)
                    .Select(f => f with { Words = new Dictionary<string, Said>(f.Words) { ["sheet"] = sheet.Name } })
                    .OrderByDescending(f => f.Verdict),
            ],
            new(
                "orderSets",
                "n_order = n_load − min(A, B), rounded up, not under 0",
                [
                    new("n_load", "setsOnRig", Figure.Count(load)),
                    new("A", "setsA", new(a, Dimension.Sets)),
                    new("B", "setsB", new(b, Dimension.Sets)),
                ],
                Figure.Count(order),
                Citations.DrumsUsable
            )
        );
    }

    /// <summary>A side of a set.</summary>
    public static Mass MassOf(ProductSheet sheet, SetSide side) => side == SetSide.A ? sheet.SetMassA : sheet.SetMassB;

    private static bool IsExpired(DrumLot lot, DateOnly day) => lot.Expires is { } last && last < day;

    private static IEnumerable<Finding> Judged(IReadOnlyList<DrumLot> lots, double a, double b, int load, DateOnly day)
    {
        var source = Citations.DrumsByLot;
        foreach (var lot in lots.Where(l => l.Full > 0 || l.Part.Kilograms > 0))
        {
            var left = lot.Expires is { } last ? last.DayNumber - day.DayNumber : (int?)null;
            if (left is null or < 0 || left <= NearExpiry.TotalDays)
            {
                yield return new(
                    MaterialRules.Stock,
                    left is null ? "noExpiry"
                        : left < 0 ? "expired"
                        : "expiresSoon",
                    Verdict.Care,
                    source
                )
                {
                    Measured = left is { } days ? Figure.Count(Math.Abs(days)) : null,
                    Words = new Dictionary<string, Said> { ["lot"] = lot.Lot, ["side"] = lot.Side.ToString() },
                };
            }
        }

        if (Math.Abs(a - b) >= 0.05)
        {
            yield return new(MaterialRules.Stock, a > b ? "moreA" : "moreB", Verdict.Care, source)
            {
                Measured = new(Math.Max(a, b), Dimension.Sets),
                Limit = new(Math.Min(a, b), Dimension.Sets),
            };
        }

        var mixed = lots.Where(l => !IsExpired(l, day) && (l.Full > 0 || l.Part.Kilograms > 0))
            .GroupBy(l => l.Side)
            .Any(g => g.Select(l => l.Lot).Distinct(StringComparer.Ordinal).Count() > 1);
        if (mixed)
        {
            yield return new(MaterialRules.Stock, "lots", Verdict.Care, Citations.LotsMixed);
        }

        yield return Math.Min(a, b) >= load - 1e-9
            ? new(MaterialRules.Stock, "suffices", Verdict.Clear, source)
            {
                Measured = new(Math.Min(a, b), Dimension.Sets),
                Limit = Figure.Count(load),
            }
            : new(MaterialRules.Stock, "short", Verdict.Care, source)
            {
                Measured = new(Math.Min(a, b), Dimension.Sets),
                Limit = Figure.Count(load),
            };
    }
}
