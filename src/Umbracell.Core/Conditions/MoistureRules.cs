using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>Rules G3, G4 and G5: dew, humidity and moisture of the substrate.</summary>
internal static class MoistureRules
{
    /// <summary>How far past a limit that must be passed and not met a remedy goes, K: further than the dew point is solved to, less than
    /// any thermometer tells.</summary>
    public const double Past = 0.01;

    public static Finding DewDistance(GateCase gate, MoistAir? air)
    {
        var source = Citations.DewDistance(gate.Practice.DewHold, gate.Practice.DewClear);
        if (gate.Substrate is not { } substrate || air is not { } state)
        {
            return new(GateRules.DewDistance, "unread", Verdict.Hold, source);
        }

        var dew = state.DewPoint;
        var distance = substrate.Value - dew;
        var (hold, clear) = (gate.Practice.DewHold.Kelvins, gate.Practice.DewClear.Kelvins);
        var verdict =
            GateMargins.IsShort(distance.Kelvins, hold) ? Verdict.Hold
            : GateMargins.IsShort(distance.Kelvins, clear) ? Verdict.Care
            : Verdict.Clear;
        var wanted = verdict == Verdict.Hold ? hold : clear;
        return new(
            GateRules.DewDistance,
            verdict switch
            {
                Verdict.Hold => "tooClose",
                Verdict.Care => "close",
                _ => "apart",
            },
            verdict,
            source
        )
        {
            Measured = distance.ToFigure(),
            MeasuredBetween = (substrate.Value.ToFigure(), dew.ToFigure()),
            Limit = new(hold, Dimension.TemperatureDifference),
            Margin = new(distance.Kelvins - hold, Dimension.TemperatureDifference),
            Figures = new Dictionary<string, Figure>
            {
                ["substrate"] = substrate.Value.ToFigure(),
                ["dew"] = dew.ToFigure(),
                ["wanted"] = new(wanted, Dimension.TemperatureDifference),
                ["age"] = Figure.Duration(substrate.Age > gate.Humidity!.Age ? substrate.Age : gate.Humidity.Age),
            },
            Words = new Dictionary<string, Said> { ["point"] = dew.Celsius < 0 ? "frost" : "dew", ["instrument"] = substrate.Instrument },
            Remedies = verdict == Verdict.Clear ? [] : DewRemedies(gate, state, substrate.Value, distance.Kelvins, wanted),
            Working = new(
                "dewDistance",
                "d = T_substrate − T_dew",
                [
                    new("T_substrate", "substrateTemperature", substrate.Value.ToFigure()),
                    new("T_dew", "dewPoint", dew.ToFigure(), DewWorking(state)),
                ],
                distance.ToFigure(),
                Citations.DewPointOfAir
            ),
        };
    }

    public static Finding Humidity(GateCase gate, MoistAir? air)
    {
        var (ofSheet, own) = (gate.Sheet.GreatestHumidityPercent, gate.Practice.GreatestHumidityPercent);
        var (limit, isOwn) = (Math.Min(ofSheet, own), own < ofSheet);
        var source = isOwn ? Citations.GreatestHumidity : Citations.Sheet(gate.Sheet, SheetLine.SheetHumidity);
        if (gate.Humidity is not { } reading)
        {
            return new(GateRules.Humidity, isOwn ? "ownUnread" : "unread", Verdict.Hold, source)
            {
                Limit = new(limit, Dimension.RelativeHumidity),
                Figures = new Dictionary<string, Figure> { ["sheet"] = new(ofSheet, Dimension.RelativeHumidity) },
            };
        }

        var margin = limit - reading.Value.Percent;
        var verdict =
            GateMargins.IsShort(margin, 0) ? Verdict.Hold
            : GateMargins.IsShort(margin, gate.Practice.HumidityPoints) ? Verdict.Care
            : Verdict.Clear;
        return new(GateRules.Humidity, HumidityCase(verdict, isOwn), verdict, source)
        {
            Measured = reading.Value.ToFigure(),
            Limit = new(limit, Dimension.RelativeHumidity),
            Margin = new(margin, Dimension.HumidityPoints),
            Figures = new Dictionary<string, Figure>
            {
                ["wanted"] = new(gate.Practice.HumidityPoints, Dimension.HumidityPoints),
                ["sheet"] = new(ofSheet, Dimension.RelativeHumidity),
                ["age"] = Figure.Duration(reading.Age),
            },
            Words = new Dictionary<string, Said> { ["instrument"] = reading.Instrument },
            Remedies =
                verdict == Verdict.Clear || air is not { } state
                    ? []
                    : HumidityRemedies(gate, state, verdict == Verdict.Hold ? limit : limit - gate.Practice.HumidityPoints),
            Working = MarginUnder(reading.Value.ToFigure(), new(limit, Dimension.RelativeHumidity), margin, source),
        };
    }

