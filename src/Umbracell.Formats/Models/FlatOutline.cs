using System.Globalization;
using System.Xml.Linq;
using Umbracell.Core.Takeoff;

namespace Umbracell.Formats.Models;

/// <summary>A polygon in space laid into its own plane, in metres.</summary>
/// <param name="Corners">In order, the lowest left at the origin.</param>
/// <param name="TiltDegrees">Of its outward normal from the zenith: 0 flat roof, 90 wall, 180 floor.</param>
internal sealed record FlatOutline(IReadOnlyList<Corner> Corners, double TiltDegrees)
{
    private const double Tolerance = 1e-3;

    public double Area => Outlines.AreaOf(Corners).SquareMetres;

    /// <summary>More corners than any size that is typed may have.</summary>
    public bool HasTooManyCorners => Corners.Count > Core.Takeoff.SizeText.MostCorners;

    public bool CrossesItself => Outlines.CrossesItself(Corners);

    private (double X, double Y) Extent => (Corners.Max(c => c.X), Corners.Max(c => c.Y));

    /// <summary>Four corners in the corners of their own frame.</summary>
    public bool IsRectangle => Corners.Count == 4 && Math.Abs(Extent.X * Extent.Y - Area) < Tolerance * Math.Max(1, Area);

    /// <summary>The outline of a surface or an opening; null where it has no geometry that can be read.</summary>
    public static FlatOutline? Of(XElement element, double metres)
    {
        var loop = Child(Child(element, "PlanarGeometry"), "PolyLoop");
        var points = loop?.Elements().Where(e => e.Name.LocalName == "CartesianPoint").Select(p => Point(p, metres)).ToList();
        if (points is { Count: >= 3 } && !points.Contains(null))
        {
            return Flatten(WithoutRepeats([.. points.OfType<Vector3D>()]));
        }

        var rectangle = Child(element, "RectangularGeometry");
        return Number(Child(rectangle, "Width")) is { } w && Number(Child(rectangle, "Height")) is { } h && w > 0 && h > 0
            ? new([new(0, 0), new(w * metres, 0), new(w * metres, h * metres), new(0, h * metres)], Number(Child(rectangle, "Tilt")) ?? 90)
            : null;
    }

    /// <summary>Width and height with the same area; an outline that is no rectangle keeps its width.</summary>
    public (double Width, double Height) AsOpening() =>
        IsRectangle ? (Round(Extent.X), Round(Extent.Y)) : (Round(Extent.X), Round(Area / Extent.X));

    public string SizeText() =>
        IsRectangle
            ? string.Create(CultureInfo.InvariantCulture, $"{Round(Extent.X)} m x {Round(Extent.Y)} m")
            : string.Join("; ", Corners.Select(c => string.Create(CultureInfo.InvariantCulture, $"{Round(c.X)} m x {Round(c.Y)} m")));

    // Models carry the noise of their own conversions: a tenth of a millimetre is kept.
    private static double Round(double metres) => Math.Round(metres, 4) + 0.0;

    private static FlatOutline? Flatten(List<Vector3D> points)
    {
        if (points.Count < 3)
        {
            return null;
        }

        var normal = Newell(points);
        if (normal.Length < 1e-9)
        {
            return new([.. points.Select(p => new Corner(p.X, p.Y))], 0);
        }

        var n = normal / normal.Length;
        var up = Math.Abs(n.Z) > 0.999 ? new Vector3D(0, 1, 0) : new Vector3D(0, 0, 1);
        var across = Vector3D.Cross(up, n);
        var u = across / across.Length;
        var v = Vector3D.Cross(n, u);
        var flat = points.Select(p => new Corner(Vector3D.Dot(p, u), Vector3D.Dot(p, v))).ToList();
        if (Math.Abs(n.Z) > 0.999)
        {
            flat = Squared(flat);
        }

        var (x, y) = (flat.Min(c => c.X), flat.Min(c => c.Y));
        return new([.. flat.Select(c => new Corner(c.X - x, c.Y - y))], Math.Acos(Math.Clamp(n.Z, -1, 1)) * 180 / Math.PI);
    }

    // Some programs close the loop by naming its first corner again.
    private static List<Vector3D> WithoutRepeats(List<Vector3D> points) =>
        [.. points.Where((p, i) => (p - points[(i + 1) % points.Count]).Length > 1e-6)];

    // A level surface has no up of its own: its first side is laid across.
    private static List<Corner> Squared(List<Corner> flat)
    {
        var (dx, dy) = (flat[1].X - flat[0].X, flat[1].Y - flat[0].Y);
        var length = Math.Sqrt(dx * dx + dy * dy);
        var (c, s) = length > 0 ? (dx / length, dy / length) : (1.0, 0.0);
        return flat.ConvertAll(p => new Corner(p.X * c + p.Y * s, -p.X * s + p.Y * c));
    }

    private static Vector3D Newell(List<Vector3D> points)
    {
        var sum = new Vector3D(0, 0, 0);
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Count]);
            sum += new Vector3D((a.Y - b.Y) * (a.Z + b.Z), (a.Z - b.Z) * (a.X + b.X), (a.X - b.X) * (a.Y + b.Y));
        }

        return sum;
    }

    private static Vector3D? Point(XElement point, double metres)
    {
        var xyz = point.Elements().Where(e => e.Name.LocalName == "Coordinate").Select(Number).ToList();
        return xyz.Count == 3 && xyz.TrueForAll(c => c is not null)
            ? new Vector3D(xyz[0]!.Value * metres, xyz[1]!.Value * metres, xyz[2]!.Value * metres)
            : null;
    }

    private static double? Number(XElement? element) =>
        element is not null
        && double.TryParse(element.Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
        && double.IsFinite(value)
        && Math.Abs(value) < 1e7
            ? value
            : null;

    private static XElement? Child(XElement? parent, string name) => parent?.Elements().FirstOrDefault(e => e.Name.LocalName == name);

    /// <summary>A vector in double precision: single precision loses millimetres on a site's coordinates.</summary>
    private sealed record Vector3D(double X, double Y, double Z)
    {
        public double Length => Math.Sqrt(Dot(this, this));

        public static Vector3D operator +(Vector3D a, Vector3D b) => new(a.X + b.X, a.Y + b.Y, a.Z + b.Z);

        public static Vector3D operator -(Vector3D a, Vector3D b) => new(a.X - b.X, a.Y - b.Y, a.Z - b.Z);

        public static Vector3D operator /(Vector3D a, double d) => new(a.X / d, a.Y / d, a.Z / d);

        public static double Dot(Vector3D a, Vector3D b) => a.X * b.X + a.Y * b.Y + a.Z * b.Z;

        public static Vector3D Cross(Vector3D a, Vector3D b) => new(a.Y * b.Z - a.Z * b.Y, a.Z * b.X - a.X * b.Z, a.X * b.Y - a.Y * b.X);
    }
}
