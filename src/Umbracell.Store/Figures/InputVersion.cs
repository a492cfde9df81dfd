using Umbracell.Store.Model;

namespace Umbracell.Store.Figures;

/// <summary>How often something that figures are made from has changed. Figures are kept with the versions they were made from, read
/// before anything else was; they stand as long as those have not moved on.</summary>
public sealed class InputVersion : IFirmRow
{
    public Guid FirmId { get; set; }

    /// <summary>A surface, a job or the firm.</summary>
    public Guid SubjectId { get; set; }

    /// <summary>Counts up with each change; something never changed since it is counted has none and counts as 0.</summary>
    public long Version { get; set; }
}
