using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;

namespace Umbracell.Core.Quality;

/// <summary>Tells whether people without protection can come back, and what lengthens it.</summary>
internal static class ReEntryFindings
{
    public static IEnumerable<Finding> Of(ReEntryCase of, ReEntry told, IReadOnlyList<VentilationChange> changes)
    {
        yield return Time(of, told, changes);
        if (of.Contradictions > 0)
        {
            yield return new(ReEntryRules.Clock, "jumped", Verdict.Care, Citations.SprayLogged)
            {
                Figures = new Dictionary<string, Figure> { ["count"] = Figure.Count(of.Contradictions) },
            };
        }

        if (told.Product is not null)
        {
            yield return Accounted(of);
        }

        if (told is { Product: { } product, Wanted: not null } && product.Sheet.ReEntryTime?.AirChanges is { } asked)
        {
            foreach (var finding in Air(of, product, asked, changes))
            {
                yield return finding;
            }
        }
    }

    private static Finding Accounted(ReEntryCase of)
    {
        var lacks = Enum.GetValues<Clearance>().Except(of.Accounted).ToList();
        return lacks.Count == 0
            ? new(ReEntryRules.Accounted, "all", Verdict.Clear, Citations.ProofLogged)
            : new(ReEntryRules.Accounted, "open", Verdict.Care, Citations.ProofLogged)
            {
                Words = new Dictionary<string, Said> { ["lacks"] = Said.Of(lacks) },
            };
    }

    private static Finding Time(ReEntryCase of, ReEntry told, IReadOnlyList<VentilationChange> changes)
    {
        if (of.IsSpraying)
        {
            return new(ReEntryRules.Time, "spraying", Verdict.Hold, Citations.ReEntry);
        }

        if (of.Unknown > 0)
        {
            return new(ReEntryRules.Time, "noProduct", Verdict.Hold, Citations.ReEntry)
            {
                Figures = new Dictionary<string, Figure> { ["count"] = Figure.Count(of.Unknown) },
            };
        }

        if (told.Product is not { } product)
        {
            return new(ReEntryRules.Time, "unsprayed", Verdict.Clear, Citations.ReEntry);
        }

        var source = Citations.Sheet(product.Sheet, SheetLine.SheetReEntry);
        if (told.Wanted is not { } wanted)
        {
            return new(ReEntryRules.Time, "noHours", Verdict.Hold, source) { Words = Named(product) };
        }

        var finding = new Finding(ReEntryRules.Time, "open", Verdict.Hold, source)
        {
            Measured = Figure.Duration(told.Counted),
            Limit = Figure.Duration(wanted),
            Words = Named(product),
        };
        if (told.At is { } at)
        {
            var left = at > of.Now ? at - of.Now : TimeSpan.Zero;
            return finding with
            {
                Case = ReEntryRules.Time[left > TimeSpan.Zero ? "open" : "over"],
                Verdict = left > TimeSpan.Zero ? Verdict.Hold : Verdict.Clear,
                Figures = new Dictionary<string, Figure> { ["left"] = Figure.Duration(left) },
            };
        }

        var isOn = ReEntry.RunsAt(changes, of.Now) is { IsOn: true, AirChanges: null };
        return finding with
        {
            Case = ReEntryRules.Time[isOn ? "unread" : "off"],
            Figures = new Dictionary<string, Figure> { ["air"] = AirFigure(product.Sheet.ReEntryTime?.AirChanges ?? 0) },
        };
    }

    private static IEnumerable<Finding> Air(ReEntryCase of, SprayedProduct product, double asked, IReadOnlyList<VentilationChange> changes)
    {
        var source = Citations.Sheet(product.Sheet, SheetLine.SheetReEntry);
        if (ReEntry.RunsAt(changes, of.Now) is { IsOn: true, AirChanges: { } made })
        {
            var isSlow = made < asked;
            yield return new(ReEntryRules.Air, isSlow ? "slow" : "asSheet", isSlow ? Verdict.Care : Verdict.Clear, source)
            {
                Measured = AirFigure(made),
                Limit = AirFigure(asked),
            };
        }

        var off = Without(changes, product.LastTrigger, of.Now);
        if (off > TimeSpan.Zero)
        {
            yield return new(ReEntryRules.Air, "broken", Verdict.Care, source) { Measured = Figure.Duration(off) };
        }
    }

    // How long nothing ran, or nothing is known to have run, since the last trigger.
    private static TimeSpan Without(IReadOnlyList<VentilationChange> changes, DateTimeOffset from, DateTimeOffset now)
    {
        var (sum, at) = (TimeSpan.Zero, from);
        foreach (var to in changes.Select(one => one.At).Where(one => one > from && one < now).Append(now))
        {
            if (to > at && ReEntry.RunsAt(changes, at) is not { IsOn: true })
            {
                sum += to - at;
            }

            at = to > at ? to : at;
        }

        return sum;
    }

    private static Dictionary<string, Said> Named(SprayedProduct product) => new() { ["product"] = product.Sheet.Name };

    private static Figure AirFigure(double changes) => new(changes, Dimension.AirChanges);
}
