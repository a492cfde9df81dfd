using System.Globalization;
using System.Text;
using CsCheck;
using Shouldly;
using SkiaSharp;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.JobFiles;
using Umbracell.Formats.Models;
using Umbracell.Formats.Pictures;
using Umbracell.Formats.Readings;
using Umbracell.Formats.Tables;
using Xunit;

namespace Umbracell.Formats.Tests;

public sealed class ModelTests
{
    [Fact]
    public void A_polygon_keeps_its_area_however_it_lies_in_space() =>
        Gen.Select(Gen.Double[1, 30], Gen.Double[1, 30], Gen.Double[0, 360], Gen.Double[0, 180], Gen.Double[-200, 200], Gen.Bool)
            .Sample(
                (w, h, azimuth, tilt, shift, gable) =>
                {
                    var flat = gable ? new[] { (0.0, 0.0), (w, 0), (w / 2, h) } : [(0, 0), (w, 0), (w, h), (0, h)];
                    var row = BuildingModel
                        .Read(Bytes(Surface("ExteriorWall", flat.Select(p => Turn(p, azimuth, tilt, shift)))))
                        .Rows.Single();
                    var shape = SizeText
                        .ParseShape(row.Fields["size"], Enum.Parse<ShapeKind>(row.Fields["shape"]), UnitSystem.Metric)
                        .Shape.ShouldNotBeNull();
                    return Math.Abs(shape.Area.SquareMetres - w * h / (gable ? 2 : 1)) < 0.01 * Math.Max(1, w * h / 100)
                        && (gable || row.Fields["shape"] == "Rectangle" || tilt is < 3 or > 177);
                },
                iter: 300
            );

    [Theory]
    [InlineData("Roof", 5, "LowSlopeRoof")]
    [InlineData("Roof", 30, "UnventedDeck")]
    [InlineData("UndergroundWall", 90, "BasementWall")]
    [InlineData("RaisedFloor", 180, "CrawlFloor")]
    [InlineData("Ceiling", 0, "AtticFloor")]
    public void Type_and_tilt_make_the_kind(string type, double tilt, string kind) =>
        BuildingModel
            .Read(Bytes(Surface(type, new[] { (0.0, 0.0), (6, 0), (6, 4), (0, 4) }.Select(p => Turn(p, 0, tilt, 0)))))
            .Rows.Single()
            .Fields["kind"]
            .ShouldBe(kind);

    [Fact]
    public void A_surface_that_crosses_itself_is_left_out_with_its_reason()
    {
        var bow = new[] { (0.0, 0.0), (4, 3), (4, 0), (0, 3) }.Select(p => Turn(p, 0, 90, 0));
        BuildingModel.Read(Bytes(Surface("ExteriorWall", bow))).Skipped.Single().Reason.ShouldBe("crossesItself");
        BuildingModel.Read(Bytes(Surface("ExteriorWall", [(0, 0, 0), (1, 0, 0)]))).Skipped.Single().Reason.ShouldBe("noGeometry");
    }

    [Fact]
    public void The_schema_of_job_files_is_the_one_that_ships() => JobFile.SchemaText.ShouldBe(JobFile.GenerateSchema());

    [Theory]
    [InlineData(1, 64, 48)]
    [InlineData(6, 48, 64)]
    [InlineData(8, 48, 64)]
    public void A_photo_is_turned_upright_and_its_notes_are_gone(byte orientation, int width, int height)
    {
        var picture = PictureFile.Read(WithOrientation(Jpeg(64, 48), orientation));
        (picture.Width, picture.Height).ShouldBe((width, height));
        picture.Bytes.AsSpan().IndexOf("Exif"u8).ShouldBe(-1);
        PictureFile.IsAsKept(picture.Bytes, picture.Thumbnail, picture.ContentType).ShouldBeTrue();
        PictureFile.IsAsKept(WithOrientation(Jpeg(64, 48), 1), picture.Thumbnail, "image/jpeg").ShouldBeFalse();
    }

    [Fact]
    public void A_large_photo_is_brought_down_and_its_thumbnail_is_small()
    {
        var picture = PictureFile.Read(Jpeg(4200, 1400));
        (picture.Width, picture.Height).ShouldBe((3000, 1000));
        using var thumbnail = SKBitmap.Decode(picture.Thumbnail);
        Math.Max(thumbnail.Width, thumbnail.Height).ShouldBe(PictureFile.ThumbnailSide);
    }

    [Fact]
    public void Half_a_picture_is_refused_or_read_but_never_breaks()
    {
        var whole = Jpeg(64, 48);
        foreach (var length in new[] { 3, 20, 100, whole.Length / 2 })
        {
            try
            {
                PictureFile.Read(whole[..Math.Min(length, whole.Length)]).Width.ShouldBe(64);
            }
            catch (UnreadableFileException e)
            {
                e.Fault.ShouldBe(FileFault.NotAPicture);
            }
        }
    }

