using System.Text.Json;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Materials;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Formats.DataFiles;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>Shots of the simulated foam that the tables were not counted on, read back to their cause.</summary>
public sealed class ShotDiagnosisTests(ITestOutputHelper output)
{
    private const int Held = 500;

    private static readonly IReadOnlyList<ProductSheet> Sheets =
    [
        .. ShippedData
            .ProductSheets.OrderBy(sheet => sheet.Key, StringComparer.Ordinal)
            .Select(sheet => ProductSheetFile.Read(sheet.Key, sheet.Value)),
    ];

    private static readonly IReadOnlySet<ShotCause> Nothing = new HashSet<ShotCause>();

    private static (ProductSheet Sheet, FaultyShot Shot, ShotSeen Seen) Fired(ShotCause cause, int number)
    {
        var sheet = Sheets[number % Sheets.Count];
        var rig = new FaultyRig(
            sheet,
            Sheets[(number + 1 + number / Sheets.Count % (Sheets.Count - 1)) % Sheets.Count],
            9_400_000 + number
        );
        var shot = rig.Fire(cause);
        return (sheet, shot, rig.Seen(shot));
    }

    [Fact]
    public void Of_five_hundred_shots_the_cause_is_the_first_in_four_of_five_and_among_three_in_nineteen_of_twenty()
    {
        var causes = ShotLikelihoods.Causes.Where(cause => cause != ShotCause.None).ToList();
        var (first, three) = (causes.ToDictionary(c => c, _ => 0), causes.ToDictionary(c => c, _ => 0));
        var count = causes.ToDictionary(c => c, _ => 0);
        for (var number = 0; number < Held; number++)
        {
            var cause = causes[number % causes.Count];
            var (sheet, shot, seen) = Fired(cause, number);
            var told = ShotDiagnosis.Of(sheet, shot.Readings, seen, Nothing).Causes;
            count[cause]++;
            first[cause] += told[0].Cause == cause ? 1 : 0;
            three[cause] += told.Take(3).Any(one => one.Cause == cause) ? 1 : 0;
        }

        foreach (var cause in causes)
        {
            output.WriteLine($"{cause, -15} first {first[cause], 3} of {count[cause], 3}, among three {three[cause], 3}");
        }

        output.WriteLine($"all             first {first.Values.Sum()} of {Held}, among three {three.Values.Sum()}");
        first.Values.Sum().ShouldBeGreaterThanOrEqualTo(Held * 80 / 100);
        three.Values.Sum().ShouldBeGreaterThanOrEqualTo(Held * 95 / 100);
    }

    [Fact]
    public void The_tables_that_ship_are_what_was_counted()
    {
        using var file = typeof(ShotLikelihoods).Assembly.GetManifestResourceStream("likelihoods.json")!;
        var shipped = JsonNode.Parse(file)!["given"]!;
        foreach (var (sign, table) in ShotLikelihoods.Counted(Sheets, ShotLikelihoods.ShippedSeed, ShotLikelihoods.ShippedShots))
        {
            foreach (var (cause, shares) in table)
            {
                shipped[sign]![JsonNamingPolicy.CamelCase.ConvertName($"{cause}")]!
                    .AsArray()
                    .Select(share => share!.GetValue<double>())
                    .ShouldBe(shares, $"{sign} under {cause}");
            }
        }
    }

    [Fact]
    public void A_good_shot_is_accepted_in_nineteen_of_twenty()
    {
        var told = Enumerable
            .Range(0, Held)
            .Select(number => Fired(ShotCause.None, number))
            .Select(fired => ShotDiagnosis.Of(fired.Sheet, fired.Shot.Readings, fired.Seen, Nothing))
            .ToList();
        foreach (
            var why in told.Where(one => !one.IsAcceptable)
                .GroupBy(one => one.Refusals is [var first, ..] ? $"{first}" : $"{one.Causes[0].Cause}")
        )
        {
            output.WriteLine($"refused by {why.Key}: {why.Count()}");
        }

        var accepted = told.Count(one => one.IsAcceptable);
        output.WriteLine($"accepted {accepted} of {Held}");
        accepted.ShouldBeGreaterThanOrEqualTo(Held * 95 / 100);
    }

    [Fact]
    public void What_was_done_drops_out_and_the_others_keep_their_order()
    {
        foreach (var cause in ShotLikelihoods.Causes.Where(cause => cause != ShotCause.None))
        {
            var (sheet, shot, seen) = Fired(cause, 3);
            var before = ShotDiagnosis.Of(sheet, shot.Readings, seen, Nothing);
            var done = before.Causes.First(one => one.Cause != ShotCause.None).Cause;
            var after = ShotDiagnosis.Of(sheet, shot.Readings, seen, new HashSet<ShotCause> { done });
            after.Causes.Single(one => one.Cause == done).Chance.ShouldBeLessThan(before.Causes.Single(one => one.Cause == done).Chance);
            after.Causes.Single(one => one.Cause == done).Step.ShouldBeNull();
            after.NextStep?.Cause.ShouldNotBe(done);
            after
                .Causes.Select(one => one.Cause)
                .Where(one => one != done)
                .ShouldBe(before.Causes.Select(one => one.Cause).Where(one => one != done));
            after.Causes.Sum(one => one.Chance).ShouldBe(1, 1e-9);
        }
    }

    [Fact]
    public void Once_the_cause_is_mended_the_next_shot_makes_it_unlikelier()
    {
        var better = 0;
        for (var number = 0; number < 200; number++)
        {
            var cause = ShotLikelihoods.Causes[1 + number % (ShotLikelihoods.Causes.Count - 1)];
            var (sheet, shot, seen) = Fired(cause, number);
            var (_, mended, then) = Fired(ShotCause.None, number);
            var before = ChanceOf(ShotDiagnosis.Of(sheet, shot.Readings, seen, Nothing), cause);
            better += ChanceOf(ShotDiagnosis.Of(sheet, mended.Readings, then, Nothing), cause) < before ? 1 : 0;
        }

        better.ShouldBeGreaterThanOrEqualTo(196);

        static double ChanceOf(ShotDiagnosis told, ShotCause cause) => told.Causes.Single(one => one.Cause == cause).Chance;
    }

    [Fact]
    public void Off_ratio_or_unbonded_foam_is_never_accepted_whatever_the_chances()
    {
        var (sheet, shot, seen) = Fired(ShotCause.None, 1);
        ShotSeen[] bad =
        [
            .. new[] { ShotFeel.Brittle, ShotFeel.Glassy, ShotFeel.Soft, ShotFeel.Sticky }.Select(feel => seen with { Feel = feel }),
            seen with
            {
                Adhesion = ShotAdhesion.Peels,
            },
            seen with
            {
                Adhesion = ShotAdhesion.Gap,
            },
            seen with
            {
                LayersPart = true,
            },
            seen with
            {
                Cells = ShotCells.Collapsed,
            },
            seen with
            {
                Shrinks = true,
            },
            seen with
            {
                Blowholes = true,
            },
            seen with
            {
                Scorch = true,
            },
            seen with
            {
                Feel = null,
            },
        ];
        foreach (var one in bad)
        {
            ShotDiagnosis.Of(sheet, shot.Readings, one, Nothing).IsAcceptable.ShouldBeFalse();
        }

        var apart = shot.Readings with { PressureB = shot.Readings.PressureA * 0.79 };
        ShotDiagnosis.Of(sheet, apart, seen, Nothing).Refusals.ShouldBe([ShotRefusal.PressuresApart]);
    }
}
