using Umbracell.Core.Spraying;
using Umbracell.Documents;
using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>An entry of the spray log. It is never changed nor removed: a correction is a further one.</summary>
public sealed class LogEntryRow : IJobRow, IFigureInput
{
    /// <summary>That of the entry, made on the device.</summary>
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    /// <summary>The surface; null for what is of the whole job, such as its ventilation.</summary>
    public Guid? SurfaceId { get; set; }

    public required LogEntryDocument Document { get; set; }

    /// <summary>When it arrived; later than it was said where there was no connection.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    // What is said of the whole job is shown on Spray alone, and nothing that is kept hangs on it. A drum that is opened ends the test
    // shots before it at every surface; what is withdrawn can have been one.
    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) =>
        SurfaceId is { } surface ? [surface]
        : Document.Kind is LogEntryKind.DrumOpened or LogEntryKind.Withdrawn ? [JobId]
        : [];
}
