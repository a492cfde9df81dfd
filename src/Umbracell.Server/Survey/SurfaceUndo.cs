using System.Reflection;
using System.Security.Cryptography;
using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.DataProtection;
using Umbracell.Core.Conditions;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>What takes an edit of a surface back: the surface as it was before, sealed so that nobody but this product can have written
/// it.</summary>
/// <param name="Version">The version that is on the screen.</param>
/// <param name="Undo">What the answer to the edit gave for this.</param>
public sealed record TakenBack(uint Version, string Undo);

/// <summary>Seals and unseals surfaces as they were. An edit such as a change of kind resets much that no field of the grid shows; taken
/// back, every column is as it was.</summary>
internal sealed class SurfaceUndo(IDataProtectionProvider protection)
{
    /// <summary>Longer than anybody leaves a page open.</summary>
    private static readonly TimeSpan Lasts = TimeSpan.FromDays(2);

    private static readonly HashSet<string> NotTyped =
    [
        nameof(Surface.Id),
        nameof(Surface.FirmId),
        nameof(Surface.JobId),
        nameof(Surface.Position),
        nameof(Surface.Version),
        nameof(Surface.ChangedAt),
        nameof(Surface.RemovedAt),
    ];

    private static readonly PropertyInfo[] Typed =
    [
        .. typeof(Surface).GetProperties().Where(p => p.CanWrite && !NotTyped.Contains(p.Name)),
    ];

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web) { Converters = { new JsonStringEnumConverter() } };

    /// <summary>A surface with the rows that hang on it; the reader of JSON does not fill the lists of a surface itself.</summary>
    private sealed record AsItWas(Surface Surface, List<OpeningRow> Openings, List<SiteNoteRow> Leaks);

    /// <summary>Seals a surface as it is now.</summary>
    public string Seal(Surface surface) =>
        ProtectorOf(surface)
            .Protect(
                JsonSerializer.Serialize(
                    new AsItWas(surface, surface.Openings, [.. surface.Notes.Where(n => n.Kind == SiteNoteKind.Leak)]),
                    Json
                ),
                Lasts
            );

    /// <summary>Makes a surface what it was when it was sealed.</summary>
    /// <returns>False where the seal is broken, too old, or of another surface.</returns>
    public bool TryPutBack(Surface surface, string seal)
    {
        try
        {
            PutBack(surface, JsonSerializer.Deserialize<AsItWas>(ProtectorOf(surface).Unprotect(seal), Json)!);
            return true;
        }
        catch (CryptographicException)
        {
            return false;
        }
    }

    private ITimeLimitedDataProtector ProtectorOf(Surface surface) =>
        protection.CreateProtector("surface as it was", surface.FirmId.ToString(), surface.Id.ToString()).ToTimeLimitedDataProtector();

    private static void PutBack(Surface surface, AsItWas before)
    {
        foreach (var property in Typed)
        {
            property.SetValue(surface, property.GetValue(before.Surface));
        }

        surface.Openings.Clear();
        surface.Openings.AddRange(
            before.Openings.Select(o => new OpeningRow
            {
                Position = o.Position,
                Count = o.Count,
                WidthM = o.WidthM,
                HeightM = o.HeightM,
            })
        );
        PutLeaksBack(surface, before.Leaks.ToDictionary(n => n.Id));
    }

    // Of the notes an edit of the surface touches leaks alone; what was noted on the page of notes meanwhile stays.
    private static void PutLeaksBack(Surface surface, Dictionary<Guid, SiteNoteRow> was)
    {
        surface.Notes.RemoveAll(n => n is { Kind: SiteNoteKind.Leak, Traced: "", MendedAt: null } && !was.ContainsKey(n.Id));
        foreach (var leak in surface.Notes.Where(n => was.ContainsKey(n.Id)))
        {
            var one = was[leak.Id];
            (leak.Words, leak.MendedAt, leak.MendedBy) = (one.Words, one.MendedAt, one.MendedBy);
        }
    }
}
