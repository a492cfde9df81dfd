using System.Globalization;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Formats.DataFiles;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>The targets that ship are those of the editions, figure by figure.</summary>
public sealed class TargetTests
{
    private const string All = "iecc-2009 iecc-2012 iecc-2015-2018 iecc-2021",
        Later = "iecc-2012 iecc-2015-2018 iecc-2021";

    private static readonly string[] Zones = ["1A", "2B", "3C", "4A", "5B", "6A", "7"];

    // Btu/(h·ft²·°F), zones 1, 2, 3, 4, 5 with 4C, 6, 7 with 8.
    [Theory]
    [InlineData(EnvelopeElement.Roof, "iecc-2009", ".035 .035 .035 .030 .030 .026 .026")]
    [InlineData(EnvelopeElement.Roof, "iecc-2012 iecc-2015-2018", ".035 .030 .030 .026 .026 .026 .026")]
    [InlineData(EnvelopeElement.Roof, "iecc-2021", ".035 .026 .026 .024 .024 .024 .024")]
    [InlineData(EnvelopeElement.FramedWall, "iecc-2009", ".082 .082 .082 .082 .057 .057 .057")]
    [InlineData(EnvelopeElement.FramedWall, "iecc-2012", ".082 .082 .057 .057 .057 .048 .048")]
    [InlineData(EnvelopeElement.FramedWall, "iecc-2015-2018", ".084 .084 .060 .060 .060 .045 .045")]
    [InlineData(EnvelopeElement.FramedWall, "iecc-2021", ".084 .084 .060 .045 .045 .045 .045")]
    [InlineData(EnvelopeElement.Floor, All, ".064 .064 .047 .047 .033 .033 .028")]
    [InlineData(EnvelopeElement.BasementWall, "iecc-2009", ".360 .360 .091 .059 .059 .050 .050")]
    [InlineData(EnvelopeElement.BasementWall, Later, ".360 .360 .091 .059 .050 .050 .050")]
    [InlineData(EnvelopeElement.CrawlWall, "iecc-2009", ".477 .477 .136 .065 .065 .065 .065")]
    [InlineData(EnvelopeElement.CrawlWall, Later, ".477 .477 .136 .065 .055 .055 .055")]
    [InlineData(EnvelopeElement.MassWall, "iecc-2009", ".17 .14 .12 .10 .057 .057 .057")]
    [InlineData(EnvelopeElement.MassWallOutside, "iecc-2009", ".197 .165 .141 .141 .082 .060 .057")]
    [InlineData(EnvelopeElement.MassWall, Later, ".17 .14 .12 .087 .065 .057 .057")]
    [InlineData(EnvelopeElement.MassWallOutside, Later, ".197 .165 .098 .098 .082 .060 .057")]
    [InlineData(EnvelopeElement.MetalRoof, All, ".041 .041 .041 .037 .031 .031 .029")]
    [InlineData(EnvelopeElement.MetalWall, All, ".094 .094 .094 .060 .050 .050 .044")]
    public void Greatest_U_is_that_of_the_edition(EnvelopeElement element, string editions, string table)
    {
        var figures = table.Split(' ').Select(text => double.Parse(text, CultureInfo.InvariantCulture)).ToList();
        foreach (var set in editions.Split(' ').Select(id => ShippedData.TargetSets[id]))
        {
            Zones.Select(zone => set.For(element, zone)!.GreatestU.UsU).ShouldBe(figures, 1e-9, set.Id);
            set.For(element, "4C")!
                .GreatestU.UsU.ShouldBe(figures[element is EnvelopeElement.MetalRoof or EnvelopeElement.MetalWall ? 3 : 4], 1e-9);
            set.For(element, "8")!.GreatestU.UsU.ShouldBe(figures[6], 1e-9);
        }
    }

    [Theory]
    [InlineData("iecc-2009", "4A", 24)]
    [InlineData("iecc-2015-2018", "5A", 24)]
    [InlineData("iecc-2015-2018", "6A", 48)]
    [InlineData("iecc-2021", "3A", 24)]
    [InlineData("iecc-2021", "4C", 48)]
    [InlineData("iecc-2009", "3A", null)]
    public void A_slab_is_held_to_the_R_of_its_insulation_and_to_no_U(string edition, string zone, int? inches)
    {
        var set = ShippedData.TargetSets[edition];
        set.For(EnvelopeElement.Slab, zone).ShouldBeNull();
        var slab = set.SlabFor(EnvelopeElement.Slab, zone);
        slab?.LeastR.UsR.ShouldBe(10, 1e-9);
        (slab?.Along.Inches is { } along ? Math.Round(along) : (double?)null).ShouldBe(inches);
        set.SlabFor(EnvelopeElement.Floor, zone).ShouldBeNull();
    }

    [Fact]
    public void A_door_is_held_to_a_doors_U_and_never_to_a_walls()
    {
        foreach (var set in ShippedData.TargetSets.Values)
        {
            foreach (var zone in Zones.Where(zone => set.For(EnvelopeElement.Door, zone) is not null))
            {
                set.For(EnvelopeElement.Door, zone)!
                    .GreatestU.UsU.ShouldBeGreaterThan(set.For(EnvelopeElement.MetalWall, zone)!.GreatestU.UsU);
            }
        }

        ShippedData.Templates[SurfaceKind.OverheadDoor].Element.ShouldBe(EnvelopeElement.Door);
        ShippedData.Templates[SurfaceKind.UnderSlab].Element.ShouldBe(EnvelopeElement.Slab);
    }
}
