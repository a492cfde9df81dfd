using Microsoft.AspNetCore.Identity;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>Makes a person with a hashed password.</summary>
internal static class NewPerson
{
    public static Person Of(string signInName, string title, FirmRole role, string password)
    {
        var person = new Person
        {
            SignInName = signInName,
            NormalizedSignInName = signInName.ToUpperInvariant(),
            Title = title,
            Role = role,
            SecurityStamp = Guid.NewGuid().ToString("N"),
        };
        person.PasswordHash = new PasswordHasher<Person>().HashPassword(person, password);
        return person;
    }
}
