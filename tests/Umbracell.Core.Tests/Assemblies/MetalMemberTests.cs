using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

public sealed class MetalMemberTests
{
    private static readonly MetalProfile Profile = new(
        Length.FromMillimetres(60),
        Length.FromMillimetres(1.5),
        Length.FromMillimetres(0.6)
    );

    [Fact]
    public void The_published_girt_loses_0_185_and_its_flange_stands_at_8_degrees()
    {
        var psi = Girts.LinearTransmittance(Profile, Length.FromMillimetres(200), ThermalResistance.FromSi(0.13));
        psi.ShouldBe(0.185, 0.0005);
        Girts
            .Flange(Profile, psi, ThermalResistance.FromSi(0.13), Temperature.FromCelsius(20), Temperature.FromCelsius(-10))
            .Celsius.ShouldBe(8.0, 0.1);
    }

    [Fact]
    public void A_deeper_or_thinner_web_carries_less_heat() =>
        Gen.Select(Gen.Double[0.05, 0.4], Gen.Double[0.0006, 0.006])
            .Sample(
                (depth, web) =>
                {
                    var psi = Girts.LinearTransmittance(
                        Profile with
                        {
                            Web = Length.FromMetres(web),
                        },
                        Length.FromMetres(depth),
                        ThermalResistance.FromSi(0.13)
                    );
                    return psi
                            > Girts.LinearTransmittance(
                                Profile with
                                {
                                    Web = Length.FromMetres(web),
                                },
                                Length.FromMetres(depth * 1.1),
                                ThermalResistance.FromSi(0.13)
                            )
                        && psi
                            > Girts.LinearTransmittance(
                                Profile with
                                {
                                    Web = Length.FromMetres(web / 1.1),
                                },
                                Length.FromMetres(depth),
                                ThermalResistance.FromSi(0.13)
                            );
                }
            );

    [Theory]
    [InlineData(16, 3.5, 13, 0.46)]
    [InlineData(16, 3.5, 15, 0.43)]
    [InlineData(16, 6, 19, 0.37)]
    [InlineData(16, 6, 21, 0.35)]
    [InlineData(16, 8, 25, 0.31)]
    [InlineData(24, 3.5, 13, 0.55)]
    [InlineData(24, 3.5, 15, 0.52)]
    [InlineData(24, 6, 19, 0.45)]
    [InlineData(24, 6, 21, 0.43)]
    [InlineData(24, 8, 25, 0.38)]
    public void Steel_stud_factors_are_the_codes_own(double spacing, double depth, double r, double factor)
    {
        var corrected = SteelStuds.Of(Length.FromInches(spacing), Length.FromInches(depth), ThermalResistance.FromUsR(r));
        corrected.Factor.ShouldBe(factor, 1e-9);
        corrected.IsEstimate.ShouldBeFalse();
    }

    [Fact]
    public void Past_the_table_the_last_effective_R_is_kept_and_called_an_estimate()
    {
        var corrected = SteelStuds.Of(Length.FromInches(16), Length.FromInches(3.5), ThermalResistance.FromUsR(24));
        corrected.Resistance.UsR.ShouldBe(15 * 0.43, 1e-9);
        corrected.IsEstimate.ShouldBeTrue();
    }

    [Fact]
    public void What_steel_leaves_never_rises_as_the_studs_come_closer_or_go_deeper() =>
        Gen.Select(Gen.Double[1, 60], Gen.Double[6, 30], Gen.Double[0, 12], Gen.Double[2, 14], Gen.Double[0, 4])
            .Sample(
                (r, spacing, wider, depth, deeper) =>
                {
                    double Left(double s, double d) =>
                        SteelStuds.Of(Length.FromInches(s), Length.FromInches(d), ThermalResistance.FromUsR(r)).Resistance.UsR;
                    Left(spacing, depth).ShouldBeLessThanOrEqualTo(Left(spacing + wider, depth) + 1e-9);
                    if (r < 13)
                    {
                        Left(spacing, depth + deeper).ShouldBeLessThanOrEqualTo(Left(spacing, depth) + 1e-9);
                    }
                }
            );

    [Fact]
    public void Studs_closer_than_the_table_lists_are_read_worse_than_its_closest_line() =>
        Gen.Select(Gen.Double[6, 14.9], Gen.Double[2, 12], Gen.Double[2, 40])
            .Sample(
                (spacing, depth, r) =>
                {
                    var (closer, listed) = (
                        SteelStuds.Of(Length.FromInches(spacing), Length.FromInches(depth), ThermalResistance.FromUsR(r)),
                        SteelStuds.Of(Length.FromInches(16), Length.FromInches(depth), ThermalResistance.FromUsR(r))
                    );
                    closer.Resistance.UsR.ShouldBeLessThan(listed.Resistance.UsR);
                    closer.IsEstimate.ShouldBeTrue();
                }
            );

