using System.Text.Json;
using System.Text.Json.Serialization;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Server.Section;
using Umbracell.Server.Sets.Price;
using Umbracell.Server.Window;
using Umbracell.Store.Model;

namespace Umbracell.Server.Jobs;

/// <summary>What board and list show of a surface, as it is kept.</summary>
/// <param name="Cell">Cell structure of its first foam.</param>
/// <param name="Sheet">Name of its product.</param>
/// <param name="Sketch">Its section, small.</param>
/// <param name="Cells">One of each stage; that of sets without its figure, which hangs on the whole job.</param>
/// <param name="WorstAtDesk">Worst of what is said of it apart from the gate.</param>
/// <param name="ToChoose">Whether nothing is chosen yet.</param>
/// <param name="ShortOfTarget">Whether its section falls short of the target.</param>
/// <param name="AreaM2">Treated area; null where it is not known or its openings are larger than it is.</param>
/// <param name="Asked">What the gate is asked; null until a sheet is chosen.</param>
/// <param name="AskedAt">When the readings of that question were as old as it says.</param>
internal sealed record KeptCells(
    CellStructure? Cell,
    string? Sheet,
    IReadOnlyList<SketchLayer> Sketch,
    IReadOnlyList<BoardCell> Cells,
    Verdict WorstAtDesk,
    bool ToChoose,
    bool ShortOfTarget,
    double? AreaM2,
    GateQuestion? Asked,
    DateTimeOffset AskedAt
)
{
    /// <summary>What the gate says; null where nothing was read or ticked off yet, as the stage itself shows it.</summary>
    public Verdict? Gate { get; init; }

    /// <summary>When it said so.</summary>
    public DateTimeOffset GateAt { get; init; }

    /// <summary>Until when it says so; null where it stays.</summary>
    public DateTimeOffset? GateUntil { get; init; }

    /// <summary>The worst of all.</summary>
    public Verdict Worst => Gate is { } gate && gate > WorstAtDesk ? gate : WorstAtDesk;

    /// <summary>Whether the gate still says the same at a time; not before it was asked either, should a clock be set back.</summary>
    public bool StandsAt(DateTimeOffset now) => GateAt <= now && !(GateUntil < now);

    public static KeptCells Of(SurfaceStudy row, DateTimeOffset now, IReadOnlyDictionary<string, ProductSheet> sheets) =>
        new KeptCells(
            row.Sheet?.Cell,
            row.Sheet?.Name,
            SectionSketch.Of(row.Section?.Case ?? row.Bare),
            BoardCells.AtDesk(row),
            row.Survey.Concat(row.Section?.Findings ?? [])
                .Concat(row.Year?.Findings ?? [])
                .Concat(row.AllSets.SelectMany(one => one.Sets.Findings))
                .Worst(),
            row is { Sheet: null, Surface.System: null },
            row.Section?.Findings.Any(f => f.Rule == SectionRules.Target && f.Verdict != Verdict.Clear) == true,
            row.Takeoff is { OpeningsExceedSurface: false } takeoff ? takeoff.Treated.SquareMetres : null,
            row.Gate,
            row.StudiedAt
        ).At(now, sheets);

    /// <summary>The same with the gate as it stands at a time.</summary>
    public KeptCells At(DateTimeOffset now, IReadOnlyDictionary<string, ProductSheet> sheets)
    {
        var gate =
            Asked is { } asked && sheets.GetValueOrDefault(asked.SheetId) is { } sheet
                ? SurfaceStudies.OrNull(() => GateQuestions.Check(asked.Later((now - AskedAt).TotalMinutes), sheet, sheets.Values))
                : null;
        gate = gate is { Begun: true } ? gate : null;
        return this with
        {
            Cells = [.. Cells.Where(cell => cell.Stage != Stage.Window), BoardCells.Window(gate)],
            Gate = gate?.Verdict,
            GateAt = now,
            GateUntil = now + gate?.StandsFor,
        };
    }
}

/// <summary>What the surfaces of a job add up to, as it is kept.</summary>
/// <param name="Today">The bid as it would be kept today.</param>
/// <param name="Sets">Sets of each surface by the way it will be sprayed.</param>
/// <param name="Cost">Cost; null where a price is missing or nothing is priced.</param>
/// <param name="Price">Price; null likewise.</param>
internal sealed record KeptSums(BidDocument Today, IReadOnlyDictionary<Guid, double> Sets, double? Cost, double? Price)
{
    public static KeptSums Of(JobBid bid)
    {
        var priced = bid.Bid.Missing.Count == 0 && bid.Surfaces.Count > 0;
        return new(
            PriceAnswers.Kept(bid),
            bid.Surfaces.ToDictionary(s => s.Row.Surface.Id, s => s.Priced.Foams.Sum(f => f.Sets)),
            priced ? bid.Bid.Cost : null,
            priced ? bid.Bid.Price : null
        );
    }
}

/// <summary>How kept figures are written and read.</summary>
internal static class KeptJson
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
    };

    public static string Write<T>(T value) => JsonSerializer.Serialize(value, Options);

    public static T Read<T>(string document) => JsonSerializer.Deserialize<T>(document, Options)!;
}
