using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Quartz;
using Shouldly;
using Umbracell.Server.Access;
using Umbracell.Server.Jobs;
using Umbracell.Server.Scheduling;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>What is done beside what people ask for stands in the database until it is done.</summary>
[Collection(WorkingOff.Name)]
public sealed class ScheduleTests(Product product)
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task What_a_server_was_asked_and_did_not_come_to_another_does_once_it_starts()
    {
        var name = $"two copies {Guid.NewGuid():N}";
        var (owner, firm) = await NewFirmAsync();
        using (var asked = Copy(name, runs: false))
        {
            var client = await SignInAsync(asked, owner);
            var (_, job) = await client.SendJsonAsync(
                HttpMethod.Post,
                "/api/jobs",
                new
                {
                    id = Guid.NewGuid(),
                    units = "us",
                    fields = new { name = "Left behind", climateZone = "5A" },
                }
            );
            await client.SendJsonAsync(
                HttpMethod.Post,
                $"/api/jobs/{job.Text("id")}/surfaces",
                new
                {
                    id = Guid.NewGuid(),
                    units = "us",
                    fields = new
                    {
                        name = "North wall",
                        kind = "studWall",
                        size = "10' x 8'",
                    },
                }
            );
            (await client.GetJsonAsync("/api/jobs"))[0]!["upToDate"]!.GetValue<bool>().ShouldBeFalse();

            // Asked twice it waits once.
            await client.GetJsonAsync("/api/jobs");
            (await WaitingAsync(asked, BoardKeeper.Work, firm, "soon")).ShouldNotBeNull();
            (await BehindAsync(asked, firm)).ShouldBe(1);
        }

        using var other = Copy(name, runs: true);
        await SignInAsync(other, owner);
        await UntilAsync(async () => await BehindAsync(other, firm) == 0);
        await UntilAsync(async () => await WaitingAsync(other, BoardKeeper.Work, firm, "soon") is null);
    }

    [Fact]
    public async Task Every_firm_has_its_old_records_taken_away_once_a_night()
    {
        var (owner, firm) = await NewFirmAsync();
        await using var working = new Product { WorksOff = true };
        await working.SignedInAsync(owner);
        await working.SignedInAsync(owner);
        var nightly = (await WaitingAsync(working, OldRecords.Work, firm, "nightly")).ShouldNotBeNull();
        nightly.NextFireTimeUtc.ShouldNotBeNull().ShouldBeInRange(DateTimeOffset.UtcNow, DateTimeOffset.UtcNow.AddDays(1));

        await Product.InFirmOfAsync(
            owner,
            async db =>
            {
                await db.Set<SecurityEventRow>().ExecuteDeleteAsync();
                var person = await db.People.SingleAsync();
                db.AddRange(Event(person, 401), Event(person, 399));
                await db.SaveChangesAsync();
                var old = DateTimeOffset.UtcNow.AddDays(-8);
                await db.Set<SessionRow>()
                    .OrderBy(s => s.StartedAt)
                    .Take(1)
                    .ExecuteUpdateAsync(s => s.SetProperty(one => one.StartedAt, old));
            }
        );
        await (await SchedulerAsync(working)).TriggerJob(nightly.JobKey, Stop);
        await UntilAsync(() => LeftAsync(owner, (1, 1)));
    }

    [Fact]
    public async Task A_schedule_that_stands_still_is_told_and_the_server_is_ready_all_the_same()
    {
        await using var working = new Product { WorksOff = true };
        var client = working.CreateClient();
        await UntilAsync(async () => await client.GetStringAsync("/readyz", Stop) == "Healthy");
        await (await SchedulerAsync(working)).Standby(Stop);
        (await client.GetStringAsync("/readyz", Stop)).ShouldBe("Degraded");
    }

    private static SecurityEventRow Event(Person person, int days) =>
        new()
        {
            At = DateTimeOffset.UtcNow.AddDays(-days),
            Kind = SecurityEvent.SignedIn,
            By = person.Title,
            About = $"{days} days ago",
        };

    private static async Task<bool> LeftAsync(string owner, (int Events, int Sessions) expected)
    {
        (int, int) left = default;
        await Product.InFirmOfAsync(
            owner,
            async db => left = (await db.Set<SecurityEventRow>().CountAsync(), await db.Set<SessionRow>().CountAsync())
        );
        return left == expected;
    }

    private static async Task<(string Owner, Guid Firm)> NewFirmAsync()
    {
        var owner = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        Guid firm = default;
        await Product.InFirmOfAsync(owner, async db => firm = (await db.Firms.SingleAsync()).Id);
        return (owner, firm);
    }

    // A demo's clock stands in the past; what is due is due all the same.
    private WebApplicationFactory<Program> Copy(string name, bool runs) =>
        product.WithWebHostBuilder(host =>
            host.UseSetting("Schedule:Name", name)
                .UseSetting("Schedule:Runs", runs.ToString())
                .UseSetting("Clock:Start", "2026-03-02T08:00:00Z")
        );

    private static async Task<HttpClient> SignInAsync(WebApplicationFactory<Program> copy, string owner)
    {
        var client = copy.CreateClient();
        var (status, _) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/session",
            new { signInName = owner, password = Store.Seeding.DemoSeed.Password }
        );
        status.ShouldBe(200);
        return client;
    }

    private static ValueTask<IScheduler> SchedulerAsync(WebApplicationFactory<Program> copy) =>
        copy.Services.GetRequiredService<KeptSchedule>().OpenAsync(Stop);

    private static async Task<ITrigger?> WaitingAsync(WebApplicationFactory<Program> copy, string work, Guid firm, string when) =>
        await (await SchedulerAsync(copy)).GetTrigger(new TriggerKey($"{work} {firm:N}", when), Stop);

    private static async Task<int> BehindAsync(WebApplicationFactory<Program> copy, Guid firm)
    {
        await using var scope = copy.Services.CreateAsyncScope();
        scope.ServiceProvider.GetRequiredService<FirmScope>().EnterFirm(firm);
        return (await scope.ServiceProvider.GetRequiredService<KeptCards>().BehindAsync()).Count;
    }

    private static async Task UntilAsync(Func<Task<bool>> isSo)
    {
        for (var i = 0; i < 200; i++)
        {
            if (await isSo())
            {
                return;
            }

            await Task.Delay(100, Stop);
        }

        throw new TimeoutException("It never came true.");
    }
}
