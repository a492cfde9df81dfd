using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Yield.Price;

/// <summary>Paid crew hours: spraying by product and access, set-up, masking, shaving, what else is laid, and waits that no other surface
/// fills.</summary>
internal static class BidHours
{
    /// <summary>Hours of the crew with the rig.</summary>
    public static Working Of(IReadOnlyList<BidSurface> surfaces, Rates rates) =>
        Told("crewHours", surfaces, rates, rates.SetUpHours, Paced(surfaces.Sum(s => s.Treated.SquareMetres), rates.MaskM2PerHour));

    /// <summary>Hours of one with hand kits; masking is in the set-up.</summary>
    public static Working OfKits(IReadOnlyList<BidSurface> surfaces, Rates rates) =>
        Told("kitHours", surfaces, rates, rates.KitSetUpHours, 0);

    private static Working Told(string name, IReadOnlyList<BidSurface> surfaces, Rates rates, double setUp, double masking)
    {
        var spray = surfaces.Select(s => Spraying(s, rates)).ToList();
        (string Name, double Hours)[] parts =
        [
            ("sprayHours", spray.Sum()),
            ("setUpHours", surfaces.Count * setUp),
            ("maskHours", masking),
            ("shaveHours", Paced(surfaces.Where(s => s.Shaved).Sum(s => s.Treated.SquareMetres), rates.ShaveM2PerHour)),
            (
                "layHours",
                surfaces.Sum(s => s.Bought.Sum(b => Paced(b.Covered.SquareMetres, PaceOf(b.Pace, rates)) * Access.LabourFactor(s.Access)))
            ),
            ("waitHours", Waiting(surfaces, spray)),
        ];
        var shown = parts.Where(p => p.Hours > 0).ToList();
        return new(
            name,
            "h = " + string.Join(" + ", shown.Select((_, i) => "h" + (i + 1))),
            [.. shown.Select((p, i) => new WorkingTerm("h" + (i + 1), p.Name, Hours(p.Hours)))],
            Hours(parts.Sum(p => p.Hours)),
            Citations.PacesAndAccess
        );
    }

    /// <summary>Hours of spraying of a surface.</summary>
    public static double Spraying(BidSurface surface, Rates rates) =>
        surface.Foams.Sum(f => Paced(f.Volume.BoardFeet, rates.BoardFeetPerHour(f.Sheet))) * Access.LabourFactor(surface.Access);

    // While one surface cools another is sprayed; only the longest wait that the other surfaces' hours do not cover is stood through.
    private static double Waiting(IReadOnlyList<BidSurface> surfaces, List<double> spray)
    {
        var all = spray.Sum();
        return surfaces.Select((s, i) => Math.Max(0, s.Waits.TotalHours - (all - spray[i]))).DefaultIfEmpty(0).Max();
    }

    private static double PaceOf(BidPace pace, Rates rates) =>
        pace switch
        {
            BidPace.Batt => rates.BattM2PerHour,
            BidPace.Board => rates.BoardM2PerHour,
            _ => rates.CoatM2PerHour,
        };

    private static double Paced(double amount, double perHour) => perHour > 0 ? amount / perHour : 0;

    private static Figure Hours(double hours) => Figure.Duration(TimeSpan.FromHours(hours));
}
