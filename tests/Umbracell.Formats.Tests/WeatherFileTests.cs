using System.Globalization;
using System.Text;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Formats.Climate;
using Umbracell.Formats.Tables;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>Hourly weather files, whole and broken.</summary>
public sealed class WeatherFileTests
{
    [Fact]
    public void A_whole_year_is_read_with_its_place()
    {
        var file = WeatherFile.Read(File());
        file.Name.ShouldBe("Alder Fen");
        file.AltitudeM.ShouldBe(180);
        file.Hours.Count.ShouldBe(8760);
        var first = file.Hours[0];
        first.Start.ShouldBe(new DateTimeOffset(WeatherFile.NominalYear, 1, 1, 0, 0, 0, TimeSpan.FromHours(-5)));
        (first.Temperature!.Value.Celsius, first.Humidity!.Value.Percent).ShouldBe((-3.5, 80));
        file.Hours.Zip(file.Hours.Skip(1)).ShouldAllBe(pair => pair.Second.Start - pair.First.Start == TimeSpan.FromHours(1));
    }

    [Fact]
    public void Wind_cloud_sun_pressure_snow_and_rain_are_read_each_from_its_column_and_what_was_not_taken_is_unknown()
    {
        string[] Cells(string line) => line.Split(',');
        string With(string line, params (int Column, string Text)[] cells)
        {
            var all = Cells(line);
            foreach (var (column, text) in cells)
            {
                all[column] = text;
            }

            return string.Join(',', all);
        }

        var file = WeatherFile.Read(
            File(
                (i, line) =>
                    i switch
                    {
                        0 => With(line, (13, "410"), (20, "270"), (21, "3.6"), (22, "7"), (30, "12"), (33, "1.5")),
                        1 => With(line, (9, "999999"), (13, "9999"), (20, "999"), (21, "999"), (22, "99"), (30, "999"), (33, "999")),
                        _ => line,
                    }
            )
        );
        var (told, marked) = (file.Hours[0], file.Hours[1]);
        told.Wind.ShouldBe(new Wind(Speed.FromMetresPerSecond(3.6), null, 270));
        (told.Cloud, told.GlobalWm2, told.Snow!.Value.Metres).ShouldBe((0.7, 410, 0.12));
        told.Pressure!.Value.Pascals.ShouldBe(99_000);
        told.Precipitation.ShouldBe(new Precipitation(1.5, PrecipitationKind.Snow));
        marked.ShouldBe(
            new AirHour
            {
                Start = marked.Start,
                Temperature = marked.Temperature,
                Humidity = marked.Humidity,
            }
        );
    }

    [Fact]
    public void The_day_a_leap_year_has_more_is_passed_over()
    {
        var lines = Encoding.ASCII.GetString(File()).Split('\n').ToList();
        var more = Enumerable
            .Range(1, 24)
            .Select(hour => $"1996,2,29,{hour},60,A7,25.0,20.0,70,99000,{string.Join(',', Enumerable.Repeat('0', 25))}");
        lines.InsertRange(8 + 59 * 24, more);
        var file = WeatherFile.Read(Encoding.ASCII.GetBytes(string.Join("\n", lines)));
        (file.Hours.Count, file.Hours.Max(h => h.Temperature!.Value.Celsius)).ShouldBe((8760, -3.5));
    }

    [Fact]
    public void Marks_for_missing_figures_are_no_figures_and_a_missing_humidity_comes_from_the_dew_point()
    {
        var file = WeatherFile.Read(
            File(
                (i, line) =>
                    i switch
                    {
                        10 => line.Replace("-3.5", "99.9"),
                        20 => line.Replace(",80,", ",999,"),
                        30 => line.Replace(",80,", ",999,").Replace("-6.4", "99.9"),
                        _ => line,
                    }
            )
        );
        file.Hours[10].Temperature.ShouldBeNull();
        file.Hours[20].Humidity!.Value.Percent.ShouldBe(80, 1);
        file.Filled.ShouldBe(1);
        file.Hours[30].Humidity.ShouldBeNull();
    }

    [Fact]
    public void A_file_cut_short_is_refused_wherever_it_ends()
    {
        var whole = File();
        foreach (var keep in new[] { whole.Length / 2, whole.Length - 40, whole.Length * 9 / 10 })
        {
            Should
                .Throw<UnreadableFileException>(() => WeatherFile.Read(whole.AsSpan(0, keep)))
                .Fault.ShouldBe(FileFault.WeatherFileCutShort);
        }
    }

    [Fact]
    public void A_month_of_missing_figures_and_files_of_another_kind_are_named()
    {
        var gaps = Should.Throw<UnreadableFileException>(() =>
            WeatherFile.Read(File((i, line) => i is > 1000 and < 1200 ? line.Replace("-3.5", "99.9") : line))
        );
        (gaps.Fault, gaps.Detail).ShouldBe((FileFault.WeatherFileGaps, "February"));
        Should.Throw<UnreadableFileException>(() => WeatherFile.Read("time,temp,rh\n1,2,3\n"u8)).Fault.ShouldBe(FileFault.NotAWeatherFile);
        var letters = Should.Throw<UnreadableFileException>(() =>
            WeatherFile.Read(File((i, line) => i == 5 ? "1995,x,1,6,60" + line[14..] : line))
        );
        (letters.Fault, letters.Line).ShouldBe((FileFault.NotAWeatherFile, 14));
        Should.Throw<UnreadableFileException>(() => WeatherFile.Read([])).Fault.ShouldBe(FileFault.NotAWeatherFile);
    }

    private static byte[] File(Func<int, string, string>? change = null)
    {
        List<string> lines = ["LOCATION,Alder Fen,-,-,made up,000000,45.0,-75.0,-5.0,180.0", .. Enumerable.Repeat("COMMENTS,made up", 7)];
        var at = new DateTime(1995, 1, 1, 0, 0, 0, DateTimeKind.Unspecified);
        for (var i = 0; i < 8760; i++, at = at.AddHours(1))
        {
            var line = string.Create(
                CultureInfo.InvariantCulture,
                $"1995,{at.Month},{at.Day},{at.Hour + 1},60,A7,-3.5,-6.4,80,99000,{string.Join(',', Enumerable.Repeat('0', 25))}"
            );
            lines.Add(change?.Invoke(i, line) ?? line);
        }

        return Encoding.ASCII.GetBytes(string.Join("\n", lines) + "\n");
    }
}
