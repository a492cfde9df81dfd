using Umbracell.Core.Findings;

namespace Umbracell.Core.Assemblies;

/// <summary>The opinions on condensation: the model code's tables, and the monthly year.</summary>
public static class CondensationRules
{
    /// <summary>The table for unvented roofs.</summary>
    public static readonly Rule Roof = new Rule("condensationRoof", Stage.Choose, Basis.ModelCode)
        .Ends("holds", "measured limit margin", "zone")
        .Ends("warmDeck", "measured limit margin deck", "zone")
        .Ends("tooLittle notClassTwo classOneInside", "measured limit margin", "zone")
        .Ends("shinglesNeedSpace", "measured limit margin space", "zone");

    /// <summary>The table for framed walls.</summary>
    public static readonly Rule Wall = new Rule("condensationWall", Stage.Choose, Basis.ModelCode)
        .Ends("noneAsked retards ventedCladding", "measured", "zone class")
        .Ends("foamStandsFor noRetarder noRetarderUnvented", "measured limit", "zone class")
        .Ends("classOneWarm classTwoWarm classOneBothFaces", "measured", "zone class");

    /// <summary>Condensate over a year.</summary>
    public static readonly Rule YearCondensate = new Rule("yearCondensate", Stage.Section, Basis.Physics).Ends(
        "none dries driesMuch untold stays",
        Condensate,
        AtPlace
    );

    /// <summary>Humidity at the dampest place over a year.</summary>
    public static readonly Rule YearInterface = new Rule("yearInterface", Stage.Section, Basis.Physics).Ends(
        "dry damp dampInward untold",
        Interface,
        AtPlace
    );

    /// <summary>Humidity on the face towards the room over a year.</summary>
    public static readonly Rule YearSurface = new Rule("yearSurface", Stage.Section, Basis.Physics).Ends(
        "dry damp",
        "measured limit",
        "month:month"
    );

    /// <summary>The year's opinion on an assembly: the worst of what the year says, under the name of what said it.</summary>
    public static readonly Rule Year = OfTheYear(YearCondensate, YearInterface, YearSurface);

    /// <summary>Where a plan leaves a place damper than it is.</summary>
    public static readonly Rule Wetter = new Rule("wetter", Stage.Choose, Basis.Physics) { IsToldAtOnce = true }
        .Ends("winter summer", "measured limit")
        .Ends("year", "measured limit", AtPlace);

    /// <summary>Ways the opinions end that ask for care and fail nothing: shingles want a space, and humidity, or a mean that cannot tell,
    /// is no condensate.</summary>
    public static readonly IReadOnlySet<RuleCase> AskForCareAlone = new HashSet<RuleCase>([
        Roof["shinglesNeedSpace"],
        .. Year.Cases.Except([Year["yearCondensate.stays"], Year["yearCondensate.driesMuch"]]),
    ]);

    private const string AtPlace = "month:month place:place",
        Condensate = "measured left",
        Interface = "measured limit months";

    private static Rule OfTheYear(params Rule[] rules)
    {
        var year = new Rule("condensationYear", Stage.Choose, Basis.Physics);
        foreach (var one in rules.SelectMany(rule => rule.Cases))
        {
            year.Ends(one.ToString(), string.Join(' ', one.Figures), string.Join(' ', one.Words.Select(w => $"{w.Key}:{w.Value}")));
        }

        return year;
    }
}
