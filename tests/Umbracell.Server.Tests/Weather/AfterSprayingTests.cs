using System.Globalization;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Xunit;

namespace Umbracell.Server.Tests.Weather;

/// <summary>How long foam stands open after its next window, and until when it must be covered.</summary>
[Collection(AskingTests.Name)]
public sealed class AfterSprayingTests(AskingServer asking) : AskingOneTests(asking)
{
    [Fact]
    public async Task The_day_it_must_be_covered_by_is_in_time_and_the_next_is_not_and_says_when_to_spray()
    {
        var (surface, hours) = await Firm.WithWindowAsync("Cladding", "wallOutside");
        var sheet = ProductSheetFile.Read(AskingServer.Sheet, ShippedData.ProductSheets[AskingServer.Sheet]);
        var unsaid = hours["after"]!;
        unsaid.Text("verdict").ShouldBe("care");
        var (sprayed, by) = (Day(unsaid, "sprayedOn"), Day(unsaid, "coverBy"));
        (by.DayNumber - sprayed.DayNumber).ShouldBe((int)Math.Min(sheet.OpenToSunDays!.Value, sheet.OpenToRainDays!.Value));

        var onTime = await CoveredAsync(surface, by);
        onTime.Text("verdict").ShouldBe("clear");
        onTime["figures"]!["open"]!.Number("amount").ShouldBe(by.DayNumber - sprayed.DayNumber);

        var late = await CoveredAsync(surface, by.AddDays(2));
        late.Text("verdict").ShouldBe("hold");
        Day(late, "sprayFrom").ShouldBe(sprayed.AddDays(2));

        (await CoveredAsync(surface, sprayed.AddDays(-1))).Text("verdict").ShouldBe("hold");
        (await CoveredAsync(surface, null)).Text("verdict").ShouldBe("care");
    }

    [Fact]
    public async Task Within_a_building_nothing_stands_open() =>
        (await Firm.WithWindowAsync("Within", "studWall")).Hours["after"].ShouldBeNull();

    [Fact]
    public async Task The_day_of_cover_travels_in_the_job_file()
    {
        var (surface, _) = await Firm.WithWindowAsync("Travels", "wallOutside");
        var day = new DateOnly(2031, 5, 9);
        await CoveredAsync(surface, day);
        var file = await Firm.Client.GetByteArrayAsync($"/api/jobs/{Firm.JobOf(surface)}/file", TestContext.Current.CancellationToken);
        var (status, brought) = await Firm.Client.UploadAsync("/api/jobs/file", file);
        status.ShouldBe(201, brought.ToJsonString());
        var copy = await Firm.Client.GetJsonAsync($"/api/jobs/{brought.Text("id")}/surfaces");
        copy[0]!["details"]!.Text("coveredOn").ShouldBe("2031-05-09");
    }

    private static DateOnly Day(JsonNode after, string name) => DateOnly.Parse(after.Text(name), CultureInfo.InvariantCulture);

    private async Task<JsonNode> CoveredAsync(string surface, DateOnly? day)
    {
        await Firm.EditAsync(surface, "coveredOn", day?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? "");
        return (await Firm.HoursAsync(surface))["after"]!;
    }
}
