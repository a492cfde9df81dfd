using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Airtightness;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Tables;
using Umbracell.Questions;
using Umbracell.Questions.Choose;
using Umbracell.Questions.Section;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Survey;
using Umbracell.Store.Model;
using Xunit;
using static Umbracell.Server.Tests.Sentences;

namespace Umbracell.Server.Tests;

/// <summary>Every finding, remedy and working the core can bring forth has its words in the catalogue, and every figure those words name
/// is there.</summary>
public sealed class SentencesTests
{
    private static readonly IReadOnlyList<ProductSheet> Sheets =
    [
        .. ShippedData.ProductSheets.Select(s => ProductSheetFile.Read(s.Key, s.Value)),
    ];

    private static readonly Supplies Supplies = new(Sheets.ToDictionary(s => s.Id), ShippedData.Materials, ShippedData.Batts);

    private static readonly string[] Zones = ["1A", "4C", "6A"];

    private static readonly Gen<ProductSheet> AnySheet = Gen.Int[0, Sheets.Count - 1].Select(i => Sheets[i]);
    private static readonly Gen<double> AnyMinutes = Gen.Double[0, 300];

    public static TheoryData<string> Rules => [.. RuleBook.All.Select(rule => rule.Id)];

    [Theory]
    [MemberData(nameof(Rules))]
    public void Every_way_a_rule_can_end_has_its_sentence(string id) =>
        RuleBook.All.Single(rule => rule.Id == id).Cases.ToList().ForEach(Check);

    [Fact]
    public void The_catalogue_has_no_sentence_for_a_rule_that_is_not_declared() =>
        SentencesOfFindings().ShouldBe(RuleBook.All.SelectMany(rule => rule.Cases).Select(one => one.ToString()), ignoreOrder: true);

    [Fact]
    public void The_gate_never_lacks_words() =>
        Gen.Select(
                AnySheet,
                Gen.Enum<SubstrateKind>(),
                Gen.Double[-25, 60],
                Gen.Double[-25, 50],
                Gen.Double[10, 100],
                Gen.Double[10, 35],
                AnyMinutes,
                Gen.Int[0, 31]
            )
            .Sample(
                (sheet, kind, substrate, air, humidity, drum, minutes, read) =>
                {
                    var age = TimeSpan.FromMinutes(minutes);
                    bool Has(int bit) => (read & (1 << bit)) != 0;
                    var gate = SprayGate.Check(
                        new()
                        {
                            Sheet = sheet,
                            SubstrateKind = kind,
                            Substrate = Has(0) ? new(Temperature.FromCelsius(substrate), age, "gauge") : null,
                            Air = Has(1) ? new(Temperature.FromCelsius(air), age, "gauge") : null,
                            Humidity = Has(2) ? new(RelativeHumidity.FromPercent(humidity), age, "meter") : null,
                            MoistureMeter = Has(3) ? new(humidity / 3, age, "meter") : null,
                            FoundDry = Has(1) ? new(drum > 20, age, "eye") : null,
                            DrumA = Has(4) ? new(Temperature.FromCelsius(drum), age, "bung") : null,
                            DrumB = Has(3) ? new(Temperature.FromCelsius(drum + 1), age, "bung") : null,
                            Prepared = Has(2) ? [.. Enum.GetValues<PreparationItem>()] : new HashSet<PreparationItem>(),
                            OtherSheets = Sheets,
                        }
                    );
                    gate.Findings.ToList().ForEach(Check);
                    gate.Remedies.ToList().ForEach(Check);
                    gate.Findings.Where(f => f.Verdict != Verdict.Clear && f.Rule != GateRules.ReadingsAge)
                        .ToList()
                        .ForEach(f => Words($"cell.{f.Case}"));
                },
                iter: 2000
            );

