using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Choosing;

/// <summary>Each side of each rule that removes a system or cautions it.</summary>
public sealed class ExclusionTests
{
    [Fact]
    public void E1_the_weather_side_takes_only_coated_roofing_foam()
    {
        var choice = Choice.Of(
            Walls.Case(SurfaceKind.LowSlopeRoof) with
            {
                Sheets = [Sheets.ClosedCell, Sheets.OpenCell, Roofing],
            },
            FlipSearch.None
        );
        Case(choice, CandidateKind.ClosedCell, "E1").ShouldBe("notRoofing");
        Of(choice, CandidateKind.RoofingFoam).Excluded.ShouldBeFalse();
        var poor = Choice.Of(
            Walls.Case(SurfaceKind.LowSlopeRoof, facts: new() { Treated = Area.FromSquareMetres(10), Covering = Covering.SinglePly }) with
            {
                Sheets = [Roofing],
            },
            FlipSearch.None
        );
        Case(poor, CandidateKind.RoofingFoam, "E1").ShouldBe("coverBoard");
    }

    [Theory]
    [InlineData(SurfaceKind.UnderSlab)]
    [InlineData(SurfaceKind.BasementWall)]
    public void E2_open_cell_stays_out_of_the_ground(SurfaceKind kind)
    {
        var choice = Choice.Of(Walls.Case(kind), FlipSearch.None);
        Case(choice, CandidateKind.OpenCell, "E2").ShouldBe("openCell");
        Of(choice, CandidateKind.ClosedCell).Excluded.ShouldBeFalse();
    }

    [Theory]
    [InlineData(150.0, "bears")]
    [InlineData(250.0, "crushed")]
    [InlineData(null, "loadUnknown")]
    public void E2_the_sheet_carries_what_stands_on_it(double? load, string expected)
    {
        var strong = Sheets.ClosedCell with { CompressiveStrength = BearingPressure.FromKilopascals(190) };
        var choice = Choice.Of(
            Walls.Case(SurfaceKind.UnderSlab, facts: new() { Load = load is { } kPa ? BearingPressure.FromKilopascals(kPa) : null }) with
            {
                Sheets = [strong],
            },
            FlipSearch.None
        );
        Case(choice, CandidateKind.ClosedCell, "E2").ShouldBe(expected);
    }

    [Theory]
    [InlineData(true, 14.0, Verdict.Hold)]
    [InlineData(false, 23.0, Verdict.Hold)]
    [InlineData(false, 14.0, Verdict.Clear)]
    [InlineData(false, null, Verdict.Care)]
    public void E3_holds_the_surface_until_it_is_dry_and_mended(bool leak, double? wood, Verdict expected)
    {
        var choice = Choice.Of(
            Walls.Case(
                SurfaceKind.StudWall,
                facts: new()
                {
                    OpenLeak = leak,
                    WoodSubstrate = true,
                    WoodMoisturePercent = wood,
                }
            ),
            FlipSearch.None
        );
        choice.OfSurface.Worst().ShouldBe(expected);
        choice.OfSurface.ShouldAllBe(f => f.Rule.Id == "E3");
    }

    [Fact]
    public void E4_open_cell_on_a_metal_skin_needs_a_retarder()
    {
        var choice = Choice.Of(Walls.Case(SurfaceKind.MetalWall), FlipSearch.None);
        Case(choice, CandidateKind.OpenCell, "E4").ShouldBe("openNoRetarder");
        Of(choice, CandidateKind.OpenCellCoated).Findings.ShouldNotContain(f => f.Rule.Id == "E4" && f.Case.Name == "openNoRetarder");
        Of(choice, CandidateKind.ClosedCell).Findings.ShouldNotContain(f => f.Rule.Id == "E4");
    }

    [Fact]
    public void E5_a_tight_floor_finish_stays_dry_below_or_open_cell_is_out()
    {
        var damp = Choice.Of(Walls.Case(SurfaceKind.CrawlFloor, "1A", Walls.Year(hot: true)), FlipSearch.None);
        Case(damp, CandidateKind.OpenCell, "E5").ShouldBe("damp");
        var dry = Choice.Of(Walls.Case(SurfaceKind.CrawlFloor, "6A"), FlipSearch.None);
        Case(dry, CandidateKind.OpenCell, "E5").ShouldBe("dry");
        Case(Choice.Of(Walls.Case(SurfaceKind.CrawlFloor) with { Year = null }, FlipSearch.None), CandidateKind.OpenCell, "E5")
            .ShouldBe("noYear");
    }

    [Theory]
    [InlineData("6A", "coldZone", true)]
    [InlineData("4C", "coldZone", true)]
    [InlineData("3A", "mildZone", false)]
    public void E6_under_a_tight_covering_open_cell_is_out_where_winters_are_cold(string zone, string expected, bool excluded)
    {
        var choice = Choice.Of(Walls.Case(SurfaceKind.UnventedDeck, zone), FlipSearch.None);
        Case(choice, CandidateKind.OpenCell, "E6").ShouldBe(expected);
        Of(choice, CandidateKind.OpenCell).Excluded.ShouldBe(excluded);
        Of(choice, CandidateKind.ClosedCell).Findings.ShouldNotContain(f => f.Rule.Id == "E6");
        if (excluded)
        {
            Case(choice, CandidateKind.OpenCellCoated, "E6").ShouldBe("projectDesign");
        }
    }

    [Theory]
    [InlineData(200.0, "carries")]
    [InlineData(5.0, "tooHeavy")]
    [InlineData(null, "spareUnknown")]
    public void E7_springs_lift_what_they_can(double? spare, string expected)
    {
        var facts = new SurfaceFacts { Treated = Area.FromSquareMetres(15), DoorSpare = spare is { } kg ? Mass.FromKilograms(kg) : null };
        Case(Choice.Of(Walls.Case(SurfaceKind.OverheadDoor, facts: facts), FlipSearch.None), CandidateKind.ClosedCell, "E7")
            .ShouldBe(expected);
    }

