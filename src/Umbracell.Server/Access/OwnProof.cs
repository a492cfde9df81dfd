using Microsoft.AspNetCore.Identity;
using Umbracell.Questions.Answers;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>Whether it is the person themselves who changes how they sign in: whoever finds a device open guesses no more than at the
/// door.</summary>
internal sealed class OwnProof(UserManager<Person> people, SignInTries tries)
{
    /// <summary>Looks at the password.</summary>
    /// <param name="person">Whose.</param>
    /// <param name="password">As typed.</param>
    /// <param name="field">The field it was typed in.</param>
    /// <param name="context">The request.</param>
    /// <exception cref="FieldFaultsException">It is not theirs, or there were too many tries.</exception>
    public async Task ProveAsync(Person person, string password, string field, HttpContext context)
    {
        await CountAsync(person, field, context);
        if (!await people.CheckPasswordAsync(person, password))
        {
            throw FieldFaultsException.Of(field, FaultCode.WrongPassword);
        }

        await ForgetAsync(person, context);
    }

    /// <summary>Counts a try.</summary>
    /// <exception cref="FieldFaultsException">There were too many.</exception>
    public async Task CountAsync(Person person, string field, HttpContext context)
    {
        if (await tries.BeginAsync(person.NormalizedSignInName, Device(person), Address(context)) is not null)
        {
            throw FieldFaultsException.Of(field, FaultCode.TooManyTries);
        }
    }

    /// <summary>The try was right.</summary>
    public Task ForgetAsync(Person person, HttpContext context) =>
        tries.SucceededAsync(person.NormalizedSignInName, Device(person), Address(context));

    private static string Device(Person person) => $"change:{person.Id}";

    private static string? Address(HttpContext context) => context.Connection.RemoteIpAddress?.ToString();
}
