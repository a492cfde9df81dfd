using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Assemblies;

/// <summary>One layer of what is put between or before the members: foam, batt, board or coat.</summary>
/// <param name="Thickness">Thickness it takes up; above zero where it is studied.</param>
public abstract record FillLayer(Length Thickness)
{
    /// <summary>Whether it takes what depth the layers before it leave, and gives way when they grow.</summary>
    public bool TakesRest { get; init; }

    /// <summary>Key of what it is: <c>foam</c> or a material's id.</summary>
    public abstract string Key { get; }

    /// <summary>Thermal resistance at its thickness.</summary>
    /// <exception cref="QuantityRangeException">A foam thicker than its sheet rates.</exception>
    public abstract ThermalResistance Resistance { get; }

    /// <summary>Vapour permeance at its thickness.</summary>
    public abstract Permeance Permeance { get; }

    /// <summary>Weight by area, kg/m².</summary>
    public abstract double KilogramsPerSquareMetre { get; }

    /// <summary>Whether it counts as an air barrier at its thickness.</summary>
    public abstract bool StopsAir { get; }

    /// <summary>Slices it is cut into where a dew line crossing it must be seen.</summary>
    internal virtual int Slices => 1;

    /// <summary>The label R an inspector passes: as printed on the product, whatever the members take of it.</summary>
    public virtual ThermalResistance LabelR => Resistance;
}

/// <summary>Sprayed foam.</summary>
/// <param name="Sheet">Its sheet.</param>
/// <param name="Thickness">Above zero, to the sheet's last rated thickness.</param>
public sealed record FoamFill(ProductSheet Sheet, Length Thickness) : FillLayer(Thickness)
{
    /// <inheritdoc/>
    public override string Key => "foam";

    /// <inheritdoc/>
    public override ThermalResistance Resistance => Sheet.ResistanceAt(Thickness);

    /// <inheritdoc/>
    public override Permeance Permeance => Sheet.Permeability.Over(Thickness);

    /// <inheritdoc/>
    public override double KilogramsPerSquareMetre => Sheet.InPlaceDensity.KilogramsPerCubicMetre * Thickness.Metres;

    /// <inheritdoc/>
    public override bool StopsAir => Thickness.Metres >= Sheet.AirBarrierFrom.Metres - 1e-9;

    /// <inheritdoc/>
    internal override int Slices => 8;
}

/// <summary>A fibrous batt in the space left for it.</summary>
/// <param name="Batt">The batt.</param>
/// <param name="Thickness">What it takes up: the space, but no more than it is thick. A smaller space presses it; what a larger one
/// leaves is air.</param>
public sealed record BattFill(Batt Batt, Length Thickness) : FillLayer(Thickness)
{
    /// <summary>The space it lies in.</summary>
    public Length Space { get; init; } = Thickness;

    /// <summary>The same batt in another space.</summary>
    /// <param name="space">0 or more.</param>
    public BattFill In(Length space) =>
        this with
        {
            Thickness = Length.FromMetres(Math.Min(space.Metres, Batt.Nominal.Metres)),
            Space = space,
        };

    /// <inheritdoc/>
    public override string Key => Batt.Material.Id;

    /// <summary>Standard deviation of the depth of the foam it lies on; nothing where it lies on a flat face.</summary>
    public Length Unevenness { get; init; }

    /// <summary>A batt behind what was put in before it: uneven where that is sprayed.</summary>
    /// <param name="batt">The batt.</param>
    /// <param name="space">Space left for it.</param>
    /// <param name="before">The layer it lies on; null for the substrate.</param>
    public static BattFill Behind(Batt batt, Length space, FillLayer? before) =>
        new BattFill(batt, space)
        {
            TakesRest = true,
            Unevenness = before is FoamFill foam ? FoamDemand.DefaultScatter(foam.Sheet.Cell) : Length.Zero,
        }.In(space);

    /// <inheritdoc/>
    public override ThermalResistance Resistance => Batt.Over(Space, Unevenness).Mean;

    /// <inheritdoc/>
    public override Permeance Permeance => Batt.Material.Permeability.Over(Thickness);

    /// <inheritdoc/>
    public override double KilogramsPerSquareMetre => Batt.Density.KilogramsPerCubicMetre * Batt.Nominal.Metres;

    /// <inheritdoc/>
    public override bool StopsAir => false;

    /// <inheritdoc/>
    internal override int Slices => 6;

    /// <inheritdoc/>
    public override ThermalResistance LabelR => Thickness < Batt.Nominal ? Resistance : Batt.Rated;
}

/// <summary>A board with sealed edges, or a coat.</summary>
/// <param name="Layer">The layer.</param>
public sealed record SlabFill(Layer Layer) : FillLayer(Layer.Thickness)
{
    /// <inheritdoc/>
    public override string Key => Layer.Material.Id;

    /// <inheritdoc/>
    public override ThermalResistance Resistance => Layer.Material.Conductivity.Over(Thickness);

    /// <inheritdoc/>
    public override Permeance Permeance => Layer.Material.Permeability.Over(Thickness);

    /// <inheritdoc/>
    public override double KilogramsPerSquareMetre => (Layer.Material.Density?.KilogramsPerCubicMetre ?? 0) * Thickness.Metres;

    /// <inheritdoc/>
    public override bool StopsAir => Layer.Material.IsInsulation;

    /// <inheritdoc/>
    public override ThermalResistance LabelR => Layer.Material.IsInsulation ? Resistance : default;
}