    [Fact]
    public void A_section_never_lacks_words() =>
        Gen.Select(
                Gen.Enum<SurfaceKind>(),
                AnySheet,
                Gen.Double[0.3, 16],
                Gen.Int[0, 2].Select(i => Zones[i]),
                Gen.Int[0, ShippedData.TargetSets.Count - 1].Select(i => ShippedData.TargetSets.Keys.ElementAt(i))
            )
            .Sample(
                (kind, sheet, inches, zone, targets) =>
                {
                    var surface = SurfaceStart.Of(kind, "x");
                    surface.SheetSlug = sheet.Id;
                    surface.FoamThicknessM = Math.Min(sheet.ThickestRated.Metres, Length.FromInches(inches).Metres);
                    if (inches > 8)
                    {
                        surface.Details = new()
                        {
                            FlangeMm = 60,
                            WebMm = 1.5,
                            SkinMm = 0.6,
                        };
                    }

                    if (surface.MemberMaterial == MemberMaterial.Wood && inches < 4)
                    {
                        surface.MemberMaterial = MemberMaterial.SteelStud;
                    }

                    var job = new Job
                    {
                        Name = "x",
                        ClimateZone = zone,
                        TargetSetId = targets,
                    };
                    var study = SectionQuestions.Study(SurfaceSections.Of(surface, job)!, Supplies);
                    study.Findings.ToList().ForEach(Check);
                    var place = ShippedData.Places.Values.ElementAt((int)(inches * 10) % ShippedData.Places.Count);
                    var rooms = place.MeanC.Select(t => Math.Max(20, t)).ToList();
                    var year = SectionYears.Study(
                        study.Case,
                        new(place.MeanC, place.MeanRhPct, rooms, [.. place.MeanC.Select(_ => 15 + inches * 4)])
                    )!;
                    year.Findings.ToList().ForEach(Check);
                    year.Places.Select(p => p.Place).Concat(year.Months.Select(m => m.At)).ToList().ForEach(Check);
                    study.Workings.Values.ToList().ForEach(Check);
                    study.Profile.Points.ToList().ForEach(p => Words($"material.{p.Key}"));
                    study.Notches.ToList().ForEach(n => Words($"section.notch.{n.Key}"));
                    Words($"kind.{Camel(kind.ToString())}");
                    Words($"section.class.{study.FillClass.ToString().ToLowerInvariant()}");
                },
                iter: 1500
            );

    [Fact]
    public void A_choice_never_lacks_words() =>
        Gen.Select(
                Gen.Enum<SurfaceKind>(),
                Gen.Int[0, 2].Select(i => Zones[i]),
                Gen.Double[2, 12],
                Gen.Int[0, 4095],
                Gen.Int[0, ShippedData.Places.Count]
            )
            .Sample(
                (kind, zone, inches, bits, at) =>
                {
                    bool Has(int bit) => (bits & (1 << bit)) != 0;
                    var surface = SurfaceStart.Of(kind, "x");
                    (surface.MemberDepthM, surface.ExpectedSubstrateC) = (
                        surface.MemberDepthM > 0 ? Length.FromInches(inches).Metres : 0,
                        Has(0) ? -4 : 18
                    );
                    surface.Details = new()
                    {
                        HeldAtEnds = Has(1),
                        DoorSpareKg = Has(2) ? inches * 3 : null,
                        Covering = Has(3) ? Covering.WoodShingles : Covering.SinglePly,
                    };
                    surface.ChoiceFacts = new()
                    {
                        Unconditioned = Has(4),
                        SoundAsked = Has(5),
                        Workplace = Has(6),
                        LaterAccess = Has(7),
                        RainBeforeCover = Has(8),
                        OldBuilding = Has(9),
                        Termites = Has(10),
                        Radon = Has(11),
                        FloodProne = Has(5) && Has(6),
                        CombustionInside = Has(7),
                        LoadKPa = Has(8) ? inches * 40 : null,
                    };
                    (surface.FirstM, surface.SecondM) = (4, 3);
                    var job = new Job
                    {
                        Name = "x",
                        ClimateZone = zone,
                        TargetSetId = Has(9) ? "iecc-2021" : "metric-sample",
                        PlaceId = at < ShippedData.Places.Count ? ShippedData.Places.Keys.ElementAt(at) : null,
                        TargetPath = Has(10) ? TargetPath.Label : TargetPath.U,
                    };
                    var firm = new Firm { Name = "x" };
                    var choice = Choice.Of(
                        ChoiceQuestions.Case(SurfaceChoices.Of(surface, job, firm, new([])), Supplies),
                        Has(11) && Has(10) && Has(9) ? FlipSearch.All : FlipSearch.None
                    );
                    choice.OfSurface.ToList().ForEach(Check);
                    foreach (var c in choice.Candidates)
                    {
                        Words($"candidate.{Camel(c.Kind.ToString())}");
                        c.Findings.Concat(c.Opinions).ToList().ForEach(Check);
                        c.Scores.ToList().ForEach(s => Check(s.Working));
                        (c.Year?.Places ?? []).ToList().ForEach(p => Check(p.Place));
                        c.Section.Fill.ToList().ForEach(f => Words($"material.{(f is FoamFill ? "foam" : f.Key)}"));
                        if (c.Cost.Working is { } cost)
                        {
                            Check(cost);
                        }
                    }

                    if (choice.Advice != Advice.NoneStands)
                    {
                        Words($"choose.head.{Camel(choice.Advice.ToString())}");
                    }

                    choice.Measures.ToList().ForEach(m => Words($"choose.measure.{Camel(m.Change.ToString())}"));
                    choice.Flips.ToList().ForEach(f => Check(f.Working));
                },
                iter: 160
            );

