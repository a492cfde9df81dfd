using Umbracell.Core.Materials;

namespace Umbracell.Core.Rigs.Shots;

/// <summary>A cause and its chance.</summary>
/// <param name="Cause">The cause.</param>
/// <param name="Chance">0 to 1; those of all causes make 1.</param>
/// <param name="Step">What is done about it next; null for a good shot, and once it was done.</param>
public readonly record struct LikelyCause(ShotCause Cause, double Chance, ShotStep? Step);

/// <summary>Why a shot cannot be accepted by anyone.</summary>
public enum ShotRefusal
{
    /// <summary>Pressures of the sides apart by more than a fifth: off ratio.</summary>
    PressuresApart,

    /// <summary>Glassy, brittle, soft or sticky: off ratio, or not cured.</summary>
    Feel,

    /// <summary>A gap, or it peels: not bonded.</summary>
    Adhesion,

    /// <summary>Its layers part.</summary>
    Layers,

    /// <summary>Its cells have fallen in.</summary>
    Cells,

    /// <summary>It shrinks.</summary>
    Shrinks,

    /// <summary>It has blowholes.</summary>
    Blowholes,

    /// <summary>It is scorched.</summary>
    Scorch,

    /// <summary>A sample is more than a tenth off the sheet's core density.</summary>
    Density,

    /// <summary>Nobody looked how it feels and holds.</summary>
    NotLookedAt,
}

/// <summary>What a test shot says: causes by their chance, and whether it can be accepted.</summary>
public sealed record ShotDiagnosis
{
    // Done and looked at, a cause is next to out.
    private const double LeftOnceDone = 0.02;

    // From this chance on a cause is worth its step.
    private const double WorthAStep = 0.05;

    private const double PressuresApart = 0.20,
        DensityOff = 0.10;

    /// <summary>Times that were expected.</summary>
    public required ExpectedShot Expected { get; init; }

    /// <summary>All causes, the likeliest first.</summary>
    public required IReadOnlyList<LikelyCause> Causes { get; init; }

    /// <summary>What stands against it whatever the chances.</summary>
    public required IReadOnlyList<ShotRefusal> Refusals { get; init; }

    /// <summary>Whether it can be accepted: nothing stands against it, and that nothing is wrong is likelier than any cause.</summary>
    public bool IsAcceptable => Refusals.Count == 0 && Causes[0].Cause == ShotCause.None;

    /// <summary>The step that is next: of those whose causes are worth one the cheapest, and so drums before primaries before
    /// pressure. Null where none is.</summary>
    public LikelyCause? NextStep =>
        IsAcceptable
            ? null
            : Causes
                .Where(one => one.Step is not null && one.Chance >= WorthAStep)
                .OrderBy(one => ShotSteps.MinutesOf(one.Step!.Value))
                .ThenByDescending(one => one.Chance)
                .Cast<LikelyCause?>()
                .FirstOrDefault();

    /// <summary>Reads a shot.</summary>
    /// <param name="sheet">The product that is meant.</param>
    /// <param name="read">What was read.</param>
    /// <param name="seen">What was seen.</param>
    /// <param name="done">Causes whose step was done.</param>
    public static ShotDiagnosis Of(ProductSheet sheet, ShotReadings read, ShotSeen seen, IReadOnlySet<ShotCause> done)
    {
        var tables = ShotLikelihoods.Shipped;
        var signs = ShotSigns.Of(sheet, read, seen).ToList();
        var logs = ShotLikelihoods.Causes.ToDictionary(
            cause => cause,
            cause =>
                Math.Log(tables.Prior(cause) * (done.Contains(cause) ? LeftOnceDone : 1))
                + signs.Sum(sign => tables.Weight(sign.Of) * Math.Log(tables.Of(sign, cause)))
        );
        var greatest = logs.Values.Max();
        var all = logs.Values.Sum(log => Math.Exp(log - greatest));
        return new()
        {
            Expected = ShotSigns.ExpectedOf(sheet, read),
            Causes =
            [
                .. logs.Select(log => new LikelyCause(
                        log.Key,
                        Math.Exp(log.Value - greatest) / all,
                        done.Contains(log.Key) ? null : ShotSteps.Of(log.Key)
                    ))
                    .OrderByDescending(one => one.Chance),
            ],
            Refusals = [.. RefusalsOf(sheet, read, seen)],
        };
    }

    private static IEnumerable<ShotRefusal> RefusalsOf(ProductSheet sheet, ShotReadings read, ShotSeen seen)
    {
        (bool Is, ShotRefusal What)[] against =
        [
            (ShotSigns.ApartOf(read) > PressuresApart, ShotRefusal.PressuresApart),
            (seen.Feel is not (null or ShotFeel.Firm), ShotRefusal.Feel),
            (seen.Adhesion is not (null or ShotAdhesion.Holds), ShotRefusal.Adhesion),
            (seen.LayersPart == true, ShotRefusal.Layers),
            (seen.Cells == ShotCells.Collapsed, ShotRefusal.Cells),
            (seen.Shrinks == true, ShotRefusal.Shrinks),
            (seen.Blowholes == true, ShotRefusal.Blowholes),
            (seen.Scorch == true, ShotRefusal.Scorch),
            (OffBy(sheet, seen) > DensityOff, ShotRefusal.Density),
            (seen.Feel is null || seen.Adhesion is null, ShotRefusal.NotLookedAt),
        ];
        return against.Where(one => one.Is).Select(one => one.What);
    }

    private static double? OffBy(ProductSheet sheet, ShotSeen seen) =>
        seen.Sample is { } sample ? Math.Abs(sample.KilogramsPerCubicMetre / sheet.CoreDensity.KilogramsPerCubicMetre - 1) : null;
}
