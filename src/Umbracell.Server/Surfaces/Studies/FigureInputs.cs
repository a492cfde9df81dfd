using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Store;

namespace Umbracell.Server.Surfaces;

/// <summary>What the figures of a job are made from, by versions: two that read the same give the same figures.</summary>
/// <param name="Firm">Whose job it is.</param>
/// <param name="Job">The job.</param>
/// <param name="Common">What all its surfaces hang on: the program, the firm's sheets, places and finished jobs, the job itself.</param>
/// <param name="Rates">What only prices hang on.</param>
/// <param name="Surfaces">Its surfaces in their order, each with its own version.</param>
internal sealed record FigureInputs(Guid Firm, Guid Job, string Common, long Rates, IReadOnlyList<(Guid Id, long Version)> Surfaces)
{
    /// <summary>What all jobs of the firm hang on: the program, its sheets, places and finished jobs.</summary>
    private string Supplies { get; init; } = "";

    // Another build may reckon otherwise. The same sources give the same build.
    private static readonly string Program = Hash(
        string.Join('.', new[] { typeof(FigureInputs), typeof(ShippedData), typeof(FigureAnswer), typeof(Figure) }.Select(BuildOf))
    )[..12];

    /// <summary>What the figures of one surface are made from.</summary>
    public string OfSurface(long version) => Of(Common, version);

    /// <summary>What the answer to a question is made from, with prices: the program, what the firm works with, what is asked.</summary>
    public string OfQuestion<T>(T question) =>
        string.Create(CultureInfo.InvariantCulture, $"{Firm:N}.{Supplies}.{Rates}.{Hash(JsonSerializer.Serialize(question))}");

    /// <summary>An id for what is remembered by what it was made from alone.</summary>
    public static Guid IdOf(string madeFrom) => new(SHA256.HashData(Encoding.UTF8.GetBytes(madeFrom)).AsSpan(0, 16));

    /// <summary>The same of each.</summary>
    public Dictionary<Guid, string> ToDictionary() => Surfaces.ToDictionary(s => s.Id, s => OfSurface(s.Version));

    /// <summary>What the sums of all surfaces are made from.</summary>
    public string OfSums { get; } =
        Hash(
            string.Join(
                '|',
                [Firm.ToString(), Common, Rates.ToString(CultureInfo.InvariantCulture), .. Surfaces.Select(s => $"{s.Id:N}{s.Version}")]
            )
        );

    /// <summary>Reads the versions as they stand. To be asked before anything the figures are made from is read: what changes in between
    /// then counts as newer, and the figures are made again.</summary>
    public static async Task<FigureInputs> OfAsync(Guid job, Guid firm, UmbracellDb db)
    {
        var rows = await db
            .Database.SqlQuery<Counted>(
                $"""
                select 0 as place, {firm} as id,
                    coalesce((select version from input_versions where firm_id = {firm} and subject_id = {firm}), 0) as version
                union all select 1, {job},
                    coalesce((select version from input_versions where firm_id = {firm} and subject_id = {job}), 0)
                union all select 2, id, xmin::text::bigint from firms where id = {firm}
                union all select 2 + row_number() over (order by s.position, s.id), s.id, coalesce(v.version, 0)
                    from surfaces s left join input_versions v on v.firm_id = s.firm_id and v.subject_id = s.id
                    where s.firm_id = {firm} and s.job_id = {job} and s.removed_at is null
                """
            )
            .OrderBy(row => row.Place)
            .ToListAsync();
        return new(
            firm,
            job,
            CommonOf(rows[0].Version, rows[1].Version),
            rows[2].Version,
            [.. rows.Skip(3).Select(row => (row.Id, row.Version))]
        )
        {
            Supplies = SuppliesOf(rows[0].Version),
        };
    }

    private sealed record Counted(long Place, Guid Id, long Version);

    public static string CommonOf(long firm, long job) => string.Create(CultureInfo.InvariantCulture, $"{SuppliesOf(firm)}.{job}");

    private static string SuppliesOf(long firm) => string.Create(CultureInfo.InvariantCulture, $"{Program}.{firm}");

    public static string Of(string common, long version) => string.Create(CultureInfo.InvariantCulture, $"{common}.{version}");

    private static string BuildOf(Type type) => type.Module.ModuleVersionId.ToString("N");

    private static string Hash(string text) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(text)))[..32];
}
