using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Surfaces;

/// <summary>Reads what an entry of the log says beyond spraying: what was read, sampled, seen, signed, found and repaired.</summary>
internal static class ProofFields
{
    private static readonly FigureRange Block = new FigureRange(0.003, 0.6, Dimension.Thickness),
        CutBack = new FigureRange(0, 1, Dimension.Thickness),
        Spot = new(-1e4, 1e4, Dimension.Number),
        Number = new(1, ProofDocument.MostPlaces, Dimension.Count),
        Draw = new(0, 1_000_000, Dimension.Count),
        Weight = new FigureRange(1e-4, 10, Dimension.PieceMass).Usually(0.001, 1),
        Volume = new FigureRange(1e-6, 0.1, Dimension.PieceVolume).Usually(1e-5, 0.01),
        Density = new(1, ProofDocument.GreatestDensity, Dimension.Density),
        Pull = new FigureRange(0, ProofDocument.GreatestPullKPa * 1000, Dimension.BearingPressure).Usually(5_000, 600_000),
        Size = new(0.0001, ProofDocument.MostArea, Dimension.Area);

    /// <summary>The fields there are.</summary>
    public static readonly string[] All =
    [
        "spot",
        "spotKind",
        "spotX",
        "spotY",
        "again",
        "block",
        "sample",
        "pieceWeight",
        "pieceVolume",
        "density",
        "pull",
        "failedIn",
        "look",
        "inspected",
        "signedName",
        "signedRole",
        "signedStrokes",
        "defect",
        "size",
        "cause",
        "repair",
        "cutBack",
        "sound",
        "airChanges",
        "airFlow",
        "roomVolume",
        "draw",
        "accounted",
    ];

    /// <summary>The entry with what was typed.</summary>
    public static LogEntryDocument Read(TypedFields fields, LogEntryDocument entry)
    {
        var said = entry.Proof ?? new();
        fields.Quantity("spot", Number, n => said = said with { SpotNumber = (int)Math.Round(n) });
        fields.ChoiceOrBlank<PlaceKind>("spotKind", one => said = said with { SpotKind = one });
        fields.Quantity("spotX", Spot, x => said = said with { SpotXM = x });
        fields.Quantity("spotY", Spot, y => said = said with { SpotYM = y });
        fields.Id("again", _ => true, id => said = said with { ReadAgain = id });
        fields.Quantity("block", Block, si => said = said with { BlockMm = si * 1000 });
        fields.ChoiceOrBlank<InspectionItem>("inspected", one => said = said with { Inspected = one });
        fields.ChoiceOrBlank<Clearance>("accounted", one => said = said with { Accounted = one });
        fields.Text("signedName", ProofDocument.LongestName, required: true, text => said = said with { SignedName = text });
        fields.Text("signedRole", ProofDocument.LongestName, required: true, text => said = said with { SignedRole = text });
        fields.Text("signedStrokes", ProofDocument.LongestStrokes, required: true, text => said = said with { SignedStrokes = text });
        fields.Quantity("draw", Draw, n => said = said with { PlacesDrawn = (int)Math.Round(n) });
        said = Defect(fields, Sample(fields, said));
        said = Air(fields, said);
        return said == new ProofDocument() ? entry : entry with { Proof = said };
    }

    /// <summary>What an entry of a kind cannot do without.</summary>
    public static IEnumerable<(string Field, bool IsMissing)> LacksOf(LogEntryDocument entry) =>
        (entry.Kind, entry.Proof) switch
        {
            (LogEntryKind.PlacesDrawn, var said) => [("draw", said?.PlacesDrawn is null)],
            (LogEntryKind.ProbeChecked, var said) => [("depth", entry.DepthMm is null), ("block", said?.BlockMm is null)],
            (LogEntryKind.Inspected, var said) => [("inspected", said?.Inspected is null)],
            (LogEntryKind.AccountedFor, var said) => [("accounted", said?.Accounted is null)],
            (LogEntryKind.VentilationRead, var said) => [("airChanges", said?.AirChanges is null)],
            (LogEntryKind.SignedOff, var said) =>
            [
                ("signedName", said?.SignedName is null),
                ("signedRole", said?.SignedRole is null),
                ("signedStrokes", said?.SignedStrokes is null),
            ],
            (LogEntryKind.DefectRepaired, var said) => [("of", entry.Of is null), ("repair", said?.RepairWay is null)],
            (LogEntryKind.DefectRechecked, var said) => [("of", entry.Of is null), ("sound", said?.FoundSound is null)],
            (LogEntryKind.Sampled, var said) => LacksOf(said),
            _ => [],
        };

