using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Materials;

/// <summary>What is laid that is named so: layers and systems of surfaces, deleted jobs' too, and templates.</summary>
internal static class MaterialUses
{
    /// <summary>Whether something is named like what an edit takes away; nothing is looked up where it takes nothing away.</summary>
    public static async Task<Func<string, bool>> OfAsync(UmbracellDb db, TypedEdit edit)
    {
        if (!edit.Fields.TryGetValue(FirmMaterials.Gone, out var id))
        {
            return _ => false;
        }

        // As it stands within a document, between its quotes; no name has one.
        var written = $"%\"{id.Replace("\\", "\\\\").Replace("%", "\\%").Replace("_", "\\_")}\"%";
        const string Laid = """
            select (select count(*) from surfaces where assembly::text like {0} or system::text like {0})
                + (select count(*) from surface_templates where document::text like {0}) as "Value"
            """;
        var uses = await db.Database.SqlQueryRaw<long>(Laid, written).SingleAsync();
        return _ => uses > 0;
    }
}
