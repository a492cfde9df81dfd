using Microsoft.EntityFrameworkCore;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Store.Seeding;

/// <summary>The one firm of a product started without its demo: an owner to sign in as, and the sample product sheets to replace.</summary>
public static class FirstFirmSeed
{
    /// <summary>What the firm is called until it names itself.</summary>
    public const string Unnamed = "New firm";

    private static readonly Guid FirmId = new("6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a10");

    public static async Task PlantAsync(UmbracellDb db, FirmScope scope, IReadOnlyDictionary<string, string> sheets, string ownerPassword)
    {
        scope.EnterFirm(FirmId);
        await ShippedSheets.AddMissingAsync(db, sheets);
        if (!await db.Firms.AnyAsync())
        {
            db.Firms.Add(new() { Id = FirmId, Name = Unnamed });
            var owner = NewPerson.Of("owner@firm.local", "owner", FirmRole.Owner, ownerPassword);
            owner.PasswordIsFirst = true;
            db.People.Add(owner);
        }

        await db.SaveChangesAsync();
    }
}
