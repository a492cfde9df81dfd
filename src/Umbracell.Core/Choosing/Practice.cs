using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>Questions practitioners answer differently.</summary>
public enum PracticeQuestion
{
    /// <summary>Under a sloped, unvented roof deck: closed or open cell.</summary>
    UnventedDeck,

    /// <summary>Band joist: foam on the wood, cut board or batt.</summary>
    BandJoist,

    /// <summary>Metal building: insulated, or coated against condensation only.</summary>
    MetalBuilding,

    /// <summary>Least thickness: an inch is a control layer, or never under two.</summary>
    LeastThickness,

    /// <summary>Cold substrate: never flash, or flash and build up.</summary>
    ColdSubstrate,

    /// <summary>Which opinion on condensation rules.</summary>
    Condensation,

    /// <summary>Equipment: the rig always, or hand kits for small work.</summary>
    Equipment,
}

/// <summary>A school of practice.</summary>
public enum School
{
    /// <summary>None is followed: the figures alone decide.</summary>
    Either,

    /// <summary>The first school.</summary>
    A,

    /// <summary>The second school.</summary>
    B,

    /// <summary>The third, where there is one.</summary>
    C,
}

/// <summary>Which school is followed in which question: the firm's, with a job's exceptions laid over it.</summary>
public sealed record Practice
{
    private static readonly Length TwoInches = Length.FromInches(2);

    /// <summary>Schools by question; a question not named is left to the figures.</summary>
    public IReadOnlyDictionary<PracticeQuestion, School> Schools { get; init; } = new Dictionary<PracticeQuestion, School>();

    /// <summary>The school followed in a question.</summary>
    public School Of(PracticeQuestion question) => Schools.GetValueOrDefault(question);

    /// <summary>The same practice with a job's exceptions over it.</summary>
    public Practice With(IReadOnlyDictionary<PracticeQuestion, School> exceptions)
    {
        var schools = new Dictionary<PracticeQuestion, School>(Schools);
        foreach (var (question, school) in exceptions)
        {
            schools[question] = school;
        }

        return this with
        {
            Schools = schools,
        };
    }

    /// <summary>The question a kind of surface raises, if it raises one.</summary>
    public static PracticeQuestion? QuestionOf(SurfaceKind kind) =>
        kind switch
        {
            SurfaceKind.UnventedDeck => PracticeQuestion.UnventedDeck,
            SurfaceKind.BandJoist => PracticeQuestion.BandJoist,
            SurfaceKind.MetalWall or SurfaceKind.MetalRoof or SurfaceKind.SteelBox => PracticeQuestion.MetalBuilding,
            _ => null,
        };

    /// <summary>The school a system belongs to on a kind of surface.</summary>
    public static School SchoolOf(SurfaceKind surface, CandidateKind system) =>
        (QuestionOf(surface), system) switch
        {
            (
                PracticeQuestion.UnventedDeck,
                CandidateKind.ClosedCell
                    or CandidateKind.ColdGrade
                    or CandidateKind.ClosedThenOpen
                    or CandidateKind.Hybrid
            ) => School.A,
            (PracticeQuestion.UnventedDeck, CandidateKind.OpenCell or CandidateKind.DenseOpenCell or CandidateKind.OpenCellCoated) =>
                School.B,
            (PracticeQuestion.BandJoist, CandidateKind.CutBoard) => School.B,
            (PracticeQuestion.BandJoist, CandidateKind.BattAlone) => School.C,
            (PracticeQuestion.BandJoist, _) => School.A,
            (PracticeQuestion.MetalBuilding, CandidateKind.ThinCoat) => School.A,
            (PracticeQuestion.MetalBuilding, _) => School.B,
            _ => School.Either,
        };

    /// <summary>Whether a system is of the school followed; true where none is.</summary>
    public bool Holds(SurfaceKind surface, CandidateKind system) =>
        QuestionOf(surface) is not { } question
        || Of(question) is School.Either
        || SchoolOf(surface, system) is var school && (school == School.Either || school == Of(question));

    /// <summary>Least foam the practice sprays: two inches in the second school of its question.</summary>
    public Length LeastFoam => Of(PracticeQuestion.LeastThickness) == School.B ? TwoInches : Length.Zero;
}
