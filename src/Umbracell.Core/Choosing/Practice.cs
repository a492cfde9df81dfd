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

/// <summary>A school of practice: one answer to one of the questions.</summary>
public enum School
{
    /// <summary>None is followed: the figures alone decide.</summary>
    Either,

    /// <summary>Under an unvented deck: closed cell.</summary>
    ClosedCell,

    /// <summary>Under an unvented deck: open cell.</summary>
    OpenCell,

    /// <summary>Band joists: foam on the wood.</summary>
    FoamOnWood,

    /// <summary>Band joists: cut board.</summary>
    CutBoard,

    /// <summary>Band joists: batt alone.</summary>
    BattAlone,

    /// <summary>Metal buildings: a thin coat against condensation only.</summary>
    ThinCoat,

    /// <summary>Metal buildings: insulated.</summary>
    Insulated,

    /// <summary>Least thickness: an inch is a control layer.</summary>
    InchIsALayer,

    /// <summary>Least thickness: never under two inches.</summary>
    NeverUnderTwoInches,

    /// <summary>Cold substrate: never flash.</summary>
    NeverFlash,

    /// <summary>Cold substrate: flash, then build up.</summary>
    FlashAndBuildUp,

    /// <summary>Condensation: the tables of the code rule.</summary>
    CodeTables,

    /// <summary>Condensation: the monthly year rules.</summary>
    MonthlyYear,

    /// <summary>Equipment: the rig always.</summary>
    RigAlways,

    /// <summary>Equipment: hand kits for small work.</summary>
    KitsForSmallWork,
}

/// <summary>Which school is followed in which question: the firm's, with a job's exceptions laid over it.</summary>
public sealed record Practice
{
    private static readonly Length TwoInches = Length.FromInches(2);

    private static readonly Dictionary<PracticeQuestion, School[]> Answers = new()
    {
        [PracticeQuestion.UnventedDeck] = [School.ClosedCell, School.OpenCell],
        [PracticeQuestion.BandJoist] = [School.FoamOnWood, School.CutBoard, School.BattAlone],
        [PracticeQuestion.MetalBuilding] = [School.ThinCoat, School.Insulated],
        [PracticeQuestion.LeastThickness] = [School.InchIsALayer, School.NeverUnderTwoInches],
        [PracticeQuestion.ColdSubstrate] = [School.NeverFlash, School.FlashAndBuildUp],
        [PracticeQuestion.Condensation] = [School.CodeTables, School.MonthlyYear],
        [PracticeQuestion.Equipment] = [School.RigAlways, School.KitsForSmallWork],
    };

    /// <summary>The schools of a question, in the order they are told.</summary>
    public static IReadOnlyList<School> SchoolsOf(PracticeQuestion question) => Answers[question];

    /// <summary>Schools by question; a question not named is left to the figures.</summary>
    public IReadOnlyDictionary<PracticeQuestion, School> Schools { get; init; } = new Dictionary<PracticeQuestion, School>();

    /// <summary>The school followed in a question; a school of another question is none of this one's.</summary>
    public School Of(PracticeQuestion question) =>
        Schools.TryGetValue(question, out var school) && SchoolsOf(question).Contains(school) ? school : School.Either;

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
            ) => School.ClosedCell,
            (PracticeQuestion.UnventedDeck, CandidateKind.OpenCell or CandidateKind.DenseOpenCell or CandidateKind.OpenCellCoated) =>
                School.OpenCell,
            (PracticeQuestion.BandJoist, CandidateKind.CutBoard) => School.CutBoard,
            (PracticeQuestion.BandJoist, CandidateKind.BattAlone) => School.BattAlone,
            (PracticeQuestion.BandJoist, _) => School.FoamOnWood,
            (PracticeQuestion.MetalBuilding, CandidateKind.ThinCoat) => School.ThinCoat,
            (PracticeQuestion.MetalBuilding, _) => School.Insulated,
            _ => School.Either,
        };

    /// <summary>Whether a system is of the school followed; true where none is.</summary>
    public bool Holds(SurfaceKind surface, CandidateKind system) =>
        QuestionOf(surface) is not { } question
        || Of(question) is School.Either
        || SchoolOf(surface, system) is var school && (school == School.Either || school == Of(question));

    /// <summary>Least foam the practice sprays: two inches for who never sprays less.</summary>
    public Length LeastFoam => Of(PracticeQuestion.LeastThickness) == School.NeverUnderTwoInches ? TwoInches : Length.Zero;
}
