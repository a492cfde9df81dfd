using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;

namespace Umbracell.Server.Survey;

/// <summary>Usual shares of wood members by kind and spacing, offered as defaults.</summary>
/// <remarks>Walls at 16 in 25 %, at 24 in 22 %; rafters and joists at 16 in 10 %, at 24 in 7 % (usual values of the energy-code
/// tables).</remarks>
internal static class FramingShares
{
    private static readonly Length Grace = Length.FromInches(1);

    public static double? For(SurfaceKind kind, double spacingMetres)
    {
        var isWall = kind is SurfaceKind.StudWall or SurfaceKind.InteriorPartition;
        return IsAbout(spacingMetres, 16) ? (isWall ? 0.25 : 0.10)
            : IsAbout(spacingMetres, 24) ? (isWall ? 0.22 : 0.07)
            : null;
    }

    private static bool IsAbout(double metres, double inches) => Math.Abs(metres - Length.FromInches(inches).Metres) <= Grace.Metres;
}
