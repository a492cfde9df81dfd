using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Caching.Memory;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Choosing;
using Umbracell.Core.Materials;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions;
using Umbracell.Server.Materials;
using Umbracell.Server.Means;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sheets;

/// <summary>The firm's product sheets in all their editions.</summary>
/// <param name="Standing">By product, the edition that stands.</param>
/// <param name="Editions">By product and number, every edition.</param>
/// <param name="Retired">Products that are not offered any more.</param>
internal sealed record SheetShelf(
    IReadOnlyDictionary<string, ProductSheet> Standing,
    IReadOnlyDictionary<(string Slug, int Number), ProductSheet> Editions,
    IReadOnlySet<string> Retired
)
{
    /// <summary>The edition something was made with; the one that stands where none is named, null where the product is gone.</summary>
    public ProductSheet? Of(string slug, int? number) =>
        number is { } known && Editions.TryGetValue((slug, known), out var edition) ? edition : Standing.GetValueOrDefault(slug);

    /// <summary>By product, the edition a job keeps to.</summary>
    public IReadOnlyDictionary<string, ProductSheet> HeldBy(IReadOnlyDictionary<string, int> held) =>
        Standing.ToDictionary(one => one.Key, one => held.TryGetValue(one.Key, out var number) ? Of(one.Key, number)! : one.Value);
}

/// <summary>The firm's product sheets, read once per request; a document that was read before is not read again.</summary>
internal sealed class SheetLibrary(UmbracellDb db, IMemoryCache cache, SolvedMembers solved)
{
    private SheetShelf? _shelf;
    private MeansShelf? _means;
    private Supplies? _supplies;

    /// <summary>The sheets as they stand.</summary>
    public async Task<IReadOnlyDictionary<string, ProductSheet>> AllAsync() => (await ShelfAsync()).Standing;

    /// <summary>All editions.</summary>
    public async Task<SheetShelf> ShelfAsync()
    {
        if (_shelf is null)
        {
            var rows = await db.Sheets.AsNoTracking().Where(s => s.RemovedAt == null).ToListAsync();
            var editions = rows.ToDictionary(row => (row.Slug, row.Number), Read);
            _shelf = new(
                rows.Where(row => row.Stands).ToDictionary(row => row.Slug, row => editions[(row.Slug, row.Number)]),
                editions,
                rows.Where(row => row is { Stands: true, RetiredAt: not null }).Select(row => row.Slug).ToHashSet()
            );
        }

        return _shelf;
    }

    /// <summary>The sheet a row holds.</summary>
    public ProductSheet Read(SheetRow row) =>
        cache.GetOrCreate(
            row.Document,
            entry =>
            {
                entry.SlidingExpiration = TimeSpan.FromHours(1);
                return ProductSheetFile.Read(row.Slug, row.Document);
            }
        )!;

    /// <summary>All that a question can name, with the firm's rates and schools: sheets as they stand.</summary>
    public async Task<Supplies> SuppliesAsync()
    {
        if (_supplies is null)
        {
            var firm = await db.Firms.AsNoTracking().SingleAsync();
            var shelf = await ShelfAsync();
            _supplies = new(shelf.Standing, FirmMaterials.MaterialsOf(firm), FirmMaterials.BattsOf(firm), firm.Rates)
            {
                Schools = firm.Practice?.Schools ?? new Dictionary<PracticeQuestion, School>(),
                Means = (await MeansAsync()).For(null),
                Margins = (firm.Margins ?? MarginsDocument.None).Tighter,
                Retired = shelf.Retired,
                Solved = solved,
            };
        }

        return _supplies;
    }

    /// <summary>The same for a job: with the rates and the rig of its crew, sheets in the editions it keeps to, one that was retired since
    /// offered to it still.</summary>
    public async Task<Supplies> SuppliesAsync(Job job)
    {
        var (supplies, means) = (await SuppliesAsync(), await MeansAsync());
        if (job.CrewId is { } crew)
        {
            supplies = supplies with { Rates = means.RatesOf(crew, supplies.Rates), Means = means.For(crew) };
        }

        if (job.HeldEditions is not { Count: > 0 } held)
        {
            return supplies;
        }

        var shelf = await ShelfAsync();
        var sheets = shelf.HeldBy(held);
        return supplies with
        {
            Sheets = sheets,
            InForce = shelf.Standing.Where(one => sheets[one.Key] != one.Value).ToDictionary(),
            Retired = supplies.Retired.Where(slug => !held.ContainsKey(slug)).ToList(),
        };
    }

    private async Task<MeansShelf> MeansAsync() => _means ??= new(await db.Means.AsNoTracking().ToListAsync());

    /// <summary>The same for a job by its id; sheets as they stand where none is named, or where there is no such job.</summary>
    public async Task<Supplies> SuppliesAsync(Guid? job) =>
        job is { } id && await db.Jobs.AsNoTracking().FirstOrDefaultAsync(j => j.Id == id) is { } found
            ? await SuppliesAsync(found)
            : await SuppliesAsync();
}
