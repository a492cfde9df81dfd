using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Rig;

/// <summary>Reads what was typed of a rig and of a test shot.</summary>
internal static class RigFields
{
    private static readonly FigureRange Heated = new FigureRange(-20, 95, Dimension.Temperature).Usually(5, 75),
        Pressed = new FigureRange(1e5, 40e6, Dimension.MaterialPressure).Usually(3e6, 20e6),
        Timed = new FigureRange(0.05, 600, Dimension.ReactionTime).Usually(0.3, 120),
        Lift = new FigureRange(0.0005, 0.5, Dimension.Thickness).Usually(0.005, 0.25),
        Sample = new FigureRange(1, 400, Dimension.Density).Usually(4, 80),
        Stirred = new(0, 3_600_000, Dimension.Duration);

    private static readonly string[] SettingFields =
    [
        "primaryA",
        "primaryB",
        "hose",
        "pressure",
        "tip",
        "lotA",
        "lotB",
        "drumChanged",
        "rig",
    ];

    private static readonly string[] ShotFields =
    [
        "rig",
        "substrate",
        "drumA",
        "drumB",
        "primaryA",
        "primaryB",
        "hose",
        "pressureA",
        "pressureB",
        "sinceMixed",
        "lift",
        "cream",
        "rise",
        "tackFree",
        "rose",
        "skin",
        "cells",
        "colour",
        "feel",
        "adhesion",
        "layers",
        "pooling",
        "shrinks",
        "blowholes",
        "scorch",
        "sample",
    ];

    /// <summary>Takes set points over those before; what is not named stays as it was.</summary>
    /// <exception cref="FieldFaultsException">A field cannot be taken.</exception>
    public static void Take(TypedEdit edit, RigSettingRow row)
    {
        var fields = new TypedFields(edit);
        fields.Quantity("primaryA", Heated, si => row.PrimaryATempC = si);
        fields.Quantity("primaryB", Heated, si => row.PrimaryBTempC = si);
        fields.Quantity("hose", Heated, si => row.HoseTempC = si);
        fields.Quantity("pressure", Pressed, si => row.PressurePa = si);
        fields.Text("tip", RigSettingRow.LongestTip, required: false, text => row.Tip = text);
        fields.Text("lotA", RigSettingRow.LongestLot, required: false, text => row.LotA = text);
        fields.Text("lotB", RigSettingRow.LongestLot, required: false, text => row.LotB = text);
        fields.YesNo("drumChanged", yes => row.DrumChanges += yes == true ? 1 : 0);
        fields.ThrowIfFaulty(SettingFields);
    }

    /// <summary>Takes what was read and seen over what is read already.</summary>
    /// <exception cref="FieldFaultsException">A field cannot be taken, or times are in the wrong order.</exception>
    public static ShotDocument Shot(TypedEdit edit, ShotDocument read)
    {
        var fields = new TypedFields(edit);
        var (shot, seen) = (read, new ShotSeenDocument());
        fields.QuantityOrBlank("substrate", FieldRanges.ReadTemperature, si => shot = shot with { SubstrateTempC = si });
        fields.QuantityOrBlank("drumA", FieldRanges.DrumTemperature, si => shot = shot with { DrumATempC = si });
        fields.QuantityOrBlank("drumB", FieldRanges.DrumTemperature, si => shot = shot with { DrumBTempC = si });
        fields.QuantityOrBlank("primaryA", Heated, si => shot = shot with { PrimaryATempC = si });
        fields.QuantityOrBlank("primaryB", Heated, si => shot = shot with { PrimaryBTempC = si });
        fields.QuantityOrBlank("hose", Heated, si => shot = shot with { HoseTempC = si });
        fields.QuantityOrBlank("pressureA", Pressed, si => shot = shot with { PressureAMpa = si / 1e6 });
        fields.QuantityOrBlank("pressureB", Pressed, si => shot = shot with { PressureBMpa = si / 1e6 });
        fields.QuantityOrBlank("sinceMixed", Stirred, si => shot = shot with { HoursSinceMixed = si / 3600 });
        fields.QuantityOrBlank("lift", Lift, si => shot = shot with { LiftMm = si * 1000 });
        fields.QuantityOrBlank("cream", Timed, si => seen = seen with { CreamS = si });
        fields.QuantityOrBlank("rise", Timed, si => seen = seen with { RiseS = si });
        fields.QuantityOrBlank("tackFree", Timed, si => seen = seen with { TackFreeS = si });
        fields.QuantityOrBlank("sample", Sample, si => seen = seen with { SampleDensityKgM3 = si });
        fields.Seen<ShotRise>("rose", one => seen = seen with { Rise = one });
        fields.Seen<ShotSkin>("skin", one => seen = seen with { Skin = one });
        fields.Seen<ShotCells>("cells", one => seen = seen with { Cells = one });
        fields.Seen<ShotColour>("colour", one => seen = seen with { Colour = one });
        fields.Seen<ShotFeel>("feel", one => seen = seen with { Feel = one });
        fields.Seen<ShotAdhesion>("adhesion", one => seen = seen with { Adhesion = one });
        fields.Seen<ShotLayers>("layers", one => seen = seen with { Layers = one });
        fields.YesNo("pooling", yes => seen = seen with { Pooling = yes });
        fields.YesNo("shrinks", yes => seen = seen with { Shrinks = yes });
        fields.YesNo("blowholes", yes => seen = seen with { Blowholes = yes });
        fields.YesNo("scorch", yes => seen = seen with { Scorch = yes });
        InOrder(fields, ("cream", seen.CreamS), ("rise", seen.RiseS), ("tackFree", seen.TackFreeS));
        fields.ThrowIfFaulty(ShotFields);
        return shot with { Seen = seen };
    }

    // Foam creams, rises and is free of tack in this order: what says otherwise was timed wrong.
    private static void InOrder(TypedFields fields, params (string Field, double? Seconds)[] times)
    {
        var last = 0.0;
        foreach (var (field, seconds) in times)
        {
            if (seconds < last)
            {
                fields.Fault(
                    new()
                    {
                        Field = field,
                        Code = FaultCode.TimeOrder,
                        Typed = "",
                    }
                );
            }

            last = seconds ?? last;
        }
    }

    private static void Seen<T>(this TypedFields fields, string field, Action<T?> take)
        where T : struct, Enum
    {
        if (fields.Has(field) && fields.Raw(field).Length == 0)
        {
            take(null);
        }
        else
        {
            fields.Choice<T>(field, one => take(one));
        }
    }
}
