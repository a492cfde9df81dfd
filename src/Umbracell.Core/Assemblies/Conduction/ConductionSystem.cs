namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>The equations of a section on its grid. Plain arrays: thousands of unknowns are solved many times over.</summary>
internal sealed class ConductionSystem
{
    /// <summary>Residual at which the usual solution stands, against the heat put in.</summary>
    public const double UsualResidual = 1e-9;

    private readonly double _residual;
    private readonly int _nx;
    private readonly int _ny;
    private readonly double[] _k;
    private readonly bool[] _solid;
    private readonly double[] _toRight;
    private readonly double[] _up;
    private readonly double[] _diagonal;
    private readonly double[] _source;
    private readonly List<(int Volume, double Conductance, double Air)> _airs = [];

    public ConductionSystem(ConductionCell cell, double[] x, double[] y, double residual)
    {
        _residual = residual;
        (_nx, _ny) = (x.Length - 1, y.Length - 1);
        var n = _nx * _ny;
        (_k, _solid, _toRight, _up, _diagonal, _source) = (
            new double[n],
            new bool[n],
            new double[n],
            new double[n],
            new double[n],
            new double[n]
        );
        Fill(cell, x, y);
        Link(x, y);
        Edges(cell, x, y);
        for (var i = 0; i < n; i++)
        {
            if (_diagonal[i] <= 0)
            {
                _diagonal[i] = 1;
            }
        }
    }

    public T Solve<T>(Func<double[], double[], double, double, int, T> told)
    {
        var (t, steps) = Gradients();
        var (warm, cold) = (0.0, 0.0);
        foreach (var (volume, conductance, air) in _airs)
        {
            var flow = conductance * (air - t[volume]);
            (warm, cold) = flow > 0 ? (warm + flow, cold) : (warm, cold - flow);
        }

        for (var i = 0; i < t.Length; i++)
        {
            t[i] = _solid[i] ? t[i] : double.NaN;
        }

        return told(_k, t, warm, cold, steps);
    }

    private void Fill(ConductionCell cell, double[] x, double[] y)
    {
        for (var j = 0; j < _ny; j++)
        {
            for (var i = 0; i < _nx; i++)
            {
                var (cx, cy) = ((x[i] + x[i + 1]) / 2, (y[j] + y[j + 1]) / 2);
                foreach (var block in cell.Blocks)
                {
                    if (cx > block.Left && cx < block.Right && cy > block.Bottom && cy < block.Top)
                    {
                        _k[j * _nx + i] = block.Conductivity;
                    }
                }

                _solid[j * _nx + i] = cell.Rooms.All(r => !(cx > r.Left && cx < r.Right && cy > r.Bottom && cy < r.Top));
                if (_solid[j * _nx + i] && !(_k[j * _nx + i] > 0))
                {
                    throw new ArgumentException("A place of the section lies in no block, or in one that does not conduct.", nameof(cell));
                }
            }
        }
    }

    // Two half resistances in series between neighbouring centres.
    private void Link(double[] x, double[] y)
    {
        for (var j = 0; j < _ny; j++)
        {
            for (var i = 0; i < _nx; i++)
            {
                var at = j * _nx + i;
                if (i + 1 < _nx && _solid[at] && _solid[at + 1])
                {
                    Join(
                        at,
                        at + 1,
                        _toRight,
                        (y[j + 1] - y[j]) / ((x[i + 1] - x[i]) / 2 / _k[at] + (x[i + 2] - x[i + 1]) / 2 / _k[at + 1])
                    );
                }

                if (j + 1 < _ny && _solid[at] && _solid[at + _nx])
                {
                    Join(
                        at,
                        at + _nx,
                        _up,
                        (x[i + 1] - x[i]) / ((y[j + 1] - y[j]) / 2 / _k[at] + (y[j + 2] - y[j + 1]) / 2 / _k[at + _nx])
                    );
                }
            }
        }
    }

    private void Join(int a, int b, double[] links, double conductance)
    {
        links[a] = conductance;
        _diagonal[a] += conductance;
        _diagonal[b] += conductance;
    }

    private void Edges(ConductionCell cell, double[] x, double[] y)
    {
        for (var i = 0; i < _nx; i++)
        {
            Air(cell.Outside, i, x[i + 1] - x[i], (y[1] - y[0]) / 2);
            Air(cell.Inside, (_ny - 1) * _nx + i, x[i + 1] - x[i], (y[_ny] - y[_ny - 1]) / 2);
        }

        for (var j = 0; j < _ny; j++)
        {
            Air(cell.LeftSide, j * _nx, y[j + 1] - y[j], (x[1] - x[0]) / 2);
            Air(cell.RightSide, j * _nx + _nx - 1, y[j + 1] - y[j], (x[_nx] - x[_nx - 1]) / 2);
        }

        foreach (var room in cell.Rooms)
        {
            Around(room, x, y);
        }
    }

