using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>Where a product sheet came from.</summary>
public enum SheetOrigin
{
    /// <summary>It ships with the product, to try it with.</summary>
    Sample,

    /// <summary>Somebody of the firm typed it or brought it in.</summary>
    Own,

    /// <summary>It came along with a job from elsewhere.</summary>
    Job,
}

/// <summary>One edition of a product sheet of the firm, as its JSON document.</summary>
public sealed class SheetRow : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>The product; the same in all its editions.</summary>
    public required string Slug { get; set; }

    /// <summary>Counts the editions of a product, from 1.</summary>
    public int Number { get; set; } = 1;

    /// <summary>Whether it is the edition new jobs are figured with; one of each product is.</summary>
    public bool Stands { get; set; } = true;

    public required string Document { get; set; }

    public SheetOrigin Origin { get; set; }

    /// <summary>When it was kept; null for samples.</summary>
    public DateTimeOffset? KeptAt { get; set; }

    /// <summary>Who kept it, by their title; empty for samples.</summary>
    public string KeptBy { get; set; } = "";

    /// <summary>Since when the product is not offered any more; null for those that are. Kept with the edition that stands.</summary>
    public DateTimeOffset? RetiredAt { get; set; }

    /// <summary>Since when the product is gone; null for those that are not. A sample that was removed must not come back.</summary>
    public DateTimeOffset? RemovedAt { get; set; }

    public uint Version { get; set; }

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [FirmId];
}