    /// <summary>Faults what does not follow from the log: a defect is looked at again once it was repaired.</summary>
    public static void Follow(TypedFields fields, LogEntryDocument entry, IReadOnlyList<LogEntryDocument> log)
    {
        if (
            entry is not { Kind: LogEntryKind.DefectRepaired or LogEntryKind.DefectRechecked, Of: { } id, Replaces: null }
            || fields.Has("of") is false
        )
        {
            return;
        }

        var defect = FoundDefect.Of(SprayLog.InForce(log.Select(one => one.ToEntry()))).FirstOrDefault(one => one.Id == id);
        if (defect is null || (entry.Kind == LogEntryKind.DefectRechecked && defect.State != DefectState.Repaired))
        {
            fields.Fault(
                new()
                {
                    Field = "of",
                    Code = defect is null ? FaultCode.Unknown : FaultCode.NotRepaired,
                    Typed = "",
                }
            );
        }
    }

    private static IEnumerable<(string Field, bool IsMissing)> LacksOf(ProofDocument? said) =>
        said?.Sample switch
        {
            null => [("sample", true)],
            SampleKind.Density => [("pieceWeight", said.DensityKgM3 is null)],
            SampleKind.Adhesion => [("pull", said.PullKPa is null), ("failedIn", said.FailedIn is null)],
            _ => [("look", said.CellLook is null)],
        };

    private static ProofDocument Sample(TypedFields fields, ProofDocument said)
    {
        var (weight, volume) = (default(double?), default(double?));
        fields.ChoiceOrBlank<SampleKind>("sample", one => said = said with { Sample = one });
        fields.QuantityOrBlank("pieceWeight", Weight, si => weight = si);
        fields.QuantityOrBlank("pieceVolume", Volume, si => volume = si);
        fields.Quantity("density", Density, si => said = said with { DensityKgM3 = si });
        fields.Quantity("pull", Pull, si => said = said with { PullKPa = si / 1000 });
        fields.ChoiceOrBlank<FailedIn>("failedIn", one => said = said with { FailedIn = one });
        fields.ChoiceOrBlank<CellLook>("look", one => said = said with { CellLook = one });
        if (weight is not { } kilograms)
        {
            return said;
        }

        if (volume is not { } cubicMetres)
        {
            fields.Fault(LogFields.Lacking("pieceVolume"));
            return said;
        }

        var density = kilograms / cubicMetres;
        if (density is < 1 or > ProofDocument.GreatestDensity)
        {
            fields.Fault(
                FieldFault.Of(
                    "pieceWeight",
                    new QuantityRangeException(
                        "density",
                        new(density, Dimension.Density),
                        new(1, Dimension.Density),
                        new(ProofDocument.GreatestDensity, Dimension.Density)
                    )
                )
            );
            return said;
        }

        return said with
        {
            DensityKgM3 = density,
        };
    }

    private static ProofDocument Defect(TypedFields fields, ProofDocument said)
    {
        fields.ChoiceOrBlank<DefectKind>("defect", one => said = said with { DefectKind = one });
        fields.QuantityOrBlank("size", Size, si => said = said with { DefectAreaM2 = si });
        fields.ChoiceOrBlank<DefectCause>("cause", one => said = said with { DefectCause = one });
        fields.ChoiceOrBlank<RepairWay>("repair", one => said = said with { RepairWay = one });
        fields.QuantityOrBlank("cutBack", CutBack, si => said = said with { CutBackMm = si * 1000 });
        fields.YesNo("sound", one => said = said with { FoundSound = one });
        return said;
    }

    // Air changes are read as such, or come of what a fan moves and the room it moves it through.
    private static ProofDocument Air(TypedFields fields, ProofDocument said)
    {
        var (flow, volume) = (default(double?), default(double?));
        fields.QuantityOrBlank("airChanges", FieldRanges.AirChanges, n => said = said with { AirChanges = n });
        fields.QuantityOrBlank("airFlow", FieldRanges.FanFlow, si => flow = si);
        fields.QuantityOrBlank("roomVolume", FieldRanges.Volume, si => volume = si);
        if (flow is { } moved && volume is { } room)
        {
            said = said with { AirChanges = Math.Min(ProofDocument.MostAirChanges, moved * 3600 / room) };
        }
        else if (flow is not null || volume is not null)
        {
            fields.Fault(LogFields.Lacking(flow is null ? "airFlow" : "roomVolume"));
        }

        return said;
    }
}
