using Microsoft.EntityFrameworkCore;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Means;

/// <summary>Crews, or rigs, of the firm by their names: one that is named and not there yet is made.</summary>
internal sealed class MeansByName
{
    private readonly UmbracellDb _db;
    private readonly MeansKind _kind;
    private readonly Dictionary<string, MeansRow> _byName = new(StringComparer.OrdinalIgnoreCase);

    private MeansByName(UmbracellDb db, MeansKind kind, IEnumerable<MeansRow> rows)
    {
        (_db, _kind) = (db, kind);
        foreach (var row in rows)
        {
            _byName.TryAdd(row.Name, row);
        }
    }

    public static async Task<MeansByName> OpenAsync(UmbracellDb db, MeansKind kind = MeansKind.Crew) =>
        new(db, kind, await db.Means.Where(means => means.Kind == kind).OrderBy(means => means.Name).ToListAsync());

    /// <summary>The one of that name, whatever its capitals; a new one where there is none, null for no name.</summary>
    public MeansRow? Named(string name)
    {
        if (name.Length == 0)
        {
            return null;
        }

        if (!_byName.TryGetValue(name, out var row))
        {
            row = new()
            {
                Id = Guid.NewGuid(),
                Kind = _kind,
                Name = name,
            };
            _byName.Add(name, row);
            _db.AddNamed(row);
        }

        return row;
    }
}
