using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Store.Model;

namespace Umbracell.Server.Papers;

/// <summary>A paper asked for: the server takes words and figures from what it knows of the job.</summary>
/// <param name="Kind">Which paper.</param>
/// <param name="Units">Units of its figures; Letter for US units, A4 for metric.</param>
/// <param name="SurfaceId">The surface, for a paper of one surface.</param>
/// <param name="Systems">Ids of the systems, for a comparison.</param>
public sealed record PaperWish(
    PaperKind Kind,
    UnitSystem Units,
    Guid? SurfaceId = null,
    [property: MaxLength(4)] IReadOnlyList<string>? Systems = null
);

/// <summary>A paper as it was made.</summary>
public sealed record PaperAnswer
{
    public required Guid Id { get; init; }

    public required PaperKind Kind { get; init; }

    public required string Title { get; init; }

    public required UnitSystem Units { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required string MadeBy { get; init; }

    internal static PaperAnswer Of(PaperRow row) =>
        new()
        {
            Id = row.Id,
            Kind = row.Kind,
            Title = row.Document.Title,
            Units = row.Document.Units,
            MadeAt = row.MadeAt,
            MadeBy = row.MadeBy,
        };
}