    [Theory]
    [InlineData("20.5,21\n19,18\n", 2, 2, 20.5f)]
    [InlineData("camera;x\nemissivity;0,95\n20,5;21,0\n19,0;18,5\n", 2, 2, 20.5f)]
    public void A_grid_is_found_below_what_the_camera_says_of_itself(string text, int rows, int columns, float first)
    {
        var grid = ThermalGrid.Read(Encoding.UTF8.GetBytes(text), fahrenheit: false);
        (grid.Rows, grid.Columns, grid.Celsius[0]).ShouldBe((rows, columns, first));
    }

    [Theory]
    [InlineData("1,2,3\n4,5\n")]
    [InlineData("1,2\n3,900\n")]
    [InlineData("a,b\nc,d\n")]
    [InlineData("1,2\n3,x\n5,6\n")]
    public void What_is_no_grid_is_refused(string text) =>
        Should
            .Throw<UnreadableFileException>(() => ThermalGrid.Read(Encoding.UTF8.GetBytes(text), false))
            .Fault.ShouldBe(FileFault.NotAGrid);

    [Theory]
    [InlineData("Date/Time,Temp (°C),RH (%)\n2026-11-20 08:00,10.5,80\n2026-11-20 08:30,11.0,78\n", 10.5)]
    [InlineData("Zeit;Temp °C;rH %\n20.11.2026 08:00;10,5;80,0\n20.11.2026 08:30;11,0;78,0\n", 10.5)]
    [InlineData("timestamp\tTemperature °F\tHumidity\n11/20/2026 8:00 AM\t50.9\t80\n11/20/2026 8:30 AM\t51.8\t78\n", 10.5)]
    public void A_log_is_read_however_it_writes_time_and_numbers(string text, double celsius)
    {
        var log = LoggerFile.Read(Encoding.UTF8.GetBytes(text), _ => TimeSpan.FromHours(-5));
        log.Celsius[0].ShouldBe(celsius, 1e-9);
        DateTimeOffset.FromUnixTimeSeconds(log.Times[0]).ShouldBe(new DateTimeOffset(2026, 11, 20, 13, 0, 0, TimeSpan.Zero));
    }

    [Theory]
    [InlineData("a,b\n1,2\n")]
    [InlineData("time,temp,rh\nx,1,2\ny,2,3\nz,3,4\n")]
    public void What_is_no_log_is_refused(string text) =>
        Should
            .Throw<UnreadableFileException>(() => LoggerFile.Read(Encoding.UTF8.GetBytes(text), _ => TimeSpan.Zero))
            .Fault.ShouldBe(FileFault.NotALog);

    private static (double X, double Y, double Z) Turn((double X, double Y) p, double azimuth, double tilt, double shift)
    {
        // Flat on the ground, tilted up about its foot, turned about the zenith.
        var (t, a) = (tilt * Math.PI / 180, azimuth * Math.PI / 180);
        var (x, y, z) = (p.X, p.Y * Math.Cos(t), p.Y * Math.Sin(t));
        return (x * Math.Cos(a) - y * Math.Sin(a) + shift, x * Math.Sin(a) + y * Math.Cos(a) - shift, z + 3);
    }

    private static string Surface(string type, IEnumerable<(double X, double Y, double Z)> corners)
    {
        static string C(double v) => $"<Coordinate>{v.ToString("R", CultureInfo.InvariantCulture)}</Coordinate>";
        var loop = string.Concat(corners.Select(c => $"<CartesianPoint>{C(c.X)}{C(c.Y)}{C(c.Z)}</CartesianPoint>"));
        return $"<gbXML lengthUnit=\"Meters\"><Campus><Surface id=\"s\" surfaceType=\"{type}\">"
            + $"<PlanarGeometry><PolyLoop>{loop}</PolyLoop></PlanarGeometry></Surface></Campus></gbXML>";
    }

    private static byte[] Bytes(string text) => Encoding.UTF8.GetBytes(text);

    private static byte[] Jpeg(int width, int height)
    {
        using var bitmap = new SKBitmap(width, height);
        using var image = bitmap.Encode(SKEncodedImageFormat.Jpeg, 90);
        return image.ToArray();
    }

    // The least an EXIF note can say: one entry, which way the camera was held.
    private static byte[] WithOrientation(byte[] jpeg, byte orientation)
    {
        byte[] note = [.. "Exif\0\0MM"u8, 0, 42, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, orientation, 0, 0, 0, 0, 0, 0];
        return [0xFF, 0xD8, 0xFF, 0xE1, 0, (byte)(note.Length + 2), .. note, .. jpeg[2..]];
    }
}
