using System.Text.RegularExpressions;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>What people are called: by what they sign in under, and by what stands beside what they enter.</summary>
internal static class PersonNames
{
    private const int LongestTitle = 80,
        LongestSignInName = 200;

    // Of those who have been erased.
    private const string Reserved = "erased-";

    /// <summary>Name and role, as they stand on papers and beside entries; one who is called by the role is told once.</summary>
    public static string WithRole(Person person)
    {
        var role = PeopleEndpoints.RoleWord(person.Role);
        return Regex.IsMatch(person.Title, $@"\b{Regex.Escape(role)}\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)
            ? person.Title
            : WordCatalog.Say("people.named", ("name", person.Title), ("role", role));
    }

    /// <summary>How somebody wants to be called.</summary>
    /// <exception cref="FieldFaultsException">It is blank or too long.</exception>
    public static string Called(string typed, string field) => Line(typed, field, LongestTitle);

    /// <summary>The name somebody wants to sign in under.</summary>
    /// <exception cref="FieldFaultsException">It is blank, too long, or kept for others.</exception>
    public static string SignIn(string typed, string field)
    {
        var name = Line(typed, field, LongestSignInName);
        return name.StartsWith(Reserved, StringComparison.OrdinalIgnoreCase)
            ? throw FieldFaultsException.Of(field, FaultCode.Taken, name)
            : name;
    }

    // Letters of any alphabet, in either direction; a control letter would be seen by nobody.
    private static string Line(string typed, string field, int longest)
    {
        var text = typed.Trim();
        return text switch
        {
            "" => throw FieldFaultsException.Of(field, FaultCode.Empty),
            _ when text.Length > longest => throw FieldFaultsException.Of(field, FaultCode.TooLong, text[..longest]),
            _ when text.Any(char.IsControl) => throw FieldFaultsException.Of(field, FaultCode.Unwritable),
            _ => text,
        };
    }
}
