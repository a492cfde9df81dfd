using System.Globalization;
using System.IO.Compression;
using System.Text;
using Shouldly;
using SkiaSharp;
using Umbracell.Formats.Models;
using Umbracell.Formats.Pictures;
using Umbracell.Formats.Readings;
using Umbracell.Formats.Tables;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>Small files that would cost much to read are refused before they cost it, each with its reason; large ones that people have
/// are read.</summary>
public sealed class FileBudgetTests
{
    private const long Allowed = 200_000_000;

    [Theory]
    [InlineData("""<sheetData><row r="1"><c r="XFD1"><v>1</v></c></row></sheetData>""", FileFault.TooManyColumns)]
    [InlineData(
        """<dimension ref="A1:XFD20000"/><sheetData><row r="1"><c r="A1"><v>1</v></c></row></sheetData>""",
        FileFault.TooManyColumns
    )]
    [InlineData("""<sheetData><row r="19000"><c r="CV19000"><v>1</v></c></row></sheetData>""", FileFault.TooManyCells)]
    [InlineData("""<sheetData><row r="1"><c r="A1" t="inlineStr"><is><t>LONG</t></is></c></row></sheetData>""", FileFault.CellTooLong)]
    [InlineData("""<!DOCTYPE x [<!ENTITY a "aa">]><sheetData/>""", FileFault.NotAWorkbook)]
    public void A_workbook_that_would_swell_is_refused(string sheet, FileFault fault)
    {
        var bytes = WorkbookOf(sheet.Replace("LONG", new string('x', 30_000_000), StringComparison.Ordinal));
        Refused(() => Workbook.Read(bytes), fault);
    }

    [Fact]
    public void A_workbook_that_unpacks_to_more_than_it_may_is_refused()
    {
        var bytes = WorkbookOf($"<sheetData>{new string(' ', 60_000_000)}</sheetData>");
        Refused(() => Workbook.Read(bytes), FileFault.UnpacksTooLarge);
    }

    [Fact]
    public void A_text_that_cells_refer_to_is_held_to_the_same_length() =>
        Refused(
            () =>
                Workbook.Read(
                    WorkbookOf(
                        """<sheetData><row r="1"><c r="A1" t="s"><v>0</v></c></row></sheetData>""",
                        ("xl/sharedStrings.xml", $"<sst><si><t>{new string('x', 100_000)}</t></si></sst>")
                    )
                ),
            FileFault.CellTooLong
        );

    [Fact]
    public void Only_the_sheet_that_is_read_is_held_to_bounds()
    {
        const string wide = """<worksheet><sheetData><row r="1"><c r="XFD1"><v>1</v></c></row></sheetData></worksheet>""";
        const string read = """<sheetData><row r="1"><c r="A1" t="inlineStr"><is><t>name</t></is></c></row></sheetData>""";
        Workbook.Read(WorkbookOf(read, ("xl/worksheets/sheet2.xml", wide))).Header.ShouldBe(["name"]);
    }

    [Fact]
    public void The_largest_workbook_that_is_allowed_is_read()
    {
        var header = Enumerable.Range(0, TableFile.MostCells / TableFile.MostRows).Select(i => $"column {i}").ToList();
        var rows = Enumerable.Range(0, TableFile.MostRows - 1).Select(i => header.ConvertAll(_ => (object?)$"cell {i % 50}"));
        Workbook.Read(Workbook.Write("S", header, rows)).Rows.Count.ShouldBe(TableFile.MostRows - 1);
    }

    [Theory]
    [InlineData("a,", 12_000_000, FileFault.TooManyColumns)]
    [InlineData("5\" pipe,", 3_000_000, FileFault.TooManyColumns)]
    [InlineData("a,b,c,d,e,f,g,h,i,j,k,l,m,n,o,p,q,r,s,t,u,v\n", 19_900, FileFault.TooManyCells)]
    [InlineData("a,b\n", 500_000, FileFault.TooManyLines)]
    [InlineData("\",\n", 8_000_000, FileFault.TooManyLines)]
    public void A_text_of_endless_cells_is_refused(string piece, int times, FileFault fault)
    {
        var bytes = Bytes(string.Concat(Enumerable.Repeat(piece, times)));
        Refused(() => DelimitedText.Read(bytes), fault);
    }

