using System.Data.Common;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Npgsql;

namespace Umbracell.Store;

/// <summary>What became of what a request wrote.</summary>
public enum WriteOutcome
{
    /// <summary>Nothing of it was kept.</summary>
    Nothing,

    /// <summary>It was on its way to be kept, and no answer came: it may stand or not.</summary>
    Uncertain,

    /// <summary>Some of it is kept.</summary>
    Kept,
}

/// <summary>Follows what a request writes, so that a failure says that nothing was kept only where that is so.</summary>
/// <remarks>A connection lost while a transaction ends leaves open whether it did. One for each request; what only keeps a session alive
/// is written before <see cref="Begin"/> and does not count.</remarks>
public sealed class Written
{
    /// <summary>What became of it so far.</summary>
    public WriteOutcome Outcome { get; private set; }

    /// <summary>What tells of it.</summary>
    internal IInterceptor[] Interceptors => [new Transactions(this), new Saves(this), new Statements(this)];

    /// <summary>Begins to follow.</summary>
    public void Begin() => Outcome = WriteOutcome.Nothing;

    /// <summary>Takes over what another found.</summary>
    public void Take(WriteOutcome outcome) => Outcome = outcome;

    private void OnItsWay() => Outcome = Outcome == WriteOutcome.Kept ? WriteOutcome.Kept : WriteOutcome.Uncertain;

    private void Kept() => Outcome = WriteOutcome.Kept;

    // What the database itself refuses it has not kept.
    private void Failed(Exception? cause) => Outcome = Outcome == WriteOutcome.Uncertain && Refused(cause) ? WriteOutcome.Nothing : Outcome;

    private static bool Refused(Exception? cause) =>
        cause is PostgresException or DbUpdateConcurrencyException || (cause?.InnerException is { } inner && Refused(inner));

    /// <summary>Transactions: all but single statements.</summary>
    private sealed class Transactions(Written written) : DbTransactionInterceptor
    {
        public override ValueTask<InterceptionResult> TransactionCommittingAsync(
            DbTransaction transaction,
            TransactionEventData eventData,
            InterceptionResult result,
            CancellationToken cancellationToken = default
        )
        {
            written.OnItsWay();
            return base.TransactionCommittingAsync(transaction, eventData, result, cancellationToken);
        }

        public override Task TransactionCommittedAsync(
            DbTransaction transaction,
            TransactionEndEventData eventData,
            CancellationToken cancellationToken = default
        )
        {
            written.Kept();
            return Task.CompletedTask;
        }

        public override Task TransactionFailedAsync(
            DbTransaction transaction,
            TransactionErrorEventData eventData,
            CancellationToken cancellationToken = default
        )
        {
            written.Failed(eventData.Exception);
            return Task.CompletedTask;
        }
    }

    /// <summary>Saves that need no transaction of their own.</summary>
    private sealed class Saves(Written written) : SaveChangesInterceptor
    {
        public override ValueTask<InterceptionResult<int>> SavingChangesAsync(
            DbContextEventData eventData,
            InterceptionResult<int> result,
            CancellationToken cancellationToken = default
        )
        {
            if (IsAlone(eventData.Context))
            {
                written.OnItsWay();
            }

            return ValueTask.FromResult(result);
        }

        public override ValueTask<int> SavedChangesAsync(
            SaveChangesCompletedEventData eventData,
            int result,
            CancellationToken cancellationToken = default
        )
        {
            if (IsAlone(eventData.Context) && result > 0)
            {
                written.Kept();
            }

            return ValueTask.FromResult(result);
        }

        // Told of here alone, and not as a failure.
        public override ValueTask<InterceptionResult> ThrowingConcurrencyExceptionAsync(
            ConcurrencyExceptionEventData eventData,
            InterceptionResult result,
            CancellationToken cancellationToken = default
        )
        {
            written.Failed(eventData.Exception);
            return ValueTask.FromResult(result);
        }

        public override Task SaveChangesFailedAsync(DbContextErrorEventData eventData, CancellationToken cancellationToken = default)
        {
            written.Failed(eventData.Exception);
            return Task.CompletedTask;
        }
    }

    /// <summary>Statements sent without a row being loaded, such as a deletion.</summary>
    private sealed class Statements(Written written) : DbCommandInterceptor
    {
        public override ValueTask<InterceptionResult<int>> NonQueryExecutingAsync(
            DbCommand command,
            CommandEventData eventData,
            InterceptionResult<int> result,
            CancellationToken cancellationToken = default
        )
        {
            if (IsAlone(eventData.Context))
            {
                written.OnItsWay();
            }

            return ValueTask.FromResult(result);
        }

        public override ValueTask<int> NonQueryExecutedAsync(
            DbCommand command,
            CommandExecutedEventData eventData,
            int result,
            CancellationToken cancellationToken = default
        )
        {
            if (IsAlone(eventData.Context) && result > 0)
            {
                written.Kept();
            }

            return ValueTask.FromResult(result);
        }

        public override Task CommandFailedAsync(
            DbCommand command,
            CommandErrorEventData eventData,
            CancellationToken cancellationToken = default
        )
        {
            written.Failed(eventData.Exception);
            return Task.CompletedTask;
        }
    }

    private static bool IsAlone(DbContext? context) => context?.Database.CurrentTransaction is null;
}
