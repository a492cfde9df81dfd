using System.Text.Json;
using Umbracell.Documents;

namespace Umbracell.Store.Model;

/// <summary>A paper as it was made. It is never changed.</summary>
public sealed class PaperRow : IJobRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public PaperKind Kind { get; set; }

    /// <summary>Whether it shows what the firm pays and earns.</summary>
    public bool ShowsPrices { get; set; }

    public DateTimeOffset MadeAt { get; set; }

    /// <summary>Role of the person who made it.</summary>
    public required string MadeBy { get; set; }

    public required PaperDocument Document { get; set; }

    /// <summary>Whether another paper is about the same, in the same units.</summary>
    public bool IsAnotherOf(PaperRow other) => (Document.Units, Document.Title) == (other.Document.Units, other.Document.Title);

    /// <summary>Whether another paper reads the same, word for word.</summary>
    public bool ReadsAs(PaperRow other) => JsonSerializer.Serialize(Document) == JsonSerializer.Serialize(other.Document);
}
