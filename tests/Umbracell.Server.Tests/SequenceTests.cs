using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Sequences of a rig as they are run by several people on several devices, and as a firm rewrites them.</summary>
[Collection(WorkingOff.Name)]
public sealed class SequenceTests(Product product)
{
    [Fact]
    public async Task A_sequence_is_gone_on_with_elsewhere_and_is_over_after_its_last_step()
    {
        var rig = await RigAtWork.OfAsync(product);
        var run = await rig.BeginAsync("gunCare");
        (await rig.BeginAsync("gunCare")).ShouldBe(run, "it is not over");
        foreach (var step in await StepsAsync(rig, run))
        {
            var (status, body) = await rig.SayAsync(run, step, "done");
            status.ShouldBe(200, body.ToJsonString());
        }

        var told = await GetAsync(rig, run);
        told["answer"]!["over"]!.GetValue<bool>().ShouldBeTrue();
        told["question"]!["marks"]!.AsArray().ShouldAllBe(mark => mark!.Text("by").Length > 0);
        var listed = (await OfRigAsync(rig)).Single(one => one.Text("kind") == "gunCare");
        listed["last"]!.Text("id").ShouldBe(run);
        listed["last"]!["overAt"].ShouldNotBeNull();
        (await rig.BeginAsync("gunCare")).ShouldNotBe(run);
    }

