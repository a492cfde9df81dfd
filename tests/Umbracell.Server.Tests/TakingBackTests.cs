using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Store;
using Umbracell.Store.Tenancy;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>An edit of any record can be taken back by its id, and that likewise.</summary>
[Collection(EditedRecords.FirmRates)]
public sealed class TakingBackTests(Product product)
{
    /// <summary>Fields of every kind of record, and texts for them that it does not have yet.</summary>
    public static TheoryData<string, string, string> Edits =>
        new()
        {
            { "surface", "name", "Other" },
            { "surface", "openings", "3' x 7'" },
            { "surface", "openLeak", "at the ridge" },
            { "surface", "kind", "unventedDeck" },
            { "job", "name", "Other" },
            { "job", "place", "brindle-quay" },
            { "job", "state", "ordered" },
            { "job", "archived", "yes" },
            { "job", "workDate", "2026-12-01" },
            { "job", "weightCost", "5" },
            { "facts", "soundAsked", "yes" },
            { "joint", "how", "taped" },
            { "buffer", "name", "Void" },
            { "complaint", "words", "at the door" },
            { "fan", "words", "calm" },
            { "thermal", "name", "Other corner" },
            { "thermal", "spots", "4,2,sill" },
            { "note", "traced", "to the flashing" },
            { "photo", "caption", "Second" },
            { "targets", "name", "Ours" },
            { "place", "temps", "20;22;30;42;55;64;69;67;59;48;37;26" },
            { "lot", "part", "12 lb" },
            { "pastJob", "leftOut", "a leak in the hose" },
            { "template", "name", "Other wall" },
            { "template", "outboard", "brick | 4 in; plywood | 1/2 in" },
            { "template", "memberSpacing", "24 in" },
            { "means", "name", "Other tower" },
            { "means", "reach", "20 ft" },
            { "means", "retired", "yes" },
            { "firm", "crewHour", "61.25" },
            { "firm", "set:marl-cc-20", "1999" },
        };

    [Theory]
    [MemberData(nameof(Edits))]
    public async Task What_an_edit_changed_is_as_it_was_and_taken_back_once_more_it_is_made_again(string kind, string field, string text)
    {
        var records = await (kind == "firm" ? EditedRecords.OfAFirmAsync(product) : EditedRecords.OnAWallAsync(product));
        var path = await records.PathAsync(kind);
        var before = await StateAsync(records, kind, path);
        var edit = await EditAsync(records, kind, path, field, text);
        var after = await StateAsync(records, kind, path);
        after.ShouldNotBe(before);

        var undo = await TakeBackAsync(records.Client, edit);
        (await StateAsync(records, kind, path)).ShouldBe(before);
        await TakeBackAsync(records.Client, undo);
        (await StateAsync(records, kind, path)).ShouldBe(after);
    }

    [Theory]
    [InlineData("surface", "name", "sheet", "")]
    [InlineData("job", "name", "crew", "Heron")]
    [InlineData("place", "name", "humidities", "60 %")]
    public async Task What_someone_else_changed_since_stays_and_is_not_taken_back_with_it(
        string kind,
        string mine,
        string theirs,
        string text
    )
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var path = await records.PathAsync(kind);
        var before = await records.FindAsync(kind, path);
        var edit = await EditAsync(records, kind, path, mine, "Mine");

        // Another field: it stays.
        var other = await EditAsync(records, kind, path, theirs, text);
        await TakeBackAsync(records.Client, edit);
        var now = await records.FindAsync(kind, path);
        now.Text(mine).ShouldBe(before.Text(mine));
        await TakeBackAsync(records.Client, other);
        (await StateAsync(records, kind, path)).ShouldBe(Told(before));

