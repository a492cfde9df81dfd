using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>What would bring temperatures and humidity in order together.</summary>
internal static class GateRemedies
{
    /// <summary>By as much a temperature may grow when it is printed, K: a tenth of a degree in either unit.</summary>
    public const double RoundedBy = 0.1;

    /// <summary>One answer to G1 to G4: how warm dry heat must make air and substrate, and which other sheet would do as it is.</summary>
    /// <remarks>Dry heat leaves the water in the air as it was, so the dew point stays. Heat from a flame in the room adds water and is
    /// not offered.</remarks>
    public static IReadOnlyList<Remedy> Together(GateCase gate, MoistAir? air)
    {
        if (
            gate.Substrate is not { } substrate
            || gate.Air is not { } airReading
            || air is not { } state
            || IsClearOfHold(gate, gate.Sheet)
        )
        {
            return [];
        }

        List<Remedy> remedies = [];
        if (DryHeat(gate, substrate.Value, airReading.Value, state) is { } heat)
        {
            remedies.Add(heat);
        }

        remedies.AddRange(
            gate.OtherSheets.Where(sheet => sheet.StandsInFor(gate.Sheet) && IsClearOfHold(gate, sheet))
                .Select(sheet => new Remedy(
                    "otherSheet",
                    new Dictionary<string, Figure>(),
                    new Dictionary<string, string> { ["sheet"] = sheet.Name }
                ))
        );
        return remedies;
    }

    private static Remedy? DryHeat(GateCase gate, Temperature substrate, Temperature airTemperature, MoistAir air)
    {
        var sheet = gate.Sheet;
        var limit = Math.Min(sheet.GreatestHumidityPercent, gate.Practice.GreatestHumidityPercent);
        var substrateTo = Math.Max(
            Math.Max(substrate.Celsius, sheet.Substrate.Least.Celsius),
            air.DewPoint.Celsius + gate.Practice.DewHold.Kelvins + MoistureRules.Past
        );
        var forHumidity =
            air.Humidity.Percent > limit ? air.TemperatureForHumidity(limit).Celsius + MoistureRules.Past : airTemperature.Celsius;
        var airTo = Math.Max(Math.Max(airTemperature.Celsius, sheet.Air.Least.Celsius), forHumidity);
        return substrateTo + RoundedBy <= sheet.Substrate.Greatest.Celsius && airTo + RoundedBy <= sheet.Air.Greatest.Celsius
            ? new(
                "dryHeat",
                new Dictionary<string, Figure>
                {
                    ["substrateTo"] = new Figure(substrateTo, Dimension.Temperature).AtLeast,
                    ["substrateChange"] = new Figure(substrateTo - substrate.Celsius, Dimension.TemperatureDifference).AtLeast,
                    ["airTo"] = new Figure(airTo, Dimension.Temperature).AtLeast,
                    ["airChange"] = new Figure(airTo - airTemperature.Celsius, Dimension.TemperatureDifference).AtLeast,
                }
            )
            : null;
    }

    private static bool IsClearOfHold(GateCase gate, ProductSheet sheet)
    {
        var tried = gate with { Sheet = sheet };
        var air = SprayGate.AirAsRead(tried);
        return new[]
            {
                TemperatureRules.Substrate(tried),
                TemperatureRules.Air(tried),
                MoistureRules.DewDistance(tried, air),
                MoistureRules.Humidity(tried, air),
            }.Worst() != Verdict.Hold;
    }

    // Roofing foam stands for nothing else, and a kit does not stand for a rig's drums.
}
