using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Kits, other systems, warmed drums and what other programs ask of material and money.</summary>
public sealed class AlternativeTests(Product product)
{
    [Theory]
    [InlineData("8' x 2'", "cheaper")]
    [InlineData("120' x 10'", "rigCheaper")]
    public async Task A_small_surface_is_cheaper_from_kits_and_a_great_one_from_the_rig(string size, string expected)
    {
        var client = product.WithToken();
        var surface = await PricedJobs.SurfaceAsync(client, await PricedJobs.WallsAsync(client, "Kits " + expected, "2026-07-15", size));
        var kit = (await client.GetJsonAsync($"/api/surfaces/{surface}/kits"))[0]!;
        kit["findings"]!.AsArray().Select(f => f!.Text("case")).ShouldBe([expected]);
        var figures = kit["figures"]!;
        (figures["kitCost"]!.Number("amount") < figures["rigCost"]!.Number("amount")).ShouldBe(expected == "cheaper");
        kit["upTo"]!["result"]!.Number("amount").ShouldBe(figures["upTo"]!.Number("amount"), 1e-9);
    }

    [Theory]
    [InlineData("metalWall", "girt", "285.8 mm")]
    [InlineData("metalRoof", "girt", "190.6 mm")]
    [InlineData("steelBox", "girt", "152.45 mm")]
    [InlineData("studWall", "steelStud", "222.8 mm")]
    public async Task Metal_members_of_any_typed_depth_are_weighed_and_priced(string kind, string member, string depth)
    {
        var client = product.WithToken();
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "metric", ("name", "Slivers"), ("climateZone", "6A"))
        );
        var (made, surface) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(
                null,
                "metric",
                ("name", kind),
                ("kind", kind),
                (
                    "size",
                    kind == "steelBox" ? "6 x 2.4 x 2.6"
                    : kind == "metalRoof" ? "6 m x 12 m at 15°"
                    : "10 x 3"
                ),
                ("memberMaterial", member),
                ("memberDepth", depth),
                ("flange", "60 mm"),
                ("web", "1.5 mm"),
                ("skin", "0.6 mm"),
                ("inboard", ""),
                ("sheet", "marl-cc-20"),
                ("thickness", "150 mm")
            )
        );
        made.ShouldBe(201, surface.ToJsonString());
        var id = surface.Text("id");
        var candidates = (await client.GetJsonAsync($"/api/surfaces/{id}/choose"))["answer"]!["candidates"]!.AsArray();
        candidates.Count.ShouldBeGreaterThan(0);
        await client.GetJsonAsync($"/api/surfaces/{id}/alternatives");

        // Foam that ends a hair short of the member, as a slider leaves it.
        var mm = double.Parse(depth.Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture);
        foreach (var shy in new[] { 0.0, 0.01, 0.05, 0.1 })
        {
            var now = (await client.GetJsonAsync($"/api/jobs/{job.Text("id")}/surfaces"))[0]!;
            var (status, _) = await client.SendJsonAsync(
                HttpMethod.Patch,
                $"/api/surfaces/{id}",
                Asking.Typed(
                    now["version"]!.GetValue<uint>(),
                    "metric",
                    ("thickness", $"{Math.Min(mm, 152.4) - shy} mm"),
                    ("memberDepth", $"{Math.Min(mm, 152.4)} mm")
                )
            );
            status.ShouldBe(200);
            (await client.GetJsonAsync($"/api/surfaces/{id}/section"))["answer"].ShouldNotBeNull();
        }
    }

    [Fact]
    public async Task A_firm_that_always_takes_the_rig_still_sees_what_kits_would_save()
    {
        var client = product.WithToken();
        var job = await PricedJobs.WallsAsync(client, "Rig always", "2026-07-15", "8' x 2'");
        var surface = await PricedJobs.SurfaceAsync(client, job);
        await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/jobs/{job}",
            Asking.Typed(
                (await client.GetJsonAsync($"/api/jobs/{job}/price"))["jobVersion"]!.GetValue<uint>(),
                "us",
                ("practiceEquipment", "a")
            )
        );
        (await client.GetJsonAsync($"/api/surfaces/{surface}/kits"))[0]!["findings"]![0]!.Text("case").ShouldBe("cheaperYetRig");
    }

    [Fact]
    public async Task In_January_a_kit_is_held_by_its_own_sheet()
    {
        var client = product.WithToken();
        var surface = await PricedJobs.SurfaceAsync(client, await PricedJobs.WallsAsync(client, "Cold kit", "2027-01-15", "8' x 2'"));
        var first = (await client.GetJsonAsync($"/api/surfaces/{surface}/kits"))[0]!["findings"]![0]!;
        (first.Text("case"), first.Text("verdict"), first.Text("basis")).ShouldBe(("substrateOutside", "hold", "productSheet"));
        first["measured"]!.Number("amount").ShouldBeLessThan(0, "the season's own temperature, not the end of the standard grade's curve");
    }

    [Fact]
    public async Task Other_systems_tell_what_the_whole_job_would_cost_and_held_ones_why()
    {
        var client = product.WithToken();
        var job = await PricedJobs.WallsAsync(client, "Others", "2026-07-15");
        var surface = await PricedJobs.SurfaceAsync(client, job);
        var all = (await client.GetJsonAsync($"/api/surfaces/{surface}/alternatives"))["alternatives"]!.AsArray();
        all.Count.ShouldBeGreaterThan(5);
        all.Count(one => one!["now"]!.GetValue<bool>()).ShouldBe(1);
        foreach (var one in all.Where(one => one!.Text("verdict") == "hold"))
        {
            one!["difference"].ShouldBeNull();
            one["reason"].ShouldNotBeNull();
        }

        // What is told of a system is what the job costs once it is chosen.
        var before = await NetAsync(client, job);
        var batts = all.Single(one => one!.Text("kind") == "battAlone")!;
        var told = batts["difference"]!["figure"]!.Number("amount") * (batts["dearer"]!.GetValue<bool>() ? 1 : -1);
        var version = (await client.GetJsonAsync($"/api/surfaces/{surface}/choose"))["version"]!.GetValue<uint>();
        var (status, body) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{surface}/choose",
            new
            {
                version,
                candidateId = batts.Text("id"),
                reason = "",
            }
        );
        status.ShouldBe(200, body.ToJsonString());
        (await NetAsync(client, job) - before).ShouldBe(told, 0.02);
    }

    [Fact]
    public async Task A_new_roof_on_boards_carries_the_old_one_off_in_the_bid()
    {
        var client = product.WithToken();
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "Flat roof"), ("climateZone", "4A"), ("place", "brindle-quay"), ("workDate", "2026-07-15"))
        );
        await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(
                null,
                "us",
                ("name", "Roof"),
                ("kind", "lowSlopeRoof"),
                ("size", "40' x 30'"),
                ("sheet", "slate-rf-30"),
                ("thickness", "4 in")
            )
        );
        var surface = await PricedJobs.SurfaceAsync(client, job.Text("id"));
        var (status, body) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{surface}/choose",
            new
            {
                version = (await client.GetJsonAsync($"/api/surfaces/{surface}/choose"))["version"]!.GetValue<uint>(),
                candidateId = await NewRoofAsync(),
                reason = "",
            }
        );
        status.ShouldBe(200, body.ToJsonString());
        var lines = (await client.GetJsonAsync($"/api/jobs/{job.Text("id")}/price"))["bid"]!["lines"]!.AsArray();
        foreach (var key in new[] { "tearOff", "newCovering" })
        {
            lines.Single(l => l!.Text("key") == key)!["quantity"]!.Text("us").ShouldBe("1,200 ft²");
        }

        async Task<string> NewRoofAsync() =>
            (await client.GetJsonAsync($"/api/surfaces/{surface}/alternatives"))["alternatives"]!
                .AsArray()
                .Single(one => one!.Text("kind") == "newRoofOnBoard")!
                .Text("id");
    }

    [Fact]
    public async Task Drums_are_warmed_in_blankets_or_a_hot_room_and_the_load_is_weighed_against_the_trailer()
    {
        var client = product.WithToken();
        var order = await client.GetJsonAsync($"/api/jobs/{await PricedJobs.WallsAsync(client, "Warm drums", "2027-01-15")}/order");
        var warming = order["lines"]![0]!["warming"]!;
        foreach (var way in new[] { "blankets", "hotRoom" })
        {
            warming[way]!["lead"]!.Number("amount").ShouldBeGreaterThan(3600);
            (warming[way]!["cost"]!.Number("amount") / (warming[way]!["heat"]!["figure"]!.Number("amount") / 3.6e6)).ShouldBe(0.16, 1e-6);
        }

        order["findings"]![0]!.Text("rule").ShouldBe("trailer");
    }

    [Fact]
    public async Task A_kept_bid_travels_with_the_job()
    {
        var client = product.WithToken();
        var job = await PricedJobs.WallsAsync(client, "Travelling bid", "2026-07-15");
        await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/bids", new { });
        var kept = (await client.GetJsonAsync($"/api/jobs/{job}/price"))["kept"]![0]!;
        using var content = new ByteArrayContent(
            await client.GetByteArrayAsync($"/api/jobs/{job}/file", TestContext.Current.CancellationToken)
        );
        content.Headers.ContentType = new("application/json");
        var came = JsonNode.Parse(
            await (await client.PostAsync("/api/jobs/file", content, TestContext.Current.CancellationToken)).Content.ReadAsStringAsync(
                TestContext.Current.CancellationToken
            )
        )!;
        var there = (await client.GetJsonAsync($"/api/jobs/{came.Text("id")}/price"))["kept"]![0]!;
        (there.Text("madeBy"), there.Text("workDate"), there["price"]!.Number("amount")).ShouldBe(
            (kept.Text("madeBy"), kept.Text("workDate"), kept["price"]!.Number("amount"))
        );
        there["changes"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Another_program_asks_for_bids_cold_routes_and_drums()
    {
        var client = product.WithToken();
        var (status, bid) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/bid",
            new
            {
                surfaces = new[]
                {
                    new
                    {
                        name = "Wall",
                        treatedM2 = 100,
                        foams = new[]
                        {
                            new
                            {
                                sheetId = "marl-cc-20",
                                boardFeet = 4000,
                                sets = 1,
                            },
                        },
                    },
                },
            }
        );
        status.ShouldBe(200, bid.ToJsonString());
        bid["lines"]!.AsArray().Single(l => l!.Text("key") == "foam:marl-cc-20")!["amount"]!["figure"]!
            .Number("amount")
            .ShouldBe(2680, 1e-6);

        var sets = new
        {
            sheetId = "marl-cc-20",
            areaM2 = 100,
            thicknessMm = 76,
            shavedFlush = false,
            substrateTempC = -6,
        };
        var (routed, routes) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/cold-routes",
            new
            {
                sets,
                airTempC = -6,
                airRhPct = 80,
                faceShare = 0.6,
                substrate = "wood",
                spaceM3 = 300,
                spaceLossWK = 150,
            }
        );
        routed.ShouldBe(200, routes.ToJsonString());
        routes.AsArray().Single(r => r!.Text("kind") == "straight")!["held"]!.GetValue<bool>().ShouldBeTrue();
        routes.AsArray().Count(r => r!["chosen"]!.GetValue<bool>()).ShouldBe(1);

        // The bare drum of the worked figures: 227 kg of A at 22 °C, 14 hours at -10 °C.
        var (warmed, drum) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/drum",
            new
            {
                side = "a",
                massKg = 227,
                startTempC = 22,
                aroundTempC = -10,
                wantedTempC = 19,
                afterH = 14,
            }
        );
        warmed.ShouldBe(200, drum.ToJsonString());
        drum.Number("afterTempC").ShouldBe(-4.9, 0.1);
    }

    [Theory]
    [InlineData(
        "/api/compute/bid",
        """{"surfaces":[{"name":"Wall","treatedM2":100,"foams":[{"sheetId":"unheard-of","boardFeet":10,"sets":1}]}]}"""
    )]
    [InlineData("/api/compute/bid", """{"surfaces":[{"name":"Wall","treatedM2":-1,"foams":[]}]}""")]
    [InlineData("/api/compute/drum", """{"side":"a","massKg":0,"startTempC":0,"aroundTempC":0,"wantedTempC":20}""")]
    public async Task What_cannot_be_asked_is_refused_with_the_field(string path, string body)
    {
        var client = product.WithToken();
        using var content = new StringContent(body, Encoding.UTF8, "application/json");
        var answer = await client.PostAsync(path, content, TestContext.Current.CancellationToken);
        answer.StatusCode.ShouldBe(System.Net.HttpStatusCode.BadRequest);
        (await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).ShouldContain(
            path.EndsWith("drum", StringComparison.Ordinal) ? "massKg" : "surfaces[0]",
            Case.Insensitive
        );
    }

    private static async Task<double> NetAsync(HttpClient client, string job) =>
        (await client.GetJsonAsync($"/api/jobs/{job}/price"))["bid"]!["figures"]!["net"]!.Number("amount");
}
