namespace Umbracell.Store.Tenancy;

/// <summary>In whose name the database is asked: a firm once someone is known, else only the one sign-in name or token being
/// checked.</summary>
public sealed class FirmScope
{
    public Guid? FirmId { get; private set; }

    /// <summary>The normalized sign-in name being checked; opens that one person's row and no other.</summary>
    public string? SignInName { get; private set; }

    /// <summary>The hash of the API token being checked; opens that one token's row and no other.</summary>
    public string? TokenHash { get; private set; }

    public void EnterFirm(Guid firmId) => (FirmId, SignInName, TokenHash) = (firmId, null, null);

    public void CheckSignIn(string normalizedName) => SignInName = normalizedName;

    public void CheckToken(string hash) => TokenHash = hash;
}
