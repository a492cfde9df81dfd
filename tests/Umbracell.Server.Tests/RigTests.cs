using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The rig of a surface: how it is set, its test shots, who accepts them, and when that counts no longer. A rig that is
/// entered makes the figures of its firm anew: it waits for those who count them.</summary>
[Collection(WorkingOff.Name)]
public sealed class RigTests(Product product)
{
    private static readonly (string, string)[] Good =
    [
        ("cream", "1.5"),
        ("tackFree", "9"),
        ("rose", "full"),
        ("skin", "smooth"),
        ("cells", "fine"),
        ("colour", "usual"),
        ("feel", "firm"),
        ("adhesion", "holds"),
    ];

    [Fact]
    public async Task A_good_shot_is_accepted_once_who_sprays_is_protected_and_the_board_says_so()
    {
        var rig = await SetUpAsync();
        (await rig.CellAsync())["verdict"].ShouldBeNull();
        var refused = await rig.PostAsync("test-shots", Good);
        refused.Status.ShouldBe(400, "nobody has said what is on the rig");
        await rig.SetAsync();
        var fired = await rig.FireAsync(Good);
        fired["standing"]!.Text("case").ShouldBe("waiting");
        (await rig.AcceptAsync(fired, isProtected: false)).ShouldBe(400);
        (await rig.AcceptAsync(fired)).ShouldBe(200);
        var after = await rig.GetAsync();
        after["standing"]!.Text("case").ShouldBe("accepted");
        (await rig.CellAsync()).Text("word").ShouldBe("G14.accepted");
        (await rig.BoardAsync())["feet"]!["shotStands"]!.GetValue<int>().ShouldBe(1);
    }

    [Theory]
    [InlineData("feel", "brittle")]
    [InlineData("adhesion", "peels")]
    [InlineData("layers", "part")]
    [InlineData("cells", "collapsed")]
    [InlineData("shrinks", "yes")]
    [InlineData("pressureB", "5 MPa")]
    [InlineData("sample", "50 kg/m3")]
    public async Task Foam_that_is_off_ratio_or_not_bonded_is_accepted_by_nobody(string field, string seen)
    {
        var rig = await SetUpAsync();
        await rig.SetAsync();
        var fired = await rig.FireAsync([.. Good.Where(one => one.Item1 != field), (field, seen)]);
        fired["standing"]!.Text("case").ShouldBe("refused");
        (await rig.AcceptAsync(fired)).ShouldBe(400);
        (await rig.CellAsync()).Text("word").ShouldBe("G14.refused");
    }

    [Theory]
    [InlineData("setPoints", "primaryA", "128 F")]
    [InlineData("setPoints", "hose", "125 F")]
    [InlineData("setPoints", "pressure", "1000 psi")]
    [InlineData("setPoints", "tip", "02")]
    [InlineData("drums", "drumChanged", "yes")]
    [InlineData("drums", "lotB", "L-77")]
    [InlineData(null, "lotB", "")]
    public async Task A_change_of_the_rig_ends_what_a_shot_proved_and_the_same_again_is_no_change(string? loss, string field, string to)
    {
        var rig = await SetUpAsync();
        await rig.SetAsync();
        (await rig.AcceptAsync(await rig.FireAsync(Good))).ShouldBe(200);
        await rig.SetAsync((field, to));
        var after = await rig.GetAsync();
        after["standing"]!.Text("case").ShouldBe(loss is null ? "accepted" : "lost");
        after["shots"]![0]!["loss"]?.GetValue<string>().ShouldBe(loss);
        (await rig.CellAsync()).Text("word").ShouldBe(loss is null ? "G14.accepted" : "G14.lost");
        if (loss is not null)
        {
            (await rig.AcceptAsync(await rig.FireAsync(Good))).ShouldBe(200);
            (await rig.GetAsync())["standing"]!.Text("case").ShouldBe("accepted");
        }
    }

    [Fact]
    public async Task A_change_at_another_job_ends_it_too_and_so_does_another_product()
    {
        var rig = await SetUpAsync();
        await rig.SetAsync();
        (await rig.AcceptAsync(await rig.FireAsync(Good))).ShouldBe(200);
        var other = await rig.AtAnotherJobAsync("marl-cc-20f");
        await other.SetAsync();
        var after = await rig.GetAsync();
        after["standing"]!.Text("case").ShouldBe("lost");
        after["setting"]!["isOfSurface"]!.GetValue<bool>().ShouldBeFalse();
        (await rig.CellAsync()).Text("word").ShouldBe("G14.lost");
        (await rig.PostAsync("test-shots", Good)).Status.ShouldBe(400, "the other product is on the rig");
    }

