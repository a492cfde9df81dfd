using System.Security.Claims;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Server.Access;
using Umbracell.Server.Papers;
using Umbracell.Server.Problems;

namespace Umbracell.Server.Choose;

/// <summary>Systems of a surface in one drawing, to one scale, with their figures in plain words: one page for whoever pays.</summary>
internal sealed class Comparison(WeighedChoices choices) : IPaperMaker
{
    public PaperKind Kind => PaperKind.Comparison;

    public bool ShowsPrices(ClaimsPrincipal person) => person.May(Right.Price);

    /// <exception cref="FieldFaultsException">No surface is named, fewer than two systems, or one that the surface has not.</exception>
    public async Task<PaperDocument> MakeAsync(WantedPaper wanted)
    {
        var (surface, job, _, weighed) = await choices.OfAsync(SurfaceOf(wanted));
        if (job.Id != wanted.JobId)
        {
            throw new NotFoundException("surface");
        }

        var systems = SystemsOf(weighed.Answer, wanted);
        var words = wanted.Words;
        return wanted.Paper(
            words.Say("choose.compareTitleOf", ("name", surface.Name)),
            [words.Say("choose.compareLead", ("name", surface.Name), ("job", job.Name))],
            new(
                [new("", Share: 1.3), .. systems.Select(one => new PaperColumn(NameOf(one, words), Share: 4.0 / systems.Count))],
                [.. Lines(words, ShowsPrices(wanted.Person)).Select(line => new PaperLine([line.Name, .. systems.Select(line.Of)]))]
            ),
            [words.Say("choose.plainTail")]
        ) with
        {
            Sections =
            [
                .. systems.Select(one => new PaperSection(
                    NameOf(one, words),
                    words.Layers(one.Layers.Concat(one.Boards)),
                    [.. one.Sketch.Select(layer => new DrawnLayer(layer.Key, layer.ThicknessMm))]
                )),
            ],
            OnePage = true,
        };
    }

    private static Guid SurfaceOf(WantedPaper wanted) =>
        wanted.Wish.SurfaceId ?? throw FieldFaultsException.Of("surfaceId", FaultCode.Empty);

    private static List<CandidateAnswer> SystemsOf(ChoiceAnswer choice, WantedPaper wanted)
    {
        var asked = wanted.Wish.Systems ?? [];
        if (asked.Count < 2)
        {
            throw FieldFaultsException.Of("systems", FaultCode.Empty, string.Join(", ", asked));
        }

        return
        [
            .. asked.Select(id =>
                choice.Candidates.FirstOrDefault(one => one.Id == id) ?? throw FieldFaultsException.Of("systems", FaultCode.Unknown, id)
            ),
        ];
    }

    private static string NameOf(CandidateAnswer system, PaperWords words) => words.Say($"candidate.{Vocabulary.KeyOf(system.Kind)}");

    private static IEnumerable<(string Name, Func<CandidateAnswer, string> Of)> Lines(PaperWords words, bool priced)
    {
        string Name(string key) => words.Say($"choose.plain.{key}");
        string Score(CandidateAnswer one, ScorePart part) =>
            words.PrintOrDash(one.Scores.FirstOrDefault(score => score.Part == part)?.Measured);
        (string Name, Func<CandidateAnswer, string> Of) money = (
            Name("money"),
            one => one.Cost is { } cost ? words.Print(cost.Figure) : words.Say("choose.noPrice")
        );
        return
        [
            (
                Name("warm"),
                one =>
                    words.Say(
                        "choose.plainU",
                        ("u", one.U.Figure),
                        ("meets", words.Say(one.MeetsTarget ? "choose.meets" : "choose.fallsShort"))
                    )
            ),
            (Name("damp"), one => Dampest(one, words)),
            .. priced ? [money] : Array.Empty<(string, Func<CandidateAnswer, string>)>(),
            (Name("time"), one => words.Print(one.Hours)),
            (Name("quiet"), one => words.Say("choose.plainQuiet", ("depth", Score(one, ScorePart.Quiet)))),
            (Name("knocks"), one => words.Say("choose.plainKnocks", ("density", Score(one, ScorePart.Toughness)))),
            (Name("repair"), one => words.Say("choose.plainRepair", ("weight", Score(one, ScorePart.Repair)))),
            (Name("rules"), one => Rules(one, words)),
        ];
    }

    private static string Dampest(CandidateAnswer one, PaperWords words) =>
        one.Dampest is { } dampest
            ? words.Say("choose.plainRh", ("rh", dampest.Humidity.Figure), ("place", words.Place(dampest.Place)))
            : words.Say("choose.plainNone");

    private static string Rules(CandidateAnswer one, PaperWords words) =>
        Writing.Listed(one.Findings.Where(f => f.Verdict != Verdict.Clear).Select(words.Title), "apart") is { Length: > 0 } all
            ? all
            : words.Say("choose.noRules");
}
