using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Server.Requests;
using Umbracell.Store.Tenancy;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Files of a firm are read two at a time; some wait, and what comes beyond those is told when to come again.</summary>
public sealed class HeavyWorkTests : IAsyncDisposable
{
    private readonly HeavyWork _work = new();
    private readonly Guid _firm = Guid.NewGuid();
    private readonly TaskCompletionSource _read = new();
    private int _begun;

    [Fact]
    public async Task Two_are_read_some_wait_and_the_next_is_told_to_come_again()
    {
        var taken = Enumerable.Range(0, HeavyWork.AtOnce + HeavyWork.MayWait).Select(_ => Send(_firm)).ToList();
        await BegunAsync(HeavyWork.AtOnce);
        var context = Request(_firm, CancellationToken.None);
        var late = (await SendAsync(context)).ShouldBeOfType<ProblemHttpResult>();
        (late.StatusCode, context.Response.Headers.RetryAfter.ToString()).ShouldBe((429, "5"));
        late.ProblemDetails.Detail.ShouldNotBeNull().ShouldContain("in 5 seconds");

        _read.SetResult();
        (await Task.WhenAll(taken)).ShouldAllBe(answer => answer is Ok);
        _begun.ShouldBe(taken.Count);
    }

    [Fact]
    public async Task One_who_goes_away_leaves_their_place_to_the_next()
    {
        using var leaving = new CancellationTokenSource();
        var reading = Enumerable.Range(0, HeavyWork.AtOnce).Select(_ => Send(_firm)).ToList();
        await BegunAsync(HeavyWork.AtOnce);
        var waiting = Enumerable.Range(0, HeavyWork.MayWait).Select(_ => SendAsync(Request(_firm, leaving.Token)).AsTask()).ToList();
        await leaving.CancelAsync();
        foreach (var one in waiting)
        {
            await Should.ThrowAsync<OperationCanceledException>(one);
        }

        var next = Send(_firm);
        _read.SetResult();
        (await Task.WhenAll(reading.Append(next))).ShouldAllBe(answer => answer is Ok);
    }

    [Fact]
    public async Task Another_firm_does_not_wait_for_this_one_longer_than_the_machine_makes_it()
    {
        var ours = Enumerable.Range(0, HeavyWork.AtOnce + HeavyWork.MayWait).Select(_ => Send(_firm)).ToList();
        await BegunAsync(HeavyWork.AtOnce);
        var theirs = Send(Guid.NewGuid());
        _read.SetResult();
        (await theirs).ShouldBeOfType<Ok>();
        (await Task.WhenAll(ours)).ShouldAllBe(answer => answer is Ok);
    }

    public ValueTask DisposeAsync() => _work.DisposeAsync();

    private Task<object?> Send(Guid firm) => SendAsync(Request(firm, CancellationToken.None)).AsTask();

    private ValueTask<object?> SendAsync(HttpContext context) =>
        new HeavyWork.Turn(_work).InvokeAsync(
            new DefaultEndpointFilterInvocationContext(context),
            async _ =>
            {
                Interlocked.Increment(ref _begun);
                await _read.Task;
                return TypedResults.Ok();
            }
        );

    private async Task BegunAsync(int count)
    {
        while (Volatile.Read(ref _begun) < count)
        {
            await Task.Delay(10, TestContext.Current.CancellationToken);
        }
    }

    private static DefaultHttpContext Request(Guid firm, CancellationToken leaving)
    {
        var scope = new FirmScope();
        scope.EnterFirm(firm);
        return new()
        {
            RequestServices = new ServiceCollection().AddSingleton(scope).BuildServiceProvider(),
            RequestAborted = leaving,
            Request = { Body = new MemoryStream([1, 2, 3]) },
        };
    }
}
