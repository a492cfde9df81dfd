using Umbracell.Questions.Answers;
using Umbracell.Store.Model;

namespace Umbracell.Server.Means;

/// <summary>Something that may be known of means of a kind.</summary>
/// <param name="Name">Its name, by which it is changed too.</param>
/// <param name="Type">How it is typed.</param>
/// <param name="Choices">Codes of the list; empty for what is none.</param>
/// <param name="Needed">Whether nothing can be figured without it.</param>
/// <param name="Rate">The rate of the firm it goes before; null for what is none.</param>
public sealed record MeansEntryAnswer(string Name, MeansEntryType Type, IReadOnlyList<string> Choices, bool Needed, FigureAnswer? Rate);

/// <summary>A kind of means.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="Entries">What may be known of it, in the order it is asked.</param>
public sealed record MeansKindAnswer(MeansKind Kind, IReadOnlyList<MeansEntryAnswer> Entries);

/// <summary>A crew, a machine or a thing the firm works with.</summary>
public sealed record MeansAnswer
{
    public required Guid Id { get; init; }

    public required MeansKind Kind { get; init; }

    public required string Name { get; init; }

    /// <summary>The crew it goes out with; null where it is anybody's.</summary>
    public required Guid? Crew { get; init; }

    /// <summary>Whether it is not counted on any more.</summary>
    public required bool Retired { get; init; }

    /// <summary>Figures that were entered, by entry.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }

    /// <summary>Words, codes and times that were entered, by entry.</summary>
    public required IReadOnlyDictionary<string, string> Words { get; init; }

    /// <summary>How many jobs and finished jobs name it; zero for what jobs do not name.</summary>
    public required int Jobs { get; init; }

    public required uint Version { get; init; }
}

/// <summary>All that the firm works with.</summary>
/// <param name="Kinds">The kinds there are, in the order they are shown.</param>
/// <param name="All">What the firm has, by kind and name.</param>
public sealed record MeansBook(IReadOnlyList<MeansKindAnswer> Kinds, IReadOnlyList<MeansAnswer> All);