    private static string HumidityCase(Verdict verdict, bool isOwn) =>
        verdict switch
        {
            Verdict.Hold => isOwn ? "ownOver" : "over",
            Verdict.Care => isOwn ? "ownNear" : "near",
            _ => isOwn ? "ownUnder" : "under",
        };

    public static Finding SubstrateMoisture(GateCase gate)
    {
        var source = Citations.Sheet(gate.Sheet, SheetLine.SheetMoisture);
        var judged = (gate.SubstrateKind, gate.Sheet.GreatestWoodMoisturePercent) switch
        {
            (SubstrateKind.Wood, { } limit) => ByMeter(gate, limit, source, "dry", "nearLimit", "wet", "dryWood"),
            (SubstrateKind.Wood, null) => WoodThatMustBeDry(gate, source),
            (SubstrateKind.Mineral, _) => ByMeter(
                gate,
                gate.Practice.DryConcretePercent,
                Citations.ConcreteMeters,
                "concreteDry",
                "concreteDry",
                "concreteWet",
                "dryConcrete"
            ) ?? SeenOnly(gate, source),
            _ => ByEye(gate, source),
        };

        // What the eye finds wet or frosted is wet, whatever a meter said of it before.
        return judged is not { Verdict: Verdict.Hold } && gate.FoundDry is { Value: false }
            ? ByEye(gate, source)!
            : judged ?? Unread(gate, source);
    }

    private static Finding Unread(GateCase gate, Citation source) => new(GateRules.SubstrateMoisture, "unread", Verdict.Hold, source);

    private static Finding? ByMeter(GateCase gate, double limit, Citation source, string dry, string near, string wet, string remedy)
    {
        if (gate.MoistureMeter is not { } reading)
        {
            return null;
        }

        var margin = limit - reading.Value;
        var isNear = near != dry && GateMargins.IsShort(margin, gate.Practice.MoisturePoints);
        var (name, verdict) =
            GateMargins.IsShort(margin, 0) ? (wet, Verdict.Hold)
            : isNear ? (near, Verdict.Care)
            : (dry, Verdict.Clear);
        return new(GateRules.SubstrateMoisture, name, verdict, source)
        {
            Measured = new(reading.Value, Dimension.MoistureContent),
            Limit = new(limit, Dimension.MoistureContent),
            Margin = new(margin, Dimension.HumidityPoints),
            Figures = new Dictionary<string, Figure>
            {
                ["wanted"] = new(gate.Practice.MoisturePoints, Dimension.HumidityPoints),
                ["age"] = Figure.Duration(reading.Age),
            },
            Words = new Dictionary<string, Said> { ["instrument"] = reading.Instrument },
            Working = MarginUnder(new(reading.Value, Dimension.MoistureContent), new(limit, Dimension.MoistureContent), margin, source),
            Remedies =
                verdict == Verdict.Clear
                    ? []
                    :
                    [
                        Remedy.Of(
                            remedy,
                            "to",
                            new Figure(
                                verdict == Verdict.Hold ? limit : limit - gate.Practice.MoisturePoints,
                                Dimension.MoistureContent
                            ).AtMost
                        ),
                    ],
        };
    }

    // A sheet that asks for dry wood and prints no figure: the meter can hold it, but only the eye can pass it.
    private static Finding? WoodThatMustBeDry(GateCase gate, Citation source)
    {
        var meter = ByMeter(gate, gate.Practice.DryWoodPercent, source, "woodDry", "woodNear", "woodWet", "dryWood");
        return meter is not null && meter.Verdict != Verdict.Hold && gate.FoundDry is null
            ? meter with
            {
                Case = GateRules.SubstrateMoisture["notLookedAt"],
                Verdict = Verdict.Hold,
                Remedies = [new("lookDry", new Dictionary<string, Figure>())],
            }
            : meter ?? ByEye(gate, source);
    }

