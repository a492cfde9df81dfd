namespace Umbracell.Core.Yield;

/// <summary>Small symmetric, positive definite matrices.</summary>
internal static class SymmetricMatrix
{
    /// <summary>The inverse, by Cholesky's factors.</summary>
    /// <param name="a">Symmetric and positive definite.</param>
    public static double[,] Inverse(double[,] a)
    {
        var n = a.GetLength(0);
        var l = Factor(a, n);
        var inverse = new double[n, n];
        var column = new double[n];
        for (var k = 0; k < n; k++)
        {
            // Down, then up.
            for (var i = 0; i < n; i++)
            {
                var v = i == k ? 1.0 : 0;
                for (var j = 0; j < i; j++)
                {
                    v -= l[i, j] * column[j];
                }

                column[i] = v / l[i, i];
            }

            for (var i = n - 1; i >= 0; i--)
            {
                var v = column[i];
                for (var j = i + 1; j < n; j++)
                {
                    v -= l[j, i] * inverse[j, k];
                }

                inverse[i, k] = v / l[i, i];
            }
        }

        return inverse;
    }

    private static double[,] Factor(double[,] a, int n)
    {
        var l = new double[n, n];
        for (var i = 0; i < n; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var v = a[i, j];
                for (var k = 0; k < j; k++)
                {
                    v -= l[i, k] * l[j, k];
                }

                l[i, j] = i == j ? Math.Sqrt(v) : v / l[j, j];
            }
        }

        return l;
    }
}