    [Fact]
    public void Sets_and_survey_never_lack_words() =>
        Gen.Select(AnySheet, Gen.Double[0.5, 6], Gen.Double[-30, 60], Gen.Double[5, 40], Gen.Bool, Gen.Double[0, 3])
            .Sample(
                (sheet, inches, substrate, drum, shaved, wind) =>
                {
                    var takeoff = SurfaceTakeoff.Of(
                        new()
                        {
                            Kind = ShapeKind.RoofPlane,
                            First = Length.FromMetres(5),
                            Second = Length.FromMetres(8),
                            Third = default,
                            Pitch = 0.75,
                            Count = 1,
                        },
                        [new(1, Length.FromMetres(1), Length.FromMetres(1))],
                        2,
                        0.1,
                        1
                    );
                    var study = SetsStudy.Of(
                        new()
                        {
                            Sheet = sheet,
                            Sprayed = takeoff.Developed,
                            Thickness = Length.FromInches(Math.Min(inches, sheet.ThickestRated.Inches)),
                            ShavedFlush = shaved,
                            Substrate = wind > 1 ? Temperature.FromCelsius(substrate) : null,
                            Drums = wind < 2 ? Temperature.FromCelsius(drum) : null,
                            WindAtOpenFace = shaved ? null : Speed.FromMetresPerSecond(wind),
                            AreaWorking = takeoff.Working,
                        }
                    );
                    study.Findings.ToList().ForEach(Check);
                    Check(study.Sets.LoadWorking);
                    Check(study.Sets.Load.ChanceWorking);
                    Check(study.Sets.Load.LeftOverWorking);
                    study.Yield.Factors.ToList().ForEach(f => Words($"sets.factor.{f.Key}"));
                    SurveyCheck
                        .Of(
                            new(SurfaceKind.BandJoist, wind < 2 ? takeoff : null, shaved ? "roof" : null, wind > 1)
                            {
                                Asked = Enum.GetValues<DetailField>(),
                                Details = new() { BalloonFramed = shaved ? true : null, HeldAtEnds = wind > 1 },
                                ClearancesUnknown = ["flue"],
                                Joints =
                                [
                                    (Joints.Start(JointKind.PlateToSlab), "slab"),
                                    (Solved(shaved, wind > 1), "slab"),
                                    (Solved(true, false) with { How = "" }, "slab"),
                                ],
                                Meters = MeterAgreement.Check([
                                    new()
                                    {
                                        What = "woodMoisture",
                                        Value = new(12, Dimension.MoistureContent),
                                        StatedError = new(1, Dimension.HumidityPoints),
                                        Instrument = "a",
                                        At = default,
                                    },
                                    new()
                                    {
                                        What = "woodMoisture",
                                        Value = new(22, Dimension.MoistureContent),
                                        StatedError = new(1, Dimension.HumidityPoints),
                                        Instrument = "b",
                                        At = default,
                                    },
                                ]),
                            }
                        )
                        .ToList()
                        .ForEach(Check);
                },
                iter: 500
            );

