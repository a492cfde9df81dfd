using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Server.Setup;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A stage registers itself: the board knows none by name.</summary>
public sealed class StageCellTests(Product product)
{
    [Fact]
    public void Every_stage_brings_one_cell() =>
        product.Services.GetServices<IStageCell>().Select(cell => cell.Stage).ShouldBe(Enum.GetValues<Stage>(), ignoreOrder: true);

    [Fact]
    public void Every_part_of_the_product_brings_an_endpoint()
    {
        Parts.All.Count.ShouldBeGreaterThan(10);
        foreach (var part in Parts.All)
        {
            var routes = new Routes(product.Services);
            part.Map(routes);
            routes.DataSources.SelectMany(source => source.Endpoints).ShouldNotBeEmpty(part.GetType().Name);
        }
    }

    [Fact]
    public async Task A_stage_that_is_added_shows_on_the_board_and_what_is_said_there_counts_for_the_surface()
    {
        await using var more = product.WithWebHostBuilder(host =>
            host.ConfigureServices(services => services.AddSingleton<IStageCell, TriedCell>())
        );
        var client = more.CreateClient();
        await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/session",
            new { signInName = "owner@ninthacre.example", password = DemoSeed.Password }
        );
        var (_, job) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "One stage more")));
        await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", ("name", "Wall"), ("kind", "studWall"), ("size", "20' x 9'"))
        );
        var row = (await client.GetJsonAsync($"/api/jobs/{job.Text("id")}/board"))["rows"]![0]!;
        var cells = row["cells"]!.AsArray();
        cells.Count.ShouldBe(Enum.GetValues<Stage>().Length + 1);
        cells[^1]!.Text("word").ShouldBe("Wall, tried");
        row.Text("worst").ShouldBe("hold");
    }

    private sealed class TriedCell : IStageCell
    {
        public Stage Stage => Enum.GetValues<Stage>()[^1];

        public StageCell Of(SurfaceStudy row, CellTime at) =>
            new(
                new()
                {
                    Stage = Stage,
                    Verdict = Verdict.Hold,
                    Word = $"{row.Surface.Name}, tried",
                    Figures = new Dictionary<string, FigureAnswer>(),
                },
                Verdict.Hold
            );
    }

    private sealed class Routes(IServiceProvider services) : IEndpointRouteBuilder
    {
        public IServiceProvider ServiceProvider => services;

        public ICollection<EndpointDataSource> DataSources { get; } = [];

        public IApplicationBuilder CreateApplicationBuilder() => throw new NotSupportedException();
    }
}
