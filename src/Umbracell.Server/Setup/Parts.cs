using Umbracell.Server.Requests;

namespace Umbracell.Server.Setup;

/// <summary>Every part of the product there is; a new one needs no list.</summary>
internal static class Parts
{
    public static IReadOnlyList<IPart> All { get; } =
    [
        .. typeof(Parts)
            .Assembly.GetTypes()
            .Where(type => type is { IsClass: true, IsAbstract: false } && type.IsAssignableTo(typeof(IPart)))
            .OrderBy(type => type.FullName, StringComparer.Ordinal)
            .Select(type => (IPart)Activator.CreateInstance(type)!),
    ];
}
