using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Means;

/// <summary>How something that is known of means is typed.</summary>
public enum MeansEntryType
{
    /// <summary>A quantity with its unit.</summary>
    Quantity,

    /// <summary>One of a list.</summary>
    Choice,

    /// <summary>A time of day.</summary>
    Time,

    /// <summary>Words.</summary>
    Text,
}

/// <summary>Something that may be known of means of a kind.</summary>
/// <param name="Name">Its name, in the document and in the words of the screen.</param>
/// <param name="Type">How it is typed.</param>
internal sealed record MeansEntry(string Name, MeansEntryType Type)
{
    /// <summary>What a quantity may be, in SI; null for what is none.</summary>
    public FigureRange? Range { get; init; }

    /// <summary>Codes of the list; empty for what is none.</summary>
    public IReadOnlyList<string> Choices { get; init; } = [];

    /// <summary>Whether nothing can be figured without it.</summary>
    public bool IsNeeded { get; init; }

    /// <summary>The rate of the firm that it goes before; null for what is none. Rates are for those who price.</summary>
    public WorkRate? Rate { get; init; }
}

/// <summary>What may be known of each kind of means.</summary>
internal static class MeansEntries
{
    public const string HeaterPower = "power",
        HeaterType = "heaterKind",
        Count = "count",
        RoomAir = "air",
        RoomLoss = "loss",
        Holds = "holds",
        TakesOut = "takesOut",
        DryerType = "dryerKind",
        Trailer = "trailer",
        DayStart = "dayStart",
        DayEnd = "dayEnd",
        Note = "note";

    private const int LongestText = 300;

    private static readonly FigureRange Pieces = new(1, 200, Dimension.Count),
        SpaceHeat = new FigureRange(100, 1e6, Dimension.Power).Usually(2_000, 1e6),
        LiquidHeat = new FigureRange(500, 200_000, Dimension.ElectricPower).Usually(3_000, 60_000),
        DrumHeat = new FigureRange(20, 5_000, Dimension.ElectricPower).Usually(50, 5_000);

    private static readonly Dictionary<MeansKind, IReadOnlyList<MeansEntry>> Kinds = new()
    {
        [MeansKind.Crew] =
        [
            Quantity("people", new(1, 40, Dimension.Count)),
            new(DayStart, MeansEntryType.Time),
            new(DayEnd, MeansEntryType.Time),
            .. WorkRates.OfCrews.Select(rate => Quantity(rate.Field, rate.Range) with { Rate = rate }),
        ],
        [MeansKind.Rig] =
        [
            Quantity("liquidHeaters", LiquidHeat),
            Quantity("hoseHeat", LiquidHeat),
            Quantity("hoseLength", new FigureRange(3, 200, Dimension.Span).Usually(10, 130)),
            Choice("hoseLay", "onReel", "onGround", "indoors"),
            Choice("hoseWear", "good", "worn"),
            Quantity("pressure", new FigureRange(1e6, 40e6, Dimension.MaterialPressure).Usually(5e6, 25e6)),
            new("tips", MeansEntryType.Text),
            new("pumps", MeansEntryType.Text),
            Quantity("generator", new(500, 1e6, Dimension.ElectricPower)),
            Quantity(Trailer, new(50, 40_000, Dimension.Mass)),
        ],
        [MeansKind.SpaceHeater] =
        [
            Quantity(HeaterPower, SpaceHeat) with
            {
                IsNeeded = true,
            },
            Choice(HeaterType, [.. Enum.GetValues<HeaterKind>().Select(Vocabulary.KeyOf)]),
            Choice("fuel", "electricity", "propane", "naturalGas", "diesel"),
            Quantity(Count, Pieces),
        ],
        [MeansKind.Blankets] = [Quantity(HeaterPower, DrumHeat) with { IsNeeded = true }, Quantity(Count, Pieces)],
        [MeansKind.HotRoom] =
        [
            Quantity(RoomAir, new(15, 60, Dimension.Temperature)) with
            {
                IsNeeded = true,
            },
            Quantity(RoomLoss, new(1, 1000, Dimension.HeatLoss)) with
            {
                IsNeeded = true,
            },
            Quantity(Holds, Pieces),
        ],
        [MeansKind.Scaffold] =
        [
            Choice("scaffoldKind", "frame", "mobileTower", "trestles"),
            Quantity("reach", new(1, 60, Dimension.Span)),
            Quantity("covers", new(0.5, 10_000, Dimension.Area)),
            Quantity(Count, Pieces),
        ],
        [MeansKind.Fan] =
        [
            Quantity("flow", FieldRanges.FanFlow) with
            {
                IsNeeded = true,
            },
            Quantity("duct", new FigureRange(0.02, 2, Dimension.Thickness).Usually(0.08, 1)),
            Quantity("ductLength", new(0, 100, Dimension.Span)),
            Quantity(Count, Pieces),
        ],
        [MeansKind.Dehumidifier] =
        [
            Quantity(TakesOut, new FigureRange(0.05, 100, Dimension.WaterPace).Usually(0.2, 20)) with
            {
                IsNeeded = true,
            },
            Choice(DryerType, [.. Enum.GetValues<DehumidifierKind>().Select(Vocabulary.KeyOf)]),
            Quantity(Count, Pieces),
        ],
    };

    /// <summary>What may be known of means of a kind, in the order it is asked.</summary>
    public static IReadOnlyList<MeansEntry> Of(MeansKind kind) => [.. Kinds[kind], new(Note, MeansEntryType.Text)];

    /// <summary>Takes what was typed of an entry.</summary>
    /// <param name="entry">The entry.</param>
    /// <param name="fields">What was typed.</param>
    /// <param name="figure">Takes a figure in SI; null where it was left blank.</param>
    /// <param name="word">Takes a word; empty where it was left blank.</param>
    public static void Take(this MeansEntry entry, TypedFields fields, Action<double?> figure, Action<string> word)
    {
        switch (entry.Type)
        {
            case MeansEntryType.Quantity when entry.IsNeeded:
                fields.Quantity(entry.Name, entry.Range!.Value, si => figure(si));
                break;
            case MeansEntryType.Quantity:
                fields.QuantityOrBlank(entry.Name, entry.Range!.Value, figure);
                break;
            case MeansEntryType.Choice:
                fields.Known(entry.Name, typed => typed.Length == 0 || entry.Choices.Contains(typed), word);
                break;
            case MeansEntryType.Time:
                fields.TimeOfDay(entry.Name, word);
                break;
            default:
                fields.Text(entry.Name, LongestText, required: false, word);
                break;
        }
    }

    private static MeansEntry Quantity(string name, FigureRange range) => new(name, MeansEntryType.Quantity) { Range = range };

    private static MeansEntry Choice(string name, params string[] choices) => new(name, MeansEntryType.Choice) { Choices = choices };
}
