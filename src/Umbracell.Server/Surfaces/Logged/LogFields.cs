using System.Globalization;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Server.Places;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Drums an entry can be of.</summary>
/// <param name="Sheet">Product of the surface; null where none is chosen.</param>
/// <param name="Sheets">Products of the firm.</param>
/// <param name="Lots">Lots in the firm's store.</param>
internal sealed record DrumsAtHand(ProductSheet? Sheet, IReadOnlyDictionary<string, ProductSheet> Sheets, IReadOnlyList<StockLotRow> Lots);

/// <summary>Reads an entry of the log as it was typed.</summary>
internal sealed class LogFields(TypedEdit edit, Job job, Stamp stamp, DrumsAtHand drums)
{
    // Half a metre of foam is more than any sheet rates; a yard of it was typed in the wrong unit.
    private static readonly FigureRange Depth = new FigureRange(0.001, 0.6, Dimension.Thickness).Usually(0.01, 0.45),
        Dip = new FigureRange(0, 0.85, Dimension.Thickness),
        Probe = new FigureRange(-40, 250, Dimension.Temperature).Usually(0, 180);

    // Clocks are up to fourteen hours ahead of universal time, and twelve behind.
    private static readonly FigureRange Zones = new(-720, 840, Dimension.Number);

    private static readonly LogEntryKind[] OfTheJob =
    [
        LogEntryKind.VentilationOn,
        LogEntryKind.VentilationOff,
        LogEntryKind.AreaClear,
        LogEntryKind.AreaEntered,
        LogEntryKind.DrumOpened,
        LogEntryKind.DrumLevel,
        LogEntryKind.DrumEmpty,
        LogEntryKind.DrumsOnTruck,
        LogEntryKind.FuelBought,
        LogEntryKind.JobFinished,
        LogEntryKind.JobReopened,
        LogEntryKind.VentilationRead,
        LogEntryKind.ProbeChecked,
        LogEntryKind.AccountedFor,
    ];

    private static readonly LogEntryKind[] OfDrums =
    [
        LogEntryKind.DrumOpened,
        LogEntryKind.DrumLevel,
        LogEntryKind.DrumEmpty,
        LogEntryKind.DrumsOnTruck,
    ];

    private static readonly FigureRange Drums = new(0, LogEntryDocument.MostDrums, Dimension.Count),
        Strokes = new(1, 100_000, Dimension.Count),
        Cost = new(0, LogEntryDocument.MostMoney, Dimension.Money);

    // A little over what a drum is filled with.
    private const double Fullest = 1.1;

    private TimeSpan? _ahead;

    // A clock of a device can be ahead by so much.
    private static readonly TimeSpan Ahead = TimeSpan.FromMinutes(2);

    /// <summary>Whether entries of a kind are of the whole job.</summary>
    public static bool IsOfJob(LogEntryKind kind) => OfTheJob.Contains(kind);