    [Fact]
    public void A_grid_of_more_dots_than_any_camera_has_is_refused()
    {
        var wide = Bytes(string.Concat(Enumerable.Repeat("1,", 12_000_000)));
        Refused(() => ThermalGrid.Read(wide, false), FileFault.TooManyColumns);
        var high = Bytes(string.Concat(Enumerable.Repeat(string.Concat(Enumerable.Repeat("1,", 1_999)) + "1\n", 1_000)));
        Refused(() => ThermalGrid.Read(high, false), FileFault.TooManyCells);
    }

    [Fact]
    public void Letters_of_an_older_encoding_cost_no_more_than_others()
    {
        var bytes = Encoding.Latin1.GetBytes(string.Concat(Enumerable.Repeat("é,1\n", 2_000_000)));
        Refused(() => DelimitedText.Read(bytes), FileFault.TooManyLines);
    }

    [Fact]
    public void What_stands_within_quotes_is_one_cell_however_many_marks_it_has()
    {
        var openings = string.Join(", ", Enumerable.Range(1, 900).Select(i => $"{i} m"));
        DelimitedText.Read(Bytes($"name,openings\none,\"{openings}\"\ntwo,none\n")).Rows[0].Cells[1].ShouldBe(openings);
    }

    [Fact]
    public void A_grid_as_cameras_save_it_is_read_below_short_lines_about_the_camera()
    {
        var line = string.Join(
            ';',
            Enumerable.Range(0, 640).Select(i => (15 + i % 90 / 10.0).ToString("F1", CultureInfo.InvariantCulture))
        );
        var text = "camera\nemissivity;0.95\n" + string.Concat(Enumerable.Repeat(line + ";\n", 480));
        var grid = ThermalGrid.Read(Bytes(text), fahrenheit: false);
        (grid.Rows, grid.Columns, grid.Celsius[641]).ShouldBe((480, 640, 15.1f));
    }

    [Fact]
    public void A_model_nested_deeper_than_any_is_refused()
    {
        var depth = 40_000;
        var nested = string.Concat(Enumerable.Repeat("<a>", depth)) + string.Concat(Enumerable.Repeat("</a>", depth));
        foreach (var model in new[] { Model(nested), Model($"<Surface>{nested}</Surface>") })
        {
            Refused(() => BuildingModel.Read(model), FileFault.NestsTooDeep);
        }
    }

    [Fact]
    public void Surfaces_with_more_corners_or_openings_than_are_read_are_left_out_and_the_others_taken()
    {
        var round = Enumerable.Range(0, 10_000).Select(i => (20 * Math.Cos(i / 1591.5), 20 * Math.Sin(i / 1591.5)));
        var window = Enumerable.Range(1, 300).Select(i => $"<Opening>{Loop([(0, 0), (i / 100.0, 0), (i / 100.0, 1), (0, 1)])}</Opening>");
        (double, double)[] plain = [(0, 0), (4, 0), (4, 3), (0, 3)];
        var model = BuildingModel.Read(
            Model(
                Surface(Loop(round)) + Surface(Loop(plain) + string.Concat(window)) + Surface(Loop(plain) + string.Concat(window.Take(40)))
            )
        );
        model.Skipped.Select(s => s.Reason).ShouldBe(["tooManyCorners", "tooManyOpenings"]);
        model.Rows.Single().Fields["openings"].Split(';').Length.ShouldBe(40);
    }

    [Fact]
    public void A_model_with_more_corners_than_are_read_at_once_is_refused()
    {
        var surface = Surface(Loop(Enumerable.Range(0, 199).Select(i => (20 * Math.Cos(i / 31.8), 20 * Math.Sin(i / 31.8)))));
        BuildingModel.Read(Model(string.Concat(Enumerable.Repeat(surface, 100)))).Rows.Count.ShouldBe(100);
        var model = Model(string.Concat(Enumerable.Repeat(surface, 101)));
        Refused(() => BuildingModel.Read(model), FileFault.TooManyCorners);
    }

