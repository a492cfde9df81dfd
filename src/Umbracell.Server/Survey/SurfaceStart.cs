using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>How surfaces start: from a shipped template of their kind, or from one of the firm's own.</summary>
internal static class SurfaceStart
{
    /// <summary>A surface of a kind as its template has it.</summary>
    public static Surface Of(SurfaceKind kind, string name)
    {
        var surface = new Surface { Id = Guid.NewGuid(), Name = name };
        Become(surface, ShippedData.Templates[kind]);
        return surface;
    }

    /// <summary>Makes a surface what a template says. Its size stays where the shape does.</summary>
    public static void Become(Surface surface, AssemblyTemplate template)
    {
        surface.Kind = template.Kind;
        BecomeShape(surface, template.Shape);
        surface.Substrate = template.Substrate;
        surface.MemberMaterial = template.Members.Material;
        surface.MemberDepthM = template.Members.DepthMm / 1000;
        surface.MemberSpacingM = template.Members.SpacingMm / 1000;
        surface.MemberShare = template.Members.SharePct / 100;
        surface.FoamAgainst = template.FoamAgainst;
        surface.ShavedFlush = template.ShavedFlush;
        surface.OpenFace = template.OpenFace;
        surface.ProfileFactor = template.ProfileFactor;
        surface.Assembly = new()
        {
            Outboard = [.. template.Outboard.Select(Layer)],
            Inboard = [.. template.Inboard.Select(Layer)],
            VentChannelMm = template.VentChannelMm,
            Baffle = template.Baffle is { } baffle ? Layer(baffle) : null,
        };
    }

    /// <summary>What a surface is now, as a template.</summary>
    public static AssemblyTemplate ToTemplate(Surface surface)
    {
        var shipped = ShippedData.Templates[surface.Kind];
        return shipped with
        {
            Shape = surface.Shape,
            Substrate = surface.Substrate,
            Members = new(surface.MemberMaterial, surface.MemberDepthM * 1000, surface.MemberSpacingM * 1000, surface.MemberShare * 100),
            Outboard = [.. surface.Assembly.Outboard.Select(Layer)],
            Inboard = [.. surface.Assembly.Inboard.Select(Layer)],
            VentChannelMm = surface.Assembly.VentChannelMm,
            Baffle = surface.Assembly.Baffle is { } baffle ? Layer(baffle) : null,
            ShavedFlush = surface.ShavedFlush,
            OpenFace = surface.OpenFace,
            ProfileFactor = surface.ProfileFactor,
            FoamAgainst = surface.FoamAgainst,
        };
    }

    /// <summary>A size belongs to its shape: another shape asks for it anew.</summary>
    public static void BecomeShape(Surface surface, ShapeKind shape)
    {
        if (surface.Shape != shape)
        {
            surface.Shape = shape;
            ForgetSize(surface);
        }
    }

    public static void ForgetSize(Surface surface)
    {
        (surface.FirstM, surface.SecondM, surface.ThirdM, surface.Pitch, surface.BayCount) = (0, 0, 0, 0, 1);
        surface.Corners = [];
    }

    private static LayerRow Layer(TemplateLayer layer) => new() { Material = layer.Material, ThicknessMm = layer.ThicknessMm };

    private static TemplateLayer Layer(LayerRow layer) => new(layer.Material, layer.ThicknessMm);
}