    private static Joint Solved(bool ready, bool seen) =>
        new()
        {
            Kind = JointKind.PlateToSlab,
            Layers = Enum.GetValues<ControlLayer>().ToDictionary(l => l, _ => Handover.Carried),
            How = "bead",
            By = "carpenter",
            Ready = ready,
            SeenBy = ready && seen ? "lead" : "",
        };

    [Fact]
    public void Fan_tests_and_the_building_never_lack_words() =>
        Gen.Select(Gen.Int[1, 8], Gen.Double[0.3, 1.1], Gen.Double[0, 8], Gen.Double[0, 0.3])
            .Sample(
                (count, n, zero, noise) =>
                {
                    var test = FanTest.Of(
                        new()
                        {
                            Points =
                            [
                                .. Enumerable
                                    .Range(0, count)
                                    .Select(i => new FanPoint(
                                        EnvelopePressure.FromPascals(15 + 6 * i + zero),
                                        0.05 * Math.Pow(15 + 6 * i, n) * (1 + noise * (i % 2))
                                    )),
                            ],
                            Indoor = Temperature.FromCelsius(20),
                            Outdoor = Temperature.FromCelsius(0),
                            ZeroBefore = zero,
                            ZeroAfter = zero,
                        }
                    );
                    test.Findings.ToList().ForEach(Check);
                    Check(test.Working);
                    Check(
                        StackPressure
                            .Of(Length.FromMetres(8), Temperature.FromCelsius(20), Temperature.FromCelsius(0), Pressure.FromPascals(101325))
                            .Working
                    );
                    Check(
                        BufferSpace
                            .Of(
                                new(50, 60, 100, 2, 300),
                                Temperature.FromCelsius(20),
                                Temperature.FromCelsius(0),
                                Pressure.FromPascals(101325)
                            )
                            .Working
                    );
                    Check(
                        VapourDrive
                            .Between(
                                Temperature.FromCelsius(20),
                                RelativeHumidity.FromPercent(50),
                                Temperature.FromCelsius(0),
                                RelativeHumidity.FromPercent(80)
                            )
                            .Working
                    );
                },
                iter: 300
            );

    [Fact]
    public void Every_choice_of_the_survey_has_its_words()
    {
        All<JointKind>("joint");
        All<ControlLayer>("layer");
        All<Handover>("handover");
        All<SiteNoteKind>("note");
        All<ComplaintKind>("complaint");
        All<SpeakingFigure>("speaks");
        All<MemberMaterial>("member");
        All<Covering>("covering");
        All<Attachment>("attachment");
        All<AccessKind>("access");
        All<BufferKind>("buffer");
        All<FileFault>("problem.file");
        All<FlipInput>("choose.input");
        foreach (var input in Enum.GetValues<FlipInput>())
        {
            Words($"choose.flip.{Camel(input.ToString())}.above");
            Words($"choose.flip.{Camel(input.ToString())}.below");
        }

        static void All<T>(string book)
            where T : struct, Enum => Enum.GetValues<T>().ToList().ForEach(one => Words($"{book}.{Camel(one.ToString())}"));
    }

    [Fact]
    public void Every_material_kind_and_choice_has_its_words()
    {
        ShippedData.Materials.Keys.ToList().ForEach(id => Words($"material.{id}"));
        Enum.GetValues<ShapeKind>().ToList().ForEach(shape => Words($"shape.{Camel(shape.ToString())}"));
        Enum.GetValues<SizePart>().ToList().ForEach(part => Words($"part.{Camel(part.ToString())}"));
        Enum.GetValues<PreparationItem>().ToList().ForEach(item => Words($"window.prepItem.{Camel(item.ToString())}"));
        Enum.GetValues<TypingFault>().ToList().ForEach(fault => Words($"problem.field.{Camel(fault.ToString())}"));
        Sheets.ToList().ForEach(sheet => Words($"system.{Camel(sheet.Cell.ToString())}{sheet.Grade}"));
    }
}