    /// <summary>The entry.</summary>
    /// <param name="log">What is logged already.</param>
    /// <exception cref="FieldFaultsException">A field cannot be taken.</exception>
    public LogEntryDocument Read(IReadOnlyList<LogEntryDocument> log)
    {
        var fields = new TypedFields(edit);
        var entry = Begun(log);
        var time = "";
        fields.Require("kind");
        fields.Choice<LogEntryKind>("kind", kind => entry = entry with { Kind = kind });
        fields.Id("entry", _ => true, id => entry = entry with { Id = id ?? entry.Id });
        fields.Id("of", _ => true, id => entry = entry with { Of = id });
        fields.Text("place", LogEntryDocument.LongestPlace, required: false, text => entry = entry with { Place = Said(text) });
        fields.Text("words", LogEntryDocument.LongestWords, required: false, text => entry = entry with { Words = Said(text) });
        fields.Quantity("depth", Depth, si => entry = entry with { DepthMm = si * 1000 });
        fields.Quantity("read", Probe, si => entry = entry with { TempC = si });
        fields.ChoiceOrBlank<StopReason>("reason", one => entry = entry with { Reason = one });
        fields.ChoiceOrBlank<WalkRoundItem>("item", one => entry = entry with { Item = one });
        fields.ChoiceOrBlank<SetSide>("side", one => entry = entry with { Side = one });
        fields.Text("lot", LogEntryDocument.LongestLot, required: false, text => entry = entry with { Lot = Said(text) });
        fields.Quantity("dip", Dip, si => entry = entry with { Left = DrumUse.LeftOf(Length.FromMetres(si)) });
        fields.Quantity("cost", Cost, money => entry = entry with { FuelCost = money });
        fields.Quantity("count", Drums, n => entry = entry with { DrumCount = (int)Math.Round(n) });
        fields.Id("stock", id => drums.Lots.Any(lot => lot.Id == id), id => entry = FromStore(entry, id));
        entry = OfProduct(entry, log);
        Weighed(fields, entry, left => entry = entry with { Left = left });
        Stroked(fields, entry, log, left => entry = entry with { Left = left });
        fields.ChoiceOrBlank<Verdict>("gate", one => entry = entry with { Gate = one });
        entry = ProofFields.Read(fields, entry);
        fields.TimeOfDay("time", text => time = text);
        fields.Quantity("clockAhead", Zones, minutes => _ahead = TimeSpan.FromMinutes(minutes));
        foreach (
            var lacks in LacksOf(entry, fields)
                .Concat(ProofFields.LacksOf(entry))
                .Where(one => one.IsMissing && !fields.IsFaulty(one.Field))
        )
        {
            fields.Fault(Lacking(lacks.Field));
        }

        ProofFields.Follow(fields, entry, log);
        fields.ThrowIfFaulty([
            .. ProofFields.All,
            "kind",
            "entry",
            "replaces",
            "of",
            "place",
            "words",
            "depth",
            "read",
            "reason",
            "item",
            "gate",
            "time",
            "side",
            "lot",
            "dip",
            "weight",
            "strokes",
            "strokesOfDrum",
            "stock",
            "cost",
            "count",
            "clockAhead",
        ]);
        return InTime(time.Length == 0 ? entry : entry with { At = At(time, entry.At) }, log);
    }

    // A correction begins with what it corrects: what is not typed again stays as it was, to the last digit.
    private LogEntryDocument Begun(IReadOnlyList<LogEntryDocument> log)
    {
        Guid? replaces = edit.Fields.GetValueOrDefault("replaces") is { Length: > 0 } text && Guid.TryParse(text, out var id) ? id : null;
        var corrected = replaces is null
            ? null
            : log.Where(one => (one.Id == replaces || one.Replaces == replaces) && one.Kind != LogEntryKind.Withdrawn)
                .MaxBy(one => (one.SaidAt, one.Id));
        var blank = new LogEntryDocument
        {
            Id = edit.Id ?? Guid.CreateVersion7(),
            Kind = default,
            At = corrected?.At ?? stamp.At,
            SaidAt = stamp.At,
            By = stamp.By,
            Replaces = replaces,
        };
        return corrected is null ? blank : corrected with { Id = blank.Id, SaidAt = blank.SaidAt, By = blank.By, Replaces = replaces };
    }

    // A lot that is counted empty gives nothing; what was opened before is gone on with as full as it was left.
    private LogEntryDocument FromStore(LogEntryDocument entry, Guid? id)
    {
        if (drums.Lots.FirstOrDefault(lot => lot.Id == id) is not { } lot)
        {
            return entry with { StockLot = null };
        }

        entry = entry with { Lot = lot.Lot, Side = lot.Side, DrumSheet = lot.SheetSlug };
        return lot.Full > 0 ? entry with { StockLot = lot.Id }
            : lot.PartKg > 0 && MassOf(entry) is { } full ? entry with { StockLot = lot.Id, Left = Math.Min(1, lot.PartKg / full) }
            : entry;
    }

    // A level is of the product in the open drum. A new one is of the product that is sprayed where it is logged, unless its lot says
    // otherwise.
    private LogEntryDocument OfProduct(LogEntryDocument entry, IReadOnlyList<LogEntryDocument> log)
    {
        if (!OfDrums.Contains(entry.Kind) || entry.DrumSheet is not null)
        {
            return entry;
        }

        var isOfOpen = entry.Kind is LogEntryKind.DrumLevel or LogEntryKind.DrumEmpty;
        var open = isOfOpen
            ? SprayedSurface.Of(log.Select(one => one.ToEntry())).Drums.FirstOrDefault(one => one.Side == entry.Side)
            : null;
        return entry with { DrumSheet = open?.Sheet ?? drums.Sheet?.Id };
    }

    private void Weighed(TypedFields fields, LogEntryDocument entry, Action<double> take)
    {
        if (fields.Has("weight") && fields.Raw("weight").Length > 0 && MassOf(entry) is { } full)
        {
            fields.Quantity("weight", new(0, full * Fullest, Dimension.Mass), kilograms => take(kilograms / full));
        }
    }

