using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>Lets Identity keep people in our own table: password, lock-out after wrong passwords, security stamp.</summary>
/// <remarks>Finding a person by sign-in name opens that one row alone; the firm is entered once the person is known.</remarks>
internal sealed class PersonStore(UmbracellDb db, FirmScope scope)
    : IUserPasswordStore<Person>,
        IUserSecurityStampStore<Person>,
        IUserLockoutStore<Person>
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

    public Task<DateTimeOffset?> GetLockoutEndDateAsync(Person user, CancellationToken cancellationToken) =>
        Task.FromResult(user.LockoutEnd);

    public Task SetLockoutEndDateAsync(Person user, DateTimeOffset? lockoutEnd, CancellationToken cancellationToken)
    {
        user.LockoutEnd = lockoutEnd;
        return Task.CompletedTask;
    }

    public Task<int> IncrementAccessFailedCountAsync(Person user, CancellationToken cancellationToken) =>
        Task.FromResult(++user.AccessFailedCount);

    public Task ResetAccessFailedCountAsync(Person user, CancellationToken cancellationToken)
    {
        user.AccessFailedCount = 0;
        return Task.CompletedTask;
    }

    public Task<int> GetAccessFailedCountAsync(Person user, CancellationToken cancellationToken) => Task.FromResult(user.AccessFailedCount);

    public Task<bool> GetLockoutEnabledAsync(Person user, CancellationToken cancellationToken) => Task.FromResult(true);

    public Task SetLockoutEnabledAsync(Person user, bool enabled, CancellationToken cancellationToken) => Task.CompletedTask;

    public void Dispose()
    {
        // The context belongs to the request.
    }
}
