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
