namespace Umbracell.Core.Quantities;

/// <summary>A length. Foam depths, member depths and the spans of surfaces are all lengths; how one is printed is the figure's
/// dimension's affair.</summary>
public readonly record struct Length : IComparable<Length>
{
    private Length(double metres) => Metres = Quantity.Within("length", metres, -Quantity.Greatest, Quantity.Greatest, Dimension.Span);

    /// <summary>Metres.</summary>
    public double Metres { get; }

    /// <summary>From metres.</summary>
    public static Length FromMetres(double metres) => new(metres);

    /// <summary>Metres in one international inch (exact, by definition of 1959).</summary>
    public const double MetresPerInch = 0.0254;

    /// <summary>No length.</summary>
    public static Length Zero => default;

    /// <summary>Millimetres.</summary>
    public double Millimetres => Metres * 1000;

    /// <summary>Inches.</summary>
    public double Inches => Metres / MetresPerInch;

    /// <summary>Feet.</summary>
    public double Feet => Metres / (12 * MetresPerInch);

    /// <summary>From millimetres.</summary>
    public static Length FromMillimetres(double millimetres) => new(millimetres / 1000);

    /// <summary>From inches.</summary>
    public static Length FromInches(double inches) => new(inches * MetresPerInch);

    /// <summary>From feet.</summary>
    public static Length FromFeet(double feet) => new(feet * 12 * MetresPerInch);

    /// <summary>Sum.</summary>
    public static Length operator +(Length a, Length b) => new(a.Metres + b.Metres);

    /// <summary>Difference; may be negative.</summary>
    public static Length operator -(Length a, Length b) => new(a.Metres - b.Metres);

    /// <summary>Multiple.</summary>
    public static Length operator *(Length a, double factor) => new(a.Metres * factor);

    /// <summary>Part.</summary>
    public static Length operator /(Length a, double divisor) => new(a.Metres / divisor);

    /// <summary>Ratio of two lengths.</summary>
    public static double operator /(Length a, Length b) => a.Metres / b.Metres;

    /// <summary>Area of the rectangle with these sides.</summary>
    public static Area operator *(Length a, Length b) => Area.FromSquareMetres(a.Metres * b.Metres);

    /// <summary>Shorter than.</summary>
    public static bool operator <(Length a, Length b) => a.Metres < b.Metres;

    /// <summary>Longer than.</summary>
    public static bool operator >(Length a, Length b) => a.Metres > b.Metres;

    /// <summary>Shorter than or equal.</summary>
    public static bool operator <=(Length a, Length b) => a.Metres <= b.Metres;

    /// <summary>Longer than or equal.</summary>
    public static bool operator >=(Length a, Length b) => a.Metres >= b.Metres;

    /// <inheritdoc/>
    public int CompareTo(Length other) => Metres.CompareTo(other.Metres);

    /// <summary>For display as a thickness or depth: inches in eighths, or millimetres.</summary>
    public Figure ToThickness() => new(Metres, Dimension.Thickness);

    /// <summary>For display as a span of a building: feet and inches, or metres.</summary>
    public Figure ToSpan() => new(Metres, Dimension.Span);
}

/// <summary>An area.</summary>
public readonly record struct Area
{
    private Area(double squareMetres) =>
        SquareMetres = Quantity.Within("area", squareMetres, -Quantity.Greatest, Quantity.Greatest, Dimension.Area);

    /// <summary>Square metres.</summary>
    public double SquareMetres { get; }

    /// <summary>From square metres.</summary>
    public static Area FromSquareMetres(double squareMetres) => new(squareMetres);

    /// <summary>Square metres in one square foot (exact).</summary>
    public const double SquareMetresPerSquareFoot = 0.09290304;

    /// <summary>Square feet.</summary>
    public double SquareFeet => SquareMetres / SquareMetresPerSquareFoot;

    /// <summary>From square feet.</summary>
    public static Area FromSquareFeet(double squareFeet) => new(squareFeet * SquareMetresPerSquareFoot);

    /// <summary>Sum.</summary>
    public static Area operator +(Area a, Area b) => new(a.SquareMetres + b.SquareMetres);

    /// <summary>Difference; may be negative.</summary>
    public static Area operator -(Area a, Area b) => new(a.SquareMetres - b.SquareMetres);

    /// <summary>Multiple.</summary>
    public static Area operator *(Area a, double factor) => new(a.SquareMetres * factor);

    /// <summary>Foam sprayed over this area at this depth.</summary>
    public static FoamVolume operator *(Area a, Length depth) => FoamVolume.FromCubicMetres(a.SquareMetres * depth.Metres);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(SquareMetres, Dimension.Area);
}

/// <summary>A volume of foam in place.</summary>
public readonly record struct FoamVolume
{
    private FoamVolume(double cubicMetres) =>
        CubicMetres = Quantity.Within("foam volume", cubicMetres, -Quantity.Greatest, Quantity.Greatest, Dimension.FoamVolume);

    /// <summary>Cubic metres.</summary>
    public double CubicMetres { get; }

    /// <summary>From cubic metres.</summary>
    public static FoamVolume FromCubicMetres(double cubicMetres) => new(cubicMetres);

    /// <summary>Cubic metres in one board foot: one square foot an inch deep, 1/12 cubic foot (exact).</summary>
    public const double CubicMetresPerBoardFoot = 0.002359737216;

    /// <summary>Board feet.</summary>
    public double BoardFeet => CubicMetres / CubicMetresPerBoardFoot;

    /// <summary>From board feet.</summary>
    public static FoamVolume FromBoardFeet(double boardFeet) => new(boardFeet * CubicMetresPerBoardFoot);

    /// <summary>Sum.</summary>
    public static FoamVolume operator +(FoamVolume a, FoamVolume b) => new(a.CubicMetres + b.CubicMetres);

    /// <summary>Difference; may be negative.</summary>
    public static FoamVolume operator -(FoamVolume a, FoamVolume b) => new(a.CubicMetres - b.CubicMetres);

    /// <summary>Multiple.</summary>
    public static FoamVolume operator *(FoamVolume a, double factor) => new(a.CubicMetres * factor);

    /// <summary>How many of <paramref name="b"/> fit into <paramref name="a"/>.</summary>
    public static double operator /(FoamVolume a, FoamVolume b) => a.CubicMetres / b.CubicMetres;

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(CubicMetres, Dimension.FoamVolume);
}