    [Fact]
    public void E8_a_channel_without_a_baffle_takes_no_foam()
    {
        var section = Walls.Section(SurfaceKind.VentedRafters, depthInches: 11.25) with { VentChannel = Length.FromInches(1) };
        Case(Choice.Of(Walls.Case(SurfaceKind.VentedRafters, section: section), FlipSearch.None), CandidateKind.ClosedCell, "E8")
            .ShouldBe("noBaffle");
        var kept = section with { Baffle = new(Walls.Make("plywood", 0.115, 0.35), Length.FromMillimetres(6)) };
        Of(Choice.Of(Walls.Case(SurfaceKind.VentedRafters, section: kept), FlipSearch.None), CandidateKind.ClosedCell)
            .Findings.ShouldNotContain(f => f.Rule.Id == "E8");
    }

    [Fact]
    public void E9_what_does_not_fit_even_at_its_least_is_out()
    {
        var shallow = Walls.Section(SurfaceKind.StudWall, depthInches: 1.5);
        Of(Choice.Of(Walls.Case(SurfaceKind.StudWall, section: shallow), FlipSearch.None), CandidateKind.OpenCell)
            .Findings.ShouldContain(f => f.Rule.Id == "E9" && f.Verdict == Verdict.Hold);
        Of(Choice.Of(Walls.Case(SurfaceKind.StudWall), FlipSearch.None), CandidateKind.OpenCell)
            .Findings.ShouldNotContain(f => f.Rule.Id == "E9");
    }

    [Fact]
    public void E10_fibre_behind_too_little_foam_is_out_in_damp_rooms()
    {
        var damp = Choice.Of(Walls.Case(SurfaceKind.StudWall, year: Walls.Year(humidityClass: 5)), FlipSearch.None);
        Of(damp, CandidateKind.Hybrid).Findings.ShouldContain(f => f.Rule.Id == "E10" && f.Verdict == Verdict.Hold);
        Of(Choice.Of(Walls.Case(SurfaceKind.StudWall, year: Walls.Year(humidityClass: 1)), FlipSearch.None), CandidateKind.Hybrid)
            .Findings.ShouldNotContain(f => f.Rule.Id == "E10");
    }

    [Fact]
    public void E11_fibre_alone_is_no_air_barrier()
    {
        var choice = Choice.Of(Walls.Case(SurfaceKind.StudWall), FlipSearch.None);
        Case(choice, CandidateKind.BattAlone, "E11").ShouldBe("noFoam");
        Of(choice, CandidateKind.ClosedCell).Findings.ShouldNotContain(f => f.Rule.Id == "E11");
    }

    [Fact]
    public void A_thin_coat_is_for_rooms_nobody_heats()
    {
        Of(Choice.Of(Walls.Case(SurfaceKind.MetalWall), FlipSearch.None), CandidateKind.ThinCoat).Excluded.ShouldBeTrue();
        Of(Choice.Of(Walls.Case(SurfaceKind.MetalWall, facts: new() { Conditioned = false }), FlipSearch.None), CandidateKind.ThinCoat)
            .Excluded.ShouldBeFalse();
    }

    [Theory]
    [InlineData(3.0, 400, "bandRelief")]
    [InlineData(5.0, 400, "bandTooThick")]
    [InlineData(3.0, 500, "barrier")]
    public void C5_the_band_joist_relief_holds_only_with_all_of_its_conditions(double target, double smoke, string expected)
    {
        var sheet = Sheets.ClosedCell with { FlameSpread = 20, SmokeDeveloped = smoke };
        var section = Walls.Section(SurfaceKind.BandJoist, targetU: target > 4 ? 0.026 : 0.045);
        Case(
                Choice.Of(Walls.Case(SurfaceKind.BandJoist, section: section) with { Sheets = [sheet] }, FlipSearch.None),
                CandidateKind.ClosedCell,
                "C5"
            )
            .ShouldBe(expected);
    }

    [Theory]
    [InlineData("C1")]
    [InlineData("C3")]
    [InlineData("C6")]
    [InlineData("C7")]
    [InlineData("C8")]
    [InlineData("C11")]
    [InlineData("C12")]
    public void Cautions_follow_what_was_found_and_stay_away_otherwise(string rule)
    {
        var section = Walls.Section(SurfaceKind.StudWall) with { Inboard = [] };
        var found = new SurfaceFacts
        {
            Workplace = true,
            LaterAccess = true,
            ClearancesAsked = true,
            OldBuilding = true,
            CombustionInside = true,
            HeldAtEnds = true,
            LooseFill = true,
        };
        var (loud, quiet) = (
            Choice.Of(Walls.Case(SurfaceKind.StudWall, facts: found, section: section), FlipSearch.None),
            Choice.Of(Walls.Case(SurfaceKind.StudWall, section: section), FlipSearch.None)
        );
        loud.Candidates.SelectMany(c => c.Findings).ShouldContain(f => f.Rule.Id == rule && f.Verdict == Verdict.Care);
        quiet.Candidates.SelectMany(c => c.Findings).ShouldNotContain(f => f.Rule.Id == rule);
    }

    private static ProductSheet Roofing { get; } = Sheets.ClosedCell with { Id = "roofing", Grade = FoamGrade.Roofing };

    private static Candidate Of(Choice choice, CandidateKind kind) => choice.Candidates.First(c => c.Kind == kind);

    private static string? Case(Choice choice, CandidateKind kind, string rule) =>
        Of(choice, kind).Findings.FirstOrDefault(f => f.Rule.Id == rule)?.Case.Name;
}
