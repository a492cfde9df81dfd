using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using UglyToad.PdfPig;
using Umbracell.Documents;
using Umbracell.Server.Papers;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Papers of a job: made by the server from what it knows, kept, and printed from what it kept.</summary>
public sealed class PaperTests(Product product)
{
    [Fact]
    public void Every_kind_of_paper_is_made_by_one_part_of_the_product()
    {
        using var scope = product.Services.CreateScope();
        scope.ServiceProvider.GetServices<IPaperMaker>().Select(maker => maker.Kind).Order().ShouldBe(Enum.GetValues<PaperKind>());
    }

    [Theory]
    [InlineData("us")]
    [InlineData("metric")]
    public async Task The_customer_reads_what_is_done_and_what_it_costs_and_nothing_of_how_the_price_comes_about(string units)
    {
        var client = await QuietAsync();
        var job = await PricedJobs.WallsAsync(client, $"Outer {units}", "2027-01-15");
        var price = await client.GetJsonAsync($"/api/jobs/{job}/price");
        var outer = await TextAsync(client, await MakeAsync(client, job, "outerBid", units));
        var wall = price["surfaces"]![0]!;
        foreach (
            var told in new[]
            {
                $"Outer {units}",
                "Jan 15, 2027",
                "Walls",
                wall["treated"]!.Text(units),
                $"Marl CC-20 {wall["layers"]![0]!["thickness"]!.Text(units)}",
                wall["r"]!.Text(units),
                price["bid"]!["figures"]!["price"]!.Text(units).Replace('¤', '$'),
            }
        )
        {
            outer.ShouldContain(told);
        }

        var inner = await TextAsync(client, await MakeAsync(client, job, "innerBid", units));
        foreach (var line in price["bid"]!["lines"]!.AsArray().Select(l => l!))
        {
            var amount = line["amount"]!["figure"]!.Text(units).Replace('¤', '$');
            inner.ShouldContain(amount);
            if (line.Text("key") != "tax")
            {
                outer.ShouldNotContain($" {amount} ", Case.Sensitive, line.Text("key"));
            }
        }

        inner.ShouldContain("Not for the customer");
        inner.ShouldContain(wall["sets"]!.Text(units));
        foreach (var kept in new[] { "Overhead", "Profit", "sets", "Crew" })
        {
            outer.ShouldNotContain(kept);
        }
    }

    [Fact]
    public async Task A_paper_reads_as_it_was_made_however_the_job_changes()
    {
        var client = await QuietAsync();
        var job = await PricedJobs.WallsAsync(client, "Paper that stays", "2027-01-15");
        var made = await MakeAsync(client, job, "outerBid");
        var before = await TextAsync(client, made);
        (await MakeAsync(client, job, "outerBid")).Text("id").ShouldBe(made.Text("id"), "nothing has changed");
        (await MakeAsync(client, job, "outerBid", "metric")).Text("id").ShouldNotBe(made.Text("id"), "other units");

        await MoveAsync(client, job, "2027-07-15");
        (await TextAsync(client, made)).ShouldBe(before);

        var now = await MakeAsync(client, job, "outerBid");
        now.Text("id").ShouldNotBe(made.Text("id"));
        (await TextAsync(client, now)).ShouldContain("Another name");
        var listed = (await client.GetJsonAsync($"/api/jobs/{job}/papers")).AsArray();
        listed.Select(p => p!.Text("title")).ShouldBe(["Price: Another name", "Price: Paper that stays", "Price: Paper that stays"]);

        // Moved on and back again it is a paper of its own: the newest is always the one just made.
        await MoveAsync(client, job, "2027-01-16");
        await MakeAsync(client, job, "outerBid");
        await MoveAsync(client, job, "2027-07-15");
        var back = await MakeAsync(client, job, "outerBid");
        back.Text("id").ShouldNotBe(now.Text("id"));
        (await TextAsync(client, back)).ShouldBe(await TextAsync(client, now));
    }

