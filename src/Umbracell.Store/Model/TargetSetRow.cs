using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>A target set of the firm's own, made from one that ships: its films and its label path stay those of that one.</summary>
public sealed class TargetSetRow : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>Name with edition.</summary>
    public required string Edition { get; set; }

    /// <summary>Id of the set it was made from.</summary>
    public required string BasedOn { get; set; }

    /// <summary>Greatest U, W/(m²·K), by element and zone; null where nothing departs from the set it was made from.</summary>
    public required Dictionary<string, Dictionary<string, double>>? GreatestU { get; set; }

    public uint Version { get; set; }

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [FirmId];
}
