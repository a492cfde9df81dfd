extern alias StandIns;

using Shouldly;
using StandIns::Umbracell.StandIns.Weather;
using Umbracell.Core.Weather;
using Umbracell.Core.Weather.Years;
using Xunit;

namespace Umbracell.Server.Tests.Weather;

/// <summary>The made-up forecast is honest: what comes lies among its members as one of them.</summary>
public sealed class MadeWeatherTests
{
    private static readonly ForecastPlace Place = ForecastPlace.Demo.First(p => p.Place.Id == "brindle-quay");
    private static readonly MadeWeather Quay = new(Place);
    private static readonly DateTimeOffset First = new(2025, 1, 1, 0, 0, 0, TimeSpan.Zero);

    private const int Forecasts = 2000,
        Ranks = MadeWeather.Members + 1;

    // Under even ranks the sum of squares passes this once in a thousand times (chi squared, 21 degrees of freedom).
    private const double OnceInAThousand = 46.8;

    private static readonly (string Name, Func<MadeAir, double> Of)[] Figures =
    [
        ("temperature", air => air.TempC),
        ("humidity", air => air.RhPct),
        ("wind", air => air.WindMs),
        ("cloud", air => air.Cloud),
    ];

    [Theory]
    [InlineData(6)]
    [InlineData(24)]
    [InlineData(72)]
    [InlineData(168)]
    public void What_comes_takes_every_rank_among_the_members_as_often_and_lies_in_nine_bands_of_ten(int lead)
    {
        var ranks = Figures.Select(_ => new int[Ranks]).ToArray();
        var held = new int[Figures.Length];
        for (var i = 0; i < Forecasts; i++)
        {
            // Weathers of their own: what comes on one day says nothing of another.
            var weather = new MadeWeather(Place with { Seed = (ulong)i });
            var issued = First.AddHours(6 * i);
            var at = issued.AddHours(lead);
            var truth = weather.Truth(at);
            var members = Enumerable.Range(0, MadeWeather.Members).Select(m => weather.Member(issued, m, at)).ToList();
            for (var f = 0; f < Figures.Length; f++)
            {
                var (of, all) = (Figures[f].Of, members.ConvertAll(member => Figures[f].Of(member)).Order().ToArray());
                ranks[f][all.Count(member => member < of(truth))]++;
                held[f] += of(truth) >= Spread.Quantile(all, 0.05) && of(truth) <= Spread.Quantile(all, 0.95) ? 1 : 0;
            }
        }

        const double Even = (double)Forecasts / Ranks;
        for (var f = 0; f < Figures.Length; f++)
        {
            ranks[f].Sum(rank => (rank - Even) * (rank - Even) / Even).ShouldBeLessThan(OnceInAThousand, Figures[f].Name);
            (held[f] / (double)Forecasts).ShouldBeInRange(0.88, 0.92, Figures[f].Name);
        }
    }

    [Fact]
    public void Members_part_as_the_lead_grows()
    {
        double Apart(int lead) =>
            Enumerable
                .Range(0, 200)
                .Average(i =>
                {
                    var issued = First.AddHours(31 * i);
                    var all = Enumerable.Range(0, 21).Select(m => Quay.Member(issued, m, issued.AddHours(lead)).TempC).ToList();
                    return all.Max() - all.Min();
                });

        Apart(1).ShouldBeLessThan(2);
        Apart(24).ShouldBeInRange(Apart(6), Apart(72));
        Apart(168).ShouldBeInRange(Apart(72), 30);
    }

    [Fact]
    public void A_year_has_the_means_of_its_place_and_weather_of_every_kind()
    {
        var hours = Enumerable.Range(0, 3 * 8766).Select(h => (At: First.AddHours(h), Air: Quay.Truth(First.AddHours(h)))).ToList();
        var place = Place.Place;
        foreach (var month in hours.GroupBy(h => h.At.Month))
        {
            month.Average(h => h.Air.TempC).ShouldBe(place.MeanC[month.Key - 1], 3);
        }

        hours.ShouldAllBe(h =>
            h.Air.RhPct >= 2 && h.Air.RhPct <= 100 && h.Air.Cloud >= 0 && h.Air.Cloud <= 1 && h.Air.GustMs >= h.Air.WindMs
        );
        (hours.Count(h => h.Air.RainMmH > 0) / (double)hours.Count).ShouldBeInRange(0.04, 0.25);
        hours.Count(h => h.Air.WindMs > 8).ShouldBeGreaterThan(100);
    }
}
