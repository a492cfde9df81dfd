using System.Net;
using System.Reflection;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Routing;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Server.Requests;
using Umbracell.Server.Survey.Exchange;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Every refusal has its words, however a request is made; a later endpoint is tried by itself.</summary>
public sealed class RefusalTests(Product product)
{
    // As a browser, a feed reader and a program that takes nothing ask.
    private static readonly string[] Accepted = ["text/html", "application/xml", "image/png;q=0.1, */*;q=0"];

    [Fact]
    public async Task It_is_worded_whatever_whoever_asks_accepts()
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        foreach (var (endpoint, i) in Endpoints.Of(product).Where(OfApi).Select((endpoint, i) => (endpoint, i)))
        {
            var accepted = Accepted[i % Accepted.Length];
            using var request = Endpoints.RequestTo(endpoint);
            request.Headers.Accept.ParseAdd(accepted);
            request.Content = Json("nonsense");
            var answer = await owner.SendAsync(request, TestContext.Current.CancellationToken);
            var said = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
            ((int)answer.StatusCode).ShouldBeLessThan(500, Endpoints.NameOf(endpoint));
            if ((int)answer.StatusCode >= 400)
            {
                JsonNode.Parse(said)!.Text("title").ShouldNotBeEmpty(Endpoints.NameOf(endpoint));
            }
        }
    }

    [Theory]
    [InlineData("bogus", 415)]
    [InlineData("utf-16", 415)]
    [InlineData("\"UTF-8\"", 201)]
    [InlineData("utf-8", 201)]
    public async Task Text_is_in_utf_8_and_what_says_otherwise_is_refused_with_words(string charset, int status)
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        using var content = Json("""{"units":"metric","fields":{"name":"one"}}""");
        content.Headers.Remove("Content-Type");
        content.Headers.TryAddWithoutValidation("Content-Type", $"application/json; charset={charset}");
        var answer = await owner.PostAsync("/api/jobs", content, TestContext.Current.CancellationToken);
        ((int)answer.StatusCode).ShouldBe(status);
        if (status == 415)
        {
            (await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).ShouldContain("UTF-8");
        }
    }

    [Theory]
    [InlineData("/api/compute/bid", """{"surfaces":[null]}""", "surfaces[0]")]
    [InlineData("/api/jobs", """{"units":"metric","fields":{"name":null}}""", "fields.name")]
    [InlineData("/api/jobs/{job}/imports/table", """{"content":"YQ==","units":"us","columns":[null]}""", "columns[0]")]
    [InlineData(
        "/api/jobs/{job}/imports/check",
        """{"units":"us","rows":[{"line":1,"note":"","fields":{"name":null}}]}""",
        "rows[0].fields.name"
    )]
    [InlineData("/api/jobs/{job}/surfaces/remove", """{"ids":[null]}""", "ids")]
    public async Task Nothing_where_something_is_due_is_told_with_its_place(string path, string body, string place)
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        var (_, job) = await owner.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "metric", ("name", "one")));
        using var content = Json(body);
        var answer = await owner.PostAsync(
            path.Replace("{job}", job.Text("id"), StringComparison.Ordinal),
            content,
            TestContext.Current.CancellationToken
        );
        var said = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest, said);
        JsonNode.Parse(said)!["errors"]!.AsObject().Select(error => error.Key).ShouldContain(key => key.StartsWith(place), said);
    }

    private static void Take(TableToImport table) => table.Content.ShouldNotBeNull();

    [Fact]
    public void A_file_within_what_was_sent_is_not_looked_at_byte_by_byte()
    {
        var body = ((Delegate)Take).Method.GetParameters()[0];
        var how = new NullabilityInfoContext().Create(body);
        var table = new TableToImport(new byte[4_000_000], UnitSystem.Us, null, null);
        Gaps.In(table, how).ShouldBeEmpty();
        var before = GC.GetAllocatedBytesForCurrentThread();
        Gaps.In(table, how);
        (GC.GetAllocatedBytesForCurrentThread() - before).ShouldBeLessThan(10_000);
    }

    private static bool OfApi(RouteEndpoint endpoint) =>
        endpoint.RoutePattern.RawText!.TrimStart('/').StartsWith("api/", StringComparison.Ordinal)
        && endpoint.Metadata.GetMetadata<IHttpMethodMetadata>() is { HttpMethods.Count: > 0 }
        && Endpoints.NameOf(endpoint) is not ("DELETE /api/session" or "DELETE /api/session/devices");

    private static StringContent Json(string text) => new(text, Encoding.UTF8, "application/json");
}
