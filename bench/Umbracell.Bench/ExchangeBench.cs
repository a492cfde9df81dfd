using System.Globalization;
using System.Text;
using BenchmarkDotNet.Attributes;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Models;
using Umbracell.Formats.Surveys;
using Umbracell.Formats.Tables;

namespace Umbracell.Bench;

/// <summary>Files as they come in and go out. Aims: 5,000 lines of CSV under 1 s with their check, a model of 2,000 surfaces under 3 s
/// and 300 MB, a workbook of 2,000 surfaces under 2 s.</summary>
[MemoryDiagnoser]
[ShortRunJob]
public class ExchangeBench
{
    private byte[] _csv = [];
    private byte[] _model = [];
    private List<Dictionary<string, ExportCell>> _surfaces = [];

    [GlobalSetup]
    public void Setup()
    {
        var csv = new StringBuilder("name,kind,length (ft),height (ft),openings,member depth\n");
        for (var i = 0; i < 5000; i++)
        {
            csv.Append(CultureInfo.InvariantCulture, $"Wall {i},stud wall,{20 + i % 17},9,{1 + i % 3} x 3' x 4',5 1/2\n");
        }

        _csv = Encoding.UTF8.GetBytes(csv.ToString());
        _model = Encoding.UTF8.GetBytes(
            $"<gbXML lengthUnit=\"Meters\"><Campus>{string.Concat(Enumerable.Range(0, 2000).Select(Surface))}</Campus></gbXML>"
        );
        _surfaces =
        [
            .. Enumerable
                .Range(0, 2000)
                .Select(i => SurfaceExport.Columns.ToDictionary(c => c, c => Measured(c) ? ExportCell.Of(i) : new ExportCell($"{c} {i}"))),
        ];
    }

    [Benchmark]
    public int CsvOf5000Lines()
    {
        var table = DelimitedText.Read(_csv);
        return SurfaceRows.Of(table, SurfaceColumns.Guess(table.Header), table.DecimalComma).Count;
    }

    [Benchmark]
    public int ModelOf2000Surfaces() => BuildingModel.Read(_model).Rows.Count;

    [Benchmark]
    public int WorkbookOf2000Surfaces() => SurfaceExport.ToWorkbook(_surfaces, UnitSystem.Metric).Length;

    private static bool Measured(string column) => column is "memberDepth" or "memberSpacing";

    private static string Surface(int i)
    {
        static string P(double x, double y, double z) =>
            string.Create(
                CultureInfo.InvariantCulture,
                $"<CartesianPoint><Coordinate>{x}</Coordinate><Coordinate>{y}</Coordinate><Coordinate>{z}</Coordinate></CartesianPoint>"
            );
        static string Loop(params string[] points) => $"<PlanarGeometry><PolyLoop>{string.Concat(points)}</PolyLoop></PlanarGeometry>";
        double x = i * 5;
        return $"<Surface id=\"s{i}\" surfaceType=\"ExteriorWall\"><Name>Wall {i}</Name><AdjacentSpaceId spaceIdRef=\"a\"/>"
            + $"{Loop(P(x, 0, 0), P(x + 4, 0, 0), P(x + 4, 0, 3), P(x, 0, 3))}"
            + $"<Opening id=\"o{i}\">{Loop(P(x + 1, 0, 1), P(x + 2, 0, 1), P(x + 2, 0, 2), P(x + 1, 0, 2))}</Opening></Surface>";
    }
}
