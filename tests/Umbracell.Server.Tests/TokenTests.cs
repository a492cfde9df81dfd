using System.Net;
using Microsoft.EntityFrameworkCore;
using Shouldly;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A program asks with a token of its own, which does no more than its role and ends.</summary>
public sealed class TokenTests(Product product)
{
    [Fact]
    public async Task A_token_does_what_its_role_may_and_is_told_once()
    {
        var (owner, _) = await OwnerAsync();
        var (secret, id) = await MakeAsync(owner, "viewer");
        var program = product.WithToken(secret);
        (await program.GetJsonAsync("/api/jobs")).AsArray().ShouldBeEmpty();
        (await program.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "No")))).Status.ShouldBe(403);
        (await StatusAsync(program, "/api/people")).ShouldBe(HttpStatusCode.Forbidden);

        var kept = await owner.GetJsonAsync("/api/tokens");
        kept["secret"].ShouldBeNull();
        kept.ToJsonString().ShouldNotContain(secret);
        kept["tokens"]![0]!.Text("id").ShouldBe(id);
        DateTimeOffset
            .UtcNow.Subtract(kept["tokens"]![0]!["lastUsedAt"]!.GetValue<DateTimeOffset>())
            .ShouldBeLessThan(TimeSpan.FromMinutes(1));
    }

    [Fact]
    public async Task A_new_secret_ends_the_old_one_and_a_token_that_is_taken_away_is_over()
    {
        var (owner, _) = await OwnerAsync();
        var (old, id) = await MakeAsync(owner, "estimator");
        var (status, renewed) = await owner.SendJsonAsync(HttpMethod.Post, $"/api/tokens/{id}/renew", new { });
        status.ShouldBe(200, renewed.ToJsonString());
        (await StatusAsync(product.WithToken(old), "/api/jobs")).ShouldBe(HttpStatusCode.Unauthorized);
        var program = product.WithToken(renewed.Text("secret"));
        (await StatusAsync(program, "/api/jobs")).ShouldBe(HttpStatusCode.OK);

        (await owner.SendJsonAsync(HttpMethod.Delete, $"/api/tokens/{id}", new { })).Status.ShouldBe(200);
        (await StatusAsync(program, "/api/jobs")).ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task A_token_runs_out()
    {
        var (owner, name) = await OwnerAsync();
        var (secret, _) = await MakeAsync(owner, "viewer");
        await Product.InFirmOfAsync(
            name,
            db => db.ApiTokens.ExecuteUpdateAsync(t => t.SetProperty(one => one.ExpiresAt, DateTimeOffset.UtcNow.AddSeconds(-1)))
        );
        (await StatusAsync(product.WithToken(secret), "/api/jobs")).ShouldBe(HttpStatusCode.Unauthorized);
        (await owner.GetJsonAsync("/api/tokens"))["tokens"]![0]!["lasts"]!.GetValue<bool>().ShouldBeFalse();
    }

    [Theory]
    [InlineData("", "viewer", 90)]
    [InlineData("Sheet", "owner", 90)]
    [InlineData("Sheet", "viewer", 0)]
    [InlineData("Sheet", "viewer", 366)]
    public async Task One_without_a_name_or_an_end_or_that_could_make_others_is_refused(string name, string role, int days)
    {
        var (owner, _) = await OwnerAsync();
        (
            await owner.SendJsonAsync(
                HttpMethod.Post,
                "/api/tokens",
                new
                {
                    name,
                    role,
                    days,
                }
            )
        ).Status.ShouldBe(400);
        (await owner.GetJsonAsync("/api/tokens"))["tokens"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_token_of_another_firm_is_not_there()
    {
        var (owner, _) = await OwnerAsync();
        var (_, id) = await MakeAsync(owner, "viewer");
        var (other, _) = await OwnerAsync();
        (await other.SendJsonAsync(HttpMethod.Post, $"/api/tokens/{id}/renew", new { })).Status.ShouldBe(404);
        (await other.SendJsonAsync(HttpMethod.Delete, $"/api/tokens/{id}", new { })).Status.ShouldBe(404);
    }

    private async Task<(HttpClient Client, string Name)> OwnerAsync()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        return (await product.SignedInAsync(name), name);
    }

    private static async Task<(string Secret, string Id)> MakeAsync(HttpClient owner, string role)
    {
        var (status, made) = await owner.SendJsonAsync(
            HttpMethod.Post,
            "/api/tokens",
            new
            {
                name = "Sheet",
                role,
                days = 30,
            }
        );
        status.ShouldBe(200, made.ToJsonString());
        return (made.Text("secret"), made["tokens"]![0]!.Text("id"));
    }

    private static async Task<HttpStatusCode> StatusAsync(HttpClient client, string path) => (await client.GetAsync(path)).StatusCode;
}
