using System.Net;
using System.Net.Http.Json;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A browser is not used against the person before it, and nobody is believed about where they come from.</summary>
[Collection(OneProduct.CountsTries)]
public sealed class HttpSafetyTests(Product product)
{
    private const string Proxy = "10.1.2.3";

    [Theory]
    [InlineData("/", 200)]
    [InlineData("/api/session", 401)]
    [InlineData("/api/nothing-here", 404)]
    [InlineData("/healthz", 200)]
    public async Task Every_answer_has_the_safe_headers_errors_too(string path, int status)
    {
        var answer = await product.CreateClient().GetAsync(path, TestContext.Current.CancellationToken);

        // The pages are built beside these tests and may not be there.
        ((int)answer.StatusCode).ShouldBeOneOf(status, path == "/" ? 404 : status);
        ShouldBeSafe(answer, path.StartsWith("/api", StringComparison.Ordinal));
    }

    [Fact]
    public async Task What_is_refused_while_it_is_read_has_them_as_well()
    {
        var client = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        using var broken = new StringContent("{", new System.Net.Http.Headers.MediaTypeHeaderValue("application/json"));
        var answer = await client.PostAsync("/api/jobs", broken, TestContext.Current.CancellationToken);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        ShouldBeSafe(answer, ofFirm: true);
    }

    [Theory]
    [InlineData("Sec-Fetch-Site", "cross-site", 403)]
    [InlineData("Sec-Fetch-Site", "same-site", 403)]
    [InlineData("Sec-Fetch-Site", "none", 403)]
    [InlineData("Sec-Fetch-Site", "same-origin", 204)]
    [InlineData("Origin", "https://elsewhere.example", 403)]
    [InlineData("Origin", "null", 403)]
    [InlineData("Origin", "http://localhost", 204)]
    public async Task A_write_by_cookie_comes_from_our_own_pages(string header, string value, int expected)
    {
        var client = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Viewer))[0]);
        client.DefaultRequestHeaders.Add(header, value);
        (await client.SendJsonAsync(HttpMethod.Put, "/api/session/units", new { units = "metric" })).Status.ShouldBe(expected);
    }

    [Fact]
    public async Task A_program_with_a_token_is_no_browser()
    {
        var client = product.WithToken();
        client.DefaultRequestHeaders.Add("Sec-Fetch-Site", "cross-site");
        (await client.SendJsonAsync(HttpMethod.Post, "/api/compute/air", new { tempC = 20, rhPct = 50 })).Status.ShouldNotBe(403);
    }

    [Fact]
    public async Task A_named_proxy_is_believed_and_its_cookie_is_bound_to_host_and_https()
    {
        await using var behind = From(Proxy, Proxy);
        var answer = await SignInAsync(behind, ("X-Forwarded-Proto", "https"), ("X-Forwarded-For", "203.0.113.9"));
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var cookie = answer.Headers.GetValues("Set-Cookie").Single(c => c.Contains("umbracell=", StringComparison.Ordinal));
        cookie.ShouldStartWith("__Host-umbracell=");
        cookie.ShouldContain("; secure");
        cookie.ShouldContain("; path=/;");
        cookie.ShouldContain("; httponly");
        cookie.ShouldContain("; samesite=strict");
        answer.Headers.GetValues("Strict-Transport-Security").Single().ShouldBe("max-age=2592000");
    }

    [Fact]
    public async Task What_anyone_else_says_in_its_name_is_no_more_than_a_claim()
    {
        await using var forged = From("10.9.9.9", Proxy);
        var answer = await SignInAsync(forged, ("X-Forwarded-Proto", "https"), ("X-Forwarded-For", "127.0.0.1"));
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).ShouldContain("https");
        answer.Headers.Contains("Set-Cookie").ShouldBeFalse();
    }

    [Fact]
    public async Task Guesses_from_one_address_wait_under_whatever_names()
    {
        await using var behind = From(Proxy, Proxy);
        (string, string)[] headers = [("X-Forwarded-Proto", "https"), ("X-Forwarded-For", $"2001:db8::{Random.Shared.Next(0x10000):x}")];
        var (status, tried) = (HttpStatusCode.Unauthorized, 0);
        for (; status == HttpStatusCode.Unauthorized && tried < 100; tried++)
        {
            status = (await SignInAsync(behind, $"{Guid.NewGuid():N}@nowhere.example", headers)).StatusCode;
        }

        // A test that lets a locked-out owner in forgets all tries, perhaps these in the middle.
        status.ShouldBe(HttpStatusCode.TooManyRequests);
        tried.ShouldBeInRange(30, 70);
    }

    [Fact]
    public async Task Where_the_description_is_switched_off_there_is_none()
    {
        await using var closed = product.WithWebHostBuilder(host => host.UseSetting("Api:Reference", "false"));
        foreach (var path in new[] { "/openapi/v1.json", "/api" })
        {
            var answer = await closed.CreateClient().GetAsync(path, TestContext.Current.CancellationToken);
            answer.Content.Headers.ContentType?.MediaType.ShouldNotBe("application/json");
            (await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).ShouldNotContain("openapi");
        }
    }

    private static void ShouldBeSafe(HttpResponseMessage answer, bool ofFirm)
    {
        string Header(string name) => answer.Headers.TryGetValues(name, out var values) ? string.Join(",", values) : "";
        Header("X-Content-Type-Options").ShouldBe("nosniff");
        Header("X-Frame-Options").ShouldBe("DENY");
        Header("Referrer-Policy").ShouldBe("same-origin");
        foreach (
            var rule in new[]
            {
                "default-src 'self'",
                "base-uri 'self'",
                "form-action 'self'",
                "object-src 'none'",
                "frame-ancestors 'none'",
            }
        )
        {
            Header("Content-Security-Policy").ShouldContain(rule);
        }

        if (ofFirm)
        {
            Header("Cache-Control").ShouldStartWith("no-store");
        }
    }

    // The server as it is reached from an address, with one proxy named.
    private WebApplicationFactory<Program> From(string address, string proxy) =>
        product.WithWebHostBuilder(host =>
            host.UseSetting("Https:Proxies", proxy)
                .UseSetting("Https:HstsDays", "30")
                .ConfigureTestServices(services => services.AddSingleton<IStartupFilter>(new Reached(address)))
        );

    private static async Task<HttpResponseMessage> SignInAsync(
        WebApplicationFactory<Program> server,
        params (string Name, string Value)[] headers
    ) => await SignInAsync(server, (await Product.NewFirmAsync(FirmRole.Owner))[0], headers);

    private static async Task<HttpResponseMessage> SignInAsync(
        WebApplicationFactory<Program> server,
        string name,
        params (string Name, string Value)[] headers
    )
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/session")
        {
            Content = JsonContent.Create(new { signInName = name, password = DemoSeed.Password }),
        };
        headers.ToList().ForEach(header => request.Headers.Add(header.Name, header.Value));
        return await server.CreateDefaultClient().SendAsync(request);
    }

    private sealed class Reached(string address) : IStartupFilter
    {
        public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) =>
            app =>
            {
                app.Use(
                    (context, then) =>
                    {
                        context.Connection.RemoteIpAddress = IPAddress.Parse(address);
                        return then(context);
                    }
                );
                next(app);
            };
    }
}
