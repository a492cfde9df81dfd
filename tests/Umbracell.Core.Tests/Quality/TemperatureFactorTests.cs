using Shouldly;
using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Quality;

public sealed class TemperatureFactorTests
{
    [Theory]
    [InlineData(15, 20, 0, 0.75)]
    [InlineData(20, 20, 0, 1)]
    [InlineData(-10, 20, -10, 0)]
    [InlineData(26, 24, 34, 0.8)]
    public void It_runs_from_outdoors_to_the_room(double surface, double indoor, double outdoor, double factor) =>
        TemperatureFactor
            .Of(Temperature.FromCelsius(surface), Temperature.FromCelsius(indoor), Temperature.FromCelsius(outdoor))!
            .Value.ShouldBe(factor, 1e-12);

    [Theory]
    [InlineData(4.9, true)]
    [InlineData(5, false)]
    public void Airs_too_near_each_other_tell_nothing(double difference, bool silent) =>
        (
            TemperatureFactor.Of(Temperature.FromCelsius(10), Temperature.FromCelsius(10 + difference), Temperature.FromCelsius(10)) is null
        ).ShouldBe(silent);
}
