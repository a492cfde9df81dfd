using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Materials;

/// <summary>Whether the cells of a foam are open to one another.</summary>
public enum CellStructure
{
    /// <summary>Open cell: light, soft, vapour-open.</summary>
    Open,

    /// <summary>Closed cell: dense, stiff, vapour-retarding.</summary>
    Closed,
}

/// <summary>What a foam is made for.</summary>
public enum FoamGrade
{
    /// <summary>The usual grade.</summary>
    Standard,

    /// <summary>Reacts on cold substrates.</summary>
    Cold,

    /// <summary>Heavier open cell.</summary>
    Dense,

    /// <summary>Roofing density, for the weather side.</summary>
    Roofing,

    /// <summary>Froth from a hand kit, for small work without a rig.</summary>
    Kit,
}

/// <summary>The window a sheet allows for a temperature, bounds included.</summary>
/// <param name="Least">Coldest.</param>
/// <param name="Greatest">Warmest.</param>
public readonly record struct TemperatureWindow(Temperature Least, Temperature Greatest)
{
    /// <summary>Distance to the nearer edge; negative outside. An edge met to the last bit but one is met: figures typed in °F and kept
    /// in °C come so.</summary>
    public TemperatureDifference Margin(Temperature t)
    {
        var margin = Math.Min(t.Celsius - Least.Celsius, Greatest.Celsius - t.Celsius);
        return TemperatureDifference.FromKelvins(Math.Abs(margin) < 1e-9 ? 0 : margin);
    }

    /// <summary>What lies in both windows; empty, so that nothing lies in it, where they do not meet.</summary>
    public TemperatureWindow Within(TemperatureWindow other) =>
        new(Least > other.Least ? Least : other.Least, Greatest < other.Greatest ? Greatest : other.Greatest);

    /// <summary>Whether the temperature lies in the window.</summary>
    public bool Holds(Temperature t) => Margin(t).Kelvins >= 0;
}

/// <summary>When people without protection can come back, by the sheet.</summary>
/// <param name="After">After the last trigger, above zero.</param>
/// <param name="AirChanges">At so many air changes an hour, above zero; null for foam that is sprayed outdoors only.</param>
public readonly record struct ReEntryTime(TimeSpan After, double? AirChanges)
{
    /// <summary>The longer of both, at the more air.</summary>
    public ReEntryTime AlsoWithin(ReEntryTime other) =>
        new(
            After > other.After ? After : other.After,
            AirChanges is { } mine && other.AirChanges is { } theirs ? Math.Max(mine, theirs) : AirChanges ?? other.AirChanges
        );
}

/// <summary>What the maker's product sheet says of a foam. Its limits bound every answer.</summary>
public sealed record ProductSheet
{
    /// <summary>Short id, lower case with hyphens.</summary>
    public required string Id { get; init; }

    /// <summary>Product name.</summary>
    public required string Name { get; init; }

    /// <summary>Maker.</summary>
    public required string Maker { get; init; }

    /// <summary>Edition of the sheet.</summary>
    public required string Edition { get; init; }

    /// <summary>Open or closed cell.</summary>
    public required CellStructure Cell { get; init; }

    /// <summary>What it is made for.</summary>
    public required FoamGrade Grade { get; init; }

    /// <summary>Key of the family of products it is told and learned with: cell structure and grade.</summary>
    public string Family => Vocabulary.KeyOf(Cell) + Grade;

    /// <summary>Whether it comes as a hand kit and not in drums for a rig. A set is then a kit.</summary>
    public bool IsKit => Grade == FoamGrade.Kit;

    /// <summary>Whether it can be sprayed in the place of another product: of the same cells, and for the same kind of work.</summary>
    /// <param name="other">The product planned.</param>
    public bool StandsInFor(ProductSheet other) =>
        Id != other.Id && Cell == other.Cell && (Grade == FoamGrade.Roofing) == (other.Grade == FoamGrade.Roofing) && IsKit == other.IsKit;

    /// <summary>Density of a cut sample without skins.</summary>
    public required Density CoreDensity { get; init; }

    /// <summary>Density with skins, as weighed in place.</summary>
    public required Density InPlaceDensity { get; init; }

    /// <summary>Aged R (m²·K/W) by thickness (m).</summary>
    public required Curve AgedR { get; init; }

    /// <summary>Ageing method named on the sheet.</summary>
    public required string AgeingMethod { get; init; }

    /// <summary>Vapour permeability of the bulk; skins are never counted.</summary>
    public required Permeability Permeability { get; init; }

    /// <summary>Thickness from which the foam counts as an air barrier.</summary>
    public required Length AirBarrierFrom { get; init; }

    /// <summary>Thinnest lift.</summary>
    public required Length LeastLift { get; init; }