    // Every face between a solid volume and one of the room stands in its air.
    private void Around(RoomBlock room, double[] x, double[] y)
    {
        for (var j = 0; j < _ny; j++)
        {
            for (var i = 0; i < _nx; i++)
            {
                var (cx, cy) = ((x[i] + x[i + 1]) / 2, (y[j] + y[j + 1]) / 2);
                if (!(cx > room.Left && cx < room.Right && cy > room.Bottom && cy < room.Top))
                {
                    continue;
                }

                var at = j * _nx + i;
                if (i > 0)
                {
                    Air(room.Air, at - 1, y[j + 1] - y[j], (x[i] - x[i - 1]) / 2);
                }

                if (i + 1 < _nx)
                {
                    Air(room.Air, at + 1, y[j + 1] - y[j], (x[i + 2] - x[i + 1]) / 2);
                }

                if (j > 0)
                {
                    Air(room.Air, at - _nx, x[i + 1] - x[i], (y[j] - y[j - 1]) / 2);
                }

                if (j + 1 < _ny)
                {
                    Air(room.Air, at + _nx, x[i + 1] - x[i], (y[j + 2] - y[j + 1]) / 2);
                }
            }
        }
    }

    private void Air(EdgeAir? air, int volume, double length, double half)
    {
        if (air is not { } known || !_solid[volume])
        {
            return;
        }

        var conductance = length / (known.Resistance + half / _k[volume]);
        _airs.Add((volume, conductance, known.Temperature));
        _diagonal[volume] += conductance;
        _source[volume] += conductance * known.Temperature;
    }

    /// <summary>Conjugate gradients, preconditioned by an incomplete factorisation (modified Cholesky, zero fill): thin steel beside foam
    /// makes the plain diagonal slow.</summary>
    /// <remarks>Every array carries a row of nothing before and after the grid, so that the loops need no ends; sums are taken in the
    /// pass that makes their terms.</remarks>
    private (double[] T, int Steps) Gradients()
    {
        var (n, pad) = (_source.Length, _nx);
        double[] Padded() => new double[n + 2 * pad];
        double[] Shifted(double[] values)
        {
            var padded = Padded();
            values.CopyTo(padded, pad);
            return padded;
        }

        var (right, up, diagonal, factor) = (Shifted(_toRight), Shifted(_up), Shifted(_diagonal), Shifted(Factor()));
        var (t, r, z, p, q) = (Padded(), Shifted(_source), Padded(), Padded(), Padded());
        var rr = _source.Sum(s => s * s);
        var enough = _residual * _residual * Math.Max(rr, 1e-60);
        var rz = Precondition(right, up, factor, r, z);
        z.CopyTo(p, 0);
        var step = 0;
        for (; step < 4 * n && rr > enough; step++)
        {
            var a = rz / Multiply(right, up, diagonal, p, q);
            rr = 0;
            for (var i = pad; i < n + pad; i++)
            {
                t[i] += a * p[i];
                var left = r[i] - a * q[i];
                r[i] = left;
                rr += left * left;
            }

            var next = Precondition(right, up, factor, r, z);
            var b = next / rz;
            rz = next;
            for (var i = pad; i < n + pad; i++)
            {
                p[i] = z[i] + b * p[i];
            }
        }

        return (t[pad..(n + pad)], step);
    }

    private double[] Factor()
    {
        // What the factorisation drops is put on the diagonal, a shade less than all of it.
        const double Kept = 0.97;
        var d = new double[_source.Length];
        for (var i = 0; i < d.Length; i++)
        {
            var v = _diagonal[i];
            if (i > 0)
            {
                var left = i - 1;
                v -= _toRight[left] * (_toRight[left] + Kept * _up[left]) / d[left];
            }

            if (i >= _nx)
            {
                var below = i - _nx;
                v -= _up[below] * (_up[below] + Kept * _toRight[below]) / d[below];
            }

            d[i] = v;
        }

        // Divided once here rather than at every step.
        for (var i = 0; i < d.Length; i++)
        {
            d[i] = 1 / d[i];
        }

        return d;
    }

    // Solves with the factors, down and up again; gives the product of r and z. The link of a row's last volume to the right is nothing,
    // so rows need no ends.
    private double Precondition(double[] right, double[] up, double[] d, double[] r, double[] z)
    {
        var (nx, n, pad) = (_nx, _source.Length, _nx);
        var before = 0.0;
        for (var i = pad; i < n + pad; i++)
        {
            before = (r[i] + right[i - 1] * before + up[i - nx] * z[i - nx]) * d[i];
            z[i] = before;
        }

        var (after, product) = (0.0, 0.0);
        for (var i = n + pad - 1; i >= pad; i--)
        {
            after = z[i] + (right[i] * after + up[i] * z[i + nx]) * d[i];
            z[i] = after;
            product += after * r[i];
        }

        return product;
    }

    // q from p; gives their product.
    private double Multiply(double[] right, double[] up, double[] diagonal, double[] p, double[] q)
    {
        var (nx, n, pad, product) = (_nx, _source.Length, _nx, 0.0);
        for (var i = pad; i < n + pad; i++)
        {
            var v = diagonal[i] * p[i] - right[i - 1] * p[i - 1] - right[i] * p[i + 1] - up[i - nx] * p[i - nx] - up[i] * p[i + nx];
            q[i] = v;
            product += v * p[i];
        }

        return product;
    }
}