    // No eye sees the water within concrete or brick: what looks dry is not held, and not clear before its meter is read.
    private static Finding? SeenOnly(GateCase gate, Citation source) =>
        ByEye(gate, source) is not { Verdict: Verdict.Clear } seen
            ? ByEye(gate, source)
            : seen with
            {
                Case = GateRules.SubstrateMoisture["seenOnly"],
                Verdict = Verdict.Care,
                Source = Citations.ConcreteMeters,
                Remedies =
                [
                    Remedy.Of("readConcrete", "to", new Figure(gate.Practice.DryConcretePercent, Dimension.MoistureContent).AtMost),
                ],
            };

    private static Finding? ByEye(GateCase gate, Citation source) =>
        gate.FoundDry is not { } seen
            ? null
            : new(GateRules.SubstrateMoisture, seen.Value ? "seenDry" : "seenWet", seen.Value ? Verdict.Clear : Verdict.Hold, source)
            {
                Figures = new Dictionary<string, Figure> { ["age"] = Figure.Duration(seen.Age) },
                Words = new Dictionary<string, Said> { ["instrument"] = seen.Instrument },
                Remedies = seen.Value ? [] : [new("wipeDry", new Dictionary<string, Figure>())],
            };

    private static List<Remedy> DewRemedies(GateCase gate, MoistAir air, Temperature substrate, double distance, double wanted)
    {
        List<Remedy> remedies = [];
        var heatTo = substrate.Celsius + wanted - distance + Past;
        if (heatTo + GateRemedies.RoundedBy <= gate.Sheet.Substrate.Greatest.Celsius)
        {
            remedies.Add(
                new(
                    "heatSubstrate",
                    new Dictionary<string, Figure>
                    {
                        ["change"] = new Figure(heatTo - substrate.Celsius, Dimension.TemperatureDifference).AtLeast,
                        ["to"] = new Figure(heatTo, Dimension.Temperature).AtLeast,
                    }
                )
            );
        }

        // Drying the air instead: the humidity at which its dew point lies the wanted distance under the substrate.
        var dewWanted = substrate.Celsius - wanted - Past;
        if (dewWanted > Saturation.ColdestIce)
        {
            var vapour = MoistAir.SaturationPressureAt(Temperature.FromCelsius(dewWanted), HumidityReference.Ice);
            remedies.AddRange(Dried(air, 100 * vapour.Pascals / air.SaturationPressure.Pascals));
        }

        return remedies;
    }

    private static List<Remedy> HumidityRemedies(GateCase gate, MoistAir air, double wanted)
    {
        List<Remedy> remedies = [];
        var warm = air.TemperatureForHumidity(wanted) + TemperatureDifference.FromKelvins(Past);
        if (warm.Celsius + GateRemedies.RoundedBy <= gate.Sheet.Air.Greatest.Celsius)
        {
            remedies.Add(
                new(
                    "warmAirDry",
                    new Dictionary<string, Figure>
                    {
                        ["to"] = warm.ToFigure().AtLeast,
                        ["change"] = (warm - air.Temperature).ToFigure().AtLeast,
                    }
                )
            );
        }

        remedies.AddRange(Dried(air, wanted));
        return remedies;
    }

    // Air so dry that no meter tells it is no remedy; printed to whole percents, downwards.
    private static IEnumerable<Remedy> Dried(MoistAir air, double percent) =>
        percent >= 1 && percent < air.Humidity.Percent
            ? [Remedy.Of("dryAir", "to", new Figure(percent, Dimension.RelativeHumidity).AtMost)]
            : [];

    private static Working MarginUnder(Figure reading, Figure limit, double margin, Citation source) =>
        new(
            "margin",
            "margin = limit − reading",
            [new("limit", "limit", limit), new("reading", "reading", reading)],
            new(margin, Dimension.HumidityPoints),
            source
        );

    private static Working DewWorking(MoistAir air) =>
        new(
            "dewPoint",
            "p_ws(T_dew) = RH / 100 · p_ws(T_air)",
            [
                new("RH", "humidity", air.Humidity.ToFigure()),
                new("p_ws(T_air)", "saturationPressure", air.SaturationPressure.ToFigure()),
                new("p_w", "vapourPressure", air.VapourPressure.ToFigure()),
            ],
            air.DewPoint.ToFigure(),
            Citations.PsychrometricsOverIce
        );
}