    /// <summary>Thickest lift, never exceeded.</summary>
    public required Length GreatestLift { get; init; }

    /// <summary>The lift the sheet's yield is stated for.</summary>
    public required Length ReferenceLift { get; init; }

    /// <summary>Least thickness of a flash coat, where one is allowed.</summary>
    public Length? FlashCoatFrom { get; init; }

    /// <summary>The thinnest that can be sprayed at all: a flash coat where one is allowed, else the thinnest lift.</summary>
    public Length ThinnestCoat => FlashCoatFrom is { } flash && flash < LeastLift ? flash : LeastLift;

    /// <summary>The last lift must have cooled below this before the next.</summary>
    public required Temperature NextLiftBelow { get; init; }

    /// <summary>Least wait between lifts.</summary>
    public required TimeSpan LeastWait { get; init; }

    /// <summary>Substrate window.</summary>
    public required TemperatureWindow Substrate { get; init; }

    /// <summary>Air window.</summary>
    public required TemperatureWindow Air { get; init; }

    /// <summary>Drum window.</summary>
    public required TemperatureWindow Drums { get; init; }

    /// <summary>Greatest relative humidity, percent.</summary>
    public required double GreatestHumidityPercent { get; init; }

    /// <summary>Greatest wood moisture content, percent; null where the sheet says dry.</summary>
    public double? GreatestWoodMoisturePercent { get; init; }

    /// <summary>Greatest wind at an open face.</summary>
    public required Speed WindLimit { get; init; }

    /// <summary>Yield factor by drum temperature (°C).</summary>
    public required Curve YieldByDrum { get; init; }

    /// <summary>Yield factor by substrate temperature (°C).</summary>
    public required Curve YieldBySubstrate { get; init; }

    /// <summary>Yield of a set under the sheet's reference conditions.</summary>
    public required FoamVolume SheetYield { get; init; }

    /// <summary>A side of a set.</summary>
    public required Mass SetMassA { get; init; }

    /// <summary>B side of a set.</summary>
    public required Mass SetMassB { get; init; }

    /// <summary>Both sides of a set.</summary>
    public Mass SetMass => SetMassA + SetMassB;

    /// <summary>Compressive strength; null where the sheet gives none.</summary>
    public BearingPressure? CompressiveStrength { get; init; }

    /// <summary>Flame spread index; null where the sheet gives none.</summary>
    public double? FlameSpread { get; init; }

    /// <summary>Smoke developed index; null where the sheet gives none.</summary>
    public double? SmokeDeveloped { get; init; }

    /// <summary>Days it may stand open to sun; null where the sheet gives none.</summary>
    public double? OpenToSunDays { get; init; }

    /// <summary>Days it may stand open to rain; null where the sheet gives none.</summary>
    public double? OpenToRainDays { get; init; }

    /// <summary>Cure before rain or load.</summary>
    public required TimeSpan CureBeforeRain { get; init; }

    /// <summary>Set points of the rig.</summary>
    public required RigSetPoints SetPoints { get; init; }

    /// <summary>How fast it reacts at them.</summary>
    public required FoamReaction Reaction { get; init; }

    /// <summary>How its foam heats itself; null where the sheet does not say.</summary>
    public FoamExotherm? GivenExotherm { get; init; }

    /// <summary>How its foam heats itself: as the sheet says, else as foam of its cells usually does.</summary>
    public FoamExotherm Exotherm => GivenExotherm ?? FoamExotherm.Usual(Cell);

    /// <summary>Re-entry as the sheet words it.</summary>
    public required string ReEntry { get; init; }

    /// <summary>Re-entry in figures; null where the sheet gives none.</summary>
    public ReEntryTime? ReEntryTime { get; init; }

    /// <summary>Least pull of a disc glued to the foam; null where the sheet gives none.</summary>
    public BearingPressure? LeastPull { get; init; }

    /// <summary>The dense skin of each lift as an equivalent lost thickness: 0.05 in for closed cell, 0.10 in for open cell (trade
    /// practice).</summary>
    public Length SkinEquivalent => Length.FromInches(Cell == CellStructure.Closed ? 0.05 : 0.10);

    /// <summary>Thickest foam for which the sheet states an R.</summary>
    public Length ThickestRated => Length.FromMetres(AgedR.Last);

    /// <summary>Aged R at a thickness: interpolated, proportional below the first point, refused past the last.</summary>
    /// <param name="thickness">0 to the sheet's last point.</param>
    /// <exception cref="QuantityRangeException">Negative, or past the sheet's last point.</exception>
    public ThermalResistance ResistanceAt(Length thickness)
    {
        var metres = thickness.Metres == 0 ? 0 : Rated(thickness).Metres;
        var first = AgedR.Points[0];
        return ThermalResistance.FromSi(metres < first.X ? first.Y * metres / first.X : AgedR.At(metres));
    }