    // Every stroke of a pump takes as much out of the drum as any other: what it took since the level before.
    private static void Stroked(TypedFields fields, LogEntryDocument entry, IReadOnlyList<LogEntryDocument> log, Action<double> take)
    {
        var (strokes, ofDrum) = (default(double?), default(double?));
        fields.QuantityOrBlank("strokes", Strokes, n => strokes = n);
        fields.QuantityOrBlank("strokesOfDrum", Strokes, n => ofDrum = n);
        if (strokes is not { } since)
        {
            return;
        }

        var open = SprayedSurface.Of(log.Select(one => one.ToEntry())).Drums.FirstOrDefault(one => one.Side == entry.Side);
        if (ofDrum is not { } full)
        {
            fields.Fault(Lacking("strokesOfDrum"));
        }
        else if (open?.Left is { } left)
        {
            take(Math.Max(0, left - since / full));
        }
        else
        {
            fields.Fault(Lacking("strokes"));
        }
    }

    // A level is typed in one of three ways.
    private static string LevelField(TypedFields fields) =>
        fields.Has("weight") ? "weight"
        : fields.Has("strokes") ? "strokes"
        : "dip";

    internal static FieldFault Lacking(string field) =>
        new()
        {
            Field = field,
            Code = FaultCode.Empty,
            Typed = "",
        };

    private double? MassOf(LogEntryDocument entry) =>
        entry is { DrumSheet: { } name, Side: { } side } && drums.Sheets.GetValueOrDefault(name) is { } sheet
            ? DrumStock.MassOf(sheet, side).Kilograms
            : null;

    internal static string? Said(string text) => text.Length == 0 ? null : text;

    // What an entry of a kind cannot do without.
    private static IEnumerable<(string Field, bool IsMissing)> LacksOf(LogEntryDocument entry, TypedFields fields) =>
        entry.Kind switch
        {
            LogEntryKind.Depth => [("depth", entry.DepthMm is null)],
            LogEntryKind.Probe => [("read", entry.TempC is null)],
            LogEntryKind.Stopped => [("reason", entry.Reason is null)],
            LogEntryKind.Seen => [("item", entry.Item is null)],
            LogEntryKind.Note => [("words", entry.Words is null)],
            // Noted while spraying it is told in words; on a finished surface, by its kind.
            LogEntryKind.Defect => [("words", entry.Words is null && entry.Proof?.DefectKind is null)],
            LogEntryKind.Withdrawn => [("replaces", entry.Replaces is null)],
            LogEntryKind.DrumLevel => [("side", entry.Side is null), (LevelField(fields), entry.Left is null)],
            LogEntryKind.FuelBought => [("cost", entry.FuelCost is null)],
            LogEntryKind.DrumsOnTruck => [("side", entry.Side is null), ("count", entry.DrumCount is null)],
            LogEntryKind.DrumOpened or LogEntryKind.DrumEmpty => [("side", entry.Side is null)],
            _ => [],
        };

    // A time that is typed is of the day of what it corrects, else of today; by the clock of the device where that of the place is not
    // known, as it is shown.
    private DateTimeOffset At(string time, DateTimeOffset near)
    {
        var clock = TimeOnly.Parse(time, CultureInfo.InvariantCulture);
        if (PlaceTime.IsKnown(job) || _ahead is not { } ahead)
        {
            var shown = PlaceTime.Day(job, near).ToDateTime(clock);
            return new DateTimeOffset(shown, PlaceTime.OffsetAt(job, shown)).ToUniversalTime();
        }

        return new DateTimeOffset(DateOnly.FromDateTime(near.ToOffset(ahead).DateTime).ToDateTime(clock), ahead).ToUniversalTime();
    }

    // What was typed is held against the clock and the lift it is of. What a device sends of what happened is taken as it is.
    private LogEntryDocument InTime(LogEntryDocument entry, IReadOnlyList<LogEntryDocument> log)
    {
        if (entry.At > stamp.ReceivedAt + Ahead)
        {
            throw FieldFaultsException.Of("time", FaultCode.TimeToCome);
        }

        var begun = SprayLog.InForce(log.Select(one => one.ToEntry())).FirstOrDefault(one => one.Id == entry.Of);
        return entry.Kind == LogEntryKind.LiftEnded && begun is { Kind: LogEntryKind.LiftBegun } && entry.At < begun.At
            ? throw FieldFaultsException.Of("time", FaultCode.EndsBeforeBegin)
            : entry;
    }
}
