using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Microsoft.EntityFrameworkCore.Metadata;

namespace Umbracell.Store.Figures;

/// <summary>Counts changes of what figures are made from, with the write that makes them.</summary>
internal static class ChangedInputs
{
    /// <summary>Whose figures go out of date with what is about to be written.</summary>
    public static Guid[] Of(ChangeTracker tracker)
    {
        var rows = tracker.Entries().Where(row => row.State is EntityState.Added or EntityState.Modified or EntityState.Deleted).ToList();
        return
        [
            .. rows.Where(row => row.Entity is IFigureInput)
                .SelectMany(OfRow)
                .Concat(rows.Where(row => RootOf(row.Metadata) is { } root && root.IsAssignableTo(typeof(IFigureInput))).Select(OwnerOf))
                .Distinct()
                // Two who write at once count in the same order, so that neither waits for the other in a ring.
                .Order(),
        ];
    }

    public static Task CountAsync(UmbracellDb db, Guid firm, Guid[] subjects, CancellationToken stop) =>
        db.Database.ExecuteSqlAsync(
            $"""
            insert into input_versions (firm_id, subject_id, version) select {firm}, subject, 1 from unnest({subjects}) as subject
            on conflict (firm_id, subject_id) do update set version = input_versions.version + 1
            """,
            stop
        );

    // What a row hung on before counts too: a joint that is taken from one wall to another is missed at the first.
    private static IEnumerable<Guid> OfRow(EntityEntry row)
    {
        var input = (IFigureInput)row.Entity;
        return row.State == EntityState.Added
            ? input.FiguresOf(_ => false)
            : input
                .FiguresOf(field => row.Property(field).IsModified)
                .Concat(((IFigureInput)row.OriginalValues.ToObject()).FiguresOf(_ => false));
    }

    // Documents within a row are tracked as entries of their own, known by the key of the row.
    private static Type? RootOf(IReadOnlyEntityType part) =>
        part.FindOwnership() is { PrincipalEntityType: var owner } ? RootOf(owner) ?? owner.ClrType : null;

    private static Guid OwnerOf(EntityEntry part) => (Guid)part.Property(part.Metadata.FindOwnership()!.Properties[0].Name).CurrentValue!;
}
