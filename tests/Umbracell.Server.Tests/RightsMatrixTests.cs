using System.Net.Http.Json;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Routing;
using Shouldly;
using Umbracell.Server.Access;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Every endpoint there is says who may use it, and every role is tried on every one of them.</summary>
public sealed class RightsMatrixTests(Product product)
{
    // What anybody may ask: whether the server lives, the pages, the description of the interface, and signing in and out.
    private static readonly string[] Open =
    [
        "/healthz",
        "/readyz",
        "/openapi/",
        "/api/scalar",
        "/api/favicon",
        "/api/schemas/",
        "{*path:nonfile}",
    ];

    private static readonly string[] ToSignIn = ["POST /api/session", "DELETE /api/session", "POST /api/link", "PUT /api/link"];

    [Fact]
    public void Every_endpoint_says_which_right_it_asks_for()
    {
        var endpoints = Tried().ToList();
        endpoints.Count.ShouldBeGreaterThan(100);
        endpoints.Where(e => e.Metadata.GetMetadata<RequiredRight>() is null).Select(Endpoints.NameOf).Except(ToSignIn).ShouldBeEmpty();

        // What says its right is held to it.
        endpoints
            .Where(e => e.Metadata.GetMetadata<RequiredRight>() is not null)
            .Where(e =>
                e.Metadata.GetOrderedMetadata<RequiredRight>()
                    .Any(asked => e.Metadata.GetOrderedMetadata<IAuthorizeData>().All(held => held.Policy != Rights.Policy(asked.Right)))
                || e.Metadata.GetMetadata<IAllowAnonymous>() is not null
            )
            .Select(Endpoints.NameOf)
            .ShouldBeEmpty();
    }

    [Fact]
    public void What_writes_asks_for_more_than_to_look()
    {
        // Questions that change nothing; the units one reads in; one's own sign-in; papers, whose makers ask for what they show.
        string[] own = ["/api/compute/", "/api/session/", "/papers"];
        Tried()
            .Where(e => !Endpoints.NameOf(e).StartsWith("GET ", StringComparison.Ordinal) && RightOf(e) == Right.Look)
            .Select(Endpoints.NameOf)
            .Where(name => !own.Any(part => name.Contains(part, StringComparison.Ordinal)))
            .ShouldBeEmpty();
    }

    [Theory]
    [InlineData(FirmRole.Viewer)]
    [InlineData(FirmRole.Helper)]
    [InlineData(FirmRole.CrewLead)]
    [InlineData(FirmRole.Estimator)]
    [InlineData(FirmRole.Owner)]
    public async Task A_role_is_let_in_where_its_right_is_asked_for_and_nowhere_else(FirmRole role)
    {
        var client = await product.SignedInAsync((await Product.NewFirmAsync(role, FirmRole.Owner))[0]);
        var wrong = new List<string>();
        foreach (var endpoint in Tried().Where(e => RightOf(e) is not null))
        {
            using var request = Request(endpoint);
            var status = (int)(await client.SendAsync(request, TestContext.Current.CancellationToken)).StatusCode;
            var isLetIn = Rights.ByRole[role].Contains(RightOf(endpoint)!.Value);
            if (status == 401 || (status == 403) == isLetIn)
            {
                wrong.Add($"{Endpoints.NameOf(endpoint)}: {status}");
            }
        }

        wrong.ShouldBeEmpty();
    }

    [Fact]
    public async Task Nobody_is_let_in_anywhere()
    {
        var client = product.CreateClient();
        var wrong = new List<string>();
        foreach (var endpoint in Tried().Where(e => RightOf(e) is not null))
        {
            using var request = Request(endpoint);
            var status = (int)(await client.SendAsync(request, TestContext.Current.CancellationToken)).StatusCode;
            if (status != 401)
            {
                wrong.Add($"{Endpoints.NameOf(endpoint)}: {status}");
            }
        }

        wrong.ShouldBeEmpty();
    }

    [Fact]
    public void Who_may_more_may_all_that_those_before_may()
    {
        FirmRole[] order = [FirmRole.Viewer, FirmRole.Helper, FirmRole.CrewLead, FirmRole.Estimator, FirmRole.Owner];
        order.ShouldBe(Enum.GetValues<FirmRole>(), ignoreOrder: true);
        foreach (var (less, more) in order.Zip(order.Skip(1)))
        {
            Rights.ByRole[less].Except(Rights.ByRole[more]).ShouldBeEmpty();
            Rights.ByRole[more].Count.ShouldBeGreaterThan(Rights.ByRole[less].Count);
        }
    }

    private IEnumerable<RouteEndpoint> Tried() =>
        Endpoints
            .Of(product)
            .Where(e => e.RoutePattern.RawText is { } path && path != "/api/{**rest}" && path != "/api")
            .Where(e => !Open.Any(open => e.RoutePattern.RawText!.Contains(open, StringComparison.Ordinal)));

    // An endpoint in a group asks for the group's right and its own: the last one is its own.
    private static Right? RightOf(Endpoint endpoint) => endpoint.Metadata.GetMetadata<RequiredRight>()?.Right;

    // Of something that is not there, with nothing in it: nothing is written whoever is let in.
    private static HttpRequestMessage Request(RouteEndpoint endpoint)
    {
        var request = Endpoints.RequestTo(endpoint);
        request.Content =
            request.Method == HttpMethod.Get ? null
            : endpoint.Metadata.GetMetadata<IAcceptsMetadata>()?.ContentTypes.Contains("application/octet-stream") == true
                ? new ByteArrayContent([]) { Headers = { ContentType = new("application/octet-stream") } }
            // Of papers, the one that anybody may have.
            : JsonContent.Create(new { kind = "loadList" });
        return request;
    }
}