    [Fact]
    public void What_steel_leaves_never_falls_as_the_cavity_rises() =>
        Gen.Select(Gen.Double[1, 60], Gen.Double[0, 10], Gen.Int[0, 2], Gen.Double[2, 12])
            .Sample(
                (r, more, wide, depth) =>
                {
                    var spacing = Length.FromInches(
                        wide switch
                        {
                            0 => 12,
                            1 => 16,
                            _ => 24,
                        }
                    );
                    return SteelStuds.Of(spacing, Length.FromInches(depth), ThermalResistance.FromUsR(r + more)).Resistance.UsR
                        >= SteelStuds.Of(spacing, Length.FromInches(depth), ThermalResistance.FromUsR(r)).Resistance.UsR - 1e-9;
                }
            );

    [Fact]
    public void Girts_add_their_fin_to_the_clear_field()
    {
        var study = SectionStudy.Of(Wall(MemberMaterial.Girt, Profile));
        var psi = study.MemberPsi!.Value;
        (study.WholeU.WattsPerSquareMetreKelvin - study.ParallelU.WattsPerSquareMetreKelvin).ShouldBe(psi / 1.5, 1e-12);
        study
            .Findings.Single(f => f.Rule.Id == "metalMembers")
            .Working!.Result.Amount.ShouldBe(study.WholeU.WattsPerSquareMetreKelvin, 1e-12);
    }

    [Fact]
    public void A_flange_under_the_dew_point_sweats_and_one_in_dry_air_does_not()
    {
        Metal(
            Wall(MemberMaterial.Girt, Profile) with
            {
                Air = new(
                    Temperature.FromCelsius(20),
                    RelativeHumidity.FromPercent(60),
                    Temperature.FromCelsius(-10),
                    RelativeHumidity.FromPercent(80)
                ),
            }
        )
            .Case.Name.ShouldBe("flangeSweatsSolved");
        Metal(
            Wall(MemberMaterial.Girt, Profile) with
            {
                Air = new(
                    Temperature.FromCelsius(20),
                    RelativeHumidity.FromPercent(20),
                    Temperature.FromCelsius(-10),
                    RelativeHumidity.FromPercent(80)
                ),
            }
        )
            .Case.Name.ShouldBe("flangeDrySolved");
    }

    [Fact]
    public void Girts_without_a_spacing_are_refused_and_not_reckoned_to_infinity() =>
        Should
            .Throw<QuantityRangeException>(() =>
                SectionStudy.Of(
                    Wall(MemberMaterial.Girt, Profile) with
                    {
                        Members = new()
                        {
                            Material = MemberMaterial.Girt,
                            Depth = Length.FromMillimetres(200),
                            Spacing = Length.Zero,
                            Share = 0,
                            Conductivity = ThermalConductivity.FromSi(50),
                            Profile = Profile,
                        },
                    }
                )
            )
            .ParamName.ShouldBe("member spacing");

    [Fact]
    public void Girts_of_unknown_section_are_a_finding_of_their_own()
    {
        var finding = Metal(Wall(MemberMaterial.Girt, null));
        (finding.Case.Name, finding.Verdict).ShouldBe(("profileUnknown", Verdict.Care));
    }

    [Fact]
    public void Steel_studs_cost_U_against_the_clear_cavity()
    {
        var study = SectionStudy.Of(
            Wall(MemberMaterial.SteelStud, null) with
            {
                Members = new()
                {
                    Material = MemberMaterial.SteelStud,
                    Depth = Length.FromInches(6),
                    Spacing = Length.FromInches(16),
                    Share = 0,
                    Conductivity = ThermalConductivity.FromSi(50),
                },
                Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(3))],
            }
        );
        study.Studs!.Value.Factor.ShouldBeLessThan(0.5);
        study.WholeU.WattsPerSquareMetreKelvin.ShouldBeGreaterThan(study.ParallelU.WattsPerSquareMetreKelvin);
    }

    private static Finding Metal(SectionCase section) => SectionStudy.Of(section).Findings.Single(f => f.Rule.Id == "metalMembers");

    private static SectionCase Wall(MemberMaterial members, MetalProfile? profile) =>
        new()
        {
            Kind = SurfaceKind.MetalWall,
            Outboard =
            [
                new(
                    new Material
                    {
                        Id = "steel-skin",
                        Conductivity = ThermalConductivity.FromSi(50),
                        Permeability = Permeability.FromPermInches(0.0005),
                        Source = "made up",
                    },
                    Length.FromMillimetres(0.6)
                ),
            ],
            Inboard = [],
            Members = new()
            {
                Material = members,
                Depth = Length.FromMillimetres(200),
                Spacing = Length.FromMetres(1.5),
                Share = 0,
                Conductivity = ThermalConductivity.FromSi(50),
                Profile = profile,
            },
            HeatFlow = HeatFlow.Horizontal,
            Exposure = Exposure.Outdoors,
            Films = FilmSet.Iso6946,
            Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(2))],
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(-10),
                RelativeHumidity.FromPercent(80)
            ),
        };
}
