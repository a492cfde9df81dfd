using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>Lets Identity keep people in our own table: password and security stamp.</summary>
/// <remarks>Finding a person by sign-in name opens that one row alone; the firm is entered once the person is known.</remarks>
internal sealed class PersonStore(UmbracellDb db, FirmScope scope) : IUserPasswordStore<Person>, IUserSecurityStampStore<Person>
{
    public async Task<Person?> FindByNameAsync(string normalizedUserName, CancellationToken cancellationToken)
    {
        scope.CheckSignIn(normalizedUserName);
        var person = await db.People.SingleOrDefaultAsync(p => p.NormalizedSignInName == normalizedUserName, cancellationToken);
        if (person is not null)
        {
            scope.EnterFirm(person.FirmId);
        }

        return person;
    }

    public Task<Person?> FindByIdAsync(string userId, CancellationToken cancellationToken) =>
        Guid.TryParse(userId, out var id)
            ? db.People.SingleOrDefaultAsync(p => p.Id == id, cancellationToken)
            : Task.FromResult<Person?>(null);

    public async Task<IdentityResult> CreateAsync(Person user, CancellationToken cancellationToken)
    {
        db.People.Add(user);
        await db.SaveChangesAsync(cancellationToken);
        return IdentityResult.Success;
    }

    public async Task<IdentityResult> UpdateAsync(Person user, CancellationToken cancellationToken)
    {
        await db.SaveChangesAsync(cancellationToken);
        return IdentityResult.Success;
    }

    public async Task<IdentityResult> DeleteAsync(Person user, CancellationToken cancellationToken)
    {
        db.People.Remove(user);
        await db.SaveChangesAsync(cancellationToken);
        return IdentityResult.Success;
    }

    public Task<string> GetUserIdAsync(Person user, CancellationToken cancellationToken) => Task.FromResult(user.Id.ToString());

    public Task<string?> GetUserNameAsync(Person user, CancellationToken cancellationToken) => Task.FromResult<string?>(user.SignInName);

    public Task SetUserNameAsync(Person user, string? userName, CancellationToken cancellationToken)
    {
        user.SignInName = userName ?? "";
        return Task.CompletedTask;
    }

    public Task<string?> GetNormalizedUserNameAsync(Person user, CancellationToken cancellationToken) =>
        Task.FromResult<string?>(user.NormalizedSignInName);

    public Task SetNormalizedUserNameAsync(Person user, string? normalizedName, CancellationToken cancellationToken)
    {
        user.NormalizedSignInName = normalizedName ?? "";
        return Task.CompletedTask;
    }

    public Task SetPasswordHashAsync(Person user, string? passwordHash, CancellationToken cancellationToken)
    {
        user.PasswordHash = passwordHash;
        return Task.CompletedTask;
    }

    public Task<string?> GetPasswordHashAsync(Person user, CancellationToken cancellationToken) => Task.FromResult(user.PasswordHash);

    public Task<bool> HasPasswordAsync(Person user, CancellationToken cancellationToken) => Task.FromResult(user.PasswordHash is not null);

    public Task SetSecurityStampAsync(Person user, string stamp, CancellationToken cancellationToken)
    {
        user.SecurityStamp = stamp;
        return Task.CompletedTask;
    }

    public Task<string?> GetSecurityStampAsync(Person user, CancellationToken cancellationToken) =>
        Task.FromResult<string?>(user.SecurityStamp);

    public void Dispose()
    {
        // The context belongs to the request.
    }
}
