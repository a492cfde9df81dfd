namespace Umbracell.Core.Lifts;

/// <summary>A lift and what lies behind it in cells, stepped through its reaction and its cooling.</summary>
/// <remarks>Finite volumes: what leaves one cell enters the next, so that the balance closes but for rounding. A step takes the heat of
/// reaction at the temperatures before it, with the share that reacts in it exact for those, and conducts implicitly (Thomas algorithm).
/// The first cell is the lift's face.</remarks>
internal sealed class LiftRun
{
    // Cells of the lift, and the widest cell of what lies behind it at the lift; further back they grow.
    private const int LiftCells = 16;
    private const double CellBehind = 0.004,
        Growth = 1.4,
        ShortestStep = 0.01,
        LongestStep = 15,
        StepGrowth = 1.08,
        ShareOfStep = 0.03,
        Slow = 2e-5;

    private readonly double[] _celsius,
        _capacity,
        _between,
        _left = new double[LiftCells],
        _heat = new double[LiftCells],
        _b,
        _d;

    private readonly FoamExotherm _foam;
    private readonly double _heatOfCell,
        _face,
        _far,
        _air,
        _behind;

    private double _step = ShortestStep,
        _fastest;

    public LiftRun(LiftCase of)
    {
        List<(double Width, double K, double C, double T)> cells = [];
        var width = of.Thickness.Metres / LiftCells;
        var capacity = of.Density.KilogramsPerCubicMetre * of.Foam.SpecificHeat;
        for (var i = 0; i < LiftCells; i++)
        {
            cells.Add((width, of.Foam.Conductivity.WattsPerMetreKelvin, capacity, of.Mix.Celsius));
        }

        foreach (var layer in of.Behind)
        {
            cells.AddRange(CellsOf(layer));
        }

        _foam = of.Foam;
        _heatOfCell = of.Density.KilogramsPerCubicMetre * of.Foam.Heat * width;
        (_air, _behind) = (of.Air.Celsius, of.AirBehind.Celsius);
        _celsius = [.. cells.Select(cell => cell.T)];
        _capacity = [.. cells.Select(cell => cell.C * cell.Width)];
        _between = [.. cells.Zip(cells.Skip(1), (one, next) => 1 / (one.Width / 2 / one.K + next.Width / 2 / next.K)), 0];
        _face = Surface(of.Film, cells[0]);
        _far = of.Behind.Count == 0 ? 0 : Surface(of.FilmBehind, cells[^1]);
        (_b, _d) = (new double[cells.Count], new double[cells.Count]);
        Array.Fill(_left, 1);
        HeatAtStart = Held;
        _fastest = _foam.RateAt(of.Mix.Celsius);
    }

    /// <summary>Time since it went on, s.</summary>
    public double Seconds { get; private set; }

    /// <summary>The hottest cell of the lift, °C.</summary>
    public double Hottest => Max(_celsius.AsSpan(0, LiftCells));

    /// <summary>Whether something in it still reacts at a pace that counts.</summary>
    public bool IsReacting => _fastest > Slow;

    /// <summary>Heat held against 0 °C, J/m².</summary>
    public double Held => _capacity.Zip(_celsius, (c, t) => c * t).Sum();

    /// <summary>What was held when it went on, J/m².</summary>
    public double HeatAtStart { get; }

    /// <summary>Heat of reaction given off so far, J/m².</summary>
    public double GivenOff { get; private set; }

    /// <summary>Heat lost to the air on both sides so far, J/m².</summary>
    public double Lost { get; private set; }

    /// <summary>Temperature of a cell, °C; the first is the lift's face.</summary>
    public double this[int cell] => _celsius[cell];

    /// <summary>Takes a step as long as the reaction allows, and tells how long it was, s.</summary>
    public double Step()
    {
        var fits = IsReacting ? Math.Clamp(ShareOfStep / _fastest, ShortestStep, LongestStep) : LongestStep;
        _step = Math.Min(fits, _step * StepGrowth);
        React(_step);
        Conduct(_step);
        Seconds += _step;
        return _step;
    }

    private void React(double step)
    {
        _fastest = 0;
        for (var i = 0; i < LiftCells; i++)
        {
            var rate = _foam.RateAt(_celsius[i]);
            var reacts = _left[i] * (1 - Math.Exp(-rate * step));
            _left[i] -= reacts;
            _heat[i] = _heatOfCell * reacts;
            GivenOff += _heat[i];
            _fastest = Math.Max(_fastest, rate * _left[i]);
        }
    }

    private void Conduct(double step)
    {
        var last = _celsius.Length - 1;
        for (var i = 0; i <= last; i++)
        {
            var before = i == 0 ? _face : _between[i - 1];
            var next = i == last ? _far : _between[i];
            var held = _capacity[i] / step;
            var right = held * _celsius[i] + (i < LiftCells ? _heat[i] / step : 0);
            var sum = held + before + next;
            if (i == 0)
            {
                right += _face * _air;
            }
            else
            {
                var share = before / _b[i - 1];
                sum -= share * before;
                right += share * _d[i - 1];
            }

            (_b[i], _d[i]) = (sum, i == last ? right + _far * _behind : right);
        }

        _celsius[last] = _d[last] / _b[last];
        for (var i = last - 1; i >= 0; i--)
        {
            _celsius[i] = (_d[i] + _between[i] * _celsius[i + 1]) / _b[i];
        }

        Lost += step * (_face * (_celsius[0] - _air) + _far * (_celsius[last] - _behind));
    }

    // The face of a cell, through half of it and a film; nothing passes where there is no film.
    private static double Surface(double film, (double Width, double K, double C, double T) cell) =>
        film > 0 ? 1 / (1 / film + cell.Width / 2 / cell.K) : 0;

    private static IEnumerable<(double Width, double K, double C, double T)> CellsOf(LiftLayer layer)
    {
        var left = layer.Thickness.Metres;
        for (var width = Math.Min(CellBehind, left); left > 1e-9; width = Math.Min(width * Growth, left))
        {
            // A rest too thin to be a cell of its own goes with the one before it.
            width = left - width < width / 2 ? left : width;
            yield return (width, layer.Conductivity.WattsPerMetreKelvin, layer.HeatCapacity, layer.Temperature.Celsius);
            left -= width;
        }
    }

    private static double Max(ReadOnlySpan<double> of)
    {
        var most = of[0];
        foreach (var one in of)
        {
            most = Math.Max(most, one);
        }

        return most;
    }
}