    /// <summary>The thickness, if the sheet rates it. A thickness past the last point by a rounding (152.4 mm for 6 in) is that
    /// point.</summary>
    /// <param name="thickness">Above zero.</param>
    /// <exception cref="QuantityRangeException">Not above zero, or past the sheet's last point.</exception>
    public Length Rated(Length thickness)
    {
        const double Least = 1e-4,
            Rounding = 1e-6;
        var last = AgedR.Last;
        return thickness.Metres > last && thickness.Metres <= last + Rounding
            ? Length.FromMetres(last)
            : Length.FromMetres(QuantityRangeException.Within("foam thickness", thickness.Metres, Least, last, Dimension.Thickness));
    }

    /// <summary>This edition where another one is in force: held to the tighter of both in when and how thick it may be sprayed. All else stays, so that
    /// what was figured with it stands.</summary>
    /// <param name="inForce">Another edition of the product.</param>
    public ProductSheet AlsoWithin(ProductSheet inForce)
    {
        var both = this with
        {
            Substrate = Substrate.Within(inForce.Substrate),
            Air = Air.Within(inForce.Air),
            Drums = Drums.Within(inForce.Drums),
            GreatestHumidityPercent = Math.Min(GreatestHumidityPercent, inForce.GreatestHumidityPercent),
            // A sheet that says dry and prints no figure is held to dry; against one a figure cannot be weighed.
            GreatestWoodMoisturePercent =
                inForce.GreatestWoodMoisturePercent < GreatestWoodMoisturePercent
                    ? inForce.GreatestWoodMoisturePercent
                    : GreatestWoodMoisturePercent,
            WindLimit = inForce.WindLimit.MetresPerSecond < WindLimit.MetresPerSecond ? inForce.WindLimit : WindLimit,
            CureBeforeRain = inForce.CureBeforeRain > CureBeforeRain ? inForce.CureBeforeRain : CureBeforeRain,
            NextLiftBelow = inForce.NextLiftBelow < NextLiftBelow ? inForce.NextLiftBelow : NextLiftBelow,
            LeastWait = inForce.LeastWait > LeastWait ? inForce.LeastWait : LeastWait,
            GreatestLift = inForce.GreatestLift < GreatestLift ? inForce.GreatestLift : GreatestLift,
            ReEntryTime =
                ReEntryTime is { } time && inForce.ReEntryTime is { } other ? time.AlsoWithin(other) : ReEntryTime ?? inForce.ReEntryTime,
        };
        return both == this ? this : both with { Edition = $"{Edition} / {inForce.Edition}" };
    }

    /// <summary>What contradicts itself on the sheet.</summary>
    public IEnumerable<SheetContradiction> Contradictions()
    {
        if (LeastLift > GreatestLift)
        {
            yield return new("lift.leastIn", "liftOrder");
        }

        if (ReferenceLift > GreatestLift || ReferenceLift < LeastLift)
        {
            yield return new("lift.referenceIn", "liftReference");
        }

        if (FlashCoatFrom > GreatestLift)
        {
            yield return new("flashCoatFromIn", "flashOverLift");
        }

        foreach (var (path, window) in new[] { ("substrateC", Substrate), ("airC", Air), ("drumsC", Drums) })
        {
            if (window.Least >= window.Greatest)
            {
                yield return new(path, "windowEmpty");
            }
        }

        if (AgedR.Points.Zip(AgedR.Points.Skip(1)).Any(pair => pair.Second.Y <= pair.First.Y))
        {
            yield return new("agedR", "agedRFalls");
        }

        if (InPlaceDensity.KilogramsPerCubicMetre < CoreDensity.KilogramsPerCubicMetre)
        {
            yield return new("density.inPlaceLbFt3", "inPlaceUnderCore");
        }

        var bound = SetMass / InPlaceDensity;
        if (SheetYield.CubicMetres > bound.CubicMetres)
        {
            yield return new("yieldBoardFeet", "yieldOverMass")
            {
                Figures = new Dictionary<string, Figure>
                {
                    ["yield"] = SheetYield.ToFigure(),
                    ["mass"] = SetMass.ToFigure(),
                    ["most"] = bound.ToFigure(),
                },
            };
        }
    }
}

/// <summary>Something on a sheet that contradicts the rest of it.</summary>
/// <param name="Path">Path of the offending value, such as <c>lift.leastIn</c>.</param>
/// <param name="Case">Which contradiction; the sentence is chosen by it.</param>
public sealed record SheetContradiction(string Path, string Case)
{
    /// <summary>Figures of the sentence, by name.</summary>
    public IReadOnlyDictionary<string, Figure> Figures { get; init; } = new Dictionary<string, Figure>();
}
