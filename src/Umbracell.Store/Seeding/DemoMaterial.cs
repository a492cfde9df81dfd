using System.Globalization;
using Umbracell.Core.Yield;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>Finished jobs of the demo's two crews, and the drums in its store. All made up.</summary>
public static class DemoMaterial
{
    /// <summary>Finished jobs the crews' yields are learned from.</summary>
    /// <param name="heron">The demo's one crew.</param>
    /// <param name="plover">Its other.</param>
    public static IEnumerable<PastJobRow> PastJobs(MeansRow heron, MeansRow plover)
    {
        yield return Job("Smithy at Thorn End", heron, "slate-rf-30", "2025-06-25", 557, 52, 4.44, 24, 21, 25);
        yield return Job("Packing shed, Orrin Yard", heron, "marl-cc-20", "2025-06-25", 319, 103, 3.07, 10, 24, 50);
        yield return Job("Meeting hall at Brack", plover, "marl-cc-20", "2025-06-27", 382, 81, 3.38, 9, 23, 40);
        yield return Job("Granary at Hollow Ford", plover, "fleece-oc-5", "2025-07-13", 301, 154, 1.21, 20, 27, 152);
        yield return Job("Cider barn at Low Tarn", heron, "slate-rf-30", "2025-07-24", 516, 53, 4.15, 27, 23, 25);
        yield return Job("School annexe, Dunmere", plover, "marl-cc-20", "2025-08-03", 212, 82, 1.88, 9, 25, 40);
        yield return Job("Pump house, Saltings", heron, "fleece-oc-5", "2025-08-14", 487, 142, 1.75, 22, 26, 140);
        yield return Job("Net loft, Alder Stair", heron, "marl-cc-20", "2025-09-03", 230, 103, 2.47, 10, 20, 50);
        yield return Job("Signal house, Penny Reach", heron, "marl-cc-20", "2025-09-21", 590, 51, 2.95, 14, 23, 50);
        yield return Job("Ferry office, Stell", heron, "marl-cc-20f", "2026-01-05", 385, 91, 3.86, -1, 18, 45);
        yield return Job("Weir keeper’s house", plover, "marl-cc-20f", "2026-01-13", 702, 41, 3.06, -5, 19, 40);
        yield return Job("Ice house, Quern", plover, "marl-cc-20f", "2026-01-26", 347, 103, 4.19, -6, 17, 50);
        yield return Job("Tannery loft", heron, "marl-cc-20f", "2026-03-12", 517, 46, 2.45, 1, 21, 45);
        yield return Job("Ropewalk offices", plover, "marl-cc-20", "2026-04-04", 280, 102, 3.09, 25, 24, 50);
        yield return Job("Hay barn conversion, Fenwick Row", heron, "marl-cc-20", "2026-04-10", 191, 91, 1.69, 20, 22, 45);
        yield return Job("Boat store, Gannet Slip", heron, "marl-cc-20", "2026-04-13", 403, 91, 3.44, 20, 22, 45);
        yield return Job("Wool store, Lower Mire", plover, "marl-cc-20", "2026-05-02", 619, 48, 3.04, 13, 25, 45);
        yield return Job("Lime kiln cottage", heron, "fleece-oc-5", "2026-05-22", 407, 129, 1.43, 14, 27, 127);
        yield return Job("Dairy at Rushy Lea", plover, "fleece-oc-5", "2026-06-05", 310, 143, 1.06, 26, 26, 140);
        yield return Job("Malt floor, Teasel Lane", plover, "marl-cc-20", "2026-06-08", 458, 41, 1.92, 15, 24, 40);
        yield return Job("Kiln drying room", heron, "marl-cc-20", "2026-07-07", 747, 48, 3.75, 20, 25, 45);
        yield return Job("Chapel vestry, Morrow", plover, "fleece-oc-5", "2026-08-27", 497, 154, 2.1, 21, 25, 152);
        yield return Job("Workshop at Ashlock", plover, "marl-cc-20", "2026-11-06", 234, 93, 2.09, 20, 25, 45);
        yield return Job("Turbine hall, Cawder", heron, "fleece-oc-5", "2026-11-23", 547, 130, 1.92, 16, 25, 127);

        // A drum that leaked teaches nothing of the crew.
        var leaked = Job("Net store at Gannet Slip", plover, "marl-cc-20", "2026-03-11", 118, 51, 3.9, 12, 21, 50);
        leaked.LeftOutBecause = "A drum of B leaked on the trailer";
        yield return leaked;
    }

    /// <summary>Drums in the store: lots, part drums, one near its last day.</summary>
    /// <param name="today">The day the demo is planted.</param>
    public static IEnumerable<StockLotRow> Stock(DateOnly today)
    {
        yield return Lot("marl-cc-20", SetSide.A, "A-4417", today.AddDays(150), 3, 0);
        yield return Lot("marl-cc-20", SetSide.B, "B-7730", today.AddDays(120), 2, 96);
        yield return Lot("marl-cc-20", SetSide.B, "B-7588", today.AddDays(12), 1, 0);
        yield return Lot("marl-cc-20f", SetSide.A, "A-4502", today.AddDays(170), 1, 140);
        yield return Lot("marl-cc-20f", SetSide.B, "B-7801", today.AddDays(160), 2, 0);
        yield return Lot("fleece-oc-5", SetSide.A, "A-4399", today.AddDays(95), 2, 55);
        yield return Lot("fleece-oc-5", SetSide.B, "B-7612", today.AddDays(-4), 1, 0);
        yield return Lot("fleece-oc-5", SetSide.B, "B-7699", today.AddDays(80), 1, 180);
    }

    // Heron sprays a little more evenly; open cell scatters more; no two jobs alike.
    private static double DepthScatterMm(string crew, string sheet, double depthMm) =>
        Math.Round(
            (sheet.StartsWith("fleece", StringComparison.Ordinal) ? 8.4 : 2.7) * (crew == "Heron" ? 1 : 1.3) * (0.9 + depthMm % 7 / 30),
            1
        );

    private static PastJobRow Job(
        string name,
        MeansRow crew,
        string sheet,
        string finished,
        double area,
        double depthMm,
        double sets,
        double substrate,
        double drum,
        double liftMm
    ) =>
        new()
        {
            Id = Guid.NewGuid(),
            Name = name,
            CrewRow = crew,
            SheetSlug = sheet,
            FinishedOn = DateOnly.Parse(finished, CultureInfo.InvariantCulture),
            AreaM2 = area,
            MeanDepthM = depthMm / 1000,
            SetsUsed = sets,
            SubstrateC = substrate,
            DrumC = drum,
            LiftM = liftMm / 1000,
            DepthReadings = (int)Math.Clamp(Math.Round(area / 40), 6, 24),
            DepthScatterM = DepthScatterMm(crew.Name, sheet, depthMm) / 1000,
        };

    private static StockLotRow Lot(string sheet, SetSide side, string lot, DateOnly expires, int full, double partKg) =>
        new()
        {
            Id = Guid.NewGuid(),
            SheetSlug = sheet,
            Side = side,
            Lot = lot,
            Expires = expires,
            Full = full,
            PartKg = partKg,
        };
}
