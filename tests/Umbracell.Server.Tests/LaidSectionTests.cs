using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions;
using Umbracell.Questions.Section;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Survey;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A section as it is drawn: all of it, once, and as deep as the profile runs.</summary>
public sealed class LaidSectionTests
{
    private static readonly Supplies Supplies = new(
        ShippedData.ProductSheets.ToDictionary(s => s.Key, s => ProductSheetFile.Read(s.Key, s.Value)),
        ShippedData.Materials,
        ShippedData.Batts
    );

    // Of one material with a layer of many walls, so that a layer known by its material would be lost.
    private static readonly FillDocument[][] Systems =
    [
        [],
        [new(FillKind.Foam, "fleece-oc-5", 40, false)],
        [new(FillKind.Batt, "batt-13", 60, true)],
        [new(FillKind.Slab, "foil-board", 25, false), new(FillKind.Batt, "batt-13", 30, true)],
        [new(FillKind.Slab, "vapour-coat", 0.3, false)],
    ];

    [Fact]
    public void Every_layer_is_drawn_once_and_together_they_are_as_deep_as_the_profile() =>
        Gen.Select(Gen.Enum<SurfaceKind>(), Gen.Double[2, 150], Gen.Int[0, Systems.Length - 1].Select(i => Systems[i]), Gen.Bool)
            .Sample(
                (kind, millimetres, then, isBoarded) =>
                {
                    var section = SectionOf(kind, millimetres, then, isBoarded);
                    var laid = LaidSection.Of(section);
                    laid.Layers.Select(l => l.Id).ShouldBeUnique();
                    laid.Layers.Count(l => l.Part == LayerPart.Built)
                        .ShouldBe(
                            section.Outboard.Count + section.Inboard.Count + Count(section.VentChannel) + (section.Baffle is null ? 0 : 1)
                        );
                    laid.Layers.Single(l => l.Part == LayerPart.Moved).ThicknessMm.ShouldBe(millimetres, 1e-9);

                    // Depth that stays free before a face which nothing covers belongs to the air there.
                    var covered = section.FoamAgainst == FoamSide.Outboard ? section.Inboard : section.Outboard;
                    laid.Layers.Where(l => l.Part != LayerPart.Free || covered.Count > 0)
                        .Sum(l => l.ThicknessMm)
                        .ShouldBe(DepthOf(section), 0.2);
                },
                iter: 400
            );

    private static int Count(Length channel) => channel > Length.Zero ? 1 : 0;

    private static double DepthOf(SectionCase section) =>
        SectionStudy.Of(section, inMotion: true).Profile.Points.Max(point => point.Depth.Millimetres);

    private static SectionCase SectionOf(SurfaceKind kind, double millimetres, FillDocument[] then, bool isBoarded)
    {
        var surface = SurfaceStart.Of(kind, "One");
        (surface.SheetSlug, surface.FoamThicknessM) = ("marl-cc-20", millimetres / 1000);
        LayerDocument[] boards = isBoarded ? [new("foil-board", 25)] : [];
        surface.System = new()
        {
            Kind = CandidateKind.ClosedCell,
            Further = then,
            AddedOutboard = boards,
        };
        return SectionQuestions.Case(
            SurfaceSections.Of(
                surface,
                new()
                {
                    Name = "Job",
                    ClimateZone = "5A",
                    TargetSetId = "iecc-2021",
                }
            )!,
            Supplies
        );
    }
}
