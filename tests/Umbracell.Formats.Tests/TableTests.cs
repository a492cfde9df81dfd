using System.Text;
using CsCheck;
using MiniExcelLibs;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Surveys;
using Umbracell.Formats.Tables;
using Xunit;

namespace Umbracell.Formats.Tests;

public sealed class TableTests
{
    private static readonly Gen<string> AnyCell = Gen.String[Gen.Char["abc =+-@'\",;|\téß漢0123456789.\n"], 0, 14].Select(s => s.Trim());

    private static readonly Dimension[] Digits =
    [
        Dimension.Money,
        Dimension.Area,
        Dimension.Mass,
        Dimension.Sets,
        Dimension.Temperature,
        Dimension.FoamVolume,
        Dimension.AreaWeight,
    ];

    [Fact]
    public void Whatever_is_written_reads_back() =>
        Gen.Select(AnyCell.Array[1, 6], AnyCell.Array[1, 6], Gen.Int[0, 3])
            .Sample(
                (first, second, pad) =>
                {
                    string[] header = [.. Enumerable.Range(0, first.Length).Select(i => $"c{i}")];
                    string[][] rows =
                    [
                        ["x" + first[0], .. first[1..]],
                        ["y" + pad, .. Enumerable.Range(1, Math.Max(0, header.Length - 1)).Select(i => i < second.Length ? second[i] : "")],
                    ];
                    var csv = DelimitedText.Read(DelimitedWriter.Write(header, rows));
                    var workbook = Workbook.Read(Workbook.Write("S", header, rows));
                    return Same(csv, header, rows) && Same(workbook, header, rows);
                },
                iter: 150
            );

    [Theory]
    [InlineData("=cmd|' /C calc'!A0")]
    [InlineData("+1+1")]
    [InlineData("-2+3")]
    [InlineData("@SUM(A1)")]
    [InlineData("\t=1+1")]
    [InlineData("\uFF1D1+1")]
    [InlineData("\uFF0B1+1")]
    [InlineData("\uFF0D2+3")]
    [InlineData("\uFF20SUM(A1)")]
    [InlineData("\uFE661+1")]
    public void A_cell_that_a_spreadsheet_would_run_is_guarded(string cell)
    {
        var text = Encoding.UTF8.GetString(
            DelimitedWriter.Write(
                ["name"],
                [
                    [cell],
                ]
            )
        );
        text.Split('\n')[1].TrimStart('"').ShouldStartWith("'");
        DelimitedText
            .Read(
                DelimitedWriter.Write(
                    ["name", "b"],
                    [
                        [cell, "x"],
                    ]
                )
            )
            .Rows[0]
            .Cells[0]
            .ShouldBe(cell);
    }

    [Theory]
    [InlineData("a,b\n1,2\n", ",", false)]
    [InlineData("a;b\n1,5;2,25\n", ";", true)]
    [InlineData("a;b\n1.5;2.25\n", ";", false)]
    [InlineData("a\tb\n1,5\t2\n", "tab", true)]
    [InlineData("a|b\n\"x, y, z\"|2\n", "|", false)]
    [InlineData("name,size\n\"Hall; north\",24' x 9'\n", ",", false)]
    public void Delimiter_and_decimal_comma_are_found_out(string text, string delimiter, bool comma)
    {
        var table = DelimitedText.Read(Encoding.UTF8.GetBytes(text));
        (table.Delimiter, table.DecimalComma).ShouldBe((delimiter, comma));
    }

    [Fact]
    public void Old_encodings_are_read_and_a_mixture_is_refused_by_line()
    {
        DelimitedText.Read([.. "name,b\nK"u8, 0xFC, .. "che,1\n"u8]).Rows[0].Cells[0].ShouldBe("Küche");
        DelimitedText
            .Read([.. Encoding.Unicode.Preamble, .. Encoding.Unicode.GetBytes("name,b\nKüche,1\n")])
            .Rows[0]
            .Cells[0]
            .ShouldBe("Küche");
        var mixed = Should.Throw<UnreadableFileException>(() => DelimitedText.Read([.. "name,b\nKüche,1\nB"u8, 0xFC, .. "ro,2\n"u8]));
        (mixed.Fault, mixed.Line).ShouldBe((FileFault.MixedEncodings, 3));
    }

    [Fact]
    public void Ragged_rows_keep_their_line_and_say_so()
    {
        var table = DelimitedText.Read("a,b,c\n1,2,3\n\n4,5\n6,7,8,9\n"u8);
        table.Rows.Select(r => (r.Line, r.Ragged)).ShouldBe([(2, 0), (4, -1), (5, 1)]);
    }

    [Theory]
    [InlineData("", FileFault.Empty)]
    [InlineData("  \n \n", FileFault.Empty)]
    [InlineData("a,b\n\"open,2\n3,4\n", FileFault.BrokenQuotes)]
    [InlineData("a\0b,c", FileFault.NotText)]
    public void What_cannot_be_read_says_why(string text, FileFault fault) =>
        Should.Throw<UnreadableFileException>(() => DelimitedText.Read(Encoding.UTF8.GetBytes(text))).Fault.ShouldBe(fault);

    [Fact]
    public void A_broken_workbook_is_refused()
    {
        Should.Throw<UnreadableFileException>(() => Workbook.Read([.. "PK\u0003\u0004"u8, 1, 2, 3])).Fault.ShouldBe(FileFault.NotAWorkbook);
        var half = Workbook.Write(
            "S",
            ["a"],
            [
                ["1"],
            ]
        );
        Should.Throw<UnreadableFileException>(() => Workbook.Read(half[..(half.Length / 2)])).Fault.ShouldBe(FileFault.NotAWorkbook);
    }

