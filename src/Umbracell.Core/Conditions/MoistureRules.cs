using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>Rules G3, G4 and G5: dew, humidity and moisture of the substrate.</summary>
internal static class MoistureRules
{
    public static Finding DewDistance(GateCase gate, MoistAir? air)
    {
        const string Source = "Substrate above dew or frost point: 3 K at least, 5 K to be clear";
        if (gate.Substrate is not { } substrate || air is not { } state)
        {
            return new("G3", "unread", Verdict.Hold, Basis.Physics, Source);
        }

        var dew = state.DewPoint;
        var distance = substrate.Value - dew;
        var (hold, clear) = (gate.Practice.DewHold.Kelvins, gate.Practice.DewClear.Kelvins);
        var verdict = distance.Kelvins < hold ? Verdict.Hold : distance.Kelvins < clear ? Verdict.Care : Verdict.Clear;
        var wanted = verdict == Verdict.Hold ? hold : clear;
        return new("G3", verdict switch { Verdict.Hold => "tooClose", Verdict.Care => "close", _ => "apart" }, verdict, Basis.Physics, Source)
        {
            Measured = distance.ToFigure(),
            Limit = new(hold, Dimension.TemperatureDifference),
            Margin = new(distance.Kelvins - hold, Dimension.TemperatureDifference),
            Figures = new Dictionary<string, Figure>
            {
                ["substrate"] = substrate.Value.ToFigure(),
                ["dew"] = dew.ToFigure(),
                ["wanted"] = new(wanted, Dimension.TemperatureDifference),
                ["age"] = Figure.Duration(substrate.Age > gate.Humidity!.Age ? substrate.Age : gate.Humidity.Age),
            },
            Words = new Dictionary<string, string> { ["point"] = dew.Celsius < 0 ? "frost" : "dew", ["instrument"] = substrate.Instrument },
            Remedies = verdict == Verdict.Clear ? [] : DewRemedies(state, substrate.Value, distance.Kelvins, wanted),
            Working = new(
                "dewDistance",
                "d = T_substrate − T_dew",
                [new("T_substrate", "substrateTemperature", substrate.Value.ToFigure()), new("T_dew", "dewPoint", dew.ToFigure(), DewWorking(state))],
                distance.ToFigure(),
                "Dew or frost point of the air read"),
        };
    }

    public static Finding Humidity(GateCase gate, MoistAir? air)
    {
        var limit = Math.Min(gate.Sheet.GreatestHumidityPercent, gate.Practice.GreatestHumidityPercent ?? 100);
        var source = $"{gate.Sheet.Name}, {gate.Sheet.Edition}: greatest humidity";
        if (gate.Humidity is not { } reading)
        {
            return new("G4", "unread", Verdict.Hold, Basis.ProductSheet, source) { Limit = new(limit, Dimension.RelativeHumidity) };
        }

        var margin = limit - reading.Value.Percent;
        var verdict = margin < 0 ? Verdict.Hold : margin < gate.Practice.HumidityPoints ? Verdict.Care : Verdict.Clear;
        return new("G4", verdict switch { Verdict.Hold => "over", Verdict.Care => "near", _ => "under" }, verdict, Basis.ProductSheet, source)
        {
            Measured = reading.Value.ToFigure(),
            Limit = new(limit, Dimension.RelativeHumidity),
            Margin = new(margin, Dimension.HumidityPoints),
            Figures = new Dictionary<string, Figure> { ["age"] = Figure.Duration(reading.Age) },
            Words = new Dictionary<string, string> { ["instrument"] = reading.Instrument },
            Remedies = verdict == Verdict.Clear || air is not { } state ? [] : HumidityRemedies(gate, state, verdict == Verdict.Hold ? limit : limit - gate.Practice.HumidityPoints),
            Working = MarginUnder(reading.Value.ToFigure(), new(limit, Dimension.RelativeHumidity), margin, source),
        };
    }

    public static Finding SubstrateMoisture(GateCase gate)
    {
        var source = $"{gate.Sheet.Name}, {gate.Sheet.Edition}: substrate moisture";
        if (gate.Moisture is not { } reading)
        {
            return new("G5", "unread", Verdict.Hold, Basis.ProductSheet, source) { Words = new Dictionary<string, string> { ["substrate"] = gate.SubstrateKind.ToString() } };
        }

        return gate.SubstrateKind == SubstrateKind.Wood && gate.Sheet.GreatestWoodMoisturePercent is { } limit
            ? WoodMoisture(gate, reading, limit, source)
            : DryOrNot(gate, reading, source);
    }

