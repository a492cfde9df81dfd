using System.Text.Json.Nodes;
using Shouldly;
using SkiaSharp;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>What is entered on site may arrive late, twice, or in another order than it was made.</summary>
public sealed class CommandTests(Product product)
{
    private static readonly DateTimeOffset Yesterday = DateTimeOffset.UtcNow.AddDays(-1);

    [Fact]
    public async Task A_reading_sent_again_is_one_reading_and_is_answered_as_the_first_was()
    {
        var (client, _, wall) = await WallAsync();
        var reading = Command(Guid.CreateVersion7(), null, ("substrate", "50 F"));
        var (first, again) = (await ReadAsync(client, wall, reading), await ReadAsync(client, wall, reading));
        again["readings"]!.ToJsonString().ShouldBe(first["readings"]!.ToJsonString());
        (await FiledAsync(client, wall)).Count(r => r!.Text("kind") == "substrateTemperature").ShouldBe(1);
    }

    [Fact]
    public async Task Of_a_command_that_arrives_many_times_at_once_one_is_written_and_none_is_told_that_the_server_failed()
    {
        var (client, _, wall) = await WallAsync();
        var note = Command(Guid.CreateVersion7(), null, ("kind", "leak"), ("words", "at the sill"));
        var answers = await Task.WhenAll(
            Enumerable.Range(0, 8).Select(_ => client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{wall}/notes", note))
        );
        answers.ShouldAllBe(a => a.Status == 200 || a.Status == 409);
        answers.ShouldContain(a => a.Status == 200);
        (await client.GetJsonAsync($"/api/surfaces/{wall}/notes")).AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_choice_taken_back_twice_by_one_command_is_taken_back_once()
    {
        var (client, _, wall) = await WallAsync();
        var path = $"/api/surfaces/{wall}/choose";
        var seen = await client.GetJsonAsync(path);
        var standing = seen["answer"]!["candidates"]!.AsArray().Where(c => !c!["excluded"]!.GetValue<bool>()).Take(2).ToList();
        foreach (var candidate in standing)
        {
            var choosing = new { version = Version(await client.GetJsonAsync(path)), candidateId = candidate!.Text("id") };
            await SendAsync(client, HttpMethod.Post, path, choosing);
        }

        var back = new { id = Guid.CreateVersion7(), version = Version(await client.GetJsonAsync(path)) };
        for (var time = 0; time < 2; time++)
        {
            (await SendAsync(client, HttpMethod.Post, path + "/back", back)).Text("chosenId").ShouldBe(standing[0]!.Text("id"));
        }

        static uint Version(JsonNode choice) => choice["version"]!.GetValue<uint>();
    }

    [Fact]
    public async Task A_reading_that_arrives_a_day_late_stands_at_its_own_time_and_is_not_fresh()
    {
        var (client, _, wall) = await WallAsync();
        var late = Command(
            Guid.CreateVersion7(),
            Yesterday,
            ("substrate", "60 F"),
            ("air", "65 F"),
            ("humidity", "40 %"),
            ("wood", "12 %")
        );
        var window = await ReadAsync(client, wall, late);
        var reading = window["readings"]!.AsArray().Single(r => r!.Text("kind") == "substrateTemperature")!;
        reading["takenAt"]!.GetValue<DateTimeOffset>().ShouldBe(Yesterday, TimeSpan.FromMilliseconds(1));
        IsStale(window).ShouldBeTrue();

        // Taken now, the same readings are fresh.
        var now = Command(Guid.CreateVersion7(), null, ("substrate", "60 F"), ("air", "65 F"), ("humidity", "40 %"), ("wood", "12 %"));
        IsStale(await ReadAsync(client, wall, now)).ShouldBeFalse();

        static bool IsStale(JsonNode window) => window["answer"]!["findings"]!.AsArray().Any(f => f!.Text("case") == "stale");
    }

    [Fact]
    public async Task A_late_reading_does_not_push_a_newer_one_aside_and_one_from_the_future_is_taken_as_of_now()
    {
        var (client, _, wall) = await WallAsync();
        await ReadAsync(client, wall, Command(Guid.CreateVersion7(), null, ("substrate", "50 F")));
        await ReadAsync(client, wall, Command(Guid.CreateVersion7(), Yesterday, ("substrate", "70 F")));
        (await SubstrateAsync(client, wall))["figure"]!.Number("amount").ShouldBe(10, 0.01);

        await ReadAsync(client, wall, Command(Guid.CreateVersion7(), DateTimeOffset.UtcNow.AddDays(3), ("substrate", "41 F")));
        var now = await SubstrateAsync(client, wall);
        now["figure"]!.Number("amount").ShouldBe(5, 0.01);
        now["takenAt"]!.GetValue<DateTimeOffset>().ShouldBe(DateTimeOffset.UtcNow, TimeSpan.FromMinutes(1));
    }

    [Theory]
    [InlineData("yes", "no")]
    [InlineData("no", "yes")]
    public async Task Of_two_ticks_the_later_stands_whichever_arrives_first(string earlier, string later)
    {
        var (client, _, wall) = await WallAsync();
        var path = $"/api/surfaces/{wall}/preparation/masked";
        await SendAsync(client, HttpMethod.Patch, path, Command(Guid.CreateVersion7(), Yesterday.AddHours(2), ("done", later)));
        var list = await SendAsync(client, HttpMethod.Patch, path, Command(Guid.CreateVersion7(), Yesterday, ("done", earlier)));
        var task = list["surfaces"]!.AsArray().Single(s => s!.Text("surfaceId") == wall)!["tasks"]!
            .AsArray()
            .Single(t => t!.Text("item") == "masked")!;
        task["done"]!.GetValue<bool>().ShouldBe(later == "yes");
    }

    [Fact]
    public async Task A_note_and_a_photo_sent_again_are_one_under_the_id_of_the_device()
    {
        var (client, job, wall) = await WallAsync();
        var (note, photo) = (Guid.CreateVersion7(), Guid.CreateVersion7());
        for (var time = 0; time < 2; time++)
        {
            var command = Command(note, Yesterday, ("kind", "leak"), ("words", "at the sill"));
            await SendAsync(client, HttpMethod.Post, $"/api/surfaces/{wall}/notes", command);
            var address = $"/api/jobs/{job}/photos?surface={wall}&command={photo}&at={Uri.EscapeDataString(Yesterday.ToString("O"))}";
            (await client.UploadAsync(address, Picture())).Status.ShouldBe(200);
        }

        var kept = (await client.GetJsonAsync($"/api/surfaces/{wall}/notes")).AsArray().Single()!;
        kept.Text("id").ShouldBe(note.ToString());
        kept["notedAt"]!.GetValue<DateTimeOffset>().ShouldBe(Yesterday, TimeSpan.FromMilliseconds(1));
        var picture = (await client.GetJsonAsync($"/api/jobs/{job}/photos")).AsArray().Single()!;
        picture.Text("id").ShouldBe(photo.ToString());
        picture["addedAt"]!.GetValue<DateTimeOffset>().ShouldBe(Yesterday, TimeSpan.FromMilliseconds(1));
    }

    [Fact]
    public async Task A_surface_added_twice_by_one_command_is_one_surface()
    {
        var (client, job, _) = await WallAsync();
        var command = Command(Guid.CreateVersion7(), null, ("name", "Deck"));
        var ids = new List<string>();
        for (var time = 0; time < 2; time++)
        {
            ids.Add((await SendAsync(client, HttpMethod.Post, $"/api/jobs/{job}/surfaces", command)).Text("id"));
        }

        ids.Distinct().Count().ShouldBe(1);
        (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray().Count(s => s!.Text("name") == "Deck").ShouldBe(1);
    }

    /// <summary>Every record that is changed field by field: where it is, and a field with two texts.</summary>
    public static TheoryData<string, string, string, string> Records =>
        new()
        {
            { "surface", "name", "First", "Second" },
            { "job", "name", "First", "Second" },
            { "facts", "soundAsked", "yes", "no" },
            { "joint", "how", "taped", "sealed" },
            { "buffer", "name", "Loft", "Void" },
            { "fan", "words", "calm", "windy" },
            { "targets", "name", "Ours", "Ours again" },
            { "place", "name", "Here", "There" },
            { "complaint", "words", "at the door", "at the sill" },
            { "thermal", "name", "North corner", "South corner" },
            { "lot", "part", "10 lb", "20 lb" },
            { "pastJob", "leftOut", "a leak", "a storm" },
            { "note", "words", "at the door", "at the eaves" },
            { "photo", "caption", "North", "South" },
        };

    [Theory]
    [MemberData(nameof(Records))]
    public async Task An_edit_whose_answer_was_lost_changes_nothing_when_it_is_sent_again(
        string record,
        string field,
        string mine,
        string theirs
    )
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var client = records.Client;
        var path = await records.PathAsync(record);
        var version = await records.VersionAsync(record, path);
        var edit = EditedRecords.Command(version, (field, mine));
        (await client.SendJsonAsync(HttpMethod.Patch, path, edit)).Status.ShouldBe(200);

        // Somebody else comes in between: the repeat must neither undo that nor be told that it came too late.
        var other = EditedRecords.Command(await records.VersionAsync(record, path), (field, theirs));
        (await client.SendJsonAsync(HttpMethod.Patch, path, other)).Status.ShouldBe(200);
        var before = await records.VersionAsync(record, path);
        var (status, body) = await client.SendJsonAsync(HttpMethod.Patch, path, edit);
        status.ShouldBe(200, body.ToJsonString());
        (await records.VersionAsync(record, path)).ShouldBe(before);

        // An edit of its own against the version of before is told.
        (await client.SendJsonAsync(HttpMethod.Patch, path, EditedRecords.Command(version, (field, mine)))).Status.ShouldBe(409);
    }

    internal static byte[] Picture()
    {
        using var bitmap = new SKBitmap(8, 6);
        using var image = bitmap.Encode(SKEncodedImageFormat.Png, 90);
        return image.ToArray();
    }

    private static object Command(Guid id, DateTimeOffset? at, params (string Field, string Text)[] fields) =>
        EditedRecords.Command(id, at, null, fields);

    private static async Task<JsonNode> SendAsync(HttpClient client, HttpMethod method, string path, object command)
    {
        var (status, body) = await client.SendJsonAsync(method, path, command);
        status.ShouldBeInRange(200, 201, body.ToJsonString());
        return body;
    }

    private static Task<JsonNode> ReadAsync(HttpClient client, string wall, object command) =>
        SendAsync(client, HttpMethod.Post, $"/api/surfaces/{wall}/readings", command);

    private static async Task<JsonNode> SubstrateAsync(HttpClient client, string wall) =>
        (await client.GetJsonAsync($"/api/surfaces/{wall}/window"))["readings"]!
            .AsArray()
            .Single(r => r!.Text("kind") == "substrateTemperature")!;

    private static async Task<JsonArray> FiledAsync(HttpClient client, string wall) =>
        (await client.GetJsonAsync($"/api/surfaces/{wall}/window"))["readings"]!.AsArray();

    private async Task<(HttpClient Client, string Job, string Wall)> WallAsync()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        return (records.Client, records.Job, records.Wall);
    }
}
