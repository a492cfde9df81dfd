using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Materials;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Materials;
using Umbracell.Server.Sheets;
using Umbracell.Store;

namespace Umbracell.Server.Survey;

/// <summary>What the fields of a surface may name: sheets and templates of the firm, buffer spaces of the job.</summary>
internal sealed record SurveyChoices(
    IReadOnlyDictionary<string, ProductSheet> Sheets,
    IReadOnlyDictionary<string, AssemblyTemplate> Templates,
    IReadOnlySet<Guid> Buffers
)
{
    /// <summary>Materials and batts the firm has under names of its own.</summary>
    public IReadOnlyCollection<string> OwnMaterials { get; init; } = [];

    /// <summary>The id of a product by its id or by its name as the sheet prints it; null where the firm has none such.</summary>
    public string? SheetOf(string written) =>
        Sheets.ContainsKey(written)
            ? written
            : Sheets.Values.FirstOrDefault(s => s.Name.Equals(written.Trim(), StringComparison.OrdinalIgnoreCase))?.Id;

    public static async Task<SurveyChoices> OfAsync(Guid job, SheetLibrary library, UmbracellDb db) =>
        new(
            (await library.SuppliesAsync(job)).Sheets,
            (await db.Templates.AsNoTracking().ToListAsync()).ToDictionary(
                t => t.Id.ToString(),
                t => JsonSerializer.Deserialize<AssemblyTemplate>(t.Document, DataFile.Json)!
            ),
            (await db.BufferSpaces.AsNoTracking().Where(b => b.JobId == job).Select(b => b.Id).ToListAsync()).ToHashSet()
        )
        {
            OwnMaterials = FirmMaterials.AddedBy(await db.Firms.AsNoTracking().SingleAsync()),
        };
}