    [Theory]
    [InlineData("airAtGun", "done", "stepBlocked")]
    [InlineData("engineSeen", "skip: seen yesterday", "stepHardStop")]
    [InlineData("hosesSeen", "skip:  ", "empty")]
    [InlineData("hosesSeen", "120 psi", "unknown")]
    [InlineData("nothing", "done", "unknown")]
    public async Task What_cannot_be_said_of_a_step_is_told_at_it_and_nothing_is_kept(string step, string said, string code)
    {
        var rig = await RigAtWork.OfAsync(product);
        var run = await rig.BeginAsync("dayStart");
        var (status, body) = await rig.SayAsync(run, step, said);
        status.ShouldBe(400, body.ToJsonString());
        body["faults"]!.AsArray().Select(fault => (fault!.Text("field"), fault!.Text("code"))).ShouldBe([(step, code)]);
        (await GetAsync(rig, run))["question"]!["marks"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_reading_is_taken_within_its_limits_alone_and_a_reason_stays()
    {
        var rig = await RigAtWork.OfAsync(product);
        var run = await rig.BeginAsync("dayStart");
        var now = DateTimeOffset.UtcNow;
        string[] first = ["engineSeen", "breakersOff", "engineStarted", "engineSteady"];
        foreach (var step in first)
        {
            (await rig.SayAsync(run, step, "done", now.AddMinutes(-20))).Status.ShouldBe(200);
        }

        (await rig.SayAsync(run, "hosesSeen", "skip: new hoses")).Status.ShouldBe(200);
        (await rig.SayAsync(run, "loadOn", "done")).Status.ShouldBe(200);
        (await rig.SayAsync(run, "compressorOil", "done")).Status.ShouldBe(200);
        (await rig.SayAsync(run, "compressorSet", "20 psi")).Body["faults"]![0]!.Text("code").ShouldBe("outOfRange");
        (await rig.SayAsync(run, "compressorSet", "done")).Status.ShouldBe(400, "it was not read");
        (await rig.SayAsync(run, "compressorSet", "8 bar")).Status.ShouldBe(200);
        var told = await GetAsync(rig, run);
        told["answer"]!["steps"]!.AsArray().Single(step => step!.Text("id") == "compressorSet")!["read"]!
            .Text("metric")
            .ShouldBe("0.8 MPa");
        told["question"]!["marks"]!
            .AsArray()
            .Single(mark => mark!.Text("step") == "hosesSeen")!
            .Text("skippedBecause")
            .ShouldBe("new hoses");
    }

    [Fact]
    public async Task A_wait_holds_what_comes_after_it_and_names_when_it_is_over()
    {
        var rig = await RigAtWork.OfAsync(product);
        var run = await rig.BeginAsync("dayStart");
        foreach (var step in (string[])["engineSeen", "breakersOff", "engineStarted", "engineSteady"])
        {
            (await rig.SayAsync(run, step, "done")).Status.ShouldBe(200);
        }

        (await rig.SayAsync(run, "loadOn", "done")).Body["faults"]![0]!.Text("code").ShouldBe("stepBlocked");
        var told = await GetAsync(rig, run);
        told["answer"]!["nextAt"]!.GetValue<DateTimeOffset>().ShouldBe(DateTimeOffset.UtcNow.AddMinutes(3), TimeSpan.FromMinutes(1));

        // What the page shows, other programs are answered: now, and once the wait is over.
        var question = told["question"]!.DeepClone();
        (await AskAsync(rig, question)).ToJsonString().ShouldBe(told["answer"]!.ToJsonString());
        question["now"] = DateTimeOffset.UtcNow.AddMinutes(4);
        StateOf(await AskAsync(rig, question), "loadOn").ShouldBe("open");
    }

    [Fact]
    public async Task Two_who_do_the_same_step_at_once_have_done_it_once_and_nothing_is_taken_back_from_under_a_later_step()
    {
        var rig = await RigAtWork.OfAsync(product);
        var run = await rig.BeginAsync("dayEnd");
        var both = await Task.WhenAll(Enumerable.Range(0, 4).Select(_ => rig.SayAsync(run, "fluidShut", "done")));
        both.ShouldAllBe(one => one.Status == 200);
        (await GetAsync(rig, run))["question"]!["marks"]!.AsArray().Count.ShouldBe(1);
        (await rig.SayAsync(run, "pumpsParked", "done")).Status.ShouldBe(200);
        (await rig.SayAsync(run, "fluidShut", "open")).Body["faults"]![0]!.Text("code").ShouldBe("stepFollowed");
        (await rig.SayAsync(run, "pumpsParked", "open")).Status.ShouldBe(200);
        (await rig.SayAsync(run, "fluidShut", "open")).Status.ShouldBe(200);
        (await GetAsync(rig, run))["question"]!["marks"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Several_who_begin_a_sequence_at_the_same_moment_begin_one()
    {
        var rig = await RigAtWork.OfAsync(product);
        var runs = await Task.WhenAll(Enumerable.Range(0, 5).Select(_ => rig.BeginAsync("dayEnd")));
        runs.Distinct().Count().ShouldBe(1);
    }

    [Fact]
    public async Task What_is_said_of_several_steps_at_once_counts_in_its_order()
    {
        var rig = await RigAtWork.OfAsync(product);
        var run = await rig.BeginAsync("dayEnd");
        var (status, body) = await rig.Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/sequence-runs/{run}/marks",
            EditedRecords.Command(Guid.NewGuid(), null, null, ("fluidShut", "done"), ("pumpsParked", "done"), ("depressurised", "done"))
        );
        status.ShouldBe(200, body.ToJsonString());
        body["question"]!["marks"]!.AsArray().Count.ShouldBe(3);
    }

    [Fact]
    public async Task A_ring_of_steps_a_wait_without_end_and_steps_that_are_none_are_answered()
    {
        var rig = await RigAtWork.OfAsync(product);
        var ring = JsonNode.Parse(
            """{"now": "2026-11-23T12:00:00Z", "sequence": {"kind": "gunCare", "steps": [{"id": "a", "after": ["b"]}, {"id": "b", "after": ["a"]}]}}"""
        )!;
        StateOf(await AskAsync(rig, ring), "a").ShouldBe("blocked");
        var endless = JsonNode.Parse(
            """
            {"now": "2026-11-23T12:00:00Z", "marks": [{"step": "a", "at": "9999-12-31T23:59:59Z"}],
             "sequence": {"kind": "gunCare", "steps": [{"id": "a", "waitMin": 60}]}}
            """
        )!;
        (await rig.Client.SendJsonAsync(HttpMethod.Post, "/api/compute/sequence", endless)).Status.ShouldBe(400);
        foreach (var steps in new[] { "[null]", """[{"id": null}]""", """[{"id": "a", "after": [null]}]""", "{}", "null" })
        {
            (await ChangeAsync(rig, "gunCare", ("steps", steps))).Status.ShouldBe(400, steps);
        }
    }

    [Fact]
    public async Task What_a_supplied_step_does_to_the_rig_cannot_be_written_away()
    {
        var rig = await RigAtWork.OfAsync(product);
        var without = FileOf("storedRig", "gunOn", "fluidOpen");
        var (status, told) = await ChangeAsync(rig, "storedRig", ("file", without));
        status.ShouldBe(400, "the file says nothing of what they do, and they do it all the same");
        told.Text("detail").ShouldContain("air at the gun");
    }

    [Fact]
    public async Task One_that_was_given_up_takes_nothing_more_and_another_begins()
    {
        var rig = await RigAtWork.OfAsync(product);
        var run = await rig.BeginAsync("dayEnd");
        var ended = await rig.Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/sequence-runs/{run}/end",
            EditedRecords.Command(Guid.NewGuid(), null, null, ("end", "yes"))
        );
        ended.Status.ShouldBe(200);
        (await rig.SayAsync(run, "fluidShut", "done")).Body["faults"]![0]!.Text("code").ShouldBe("runGivenUp");
        (await rig.BeginAsync("dayEnd")).ShouldNotBe(run);
    }

    [Fact]
    public async Task Who_is_protected_in_a_sequence_is_on_record_for_the_test_shot_until_that_is_taken_back()
    {
        var rig = await RigAtWork.OfAsync(product);
        (await rig.GetAsync())["sprayer"].ShouldBeNull();
        var run = await rig.BeginAsync("dayStart");
        (await rig.SayAsync(run, "peopleOut", "done")).Status.ShouldBe(200);
        (await rig.SayAsync(run, "peopleProtected", "done")).Status.ShouldBe(200);
        (await rig.GetAsync())["sprayer"].ShouldNotBeNull();
        (await rig.SayAsync(run, "peopleProtected", "open")).Status.ShouldBe(200);
        (await rig.GetAsync())["sprayer"].ShouldBeNull();
        (await rig.ProtectAsync())["sprayer"]!.Text("sprayer").ShouldBe("applicator");
    }

    [Fact]
    public async Task A_sequence_that_is_edited_while_it_runs_goes_on_as_it_began()
    {
        var rig = await RigAtWork.OfAsync(product);
        try
        {
            var run = await rig.BeginAsync("winterParking");
            var before = await StepsAsync(rig, run);
            (await ChangeAsync(rig, "winterParking", ("file", FileOf("winterParking", "only")))).Status.ShouldBe(200);
            var told = await GetAsync(rig, run);
            told["editedSince"]!.GetValue<bool>().ShouldBeTrue();
            (await StepsAsync(rig, run)).ShouldBe(before);
            var next = await (await RigAtWork.OfAsync(product)).BeginAsync("winterParking", atJob: false);
            (await StepsAsync(rig, next)).ShouldBe(["only"]);
            (await GetAsync(rig, next))["job"].ShouldBeNull();
        }
        finally
        {
            (await ChangeAsync(rig, "winterParking", ("shipped", "yes"))).Status.ShouldBe(200);
        }

        (await KindAsync(rig, "winterParking"))["changedBy"].ShouldBeNull();
    }

    [Fact]
    public async Task A_sequence_that_leaves_people_or_pumps_unprotected_is_refused_with_the_step_and_its_file_with_the_line()
    {
        var rig = await RigAtWork.OfAsync(product);
        JsonArray steps = [Step("gunOn", "gunOn"), Step("fluidOpen", "fluidOpen")];
        var asked = Asking.Typed(null, "us", ("steps", steps.ToJsonString()));
        var (_, faults) = await rig.Client.SendJsonAsync(HttpMethod.Post, "/api/sequences/storedRig/check", asked);
        faults.AsArray().Select(fault => (fault!.Text("step"), fault!.Text("lacks"))).ShouldContain(("fluidOpen", "airAtGun"));
        var (status, body) = await ChangeAsync(rig, "storedRig", ("steps", steps.ToJsonString()));
        status.ShouldBe(400);
        body["faults"]![0]!.Text("code").ShouldBe("unsafeSequence");

        var file = FileOf("storedRig", "gunOn", "fluidOpen")
            .Replace("\"id\": \"fluidOpen\"", "\"id\": \"fluidOpen\", \"act\": \"fluidOpen\"", StringComparison.Ordinal);
        var (refused, told) = await ChangeAsync(rig, "storedRig", ("file", file));
        refused.ShouldBe(400);
        told["lines"]!.AsArray().Select(line => line!["line"]!.GetValue<int>()).ShouldContain(5);
        told.Text("detail").ShouldContain("air at the gun");
        (await ChangeAsync(rig, "storedRig", ("file", FileOf("storedRig", "unheard-of")))).Status.ShouldBe(
            400,
            "nobody knows what to do at it"
        );
        (await ChangeAsync(rig, "storedRig", ("file", FileOf("dayEnd", "fluidShut")))).Status.ShouldBe(400, "it is of another kind");
    }

    [Fact]
    public async Task A_limit_that_was_not_touched_stays_to_the_last_digit_and_what_is_typed_wrong_is_told_at_its_place()
    {
        var rig = await RigAtWork.OfAsync(product);
        var shipped = await KindAsync(rig, "newRig");
        JsonArray steps = [.. shipped["sequence"]!["steps"]!.AsArray().Select(step => Typed(step!, shipped))];
        try
        {
            (await ChangeAsync(rig, "newRig", ("steps", steps.ToJsonString()))).Status.ShouldBe(200);
            var own = await KindAsync(rig, "newRig");
            own["sequence"]!["steps"]!.ToJsonString().ShouldBe(shipped["sequence"]!["steps"]!.ToJsonString());
            own["changedBy"].ShouldNotBeNull();
            var gauge = steps.Select((step, at) => (step!.Text("id"), at)).Single(one => one.Item1 == "compressorSet").at;
            steps[gauge]!["least"] = "90 °F";
            steps[gauge]!["wait"] = "3 days";
            var (status, body) = await ChangeAsync(rig, "newRig", ("steps", steps.ToJsonString()));
            status.ShouldBe(400);
            body["faults"]!.AsArray().Select(fault => fault!.Text("field")).ShouldBe([$"steps.{gauge}.least", $"steps.{gauge}.wait"]);
        }
        finally
        {
            (await ChangeAsync(rig, "newRig", ("shipped", "yes"))).Status.ShouldBe(200);
        }
    }

    private static JsonObject Typed(JsonNode step, JsonNode sequence)
    {
        var limit = sequence["limits"]!.AsArray().SingleOrDefault(one => one!.Text("step") == step.Text("id"));
        return new()
        {
            ["id"] = step.Text("id"),
            ["act"] = step["act"]?.DeepClone(),
            ["hardStop"] = step["hardStop"]!.DeepClone(),
            ["after"] = step["after"]!.DeepClone(),
            ["gauge"] = step["reading"]?["gauge"]!.DeepClone(),
            ["least"] = limit?["least"]!.Text("us") ?? "",
            ["greatest"] = limit?["greatest"]!.Text("us") ?? "",
            ["wait"] = step["waitMin"] is { } minutes ? $"{minutes} min" : "",
            ["who"] = step["who"]!.DeepClone(),
        };
    }

    private static JsonObject Step(string id, string act) => new() { ["id"] = id, ["act"] = act };

    private static string FileOf(string kind, params string[] steps) =>
        $$"""
            {
              "kind": "{{kind}}",
              "steps": [
            {{string.Join(",\n", steps.Select(id => $"    {{ \"id\": \"{id}\"{(id == "only" ? ", \"what\": \"Cover it.\"" : "")} }}"))}}
              ]
            }
            """;

    private static Task<(int Status, JsonNode Body)> ChangeAsync(RigAtWork rig, string kind, (string, string) field) =>
        rig.Client.SendJsonAsync(HttpMethod.Patch, $"/api/sequences/{kind}", Asking.Typed(null, "us", field));

    private static async Task<JsonNode> KindAsync(RigAtWork rig, string kind) =>
        (await rig.Client.GetJsonAsync("/api/sequences")).AsArray().Single(one => one!.Text("kind") == kind)!;

    private static Task<JsonNode> GetAsync(RigAtWork rig, string run) => rig.Client.GetJsonAsync($"/api/sequence-runs/{run}");

    private static async Task<List<JsonNode>> OfRigAsync(RigAtWork rig) =>
        [.. (await rig.Client.GetJsonAsync($"/api/rigs/{rig.Id}/sequences?job={rig.Job}")).AsArray().Select(one => one!)];

    private static async Task<List<string>> StepsAsync(RigAtWork rig, string run) =>
        [.. (await GetAsync(rig, run))["question"]!["sequence"]!["steps"]!.AsArray().Select(step => step!.Text("id"))];

    private static async Task<JsonNode> AskAsync(RigAtWork rig, JsonNode question)
    {
        var (status, answer) = await rig.Client.SendJsonAsync(HttpMethod.Post, "/api/compute/sequence", question);
        status.ShouldBe(200, answer.ToJsonString());
        return answer;
    }

    private static string StateOf(JsonNode answer, string step) =>
        answer["steps"]!.AsArray().Single(one => one!.Text("id") == step)!.Text("state");
}
