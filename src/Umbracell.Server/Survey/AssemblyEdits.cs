using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>Takes typed members and layers into a surface.</summary>
internal static class AssemblyEdits
{
    private const int MostLayers = 12;

    /// <summary>Says that there are no layers, where a blank cell would say nothing.</summary>
    public const string NoLayers = "none";

    public static readonly string[] Fields =
    [
        "memberMaterial",
        "memberDepth",
        "memberSpacing",
        "memberShare",
        "outboard",
        "inboard",
        "ventChannel",
        "baffle",
        "shavedFlush",
        "profileFactor",
        "substrate",
    ];

    /// <summary>Takes what was typed.</summary>
    /// <param name="fields">What was typed.</param>
    /// <param name="surface">The surface it is taken into.</param>
    /// <param name="own">Materials the firm has under names of its own.</param>
    public static void Take(TypedFields fields, Surface surface, IReadOnlyCollection<string> own)
    {
        fields.Choice<MemberMaterial>("memberMaterial", material => BecomeMembers(surface, material));
        fields.Quantity("memberDepth", FieldRanges.MemberDepth, si => surface.MemberDepthM = si);
        fields.Quantity("memberSpacing", FieldRanges.MemberSpacing, si => Space(surface, si));
        fields.Quantity("memberShare", FieldRanges.MemberShare, percent => surface.MemberShare = percent / 100);
        fields.Choice<Core.Conditions.SubstrateKind>("substrate", kind => surface.Substrate = kind);
        TakeLayers(
            fields,
            "outboard",
            own,
            surface.Assembly.Outboard,
            layers => surface.Assembly = surface.Assembly with { Outboard = layers }
        );
        TakeLayers(
            fields,
            "inboard",
            own,
            surface.Assembly.Inboard,
            layers => surface.Assembly = surface.Assembly with { Inboard = layers }
        );
        fields.Quantity(
            "ventChannel",
            FieldRanges.VentChannel,
            si => surface.Assembly = surface.Assembly with { VentChannelMm = si * 1000 }
        );
        var baffle = surface.Assembly.Baffle;
        TakeLayers(
            fields,
            "baffle",
            own,
            baffle is null ? [] : [baffle],
            layers => surface.Assembly = surface.Assembly with { Baffle = layers.FirstOrDefault() },
            most: 1
        );
        fields.YesNo("shavedFlush", yes => surface.ShavedFlush = yes == true);
        fields.Quantity("profileFactor", FieldRanges.ProfileFactor, si => surface.ProfileFactor = si);
    }

    // Members that were not there before start at a usual size, so that the section is not left without a depth.
    private static void BecomeMembers(Surface surface, MemberMaterial material)
    {
        var hadNone = surface.MemberMaterial == MemberMaterial.None;
        surface.MemberMaterial = material;
        surface.MemberShare = material == MemberMaterial.Wood ? FramingShares.For(surface.Kind, surface.MemberSpacingM) ?? 0.1 : 0;
        if (material == MemberMaterial.None)
        {
            (surface.MemberDepthM, surface.MemberSpacingM, surface.MemberShare) = (0, 0, 0);
        }
        else if (hadNone)
        {
            (surface.MemberDepthM, surface.MemberSpacingM) = (Length.FromInches(5.5).Metres, Length.FromInches(16).Metres);
            surface.MemberShare = material == MemberMaterial.Wood ? FramingShares.For(surface.Kind, surface.MemberSpacingM) ?? 0.1 : 0;
        }
    }

    // Members cover a share in proportion to how close they stand; plates and headers stay.
    private static void Space(Surface surface, double spacing)
    {
        if (surface.MemberSpacingM > 0 && surface.MemberShare > 0)
        {
            var share = surface.MemberShare * surface.MemberSpacingM / spacing;
            surface.MemberShare = FramingShares.For(surface.Kind, spacing) ?? Math.Min(0.6, share);
        }

        surface.MemberSpacingM = spacing;
    }

    /// <summary>A material by its id or by what the screen calls it; null where it is neither.</summary>
    /// <param name="written">Id or name.</param>
    /// <param name="own">Materials the firm has under names of its own.</param>
    public static string? MaterialOf(string written, IReadOnlyCollection<string> own) =>
        ShippedData.Materials.ContainsKey(written) ? written
        : WordCatalog.CodeOf("material", written) is { } code && ShippedData.Materials.ContainsKey(code) ? code
        : own.FirstOrDefault(id => id == written || string.Equals(OwnMaterial.NameOf(id), written, StringComparison.OrdinalIgnoreCase));

    /// <summary>What a material is called.</summary>
    /// <param name="id">Its id.</param>
    public static string NameOf(string id) => OwnMaterial.NameOf(id) ?? WordCatalog.Of("material." + id) ?? id;

    // "osb|7/16; wood-siding|5/8": material and thickness, outermost first.
    private static void TakeLayers(
        TypedFields fields,
        string field,
        IReadOnlyCollection<string> own,
        IReadOnlyList<LayerDocument> kept,
        Action<List<LayerDocument>> take,
        int most = MostLayers
    )
    {
        if (!fields.Has(field))
        {
            return;
        }

        var layers = new List<LayerDocument>();
        var raw = fields.Raw(field).Trim();
        foreach (
            var one in raw.Equals(NoLayers, StringComparison.OrdinalIgnoreCase)
                ? []
                : raw.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
        )
        {
            var parts = one.Split('|', StringSplitOptions.TrimEntries);
            var material = MaterialOf(parts[0], own);
            if (parts.Length != 2 || material is null || layers.Count == most)
            {
                fields.Fault(
                    new()
                    {
                        Field = field,
                        Code = FaultCode.Unknown,
                        Typed = one,
                    }
                );
                return;
            }

            // What is read back as it was printed is the layer that was kept, to its last digit.
            if (kept.FirstOrDefault(layer => layer.Material == material && Printed(layer, fields.Units) == parts[1]) is { } same)
            {
                layers.Add(same);
                continue;
            }

            var thickness = QuantityParser.Parse(parts[1], FieldRanges.Layer, fields.Units);
            if (thickness.Fault is not null)
            {
                fields.Fault(FieldFault.Of(field, thickness));
                return;
            }

            layers.Add(new(material, thickness.Figure!.Value.Amount * 1000));
        }

        take(layers);
    }

    private static string Printed(LayerDocument layer, UnitSystem units) =>
        QuantityPrinter.PrintLayer(new(layer.ThicknessMm / 1000, Dimension.Thickness), units);
}
