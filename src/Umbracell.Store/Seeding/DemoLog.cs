using Umbracell.Core.Findings;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Umbracell.Documents;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>What was sprayed at the ferry house of the demo: its basement walls the day before, a first lift on its band joists this
/// morning.</summary>
internal static class DemoLog
{
    /// <summary>The job of which something is logged.</summary>
    public const string Job = "ferry house";

    private const string Sheet = "marl-cc-20";

    private const string Finished = "Basement walls",
        UnderWay = "Band joists of the wing";

    // Of those in the demo's stock.
    private const string LotA = "A-4417",
        LotB = "B-7588";

    // By the numbers of the places; the fourth is under what was specified.
    private static readonly double[] ProofDepthsMm = [66.675, 65.0875, 68.2625, 57.15, 66.675, 69.85];

    private const string Lead = "crew lead, crew Heron";

    /// <summary>The entries.</summary>
    /// <param name="job">The ferry house.</param>
    /// <param name="surfaces">Its surfaces; of those that were renamed or deleted nothing is logged.</param>
    /// <param name="now">The moment they are dated back from.</param>
    public static IEnumerable<LogEntryRow> Of(Guid job, IReadOnlyList<Surface> surfaces, DateTimeOffset now)
    {
        var log = new Log(job, now);
        log.Say(null, LogEntryKind.AreaClear, 85);
        log.Say(null, LogEntryKind.VentilationOn, 84);
        foreach (var (side, lot, left, i) in new[] { (SetSide.A, LotA, 0.27, 0), (SetSide.B, LotB, 0.3, 1) })
        {
            log.Say(null, LogEntryKind.DrumOpened, 1_570 - i, entry => entry with { Side = side, Lot = lot, DrumSheet = Sheet });
            log.Say(null, LogEntryKind.DrumLevel, 52 - i, entry => entry with { Side = side, Left = left, DrumSheet = Sheet });
        }

        if (surfaces.FirstOrDefault(one => one.Name == UnderWay) is { } joists)
        {
            log.Lift(joists.Id, 80, 58, [38.1, 41.275, 41.275]);
        }

        if (surfaces.FirstOrDefault(one => one.Name == Finished) is { } basement)
        {
            log.Lift(basement.Id, 1_560, 1_500, [34.925, 31.75, 34.925]);
            log.Say(basement.Id, LogEntryKind.Probe, 1_455, entry => entry with { TempC = 29.5 });
            log.Lift(basement.Id, 1_450, 1_390, [66.675, 63.5, 66.675, 66.675]);
            foreach (var (item, i) in WalkRound.Of(basement.Kind).Select((item, i) => (item, i)))
            {
                log.Say(basement.Id, LogEntryKind.Seen, 1_380 - i, entry => entry with { Item = item });
            }

            log.Say(basement.Id, LogEntryKind.Finished, 1_365);
        }

        return log.Rows;
    }

    /// <summary>What was read, seen and found on the finished surface since, and how the rooms are aired.</summary>
    /// <param name="job">The ferry house.</param>
    /// <param name="surfaces">Its surfaces.</param>
    /// <param name="now">The moment they are dated back from.</param>
    public static IEnumerable<LogEntryRow> ProofOf(Guid job, IReadOnlyList<Surface> surfaces, DateTimeOffset now)
    {
        var log = new Log(job, now);
        log.Proof(null, LogEntryKind.VentilationRead, 83, new() { AirChanges = 8 });
        if (surfaces.FirstOrDefault(one => one.Name == Finished) is not { } basement)
        {
            return log.Rows;
        }

        log.Proof(null, LogEntryKind.ProbeChecked, 1_362, new() { BlockMm = 50 }, entry => entry with { DepthMm = 50.5 });
        foreach (var (mm, i) in ProofDepthsMm.Select((mm, i) => (mm, i)))
        {
            log.Proof(basement.Id, LogEntryKind.Depth, 1_360 - i, new() { SpotNumber = i + 1 }, entry => entry with { DepthMm = mm });
        }

        var defect = log.Proof(
            basement.Id,
            LogEntryKind.Defect,
            1_350,
            new()
            {
                DefectKind = DefectKind.Void,
                DefectAreaM2 = 0.06,
                DefectCause = DefectCause.Access,
                SpotNumber = 2,
            },
            entry => entry with { Words = "Hollow behind the drain pipe" }
        );
        log.Proof(
            basement.Id,
            LogEntryKind.DefectRepaired,
            1_340,
            new() { RepairWay = RepairWay.CutAndSprayed, CutBackMm = 50 },
            entry => entry with { Of = defect }
        );
        log.Proof(basement.Id, LogEntryKind.DefectRechecked, 1_300, new() { FoundSound = true }, entry => entry with { Of = defect });
        log.Proof(basement.Id, LogEntryKind.Sampled, 1_295, new() { Sample = SampleKind.Density, DensityKgM3 = 33.1 });
        log.Proof(basement.Id, LogEntryKind.Inspected, 1_290, new() { Inspected = InspectionItem.Voids });
        log.Proof(basement.Id, LogEntryKind.Inspected, 1_289, new() { Inspected = InspectionItem.Holds });
        return log.Rows;
    }

    /// <summary>Whether a log has something of the proof already.</summary>
    public static bool HasProof(IEnumerable<LogEntryRow> log) => log.Any(row => row.Document.Proof is not null);

    private sealed class Log(Guid job, DateTimeOffset now)
    {
        public List<LogEntryRow> Rows { get; } = [];

        public Guid Say(Guid? surface, LogEntryKind kind, int minutesAgo, Func<LogEntryDocument, LogEntryDocument>? with = null)
        {
            var at = now.AddMinutes(-minutesAgo);
            var entry = new LogEntryDocument
            {
                Id = Guid.NewGuid(),
                Kind = kind,
                At = at,
                SaidAt = at,
                By = Lead,
            };
            Rows.Add(
                new()
                {
                    Id = entry.Id,
                    JobId = job,
                    SurfaceId = surface,
                    Document = with?.Invoke(entry) ?? entry,
                    ReceivedAt = at,
                }
            );
            return entry.Id;
        }

        public Guid Proof(
            Guid? surface,
            LogEntryKind kind,
            int minutesAgo,
            ProofDocument said,
            Func<LogEntryDocument, LogEntryDocument>? with = null
        ) => Say(surface, kind, minutesAgo, entry => (with?.Invoke(entry) ?? entry) with { Proof = said });

        public void Lift(Guid surface, int begun, int ended, double[] depthsMm)
        {
            var lift = Say(surface, LogEntryKind.LiftBegun, begun, entry => entry with { Gate = Verdict.Clear });
            Say(surface, LogEntryKind.LiftEnded, ended, entry => entry with { Of = lift });
            foreach (var (mm, i) in depthsMm.Select((mm, i) => (mm, i)))
            {
                Say(surface, LogEntryKind.Depth, ended - 2 - i, entry => entry with { Of = lift, DepthMm = mm });
            }
        }
    }
}
