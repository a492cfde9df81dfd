using Umbracell.Core.Assemblies;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Survey.Templates;

/// <summary>A template of the firm's own: what surfaces made from it start as.</summary>
public sealed record TemplateAnswer
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required SurfaceKind Kind { get; init; }

    public required MemberMaterial MemberMaterial { get; init; }

    /// <summary>Depth of its members; null without any.</summary>
    public required FigureAnswer? MemberDepth { get; init; }

    /// <summary>How far apart they stand.</summary>
    public required FigureAnswer? MemberSpacing { get; init; }

    /// <summary>Layers outside of the foam, outermost first.</summary>
    public required IReadOnlyList<LayerAnswer> Outboard { get; init; }

    /// <summary>Layers inside of it.</summary>
    public required IReadOnlyList<LayerAnswer> Inboard { get; init; }

    /// <summary>Depth of a vent channel; null for none.</summary>
    public required FigureAnswer? VentChannel { get; init; }

    public required uint Version { get; init; }
}

/// <summary>The name of something new.</summary>
public sealed record Named(string Name);
