namespace Umbracell.Store.Model;

/// <summary>A run of a forecast service at a point, kept as it was sent.</summary>
public sealed class ForecastRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>Hundredths of a degree north.</summary>
    public int North { get; set; }

    /// <summary>Hundredths of a degree east.</summary>
    public int East { get; set; }

    /// <summary>Name of the source.</summary>
    public required string Source { get; set; }

    /// <summary>When it was issued.</summary>
    public DateTimeOffset IssuedAt { get; set; }

    /// <summary>When the source was last asked and this was its newest.</summary>
    public DateTimeOffset AskedAt { get; set; }

    /// <summary>CoverageJSON, packed by gzip.</summary>
    public required byte[] Body { get; set; }
}
