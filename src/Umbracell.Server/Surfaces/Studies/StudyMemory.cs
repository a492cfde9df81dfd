using Microsoft.Extensions.Caching.Memory;

namespace Umbracell.Server.Surfaces;

/// <summary>Studies as they were last made in this process, by what they were made from. What is not here is made anew.</summary>
internal sealed class StudyMemory : IDisposable
{
    // A study holds its workings: some 80 kB each, with a year of months and its share of the bid.
    private const int MostStudies = 1500;

    private static readonly TimeSpan Kept = TimeSpan.FromMinutes(20);

    private readonly MemoryCache _memory = new(new MemoryCacheOptions { SizeLimit = MostStudies, CompactionPercentage = 0.2 });

    // Now and then two jobs share one.
    private readonly SemaphoreSlim[] _turns = [.. Enumerable.Range(0, 64).Select(_ => new SemaphoreSlim(1))];

    public void Dispose()
    {
        _memory.Dispose();
        Array.ForEach(_turns, turn => turn.Dispose());
    }

    public T? Find<T>(Guid of, string madeFrom)
        where T : class =>
        _memory.TryGetValue((typeof(T), of), out (string MadeFrom, T Value) kept) && kept.MadeFrom == madeFrom ? kept.Value : null;

    /// <summary>Keeps what was made. Under the id alone: an older one is of no use beside a newer.</summary>
    /// <param name="of">What it was made of.</param>
    /// <param name="madeFrom">From which versions.</param>
    /// <param name="value">What was made.</param>
    /// <param name="size">Its size against the study of a surface.</param>
    public void Keep<T>(Guid of, string madeFrom, T value, int size = 1)
        where T : class =>
        _memory.Set((typeof(T), of), (madeFrom, value), new MemoryCacheEntryOptions { Size = size, SlidingExpiration = Kept });

    /// <summary>Does something for a job while nobody else does: a page asks for several things at once, and one study serves all.</summary>
    public async Task<T> InTurnAsync<T>(Guid job, Func<Task<T>> make)
    {
        var turn = _turns[(uint)job.GetHashCode() % _turns.Length];
        await turn.WaitAsync();
        try
        {
            return await make();
        }
        finally
        {
            turn.Release();
        }
    }
}