        // The same field: nothing is taken back.
        edit = await EditAsync(records, kind, path, mine, "Mine");
        await EditAsync(records, kind, path, mine, "Theirs");
        var (status, body) = await AskBackAsync(records.Client, edit, Guid.CreateVersion7());
        status.ShouldBe(409, body.ToJsonString());
        (await records.FindAsync(kind, path)).Text(mine).ShouldBe("Theirs");
    }

    [Fact]
    public async Task It_says_which_version_the_record_has_and_a_repeat_of_it_changes_nothing()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var path = await records.PathAsync("surface");
        var edit = await EditAsync(records, "surface", path, "name", "Mine");
        var id = Guid.CreateVersion7();
        for (var time = 0; time < 2; time++)
        {
            var (status, body) = await AskBackAsync(records.Client, edit, id);
            status.ShouldBe(200, body.ToJsonString());
            body["version"]!.GetValue<uint>().ShouldBe((await records.VersionAsync("surface", path))!.Value);
        }

        (await records.FindAsync("surface", path)).Text("name").ShouldBe("One");
    }

    [Fact]
    public async Task Nobody_takes_back_what_another_did_nor_what_was_only_added()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var edit = await EditAsync(records, "surface", await records.PathAsync("surface"), "name", "Mine");
        foreach (var name in new[] { "estimator@ninthacre.example", "owner@coldwaterlane.example" })
        {
            (await AskBackAsync(await product.SignedInAsync(name), edit, Guid.CreateVersion7())).Status.ShouldBe(404, name);
        }

        (await AskBackAsync(await product.SignedInAsync("viewer@ninthacre.example"), edit, Guid.CreateVersion7())).Status.ShouldBe(403);
        (await AskBackAsync(records.Client, Guid.CreateVersion7(), Guid.CreateVersion7())).Status.ShouldBe(404);

        var reading = Guid.CreateVersion7();
        await records.Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{records.Wall}/readings",
            EditedRecords.Command(reading, null, null, ("substrate", "50 F"))
        );
        (await AskBackAsync(records.Client, reading, Guid.CreateVersion7())).Status.ShouldBe(404);
    }

    [Fact]
    public async Task To_make_an_edit_again_takes_what_the_edit_took()
    {
        var records = await EditedRecords.OfAFirmAsync(product);
        var edit = await EditAsync(records, "firm", "/api/firm", "setUpHours", "1.75");
        var undo = await TakeBackAsync(records.Client, edit);
        var redo = await TakeBackAsync(records.Client, undo);
        await TakeBackAsync(records.Client, redo);
        foreach (var id in new[] { edit, undo, redo })
        {
            (await PolicyOfAsync(id)).ShouldBe("may-price");
        }
    }

    private async Task<string> PolicyOfAsync(Guid command)
    {
        using var scope = product.Services.CreateScope();
        var db = scope.ServiceProvider.GetRequiredService<UmbracellDb>();
        var firms = scope.ServiceProvider.GetRequiredService<FirmScope>();
        firms.CheckSignIn(EditedRecords.FirmOwner.ToUpperInvariant());
        firms.EnterFirm((await db.People.SingleAsync(TestContext.Current.CancellationToken)).FirmId);
        return (await db.Commands.SingleAsync(c => c.Id == command, TestContext.Current.CancellationToken)).Policy;
    }

    [Fact]
    public async Task What_named_a_record_that_is_gone_is_not_taken_back()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var place = (await records.PathAsync("place")).Split('/')[3];
        var path = await records.PathAsync("job");
        await EditAsync(records, "job", path, "place", place);
        var edit = await EditAsync(records, "job", path, "place", "brindle-quay");
        (
            await records.Client.DeleteAsync($"/api/places/{place}", TestContext.Current.CancellationToken)
        ).IsSuccessStatusCode.ShouldBeTrue();
        (await AskBackAsync(records.Client, edit, Guid.CreateVersion7())).Status.ShouldBe(409);
        (await records.FindAsync("job", path)).Text("placeId").ShouldBe("brindle-quay");
    }

    private static async Task<Guid> EditAsync(EditedRecords records, string kind, string path, string field, string text)
    {
        var id = Guid.CreateVersion7();
        var edit = EditedRecords.Command(id, null, await records.VersionAsync(kind, path), (field, text));
        var (status, body) = await records.Client.SendJsonAsync(HttpMethod.Patch, path, edit);
        status.ShouldBe(200, body.ToJsonString());
        return id;
    }

    private static async Task<Guid> TakeBackAsync(HttpClient client, Guid edit)
    {
        var id = Guid.CreateVersion7();
        var (status, body) = await AskBackAsync(client, edit, id);
        status.ShouldBe(200, body.ToJsonString());
        return id;
    }

    private static Task<(int Status, JsonNode Body)> AskBackAsync(HttpClient client, Guid edit, Guid id) =>
        client.SendJsonAsync(HttpMethod.Post, $"/api/commands/{edit}/undo", new { id });

    private static async Task<string> StateAsync(EditedRecords records, string kind, string path) =>
        Told(await records.FindAsync(kind, path));

    // That it was changed at all is not taken back.
    private static string Told(JsonNode record)
    {
        record["version"] = null;
        return record.ToJsonString();
    }
}
