using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>Whether an assembly meets its target by the path chosen.</summary>
public static class Targets
{
    /// <summary>Installed R as printed: in the cavity and continuous.</summary>
    /// <param name="section">The case with its fill.</param>
    public static LabelRequirement Installed(SectionCase section)
    {
        var depth = section.Members.Material == MemberMaterial.None ? Length.Zero : section.FoamDepth ?? Length.Zero;
        var (cavity, continuous, reached) = (0.0, 0.0, Length.Zero);
        foreach (var layer in section.Fill)
        {
            var inside = layer.Thickness > Length.Zero ? Math.Clamp((depth - reached) / layer.Thickness, 0, 1) : 0;
            reached += layer.Thickness;
            cavity += inside * layer.LabelR.SquareMetreKelvinsPerWatt;
            continuous += (1 - inside) * layer.LabelR.SquareMetreKelvinsPerWatt;
        }

        continuous += section
            .Outboard.Concat(section.Inboard)
            .Where(layer => layer.Material.IsInsulation)
            .Sum(layer => layer.Resistance.SquareMetreKelvinsPerWatt);
        return new(ThermalResistance.FromSi(cavity), ThermalResistance.FromSi(continuous));
    }

    /// <summary>Whether a requirement is met; where no continuous insulation is asked, all that is installed counts.</summary>
    /// <param name="installed">Installed R.</param>
    /// <param name="asked">The requirement.</param>
    public static bool Meets(LabelRequirement installed, LabelRequirement asked)
    {
        var counted = asked.Continuous.SquareMetreKelvinsPerWatt > 0 ? installed.Cavity : installed.Cavity + installed.Continuous;
        return counted.UsR + SlabTarget.LabelRounding >= asked.Cavity.UsR
            && installed.Continuous.UsR + SlabTarget.LabelRounding >= asked.Continuous.UsR;
    }

    /// <summary>Whether the case meets its target; true where it has none.</summary>
    /// <param name="choice">The question.</param>
    /// <param name="section">The case with its fill.</param>
    public static bool Meets(ChoiceCase choice, SectionCase section)
    {
        if (section.SlabTarget is { } slab)
        {
            return slab.IsMetBy(section);
        }

        if (choice.Path == TargetPath.Label && choice.Labels.Count > 0)
        {
            var installed = Installed(section);
            return choice.Labels.Any(asked => Meets(installed, asked));
        }

        return section.Target is not { } target
            || SectionHeat.Of(section).WholeU.WattsPerSquareMetreKelvin <= target.GreatestU.WattsPerSquareMetreKelvin;
    }

    /// <summary>Whether there is a target to size to.</summary>
    public static bool Exist(ChoiceCase choice) =>
        choice.Section.Target is not null
        || choice.Section.SlabTarget is not null
        || (choice.Path == TargetPath.Label && choice.Labels.Count > 0);
}

/// <summary>A surface in the sum of a whole envelope.</summary>
/// <param name="U">Its U.</param>
/// <param name="Target">The greatest U its element may have.</param>
/// <param name="Area">Its treated area.</param>
public readonly record struct EnvelopePart(ThermalTransmittance U, ThermalTransmittance Target, Area Area);

/// <summary>The whole-envelope trade-off: one surface may fall short where another makes up for it (total UA alternative of the model
/// energy codes).</summary>
/// <param name="Loss">Sum of U·A, W/K.</param>
/// <param name="Allowed">The targets' sum, W/K.</param>
public sealed record EnvelopeTradeOff(double Loss, double Allowed)
{
    /// <summary>Whether the envelope as a whole is within its targets.</summary>
    public bool Meets => Loss <= Allowed * (1 + 1e-9);

    /// <summary>The sums; null where no part has a target.</summary>
    /// <param name="parts">Surfaces with target and area.</param>
    public static EnvelopeTradeOff? Of(IReadOnlyList<EnvelopePart> parts) =>
        parts.Count == 0
            ? null
            : new(
                parts.Sum(p => p.U.WattsPerSquareMetreKelvin * p.Area.SquareMetres),
                parts.Sum(p => p.Target.WattsPerSquareMetreKelvin * p.Area.SquareMetres)
            );
}