    [Fact]
    public void Headers_are_known_by_their_words_and_units()
    {
        var guess = SurfaceColumns.Guess([
            "Surface name",
            "Type",
            "Wall length (ft)",
            "Height [m]",
            "Stud depth_mm",
            "Colour",
            "Length (m)",
        ]);
        guess
            .Select(g => (g.Field, g.Unit))
            .ShouldBe([("name", ""), ("kind", ""), ("length", "ft"), ("height", "m"), ("memberDepth", "mm"), ("", ""), ("", "m")]);
        SurfaceColumns.Signature(["Wall Length (ft)", "b"]).ShouldBe(SurfaceColumns.Signature(["wall length (FT)", "B"]));
    }

    [Fact]
    public void Rows_become_what_a_person_would_have_typed()
    {
        const string Text = "name;type;length;height;openings;stud depth\nHall;stud wall;7,5;2,4;2 x 0,9 x 1,2;140\nDeck;roof deck;;;;\n";
        var table = DelimitedText.Read(Encoding.UTF8.GetBytes(Text));
        var maps = SurfaceColumns
            .Guess(table.Header)
            .Select(m =>
                m with
                {
                    Unit =
                        m.Field is "memberDepth" ? "mm"
                        : m.Field is "name" or "kind" ? ""
                        : "m",
                }
            )
            .ToList();
        var rows = SurfaceRows.Of(table, maps, table.DecimalComma);
        rows[0]
            .Fields.ShouldBe(
                new Dictionary<string, string>
                {
                    ["name"] = "Hall",
                    ["kind"] = "studwall",
                    ["size"] = "7.5 m x 2.4 m",
                    ["shape"] = "Rectangle",
                    ["openings"] = "2 x 0.9 m x 1.2 m",
                    ["memberDepth"] = "140 mm",
                },
                ignoreOrder: true
            );
        rows[1].Fields["kind"].ShouldBe("UnventedDeck");
        rows[1].Fields.Keys.ShouldNotContain("size");
    }

    [Fact]
    public void Printed_figures_become_numbers_and_their_unit_a_heading()
    {
        var (header, rows) = NumberColumns.Of(
            [("What", false), ("Amount", true), ("Depth", true), ("How much", true), ("Time", true)],
            [
                ["Foam", "2,680.50", "5 1/2 in", "1,250 board feet", "2 h 05"],
                ["Heat", "-12.00", "3/4 in", "12.3 sets", ""],
                ["12", "", "0 in"],
            ]
        );
        header.ShouldBe(["What", "Amount", "Depth (in)", "How much", "How much, unit", "Time"]);
        rows[0].ShouldBe(["Foam", 2680.5, 5.5, 1250.0, "board feet", "2 h 05"]);
        rows[1].ShouldBe(["Heat", -12.0, 0.75, 12.3, "sets", ""]);
        rows[2].ShouldBe(["12", "", 0.0, "", "", ""]);
    }

    [Theory]
    [InlineData("$")]
    [InlineData("CHF\u00A0")]
    public void Money_is_a_number_too_and_its_sign_goes_into_the_heading(string sign)
    {
        var (header, rows) = NumberColumns.Of(
            [("What", false), ("Amount", true), ("Rate", true)],
            [
                [$"{sign}1", $"{sign}1,223.41", $"{sign}6.85 per ft²"],
                ["Less", $"-{sign}12.00", ""],
            ],
            sign
        );
        header.ShouldBe(["What", $"Amount ({sign.Trim()})", $"Rate ({sign.Trim()} per ft²)"]);
        rows[0].ShouldBe([$"{sign}1", 1223.41, 6.85]);
        rows[1].ShouldBe(["Less", -12.0, ""]);
    }

    [Fact]
    public void Whatever_is_printed_in_digits_keeps_its_value_as_a_number() =>
        Gen.Select(Gen.Int[0, Digits.Length - 1].Select(i => Digits[i]), Gen.Double[-50, 90_000], Gen.Enum<UnitSystem>())
            .Sample(
                (dimension, si, system) =>
                {
                    var figure = new Figure(dimension == Dimension.Temperature ? si : Math.Abs(si), dimension);
                    var (cell, _) = NumberColumns.Read(
                        QuantityPrinter.Print(figure, system).Replace(QuantityPrinter.CurrencyMark, "", StringComparison.Ordinal)
                    );
                    return cell is double number && Math.Abs(number - QuantityPrinter.Value(figure, system)) <= 0.51;
                }
            );

    [Fact]
    public void Numbers_stand_in_a_workbook_as_numbers_and_what_looks_like_one_as_text()
    {
        using var stream = new MemoryStream(
            Workbook.Write(
                "S",
                ["a", "b"],
                [
                    [12.5, "12.5"],
                    [3, "=1+1"],
                ]
            )
        );
        var cells = stream.Query(useHeaderRow: true).Cast<IDictionary<string, object?>>().ToList();
        cells.Select(c => (c["a"], c["b"])).ShouldBe([(12.5, "12.5"), (3.0, "=1+1")]);
    }

    private static bool Same(TableFile table, string[] header, string[][] rows) =>
        table.Header.SequenceEqual(header)
        && table
            .Rows.Select(r => r.Cells)
            .Zip(rows)
            .All(p => p.First.SequenceEqual(p.Second.Select(c => c.Replace("\r\n", "\n", StringComparison.Ordinal).Trim())));
}
