using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Caching.Memory;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Choosing;
using Umbracell.Core.Materials;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions;
using Umbracell.Store;

namespace Umbracell.Server.Sheets;

/// <summary>The firm's product sheets, read once per request; a document that was read before is not read again.</summary>
internal sealed class SheetLibrary(UmbracellDb db, IMemoryCache cache, SolvedMembers solved)
{
    private IReadOnlyDictionary<string, ProductSheet>? _sheets;
    private Supplies? _supplies;

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

    /// <summary>All that a question can name, with the firm's rates and schools.</summary>
    public async Task<Supplies> SuppliesAsync()
    {
        if (_supplies is null)
        {
            var firm = await db.Firms.AsNoTracking().SingleAsync();
            _supplies = new(await AllAsync(), ShippedData.Materials, ShippedData.Batts, firm.Rates)
            {
                Schools = firm.Practice?.Schools ?? new Dictionary<PracticeQuestion, School>(),
                Margins = (firm.Margins ?? MarginsDocument.None).Tighter,
                Solved = solved,
            };
        }

        return _supplies;
    }
}
