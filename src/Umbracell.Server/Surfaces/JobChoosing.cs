using System.Globalization;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>What a job says of choosing: how targets are met, what matters how much, where it departs from the firm's practice.</summary>
internal static class JobChoosing
{
    private static readonly FigureRange Weight = new(0, 5, Dimension.Number);

    public static IReadOnlyList<string> Fields { get; } =
    [
        "targetPath",
        .. Enum.GetNames<ScorePart>().Select(part => "weight" + part),
        .. Enum.GetNames<PracticeQuestion>().Select(question => "practice" + question),
    ];

    public static void Take(TypedFields fields, Job job)
    {
        fields.Choice<TargetPath>("targetPath", path => job.TargetPath = path);
        foreach (var part in Enum.GetValues<ScorePart>())
        {
            fields.Quantity(
                "weight" + part,
                Weight,
                value =>
                    job.Priorities = new(new Dictionary<ScorePart, double>((job.Priorities ?? Priorities.Even).Weights) { [part] = value })
            );
        }

        Schools(fields, job.Exceptions, practice => job.Exceptions = practice);
    }

    /// <summary>What the fields hold, as it would be typed.</summary>
    public static IEnumerable<KeyValuePair<string, string>> Typed(Job job) =>
        [
            new("targetPath", Vocabulary.KeyOf(job.TargetPath)),
            .. Enum.GetValues<ScorePart>()
                .Select(part =>
                    KeyValuePair.Create(
                        "weight" + part,
                        (job.Priorities ?? Priorities.Even).Weights.GetValueOrDefault(part).ToString(CultureInfo.InvariantCulture)
                    )
                ),
            .. Enum.GetValues<PracticeQuestion>()
                .Select(question =>
                    KeyValuePair.Create(
                        "practice" + question,
                        job.Exceptions?.Schools.TryGetValue(question, out var school) == true ? Vocabulary.KeyOf(school) : ""
                    )
                ),
        ];

    /// <summary>Takes schools by question; blank leaves a question to what stands behind: the firm, or the figures.</summary>
    public static void Schools(TypedFields fields, Practice? kept, Action<Practice> keep)
    {
        var schools = new Dictionary<PracticeQuestion, School>(kept?.Schools ?? new Dictionary<PracticeQuestion, School>());
        foreach (var question in Enum.GetValues<PracticeQuestion>())
        {
            fields.Known(
                "practice" + question,
                typed => typed.Length == 0 || SchoolNamed(question, typed) is not null,
                typed =>
                {
                    schools.Remove(question);
                    if (typed.Length > 0)
                    {
                        schools[question] = SchoolNamed(question, typed)!.Value;
                    }

                    keep(new() { Schools = schools });
                }
            );
        }
    }

    // A letter is what earlier versions called a school; a device may still hold one that was not sent.
    private static School? SchoolNamed(PracticeQuestion question, string typed)
    {
        var letter = DocumentUpgrades.SchoolOfLetter(question.ToString(), typed);
        return letter != School.Either
            ? letter
            : Practice
                .SchoolsOf(question)
                .Append(School.Either)
                .Select(s => (School?)s)
                .FirstOrDefault(s => Vocabulary.KeyOf(s!.Value).Equals(typed, StringComparison.OrdinalIgnoreCase));
    }
}
