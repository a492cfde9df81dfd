using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Weather;

namespace Umbracell.Server.Typing;

/// <summary>Which list of the catalogue holds the words of a choice.</summary>
internal static class FieldWords
{
    private static readonly Dictionary<Type, string> Lists = new()
    {
        [typeof(SurfaceKind)] = "kind",
        [typeof(ShapeKind)] = "shape",
        [typeof(MemberMaterial)] = "member",
        [typeof(SubstrateKind)] = "substrateName",
        [typeof(AccessKind)] = "access",
        [typeof(Covering)] = "covering",
        [typeof(Attachment)] = "attachment",
        [typeof(Facing)] = "facing",
        [typeof(Shelter)] = "shelter",
    };

    /// <summary>The list of a choice; null where its words are never written by hand.</summary>
    public static string? ListOf(Type choice) => Lists.GetValueOrDefault(choice);
}
