using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests.Weather;

/// <summary>What is told to open a start is put into the hours of the surface, and opens it there.</summary>
[Collection(AskingTests.Name)]
public sealed class ActsTests(AskingServer asking) : AskingOneTests(asking)
{
    [Fact]
    public async Task Each_earlier_start_and_the_cheapest_stand_in_the_hours_with_it()
    {
        await HeaterAsync();
        await MeansAsync(("kind", "dehumidifier"), ("name", $"Dryer {Guid.NewGuid():N}"), ("takesOut", "60 l/day"));
        var job = Firm.JobOf(await Firm.SurfaceAsync());
        var promised = 0;
        foreach (var kind in new[] { "metalRoof", "lowSlopeRoof", "studWall" })
        {
            promised += await PromisesAsync(await Firm.AddAsync(job, kind, kind));
        }

        // Whatever the weather of the day, sixty kilowatts or waiting open something within five days.
        promised.ShouldBeGreaterThan(0);
    }

    // Puts in all that is promised of a surface, and says how many promises there were.
    private async Task<int> PromisesAsync(string surface)
    {
        var earlier = await Firm.Client.GetJsonAsync($"/api/surfaces/{surface}/earlier-starts");
        foreach (var start in earlier["starts"]!.AsArray().OfType<JsonNode>())
        {
            var with = start.Text("kind") switch
            {
                "heat" => Heat(start),
                "tent" => "tent=true",
                "dry" => $"dryFrom={Z(start["on"])}",
                _ => $"product={start.Text("productId")}",
            };
            await StandsAsync(surface, with, start);
        }

        var day = DateOnly.FromDateTime(DateTime.UtcNow.AddDays(5));
        var cheapest = await Firm.Client.GetJsonAsync($"/api/surfaces/{surface}/cheapest-start?before={day:yyyy-MM-dd}");
        if (cheapest["opened"] is not { } opened)
        {
            cheapest["cheaper"]!.AsArray().Count.ShouldBeGreaterThan(1);
            return earlier["starts"]!.AsArray().Count;
        }

        At(opened["start"]).ShouldBeLessThan(DateTimeOffset.UtcNow.AddDays(6));
        string[] acts =
        [
            .. opened["tent"]!.GetValue<bool>() ? ["tent=true"] : Array.Empty<string>(),
            .. opened["productId"] is { } product ? [$"product={product.GetValue<string>()}"] : Array.Empty<string>(),
            .. opened["on"] is not null ? [Heat(opened)] : Array.Empty<string>(),
            .. opened["dryFrom"] is { } dry ? [$"dryFrom={Z(dry)}"] : Array.Empty<string>(),
        ];
        await StandsAsync(surface, string.Join('&', acts), opened);
        return earlier["starts"]!.AsArray().Count + 1;
    }

    [Fact]
    public async Task With_heat_nobody_is_told_that_the_room_is_unheated_and_heat_out_of_range_is_a_sentence()
    {
        await HeaterAsync();
        var surface = await Firm.SurfaceAsync();
        var on = DateTimeOffset.UtcNow.AddHours(1);
        var (plain, heated) = (
            await Firm.HoursAsync(surface),
            await Firm.Client.GetJsonAsync($"/api/surfaces/{surface}/hours?heatFrom={on:yyyy-MM-dd'T'HH:00:00'Z'}&holdC=20")
        );
        plain["assumed"]!.AsArray().Select(one => one!.GetValue<string>()).ShouldContain("unheated");
        heated["assumed"]!.AsArray().Select(one => one!.GetValue<string>()).ShouldNotContain("unheated");
        var answer = await Firm.Client.GetAsync(
            $"/api/surfaces/{surface}/hours?heatFrom={on:yyyy-MM-dd'T'HH:00:00'Z'}&holdC=90",
            TestContext.Current.CancellationToken
        );
        ((int)answer.StatusCode).ShouldBe(400);
    }

    [Fact]
    public async Task What_cannot_be_done_is_not_there()
    {
        var surface = await Firm.SurfaceAsync();
        foreach (var with in new[] { "tent=true", "product=nothing", "product=marl-cc-20" })
        {
            var answer = await Firm.Client.GetAsync($"/api/surfaces/{surface}/hours?{with}", TestContext.Current.CancellationToken);
            answer.StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound, with);
        }
    }

    // The hours with it hold the promised start, in a window or as the hour in which as many members hold.
    private async Task StandsAsync(string surface, string with, JsonNode promised)
    {
        var hours = await Firm.Client.GetJsonAsync($"/api/surfaces/{surface}/hours?{with}");
        var start = At(promised["start"]);
        var window = hours["windows"]!.AsArray().FirstOrDefault(one => At(one!["from"]) <= start && At(one["beginBy"]) >= start);
        window.ShouldNotBeNull($"{with} {promised.ToJsonString()}");
        var hour = hours["hours"]!.AsArray().Single(one => At(one!["start"]) == start)!;
        hour["figures"]!["start"]!.Number("amount").ShouldBe(100.0 * promised["holding"]!.GetValue<int>() / 21, 1e-6);
    }

    private static string Heat(JsonNode start) =>
        string.Create(
            System.Globalization.CultureInfo.InvariantCulture,
            $"heatFrom={Z(start["on"])}&holdC={start["figures"]!["hold"]!.Number("amount")}"
        );

    private static string Z(JsonNode? instant) =>
        At(instant).ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", System.Globalization.CultureInfo.InvariantCulture);

    private static DateTimeOffset At(JsonNode? instant) => instant!.GetValue<DateTimeOffset>().ToUniversalTime();

    private Task HeaterAsync() => MeansAsync(("kind", "spaceHeater"), ("name", $"Heater {Guid.NewGuid():N}"), ("power", "60 kW"));

    private async Task MeansAsync(params (string, string)[] fields)
    {
        var (_, means) = await Firm.Client.SendJsonAsync(HttpMethod.Post, "/api/means", Asking.Typed(null, "metric", fields));
        means["all"]!.AsArray().Count.ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task A_face_washed_when_told_keeps_the_window_and_one_washed_too_late_has_the_next_that_is_told()
    {
        var (surface, plain) = await Firm.WithWindowAsync("Washed", "metalRoof");
        var wash = await WashAsync(surface);
        if (wash["by"] is { } by)
        {
            var washed = await Firm.Client.GetJsonAsync($"/api/surfaces/{surface}/hours?washedAt={Z(by)}");
            washed["windows"]!
                .AsArray()
                .ShouldContain(one => At(one!["from"]) <= At(wash["start"]) && At(one["beginBy"]) >= At(wash["start"]));
        }
        else
        {
            var at = plain["hours"]![1]!["start"];
            var now = await Firm.Client.GetJsonAsync($"/api/surfaces/{surface}/hours?washedAt={Z(at)}");
            var first = now["hours"]!
                .AsArray()
                .FirstOrDefault(hour => At(hour!["start"]) > At(at) && hour["figures"]!["start"]?.Number("amount") >= 80);
            (first is null ? (DateTimeOffset?)null : At(first["start"])).ShouldBe(
                wash["next"] is { } next ? At(next) : (DateTimeOffset?)null
            );
        }

        (await WashAsync((await Firm.WithWindowAsync("Porous", "studWall")).Surface))["start"].ShouldBeNull();
    }

    private Task<JsonNode> WashAsync(string surface) => Firm.Client.GetJsonAsync($"/api/surfaces/{surface}/washing");
}