    [Fact]
    public async Task One_accepted_on_another_day_counts_no_longer_and_one_that_comes_late_counts_as_of_when_it_was_fired()
    {
        var rig = await SetUpAsync();
        var before = DateTimeOffset.UtcNow.AddDays(-2);
        await rig.SetAsync(before, ("tip", "01"));
        (await rig.AcceptAsync(await rig.FireAsync(Good, before.AddHours(1)), at: before.AddHours(1.2))).ShouldBe(200);
        (await rig.GetAsync())["standing"]!.Text("case").ShouldBe("lost");

        (await rig.AcceptAsync(await rig.FireAsync(Good, before.AddHours(2)))).ShouldBe(400, "its day is over");
        await rig.SetAsync(("tip", "02"));
        var late = await rig.FireAsync(Good, DateTimeOffset.UtcNow.AddHours(-1));
        late["shots"]![0]!.Text("loss").ShouldBe("setPoints", "the tip was changed after it was fired");
        (await rig.AcceptAsync(late)).ShouldBe(400);
        var early = await rig.PostAsync("test-shots", Good, before.AddHours(-1));
        early.Status.ShouldBe(400, "nothing was on the rig then");
    }

    [Fact]
    public async Task A_step_that_is_done_makes_no_foam_good_that_was_fired_before()
    {
        var rig = await SetUpAsync();
        await rig.SetAsync();
        var fired = await rig.FireAsync([("cream", "4"), ("tackFree", "26"), ("rose", "full"), ("feel", "firm"), ("adhesion", "holds")]);
        fired["shots"]![0]!["answer"]!["findings"]!.AsArray().ShouldBeEmpty("a fault is only likelier than none");
        var shown = fired["shots"]![0]!;
        for (var step = 0; step < 18 && !shown["answer"]!["acceptable"]!.GetValue<bool>(); step++)
        {
            var cause = shown["answer"]!["causes"]!.AsArray().First(one => one!["nextStep"] is not null)!.Text("id");
            shown = (await rig.OfShotAsync(fired, "steps", ("cause", cause))).Body["shots"]![0]!;
        }

        shown["answer"]!["acceptable"]!.GetValue<bool>().ShouldBeTrue("no cause is left");
        shown["acceptable"]!.GetValue<bool>().ShouldBeFalse();
        (await rig.AcceptAsync(fired)).ShouldBe(400);
        (await rig.GetAsync())["standing"]!.Text("case").ShouldBe("refused");
    }

    [Fact]
    public async Task What_nobody_read_is_not_taken_for_read_because_it_was_set_or_was_read_long_ago()
    {
        var rig = await SetUpAsync();
        await rig.SetAsync();
        await rig.ReadAsync(DateTimeOffset.UtcNow.AddHours(-5), ("drumA", "50 F"), ("drumB", "50 F"), ("substrate", "41 F"));
        var old = (await rig.FireAsync(Good))["shots"]![0]!["question"]!;
        foreach (
            var gauge in new[]
            {
                "primaryATempC",
                "primaryBTempC",
                "hoseTempC",
                "pressureAMpa",
                "pressureBMpa",
                "drumATempC",
                "substrateTempC",
            }
        )
        {
            old[gauge].ShouldBeNull(gauge);
        }

        await rig.ReadAsync(DateTimeOffset.UtcNow.AddMinutes(-20), ("drumA", "70 F"), ("drumB", "70 F"), ("substrate", "41 F"));
        var now = (await rig.FireAsync([.. Good, ("hose", "118 F")]))["shots"]![0]!["question"]!;
        now.Number("drumATempC").ShouldBe(21.1, 0.1);
        now.Number("substrateTempC").ShouldBe(5, 0.1);
        now.Number("hoseTempC").ShouldBe(47.8, 0.1);
        now["primaryATempC"].ShouldBeNull();
    }

    [Fact]
    public async Task A_step_that_was_done_drops_out_and_stays_out_for_the_next_shot()
    {
        var rig = await SetUpAsync();
        await rig.SetAsync();
        var fired = await rig.FireAsync([("cream", "3.4"), ("tackFree", "21"), ("feel", "soft"), ("adhesion", "gap")]);
        var first = Likeliest(fired);
        var (status, after) = await rig.OfShotAsync(fired, "steps", ("cause", first));
        status.ShouldBe(200, after.ToJsonString());
        ChanceOf(after, first).ShouldBeLessThan(ChanceOf(fired, first));
        Likeliest(after).ShouldNotBe(first);
        var again = await rig.FireAsync([("cream", "3.4"), ("tackFree", "21"), ("feel", "soft"), ("adhesion", "gap")]);
        Likeliest(again).ShouldNotBe(first);
    }

