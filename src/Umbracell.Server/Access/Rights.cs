using System.Security.Claims;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>What a person may do. Every endpoint but those for signing in asks for one of these.</summary>
public enum Right
{
    /// <summary>See what is surveyed, planned and sprayed where.</summary>
    Look,

    /// <summary>Record on site: readings, ticks, photos.</summary>
    Record,

    /// <summary>Survey, choose, plan: everything that is entered but what the rights below guard.</summary>
    Edit,

    /// <summary>Set a rule of practice aside, with a written reason. Nobody sets a sheet's limit aside.</summary>
    Override,

    /// <summary>See and change what the firm pays and earns: rates, prices, margins, bids.</summary>
    Price,

    /// <summary>Say who is in the firm, what they may do, and which programs ask in its name.</summary>
    Manage,
}

/// <summary>The one table of roles and what they may do; the page is told its own row, the docs show the whole.</summary>
internal static class Rights
{
    public static IReadOnlyDictionary<FirmRole, IReadOnlyList<Right>> ByRole { get; } =
        new Dictionary<FirmRole, IReadOnlyList<Right>>
        {
            [FirmRole.Viewer] = [Right.Look],
            [FirmRole.Helper] = [Right.Look, Right.Record],
            [FirmRole.CrewLead] = [Right.Look, Right.Record, Right.Edit],
            [FirmRole.Estimator] = [Right.Look, Right.Record, Right.Edit, Right.Override, Right.Price],
            [FirmRole.Owner] = [Right.Look, Right.Record, Right.Edit, Right.Override, Right.Price, Right.Manage],
        };

    /// <summary>Name of the policy that asks for a right; kept with what was entered, so that taking it back asks for no less.</summary>
    public static string Policy(Right right) => "may-" + right.ToString().ToLowerInvariant();

    /// <summary>Whether a person, or a program by its token, may do something.</summary>
    public static bool May(this ClaimsPrincipal person, Right right) =>
        Enum.TryParse<FirmRole>(person.FindFirstValue(ClaimTypes.Role), out var role) && ByRole[role].Contains(right);

    /// <summary>Lets only those ask who may do this.</summary>
    public static T Requires<T>(this T endpoint, Right right)
        where T : IEndpointConventionBuilder => endpoint.RequireAuthorization(Policy(right)).WithMetadata(new RequiredRight(right));
}

/// <summary>The right an endpoint asks for.</summary>
internal sealed record RequiredRight(Right Right);
