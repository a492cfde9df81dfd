namespace Umbracell.Core.Weather;

/// <summary>A thick layer behind a face in slices, finest at the face, stepped by the hour without limit of stability (implicit).</summary>
/// <remarks>Going from its far side to the face, each slice is written as <c>T = a + b·T of the one before it</c>. So the whole layer is
/// to the face one resistance and one temperature, and the balance of the face stays what it is for a thin sheet.</remarks>
internal sealed class FaceSlices
{
    private const int Count = 10;
    private const double Growth = 1.35,
        Hour = 3600;

    private readonly double[] _celsius = new double[Count],
        _a = new double[Count],
        _b = new double[Count],
        _capacity = new double[Count],
        _before = new double[Count];

    private readonly double _toBehind,
        _halfLast;

    private double _behind;

    public FaceSlices(FaceMass mass, FaceBehind? behind, double celsius)
    {
        var (k, depth) = (mass.Conductivity.WattsPerMetreKelvin, mass.Thickness.Metres);
        var first = depth * (Growth - 1) / (Math.Pow(Growth, Count) - 1);
        for (var i = 0; i < Count; i++)
        {
            var width = first * Math.Pow(Growth, i);
            _capacity[i] = mass.HeatCapacity * width / Hour;
            _before[i] = k / (i == 0 ? width / 2 : (width + width / Growth) / 2);
            _celsius[i] = celsius;
        }

        _halfLast = first * Math.Pow(Growth, Count - 1) / 2 / k;
        _toBehind = behind is { } b ? 1 / (_halfLast + b.Resistance.SquareMetreKelvinsPerWatt) : 0;
        _behind = behind?.Temperature.Celsius ?? 0;
    }

    /// <summary>Heat held against 0 °C, J/m².</summary>
    public double Heat => Hour * _capacity.Zip(_celsius, (c, t) => c * t).Sum();

    /// <summary>Temperature of the far face, °C.</summary>
    public double FarFace => _celsius[Count - 1] + (_behind - _celsius[Count - 1]) * _halfLast * _toBehind;

    /// <summary>What the layer is to the face in the coming hour: conductance, W/(m²·K), and temperature behind it.</summary>
    /// <param name="behind">Air behind, °C.</param>
    public (double Conductance, double Celsius) AtFace(double behind)
    {
        _behind = behind;
        for (var i = Count - 1; i >= 0; i--)
        {
            var isLast = i == Count - 1;
            var (next, a) = isLast ? (_toBehind, _behind) : (_before[i + 1] * (1 - _b[i + 1]), 0.0);
            var heat = _capacity[i] * _celsius[i] + (isLast ? next * a : _before[i + 1] * _a[i + 1]);
            var sum = _capacity[i] + _before[i] + next;
            (_a[i], _b[i]) = (heat / sum, _before[i] / sum);
        }

        var conductance = _before[0] * (1 - _b[0]);
        return (conductance, _before[0] * _a[0] / conductance);
    }

    /// <summary>Brings the slices to the end of the hour, the face having been found.</summary>
    public void Follow(double face)
    {
        var before = face;
        for (var i = 0; i < Count; i++)
        {
            before = _celsius[i] = _a[i] + _b[i] * before;
        }
    }
}
