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

    // Of what is said of the whole job little is kept. A drum that is opened ends the test shots before it at every surface; a probe that
    // is held to its block tells whether depths can be gone by anywhere; what is withdrawn can have been either.
    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) =>
        SurfaceId is { } surface ? [surface]
        : Document.Kind is LogEntryKind.DrumOpened or LogEntryKind.ProbeChecked or LogEntryKind.Withdrawn ? [JobId]
        : [];
}
