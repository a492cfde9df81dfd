using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Surfaces;
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

    /// <summary>Makes a surface what a template says. A size that was taken stays: in the template's shape where it fits that, else in
    /// the shape it was taken in.</summary>
    public static void Become(Surface surface, AssemblyTemplate template)
    {
        surface.Kind = template.Kind;
        if (!surface.HasSize)
        {
            surface.Shape = template.Shape;
        }
        else if (SurfaceReader.ShapeOf(surface).As(template.Shape) is { } fitting)
        {
            Size(surface, fitting);
        }

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
            Outboard = template.Outboard,
            Inboard = template.Inboard,
            VentChannelMm = template.VentChannelMm,
            Baffle = template.Baffle,
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
            Outboard = surface.Assembly.Outboard,
            Inboard = surface.Assembly.Inboard,
            VentChannelMm = surface.Assembly.VentChannelMm,
            Baffle = surface.Assembly.Baffle,
            ShavedFlush = surface.ShavedFlush,
            OpenFace = surface.OpenFace,
            ProfileFactor = surface.ProfileFactor,
            FoamAgainst = surface.FoamAgainst,
        };
    }

    /// <summary>Another shape keeps a size that fits it, and asks for any other anew.</summary>
    public static void BecomeShape(Surface surface, ShapeKind shape)
    {
        if (surface.HasSize && SurfaceReader.ShapeOf(surface).As(shape) is { } fitting)
        {
            Size(surface, fitting);
        }
        else
        {
            surface.Shape = shape;
            ForgetSize(surface);
        }
    }

    /// <summary>Gives a surface a shape with its size.</summary>
    public static void Size(Surface surface, Shape shape)
    {
        surface.Shape = shape.Kind;
        (surface.FirstM, surface.SecondM, surface.ThirdM, surface.Pitch, surface.BayCount) = (
            shape.First.Metres,
            shape.Second.Metres,
            shape.Third.Metres,
            shape.Pitch,
            shape.Count
        );
        surface.Corners = [.. shape.Corners.SelectMany(c => new[] { c.X, c.Y })];
    }

    public static void ForgetSize(Surface surface)
    {
        (surface.FirstM, surface.SecondM, surface.ThirdM, surface.Pitch, surface.BayCount) = (0, 0, 0, 0, 1);
        surface.Corners = [];
    }
}
