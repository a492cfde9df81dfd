using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Caching.Memory;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Materials;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Store;

namespace Umbracell.Server.Sheets;

/// <summary>The firm's product sheets, read once per request; a document that was read before is not read again.</summary>
internal sealed class SheetLibrary(UmbracellDb db, IMemoryCache cache, SolvedMembers solved)
{
    private IReadOnlyDictionary<string, ProductSheet>? _sheets;

    public async Task<IReadOnlyDictionary<string, ProductSheet>> AllAsync()
    {
        if (_sheets is null)
        {
            var rows = await db.Sheets.AsNoTracking().ToListAsync();
            _sheets = rows.ToDictionary(
                row => row.Slug,
                row =>
                    cache.GetOrCreate(
                        row.Document,
                        entry =>
                        {
                            entry.SlidingExpiration = TimeSpan.FromHours(1);
                            return ProductSheetFile.Read(row.Slug, row.Document);
                        }
                    )!
            );
        }

        return _sheets;
    }

    /// <summary>All that a question can name.</summary>
    public async Task<Shelf> ShelfAsync() => new(await AllAsync(), ShippedData.Materials, ShippedData.Batts) { Solved = solved };

    /// <summary>The sheet named in a question.</summary>
    public async Task<ProductSheet> FindAsync(string id, string field = "sheetId") =>
        (await AllAsync()).GetValueOrDefault(id) ?? throw new FieldFaultsException([new(field, "unknown", id)]);
}
