namespace Umbracell.Core.Assemblies;

/// <summary>The kinds of surface a crew sprays.</summary>
public enum SurfaceKind
{
    /// <summary>Wood stud wall, sprayed from inside between the studs.</summary>
    StudWall,

    /// <summary>Interior partition, for sound.</summary>
    InteriorPartition,

    /// <summary>Solid board or masonry wall, sprayed on its face.</summary>
    SolidWall,

    /// <summary>Metal-clad framed wall, sprayed on the skin.</summary>
    MetalWall,

    /// <summary>Metal-clad framed roof, sprayed under the skin.</summary>
    MetalRoof,

    /// <summary>Steel box, container-like.</summary>
    SteelBox,

    /// <summary>Band joist.</summary>
    BandJoist,

    /// <summary>Crawl-space or basement wall.</summary>
    BasementWall,

    /// <summary>Underside of a floor over a vented crawl space.</summary>
    CrawlFloor,

    /// <summary>Floor that oversails the wall below.</summary>
    CantileveredFloor,

    /// <summary>Attic floor.</summary>
    AtticFloor,

    /// <summary>Underside of a roof deck, unvented.</summary>
    UnventedDeck,

    /// <summary>Rafter bay with a vent channel.</summary>
    VentedRafters,

    /// <summary>Eaves and wall plate closed from outside before the roof goes on.</summary>
    EavesClosure,

    /// <summary>Outside of a wall before recladding.</summary>
    WallOutside,

    /// <summary>Low-slope roof sprayed from above.</summary>
    LowSlopeRoof,

    /// <summary>Ground under a slab.</summary>
    UnderSlab,

    /// <summary>Overhead door.</summary>
    OverheadDoor,
}