    [Fact]
    public async Task What_is_earned_stands_on_papers_of_those_who_price_alone()
    {
        var owner = await product.SignedInAsync("owner@ninthacre.example");
        var lead = await product.SignedInAsync("lead@ninthacre.example");
        var job = await owner.DemoJobAsync("ferry house");
        var bid = await MakeAsync(owner, job, "outerBid");
        var order = await MakeAsync(owner, job, "order");
        (await AskAsync(lead, job, new { kind = "outerBid", units = "us" })).Status.ShouldBe(403);
        (await AskAsync(lead, job, new { kind = "innerBid", units = "us" })).Status.ShouldBe(403);
        foreach (var hidden in new[] { bid, order })
        {
            (await FileAsync(lead, hidden, "pdf")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        }

        var theirs = await MakeAsync(lead, job, "order");
        theirs.Text("id").ShouldNotBe(order.Text("id"));
        (await CsvAsync(owner, order)).Split('\n')[0].ShouldContain("Price");
        (await CsvAsync(lead, theirs)).Split('\n')[0].ShouldNotContain("Price");
        (await lead.GetJsonAsync($"/api/jobs/{job}/papers"))
            .AsArray()
            .Select(p => p!.Text("id"))
            .ShouldNotContain(id => id == bid.Text("id") || id == order.Text("id"));
    }

    [Fact]
    public async Task Another_firm_reads_no_paper_of_this_one()
    {
        var owner = await product.SignedInAsync("owner@ninthacre.example");
        var stranger = await product.SignedInAsync("owner@coldwaterlane.example");
        var job = await owner.DemoJobAsync("ferry house");
        var paper = await MakeAsync(owner, job, "loadList");
        foreach (var ending in new[] { "pdf", "xlsx", "csv" })
        {
            (await FileAsync(owner, paper, ending)).StatusCode.ShouldBe(HttpStatusCode.OK);
            (await FileAsync(stranger, paper, ending)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        }

        (await AskAsync(stranger, job, new { kind = "loadList", units = "us" })).Status.ShouldBe(404);
        var list = await stranger.GetAsync($"/api/jobs/{job}/papers", TestContext.Current.CancellationToken);
        list.StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task The_order_says_of_every_line_its_job_and_day_and_what_it_costs()
    {
        var client = await QuietAsync();
        var job = await PricedJobs.WallsAsync(client, "Ordered job", "2027-01-15", "240' x 20'");
        var order = await client.GetJsonAsync($"/api/jobs/{job}/order");
        var line = order["lines"]![0]!;
        var count = line["orderCount"]!.GetValue<int>();
        count.ShouldBeGreaterThan(0);
        var rows = (await CsvAsync(client, await MakeAsync(client, job, "order"))).Split("\r\n");
        rows[0].ShouldEndWith("Price ($)");
        var money = line["price"]!.Text("us").Replace(",", "", StringComparison.Ordinal).Trim('¤');
        rows[1]
            .ShouldStartWith(
                $"Ordered job,2027-01-15,{order.Text("orderBy")},Marl CC-20,{count},{count},{count},{double.Parse(money, CultureInfo.InvariantCulture)}"
            );

        var load = await TextAsync(client, await MakeAsync(client, job, "loadList"));
        load.ShouldContain(order["weight"]!.Text("us"));
        load.ShouldContain($"blanket on {line["drums"]![0]!["lead"]!["figure"]!.Text("us")} before");
    }

    [Fact]
    public async Task A_comparison_holds_the_figures_of_the_choice()
    {
        var client = await QuietAsync();
        var job = await PricedJobs.WallsAsync(client, "Compared", "2027-01-15");
        var surface = await PricedJobs.SurfaceAsync(client, job);
        var systems = (await client.GetJsonAsync($"/api/surfaces/{surface}/choose"))["answer"]!["candidates"]!.AsArray().Take(2).ToList();
        var wish = new
        {
            kind = "comparison",
            units = "metric",
            surfaceId = surface,
            systems = systems.ConvertAll(s => s!.Text("id")),
        };
        var (status, paper) = await AskAsync(client, job, wish);
        status.ShouldBe(200, paper.ToJsonString());
        var text = await TextAsync(client, paper);
        text.ShouldContain("Walls: systems side by side");
        foreach (var system in systems)
        {
            text.ShouldContain(system!["u"]!["figure"]!.Text("metric"));
            text.ShouldContain(system["hours"]!.Text("metric"));
        }

        foreach (var wrong in new[] { wish with { systems = wish.systems[..1] }, wish with { systems = [wish.systems[0], "unheard-of"] } })
        {
            var (refused, problem) = await AskAsync(client, job, wrong);
            refused.ShouldBe(400);
            problem["errors"]!.ToJsonString().ShouldContain("systems");
        }
    }

    [Fact]
    public async Task Papers_travel_in_the_job_file_and_read_there_as_they_were_made()
    {
        var owner = await QuietAsync();
        var job = await PricedJobs.WallsAsync(owner, "Filed papers", "2027-01-15");
        var bid = await TextAsync(owner, await MakeAsync(owner, job, "outerBid"));
        var load = await MakeAsync(owner, job, "loadList");
        var file = await owner.GetStringAsync($"/api/jobs/{job}/file", TestContext.Current.CancellationToken);
        var (status, brought) = await owner.UploadAsync("/api/jobs/file", Encoding.UTF8.GetBytes(file));
        status.ShouldBe(201, brought.ToJsonString());
        var papers = (await owner.GetJsonAsync($"/api/jobs/{brought.Text("id")}/papers")).AsArray();
        papers.Select(p => p!.Text("kind")).ShouldBe(["loadList", "outerBid"]);
        (await TextAsync(owner, papers[1]!)).ShouldBe(bid);

        // Papers of earlier files named no money, and read as they did.
        var older = JsonNode.Parse(file)!;
        older["papers"]!.AsArray().ShouldAllBe(one => one!["document"]!.AsObject().Remove("currency"));
        (status, brought) = await owner.UploadAsync("/api/jobs/file", Encoding.UTF8.GetBytes(older.ToJsonString()));
        status.ShouldBe(201, brought.ToJsonString());
        papers = (await owner.GetJsonAsync($"/api/jobs/{brought.Text("id")}/papers")).AsArray();
        (await TextAsync(owner, papers[1]!)).ShouldBe(bid);

        // A crew lead takes along what a crew may read.
        var lead = await product.SignedInAsync("lead@ninthacre3.example");
        var theirs = (await lead.GetJsonAsync($"/api/jobs/{job}/file"))["papers"]!.AsArray();
        theirs.Select(p => p!["document"]!.Text("title")).ShouldBe([load.Text("title")]);
    }

    private static async Task MoveAsync(HttpClient client, string job, string day)
    {
        var edit = Asking.Typed(null, "us", ("workDate", day), ("name", "Another name"));
        (await client.SendJsonAsync(HttpMethod.Patch, $"/api/jobs/{job}", edit)).Status.ShouldBe(200);
    }

    // A firm whose rates no other test changes meanwhile: answer and paper are asked for one after the other.
    private Task<HttpClient> QuietAsync() => product.SignedInAsync("owner@ninthacre3.example");

    private static Task<(int Status, JsonNode Body)> AskAsync(HttpClient client, string job, object wish) =>
        client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/papers", wish);

    private static async Task<JsonNode> MakeAsync(HttpClient client, string job, string kind, string units = "us")
    {
        var (status, paper) = await AskAsync(client, job, new { kind, units });
        status.ShouldBe(200, paper.ToJsonString());
        return paper;
    }

    private static Task<HttpResponseMessage> FileAsync(HttpClient client, JsonNode paper, string ending) =>
        client.GetAsync($"/api/papers/{paper.Text("id")}/{ending}", TestContext.Current.CancellationToken);

    private static async Task<string> CsvAsync(HttpClient client, JsonNode paper) =>
        await (await FileAsync(client, paper, "csv")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken);

    /// <summary>The words of a paper, in the order they stand on it.</summary>
    private static async Task<string> TextAsync(HttpClient client, JsonNode paper)
    {
        var file = await FileAsync(client, paper, "pdf");
        file.StatusCode.ShouldBe(HttpStatusCode.OK);
        using var pdf = PdfDocument.Open(await file.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken));
        return string.Join(' ', pdf.GetPages().SelectMany(page => page.GetWords()).Select(word => word.Text));
    }
}