    [Theory]
    [InlineData(8_900, 8_900)]
    [InlineData(30_000, 1_000)]
    public void A_picture_that_unpacks_to_more_than_it_may_is_refused(int width, int height)
    {
        var bytes = BlackPng(width, height);
        Refused(() => PictureFile.Read(bytes), FileFault.PictureTooLarge);
    }

    [Theory]
    [InlineData(8_000, 6_000, 3_000, 2_250)]
    [InlineData(3_200, 3_200, 3_000, 3_000)]
    [InlineData(12_100, 100, 3_000, 25)]
    public void A_large_photo_is_drawn_no_larger_than_it_need_be(int width, int height, int keptWidth, int keptHeight)
    {
        using var bitmap = new SKBitmap(new SKImageInfo(width, height, SKColorType.Gray8));
        bitmap.Erase(SKColors.Gray);
        using var jpeg = bitmap.Encode(SKEncodedImageFormat.Jpeg, 80);
        var picture = PictureFile.Read(jpeg.ToArray());
        (picture.Width, picture.Height).ShouldBe((keptWidth, keptHeight));
    }

    // What is made on the way is a bound on what is held, and the same on every machine.
    private static void Refused(Action read, FileFault fault)
    {
        var before = GC.GetAllocatedBytesForCurrentThread();
        var refusal = Should.Throw<UnreadableFileException>(read);
        refusal.Fault.ShouldBe(fault, refusal.Message);
        (GC.GetAllocatedBytesForCurrentThread() - before).ShouldBeLessThan(Allowed);
    }

    private static byte[] WorkbookOf(string sheet, params (string Name, string Text)[] more)
    {
        using var packed = new MemoryStream();
        using (var archive = new ZipArchive(packed, ZipArchiveMode.Create, leaveOpen: true))
        {
            const string main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
            const string documents = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
            const string links = "http://schemas.openxmlformats.org/package/2006/relationships";
            var body = sheet.StartsWith("<!", StringComparison.Ordinal) ? sheet : $"<worksheet xmlns=\"{main}\">{sheet}</worksheet>";
            Add("xl/worksheets/sheet1.xml", body);
            Add(
                "xl/workbook.xml",
                $"<workbook xmlns=\"{main}\" xmlns:r=\"{documents}\"><sheets><sheet name=\"S\" sheetId=\"1\" r:id=\"r1\"/></sheets></workbook>"
            );
            Add(
                "xl/_rels/workbook.xml.rels",
                $"<Relationships xmlns=\"{links}\"><Relationship Id=\"r1\" Target=\"worksheets/sheet1.xml\"/></Relationships>"
            );
            more.ToList().ForEach(part => Add(part.Name, part.Text));

            void Add(string name, string text)
            {
                using var writer = new StreamWriter(archive.CreateEntry(name).Open());
                writer.Write(text);
            }
        }

        return packed.ToArray();
    }

    private static byte[] Model(string campus) => Bytes($"<gbXML lengthUnit=\"Meters\"><Campus>{campus}</Campus></gbXML>");

    private static string Surface(string inside) => $"<Surface id=\"s\" surfaceType=\"ExteriorWall\">{inside}</Surface>";

    private static string Loop(IEnumerable<(double X, double Z)> corners)
    {
        static string C(double v) => $"<Coordinate>{v.ToString("R", CultureInfo.InvariantCulture)}</Coordinate>";
        var points = string.Concat(corners.Select(c => $"<CartesianPoint>{C(c.X)}{C(0)}{C(c.Z)}</CartesianPoint>"));
        return $"<PlanarGeometry><PolyLoop>{points}</PolyLoop></PlanarGeometry>";
    }

    private static byte[] BlackPng(int width, int height)
    {
        using var bitmap = new SKBitmap(new SKImageInfo(width, height, SKColorType.Gray8));
        using var png = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return png.ToArray();
    }

    private static byte[] Bytes(string text) => Encoding.UTF8.GetBytes(text);
}
