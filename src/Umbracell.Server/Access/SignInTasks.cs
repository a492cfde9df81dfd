using Umbracell.Core.Findings;
using Umbracell.Formats.Words;
using Umbracell.Server.Problems;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>What somebody who has signed in has to do about it before anything else.</summary>
public enum SignInTask
{
    /// <summary>Choose a password of their own: somebody else made this one up.</summary>
    OwnPassword,

    /// <summary>Set up the second step that the firm asks for.</summary>
    SecondStep,
}

internal static class SignInTasks
{
    /// <summary>Whether a firm asks for a code of those who have a role.</summary>
    public static bool Asks(CodesFor of, FirmRole role) =>
        of == CodesFor.Everybody || (of == CodesFor.WhoPrices && Rights.ByRole[role].Contains(Right.Price));

    /// <summary>What is to be done; null where nothing is.</summary>
    public static SignInTask? Of(Person person, CodesFor of, bool isSetUp) =>
        person.PasswordIsFirst ? SignInTask.OwnPassword
        : Asks(of, person.Role) && !isSetUp ? SignInTask.SecondStep
        : null;

    /// <summary>Refuses everything but what is about the sign-in itself until it is done.</summary>
    public static Task DoneFirst(HttpContext context, RequestDelegate next) =>
        Claims.TaskOf(context.User) is { } task
        && context.Request.Path.StartsWithSegments("/api")
        && !context.Request.Path.StartsWithSegments("/api/session")
            ? throw new NotAllowedException(WordCatalog.Say($"problem.said.task.{Vocabulary.KeyOf(task)}"))
            : next(context);
}