    [Theory]
    [InlineData("tackFree", "timeOrder", "cream=9;tackFree=2")]
    [InlineData("cream", "outOfRange", "cream=700")]
    [InlineData("drumA", "wrongUnit", "drumA=70 psi")]
    [InlineData("feel", "unknown", "feel=magic")]
    public async Task What_was_timed_or_typed_wrong_is_told_at_its_field_and_nothing_is_kept(string field, string code, string typed)
    {
        var rig = await SetUpAsync();
        await rig.SetAsync();
        var (status, body) = await rig.PostAsync("test-shots", [.. typed.Split(';').Select(one => (one.Split('=')[0], one.Split('=')[1]))]);
        status.ShouldBe(400, body.ToJsonString());
        body["faults"]!.AsArray().Select(fault => (fault!.Text("field"), fault!.Text("code"))).ShouldContain((field, code));
        (await rig.GetAsync())["shots"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task What_several_set_at_the_same_moment_is_all_on_the_rig()
    {
        var rig = await SetUpAsync();
        (string, string)[] changes = [("tip", "02"), ("lotA", "L-1"), ("lotB", "L-2"), ("hose", "122 F")];
        await Task.WhenAll(changes.Select(change => rig.SetAsync(change)));
        var setting = (await rig.GetAsync())["setting"]!;
        string[] all = [setting.Text("tip"), setting.Text("lotA"), setting.Text("lotB"), setting["hose"]!.Text("us")];
        all.ShouldBe(["02", "L-1", "L-2", "122 °F"]);
    }

    [Fact]
    public async Task What_the_page_proposes_is_what_other_programs_are_answered()
    {
        var rig = await SetUpAsync();
        var shown = await rig.GetAsync();
        var (status, answer) = await rig.Client.SendJsonAsync(HttpMethod.Post, $"/api/compute/set-points?job={rig.Job}", shown["asked"]!);
        status.ShouldBe(200, answer.ToJsonString());
        answer.ToJsonString().ShouldBe(shown["proposed"]!.ToJsonString());
        answer["findings"]!.AsArray().ShouldNotBeEmpty();
    }

    [Fact]
    public async Task A_rig_that_was_used_is_retired_and_not_removed()
    {
        var rig = await SetUpAsync();
        await rig.SetAsync();
        (await rig.Client.SendJsonAsync(HttpMethod.Delete, $"/api/means/{rig.Id}", new { })).Status.ShouldBe(409);
    }

    [Fact]
    public async Task What_was_set_and_fired_goes_into_the_job_file_and_comes_back_with_it()
    {
        var rig = await SetUpAsync();
        await rig.SetAsync(("tip", "01"), ("lotA", "L-7"));
        await rig.FireAsync([.. Good.Where(one => one.Item1 != "feel"), ("hose", "118 F"), ("feel", "soft")]);
        var fired = await rig.FireAsync([.. Good, ("pressureA", "1200 psi"), ("pressureB", "1150 psi")]);
        (await rig.AcceptAsync(fired)).ShouldBe(200);
        var first = await FileAsync(rig.Client, rig.Job);
        first["testShots"]!.AsArray().Count.ShouldBe(2);
        first["sprayerChecks"]!.AsArray().Count.ShouldBe(1);
        var (status, brought) = await rig.Client.SendJsonAsync(HttpMethod.Post, "/api/jobs/file", first);
        status.ShouldBe(201, brought.ToJsonString());
        var second = await FileAsync(rig.Client, brought.Text("id"));
        foreach (var part in new[] { "rigSettings", "testShots", "sprayerChecks" })
        {
            Unbound(second[part]!).ShouldBe(Unbound(first[part]!), part);
        }

        var now = (await rig.GetAsync())["setting"]!;
        now.Text("tip").ShouldBe("01", "what came with a file is not what is on the rig");

        static string Unbound(JsonNode part)
        {
            foreach (var row in part.AsArray())
            {
                row!.AsObject().Remove("id");
                row.AsObject().Remove("surfaceId");
            }

            return part.ToJsonString();
        }

        static Task<JsonNode> FileAsync(HttpClient client, string job) => client.GetJsonAsync($"/api/jobs/{job}/file");
    }

    private static string Likeliest(JsonNode rig) => rig["shots"]![0]!["answer"]!["causes"]![0]!.Text("id");

    private static double ChanceOf(JsonNode rig, string cause) =>
        rig["shots"]![0]!["answer"]!["causes"]!.AsArray().Single(one => one!.Text("id") == cause)!.Number("chance");

    private Task<RigAtWork> SetUpAsync() => RigAtWork.OfAsync(product);
}
