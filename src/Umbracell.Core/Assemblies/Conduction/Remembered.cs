namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>So many answers by what was asked; the oldest gives way to a new one.</summary>
/// <param name="most">How many.</param>
internal sealed class Remembered<TKey, TValue>(int most)
    where TKey : notnull
{
    private readonly Lock _door = new();

    // Made with the first answer: most cases never ask.
    private Dictionary<TKey, TValue>? _answers;

    private Queue<TKey>? _order;

    /// <summary>The answer that is remembered, or a new one. Two who ask the same at once may both work it out.</summary>
    public TValue Of(TKey key, Func<TValue> make)
    {
        lock (_door)
        {
            if (_answers is not null && _answers.TryGetValue(key, out var known))
            {
                return known;
            }
        }

        var made = make();
        lock (_door)
        {
            _answers ??= [];
            _order ??= new();
            if (_answers.TryAdd(key, made))
            {
                _order.Enqueue(key);
                if (_order.Count > most)
                {
                    _answers.Remove(_order.Dequeue());
                }
            }

            return _answers.GetValueOrDefault(key, made);
        }
    }
}
