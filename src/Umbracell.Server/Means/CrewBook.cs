using Microsoft.EntityFrameworkCore;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Means;

/// <summary>The firm's crews, as jobs name them. A name that nobody had yet becomes a crew: who types it should not have to go elsewhere
/// first.</summary>
internal sealed class CrewBook
{
    private readonly UmbracellDb _db;
    private readonly Dictionary<string, MeansRow> _byName = new(StringComparer.OrdinalIgnoreCase);

    private CrewBook(UmbracellDb db, IEnumerable<MeansRow> crews)
    {
        _db = db;
        foreach (var crew in crews)
        {
            _byName.TryAdd(crew.Name, crew);
        }
    }

    public static async Task<CrewBook> OpenAsync(UmbracellDb db) =>
        new(db, await db.Means.Where(means => means.Kind == MeansKind.Crew).OrderBy(means => means.Name).ToListAsync());

    /// <summary>The crew of that name, whatever its capitals; a new one where there is none, null for no name.</summary>
    public MeansRow? Named(string name)
    {
        if (name.Length == 0)
        {
            return null;
        }

        if (!_byName.TryGetValue(name, out var crew))
        {
            crew = new()
            {
                Id = Guid.NewGuid(),
                Kind = MeansKind.Crew,
                Name = name,
            };
            _byName.Add(name, crew);
            _db.AddNamed(crew);
        }

        return crew;
    }
}
