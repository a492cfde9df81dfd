using System.Collections;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Umbracell.Documents;
using Umbracell.Store.Model;

namespace Umbracell.Store.Undo;

/// <summary>A part of a record that an edit changed.</summary>
/// <param name="Name">A property; or a row that hangs on the record, as <c>property/id</c>.</param>
/// <param name="Before">What it was; null where it was blank, or where there was no such row.</param>
/// <param name="After">What the edit made of it.</param>
public sealed record ChangedPart(string Name, JsonNode? Before, JsonNode? After)
{
    /// <summary>Brings documents within kept parts to the shape they have in their own columns.</summary>
    internal static void UpgradeDocuments(JsonNode? parts)
    {
        foreach (var part in parts as JsonArray ?? [])
        {
            Action<JsonNode?> upgrade = (string?)part!["name"] switch
            {
                nameof(Surface.System) => DocumentUpgrades.NameFurtherLayers,
                nameof(Firm.Practice) or nameof(Job.Exceptions) => DocumentUpgrades.NameSchools,
                nameof(Surface.Assembly) or nameof(Surface.Details) => DocumentUpgrades.DropOwnVersion,
                _ => _ => { },
            };
            upgrade(part["before"]);
            upgrade(part["after"]);
        }
    }
}

/// <summary>A record as text, part by part, so that an edit can be taken back to the last bit whatever it reset on the way.</summary>
public sealed class RecordState
{
    /// <summary>What no person typed: where a record belongs, and when it was touched.</summary>
    private static readonly HashSet<string> NotTyped =
    [
        nameof(Surface.FirmId),
        nameof(Surface.JobId),
        nameof(Surface.Position),
        nameof(Surface.ChangedAt),
        nameof(Surface.RemovedAt),
        nameof(Job.CreatedAt),
        nameof(Job.DeletedAt),
        nameof(Job.DeletedBy),
    ];

