using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>An assembly as it stands or as it is planned, under one pair of airs: what a surveyor can feel and measure.</summary>
/// <param name="U">Heat transmittance.</param>
/// <param name="RoomFace">Temperature of the face towards the room.</param>
/// <param name="Interface">The interface of interest: the substrate the foam is sprayed on, or the underside of a tight floor
/// finish.</param>
/// <param name="InterfaceHumidity">Relative humidity there by diffusion alone, percent; 100 and above where vapour would condense.</param>
/// <param name="FaceWorking">How the face's temperature came about.</param>
public sealed record AssemblyState(
    ThermalTransmittance U,
    Temperature RoomFace,
    ProfilePoint Interface,
    double InterfaceHumidity,
    Working FaceWorking
)
{
    /// <summary>A finish's underside must stay under this humidity (choice rule E5), percent.</summary>
    public const double GreatestFinishHumidity = 80;

    /// <summary>The assembly with a foam thickness; zero for the assembly without foam.</summary>
    /// <param name="section">The case; its own foam thickness is not used.</param>
    /// <param name="foam">Foam thickness, 0 to the sheet's last rated thickness.</param>
    /// <exception cref="QuantityRangeException">Air outside the psychrometric formulas, or a thickness past the sheet's table.</exception>
    public static AssemblyState Of(SectionCase section, Length foam)
    {
        return OfFilled(foam > Length.Zero ? section.WithFoam(foam) : section.Bare());
    }

    /// <summary>The assembly as the case fills it.</summary>
    /// <param name="section">The case.</param>
    /// <exception cref="QuantityRangeException">Air outside the psychrometric formulas.</exception>
    public static AssemblyState OfFilled(SectionCase section)
    {
        var heat = SectionHeat.Of(section);
        var profile = SectionProfile.Of(section, heat);
        var face = profile.Points[^2];
        var of = InterfaceOf(section, profile);
        var saturation = MoistAir.SaturationPressureOfWeather(of.Temperature);
        return new(
            heat.WholeU,
            face.Temperature,
            of,
            100 * of.VapourPressure.Pascals / saturation.Pascals,
            new(
                "roomFace",
                "T_face = T_in − (T_in − T_out) · R_si / R",
                [
                    new("T_in", "indoorTemperature", section.Air.Indoor.ToFigure()),
                    new("T_out", "outdoorTemperature", section.Air.Outdoor.ToFigure()),
                    new("R_si", "insideFilm", heat.InsideFilm.ToFigure()),
                    new("R", "cavityR", heat.CavityTotal.ToFigure()),
                ],
                face.Temperature.ToFigure(),
                Citations.ResistanceShares
            )
        );
    }

    /// <summary>Says where a plan leaves the interface wetter than it is; null where it does not, or where it stays dry all the
    /// same.</summary>
    /// <param name="planned">The assembly as planned, under the same air.</param>
    /// <param name="season">Key of the season: <c>winter</c> or <c>summer</c>.</param>
    public Finding? WetterWith(AssemblyState planned, string season)
    {
        if (planned.InterfaceHumidity <= GreatestFinishHumidity || planned.InterfaceHumidity <= InterfaceHumidity + MonthlyYear.Alike)
        {
            return null;
        }

        return new(CondensationRules.Wetter, season, Verdict.Care, Citations.SteadyDiffusion)
        {
            Measured = new(Math.Min(100, planned.InterfaceHumidity), Dimension.RelativeHumidity),
            Limit = new(Math.Min(100, InterfaceHumidity), Dimension.RelativeHumidity),
        };
    }

    /// <summary>How far the face towards the room follows the room's air, 0 (outdoors) to 1 (room): the temperature factor of the
    /// assembly as it is.</summary>
    /// <param name="section">The case; its own air is not used.</param>
    public static double FaceShareOf(SectionCase section) =>
        OfFilled(
            section with
            {
                Air = new(
                    Temperature.FromCelsius(1),
                    RelativeHumidity.FromPercent(40),
                    Temperature.FromCelsius(0),
                    RelativeHumidity.FromPercent(80)
                ),
            }
        ).RoomFace.Celsius;

    /// <summary>How far the substrate the foam lies on follows the room's air, 0 (outdoors) to 1 (room).</summary>
    /// <param name="section">The case; its own air is not used.</param>
    public static double SubstrateShareOf(SectionCase section) =>
        OfFilled(
            section with
            {
                Air = new(
                    Temperature.FromCelsius(1),
                    RelativeHumidity.FromPercent(40),
                    Temperature.FromCelsius(0),
                    RelativeHumidity.FromPercent(80)
                ),
            }
        ).Interface.Temperature.Celsius;

    // Under a tight finish damp gathers below it; elsewhere at the substrate the foam lies on, or the innermost outboard layer before it
    // is sprayed.
    private static ProfilePoint InterfaceOf(SectionCase section, SectionProfile profile)
    {
        if (section.FoamAgainst == FoamSide.Inboard && section.Inboard.Count > 1)
        {
            return profile.Points[^3];
        }

        var outer = profile.Points.Take(profile.Points.Count - 1 - section.Inboard.Count).ToList();
        var index = outer.FindLastIndex(p => p.Key is not ("freeSpace" or "insideFilm") && section.Fill.All(layer => layer.Key != p.Key));
        return profile.Points[Math.Max(0, index)];
    }
}
