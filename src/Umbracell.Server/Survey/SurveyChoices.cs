using System.Security.Claims;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Materials;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Access;
using Umbracell.Server.Sheets;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Survey;

/// <summary>Who does something, and when.</summary>
public sealed record Stamp(DateTimeOffset At, string By)
{
    /// <summary>Whether who stamps may set a rule of practice aside.</summary>
    internal bool MayOverride { get; init; }

    /// <summary>The stamp where something is said to be done, and none where it is not.</summary>
    internal (DateTimeOffset? At, string By) Where(bool? done) => done == true ? (At, By) : (null, "");

    /// <summary>When the server heard of it; later than it happened where it was entered without a connection.</summary>
    internal DateTimeOffset ReceivedAt { get; init; } = At;

    internal static Stamp Of(ClaimsPrincipal user, TimeProvider clock, ICommand? command = null)
    {
        var now = clock.GetUtcNow();
        var happened = command?.At is { } told && told < now ? told.ToUniversalTime() : now;
        return new(happened, Claims.TitleOf(user)) { MayOverride = Claims.Overrides(user), ReceivedAt = now };
    }
}

/// <summary>What the fields of a surface may name: sheets and templates of the firm, buffer spaces of the job.</summary>
internal sealed record SurveyChoices(
    IReadOnlyDictionary<string, ProductSheet> Sheets,
    IReadOnlyDictionary<string, AssemblyTemplate> Templates,
    IReadOnlySet<Guid> Buffers
)
{
    /// <summary>The id of a product by its id or by its name as the sheet prints it; null where the firm has none such.</summary>
    public string? SheetOf(string written) =>
        Sheets.ContainsKey(written)
            ? written
            : Sheets.Values.FirstOrDefault(s => s.Name.Equals(written.Trim(), StringComparison.OrdinalIgnoreCase))?.Id;

    public static async Task<SurveyChoices> OfAsync(Guid job, SheetLibrary library, UmbracellDb db) =>
        new(
            await library.AllAsync(),
            (await db.Templates.AsNoTracking().ToListAsync()).ToDictionary(
                t => t.Id.ToString(),
                t => JsonSerializer.Deserialize<AssemblyTemplate>(t.Document, DataFile.Json)!
            ),
            (await db.BufferSpaces.AsNoTracking().Where(b => b.JobId == job).Select(b => b.Id).ToListAsync()).ToHashSet()
        );
}