    /// <summary>Rows that are edited as a part of the record they hang on.</summary>
    private static readonly HashSet<string> RowsOfRecords = [nameof(Surface.Openings), nameof(Surface.Notes)];

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(), new Microseconds() },
    };

    private readonly Dictionary<string, JsonNode?> _parts = [];

    private RecordState() { }

    /// <summary>A record as it is now.</summary>
    public static RecordState Of(DbContext db, object record)
    {
        var state = new RecordState();
        var entry = db.Entry(record);
        foreach (var property in Typed(entry))
        {
            state._parts[property.Name] = IsDocument(entry, property)
                ? JsonNode.Parse((string)property.GetValue(record)!)
                : JsonSerializer.SerializeToNode(property.GetValue(record), property.PropertyType, Json);
        }

        foreach (var rows in RowsOf(entry))
        {
            foreach (var row in rows.CurrentValue!)
            {
                state._parts[$"{rows.Metadata.Name}/{IdOf(row)}"] = Row(db, row);
            }
        }

        return state;
    }

    /// <summary>What differs between two states of a record.</summary>
    public static List<ChangedPart> Between(RecordState before, RecordState after) =>
        [
            .. before
                ._parts.Keys.Union(after._parts.Keys)
                .Select(name => new ChangedPart(name, before._parts.GetValueOrDefault(name), after._parts.GetValueOrDefault(name)))
                .Where(part => !AreSame(part.Before, part.After)),
        ];

    /// <summary>Makes the parts of a record that an edit changed what they were before it.</summary>
    /// <returns>False where one of them has been changed since: nothing is put back then.</returns>
    public static bool TryPutBack(DbContext db, object record, IReadOnlyList<ChangedPart> changed)
    {
        var now = Of(db, record)._parts;
        if (changed.Any(part => !AreSame(now.GetValueOrDefault(part.Name), part.After)))
        {
            return false;
        }

        var entry = db.Entry(record);
        foreach (var part in changed)
        {
            Put(db, entry, part);
        }

        return true;
    }

    private static IEnumerable<PropertyInfo> Typed(EntityEntry entry) =>
        entry
            .Metadata.GetProperties()
            .Where(p => !p.IsPrimaryKey() && !p.IsConcurrencyToken)
            .Select(p => p.PropertyInfo)
            .Concat(entry.Metadata.GetNavigations().Where(n => n.TargetEntityType.IsOwned()).Select(n => n.PropertyInfo))
            .OfType<PropertyInfo>()
            .Where(p => !NotTyped.Contains(p.Name) && !IsFile(p.PropertyType));

    // A document that is kept as text comes back from the database written otherwise: it is held against what it says.
    private static bool IsDocument(EntityEntry entry, PropertyInfo property) =>
        property.PropertyType == typeof(string) && entry.Metadata.FindProperty(property.Name)?.GetColumnType() == "jsonb";

    // What a file brought is never typed over.
    private static bool IsFile(Type type) => type == typeof(byte[]) || type == typeof(float[]) || type == typeof(long[]);

    private static IEnumerable<CollectionEntry> RowsOf(EntityEntry entry) =>
        entry.Collections.Where(c => RowsOfRecords.Contains(c.Metadata.Name));

    private static JsonObject Row(DbContext db, object row) =>
        new(
            Typed(db.Entry(row))
                .Select(p => KeyValuePair.Create(p.Name, JsonSerializer.SerializeToNode(p.GetValue(row), p.PropertyType, Json)))
        );

    private static Guid IdOf(object row) => (Guid)row.GetType().GetProperty(nameof(OpeningRow.Id))!.GetValue(row)!;

    private static void Put(DbContext db, EntityEntry entry, ChangedPart part)
    {
        if (part.Name.Split('/') is [var collection, var id])
        {
            PutRow(db, entry.Collection(collection), Guid.Parse(id), part.Before);
        }
        else
        {
            Set(entry.Entity, Typed(entry).First(p => p.Name == part.Name), part.Before);
        }
    }

    private static void Set(object record, PropertyInfo property, JsonNode? value)
    {
        var typed =
            value is JsonObject document && property.PropertyType == typeof(string)
                ? document.ToJsonString()
                : value.Deserialize(property.PropertyType, Json);
        if (property.CanWrite)
        {
            property.SetValue(record, typed);
            return;
        }

        var list = (IList)property.GetValue(record)!;
        list.Clear();
        foreach (var one in (IEnumerable)typed!)
        {
            list.Add(one);
        }
    }

    private static void PutRow(DbContext db, CollectionEntry rows, Guid id, JsonNode? before)
    {
        var all = (IList)rows.CurrentValue!;
        var row = all.Cast<object>().FirstOrDefault(one => IdOf(one) == id);
        if (before is null)
        {
            all.Remove(row);
            db.Remove(row!);
            return;
        }

        if (row is null)
        {
            row = Activator.CreateInstance(rows.Metadata.TargetEntityType.ClrType)!;
            row.GetType().GetProperty(nameof(OpeningRow.Id))!.SetValue(row, id);
            all.Add(row);
            db.Add(row);
        }

        foreach (var property in Typed(db.Entry(row)).Where(p => before.AsObject().ContainsKey(p.Name)))
        {
            Set(row, property, before[property.Name]);
        }
    }

    // What the database reads back is written otherwise, in its order and its form of numbers, and is the same.
    private static bool AreSame(JsonNode? one, JsonNode? other) =>
        one is null || other is null ? one is null && other is null : JsonElement.DeepEquals(Element(one), Element(other));

    private static JsonElement Element(JsonNode node) => JsonSerializer.SerializeToElement(node);

    /// <summary>The database keeps microseconds: what is finer would never be found again.</summary>
    private sealed class Microseconds : JsonConverter<DateTimeOffset>
    {
        public override DateTimeOffset Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            reader.GetDateTimeOffset();

        public override void Write(Utf8JsonWriter writer, DateTimeOffset value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToUniversalTime().AddTicks(-(value.Ticks % TimeSpan.TicksPerMicrosecond)));
    }
}
