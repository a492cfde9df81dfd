using System.Globalization;
using System.Text;
using Shouldly;
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
        file.Hours[0].ShouldBe(new(1, 1, -3.5, 80));
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
        double.IsNaN(file.Hours[10].Celsius).ShouldBeTrue();
        file.Hours[20].RhPct.ShouldBe(80, 1);
        file.Filled.ShouldBe(1);
        double.IsNaN(file.Hours[30].RhPct).ShouldBeTrue();
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