    private static Finding WoodMoisture(GateCase gate, Reading<SubstrateMoisture> reading, double limit, string source)
    {
        if (reading.Value.WoodPercent is not { } percent)
        {
            return new("G5", "unread", Verdict.Hold, Basis.ProductSheet, source) { Words = new Dictionary<string, string> { ["substrate"] = gate.SubstrateKind.ToString() } };
        }

        var margin = limit - percent;
        var verdict = margin < 0 ? Verdict.Hold : margin < gate.Practice.MoisturePoints ? Verdict.Care : Verdict.Clear;
        return new("G5", verdict switch { Verdict.Hold => "wet", Verdict.Care => "nearLimit", _ => "dry" }, verdict, Basis.ProductSheet, source)
        {
            Measured = new(percent, Dimension.MoistureContent),
            Limit = new(limit, Dimension.MoistureContent),
            Margin = new(margin, Dimension.HumidityPoints),
            Figures = new Dictionary<string, Figure> { ["age"] = Figure.Duration(reading.Age) },
            Words = new Dictionary<string, string> { ["instrument"] = reading.Instrument },
            Working = MarginUnder(new(percent, Dimension.MoistureContent), new(limit, Dimension.MoistureContent), margin, source),
            Remedies = verdict == Verdict.Clear ? [] : [Remedy.Of("dryWood", "to", new(verdict == Verdict.Hold ? limit : limit - gate.Practice.MoisturePoints, Dimension.MoistureContent))],
        };
    }

    private static Finding DryOrNot(GateCase gate, Reading<SubstrateMoisture> reading, string source)
    {
        var dry = reading.Value.IsDry ?? (reading.Value.ConcretePercent is { } percent ? percent <= gate.Practice.DryConcretePercent : (bool?)null);
        var (name, verdict) = dry switch { true => ("seenDry", Verdict.Clear), false => ("seenWet", Verdict.Hold), _ => ("unread", Verdict.Hold) };
        return new("G5", name, verdict, Basis.ProductSheet, source)
        {
            Figures = new Dictionary<string, Figure> { ["age"] = Figure.Duration(reading.Age) },
            Words = new Dictionary<string, string> { ["substrate"] = gate.SubstrateKind.ToString(), ["instrument"] = reading.Instrument },
            Remedies = name == "seenWet" ? [new("wipeDry", new Dictionary<string, Figure>())] : [],
        };
    }

    private static List<Remedy> DewRemedies(MoistAir air, Temperature substrate, double distance, double wanted)
    {
        List<Remedy> remedies =
        [
            new("heatSubstrate", new Dictionary<string, Figure>
            {
                ["change"] = new(wanted - distance, Dimension.TemperatureDifference),
                ["to"] = new(substrate.Celsius + wanted - distance, Dimension.Temperature),
            }),
        ];

        // Drying the air instead: the humidity at which its dew point lies the wanted distance under the substrate.
        var dewWanted = substrate.Celsius - wanted;
        if (dewWanted > Saturation.ColdestIce)
        {
            var vapour = MoistAir.SaturationPressureAt(new(dewWanted), HumidityReference.Ice);
            remedies.Add(Remedy.Of("dryAir", "to", new(100 * vapour.Pascals / air.SaturationPressure.Pascals, Dimension.RelativeHumidity)));
        }

        return remedies;
    }

    private static List<Remedy> HumidityRemedies(GateCase gate, MoistAir air, double wanted)
    {
        List<Remedy> remedies = [];
        var warm = air.TemperatureForHumidity(wanted);
        if (warm <= gate.Sheet.Air.Greatest)
        {
            remedies.Add(new("warmAirDry", new Dictionary<string, Figure> { ["to"] = warm.ToFigure(), ["change"] = (warm - air.Temperature).ToFigure() }));
        }

        remedies.Add(Remedy.Of("dryAir", "to", new(wanted, Dimension.RelativeHumidity)));
        return remedies;
    }

    private static Working MarginUnder(Figure reading, Figure limit, double margin, string source) =>
        new("margin", "margin = limit − reading", [new("limit", "limit", limit), new("reading", "reading", reading)], new(margin, Dimension.HumidityPoints), source);

    private static Working DewWorking(MoistAir air) => new(
        "dewPoint",
        "p_ws(T_dew) = RH / 100 · p_ws(T_air)",
        [
            new("RH", "humidity", air.Humidity.ToFigure()),
            new("p_ws(T_air)", "saturationPressure", air.SaturationPressure.ToFigure()),
            new("p_w", "vapourPressure", air.VapourPressure.ToFigure()),
        ],
        air.DewPoint.ToFigure(),
        "ASHRAE Fundamentals, psychrometrics, formulas (5) and (6); over ice below 0 °C");
}
