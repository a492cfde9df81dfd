using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Assemblies;

/// <summary>A surface as far as joints are suggested by it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name; surfaces that share a word lie in one part of the building.</param>
/// <param name="Kind">Kind.</param>
/// <param name="Shape">Geometry; a gable meets its deck along the slope.</param>
public sealed record MeetingSurface(Guid Id, string Name, SurfaceKind Kind, ShapeKind Shape);

/// <summary>A joint that probably exists.</summary>
/// <param name="Kind">What meets.</param>
/// <param name="First">One surface.</param>
/// <param name="Second">The other; null where it is a layer that is no surface of the job.</param>
/// <param name="SameName">Whether their names share a word.</param>
public sealed record SuggestedJoint(JointKind Kind, Guid First, Guid? Second, bool SameName);

/// <summary>Suggests joints from the kinds that meet.</summary>
public static class JointSuggestions
{
    private static readonly HashSet<string> Common = new(StringComparer.OrdinalIgnoreCase)
    {
        "wall",
        "walls",
        "roof",
        "deck",
        "floor",
        "ceiling",
        "door",
        "the",
        "of",
        "and",
        "north",
        "south",
        "east",
        "west",
        "ground",
        "over",
    };

    /// <summary>Every joint the kinds suggest, those between surfaces of one name first.</summary>
    public static IReadOnlyList<SuggestedJoint> For(IReadOnlyList<MeetingSurface> surfaces)
    {
        var pairs = surfaces.SelectMany((a, i) => surfaces.Skip(i + 1).Select(b => Between(a, b))).OfType<SuggestedJoint>();
        var alone = surfaces.SelectMany(s => Joints.Alone(s.Kind).Select(kind => new SuggestedJoint(kind, s.Id, null, true)));
        return [.. pairs.Concat(alone.Where(one => !Met(one, surfaces))).OrderByDescending(j => j.SameName)];
    }

    private static SuggestedJoint? Between(MeetingSurface a, MeetingSurface b)
    {
        var gable = a.Shape == ShapeKind.Gable || b.Shape == ShapeKind.Gable;
        return Joints.Between(a.Kind, b.Kind, gable) is { } kind ? new(kind, a.Id, b.Id, ShareAWord(a.Name, b.Name)) : null;
    }

    // A surface of the job that makes the same joint takes the place of the bare layer.
    private static bool Met(SuggestedJoint alone, IReadOnlyList<MeetingSurface> surfaces)
    {
        var mine = surfaces.First(s => s.Id == alone.First);
        return surfaces.Any(other =>
            other.Id != mine.Id && Joints.Between(mine.Kind, other.Kind) == alone.Kind && ShareAWord(mine.Name, other.Name)
        );
    }

    private static bool ShareAWord(string a, string b) => Words(a).Intersect(Words(b), StringComparer.OrdinalIgnoreCase).Any();

    private static IEnumerable<string> Words(string name) =>
        name.Split([' ', ',', '-', '.'], StringSplitOptions.RemoveEmptyEntries).Where(w => w.Length > 2 && !Common.Contains(w));
}
