using System.Reflection;
using Shouldly;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Quantities;

/// <summary>What holds of every quantity, whatever it measures.</summary>
public sealed class QuantityTests
{
    private static readonly Type[] All =
    [
        .. typeof(Length).Assembly.GetExportedTypes().Where(t => t.IsValueType && t.GetMethod("ToFigure") is not null),
    ];

    public static TheoryData<Type> Kinds => [.. All];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_bare_number_becomes_a_quantity_only_where_its_unit_is_named(Type quantity)
    {
        quantity.GetConstructors().ShouldBeEmpty();
        FactoriesOf(quantity).ShouldNotBeEmpty();
        quantity.GetProperties().ShouldAllBe(p => p.SetMethod == null);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void No_factory_takes_what_is_no_number(Type quantity)
    {
        foreach (var factory in FactoriesOf(quantity))
        {
            foreach (var number in new[] { double.NaN, double.PositiveInfinity, double.NegativeInfinity })
            {
                Should.Throw<QuantityRangeException>(() => Make(factory, number), factory.Name);
            }
        }
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void One_that_was_never_given_is_a_valid_nought_or_cannot_be_read(Type quantity)
    {
        var figure = quantity.GetMethod("ToFigure")!;
        var nought = Activator.CreateInstance(quantity)!;
        var accepts = FactoriesOf(quantity).All(f => Catch(() => Make(f, 0)) is not QuantityRangeException);
        if (accepts)
        {
            double.IsFinite(((Figure)figure.Invoke(nought, null)!).Amount).ShouldBeTrue();
        }
        else
        {
            Catch(() => figure.Invoke(nought, null)).ShouldBeOfType<InvalidOperationException>();
        }
    }

    [Fact]
    public void Nothing_is_colder_than_absolute_zero_less_than_vacuum_or_lighter_than_nothing()
    {
        Should.Throw<QuantityRangeException>(() => Temperature.FromCelsius(-273.16));
        Should.Throw<QuantityRangeException>(() => Temperature.FromFahrenheit(-459.68));
        Should.Throw<QuantityRangeException>(() => Pressure.FromPascals(-1));
        Should.Throw<QuantityRangeException>(() => RelativeHumidity.FromPercent(-0.1));
        Should.Throw<QuantityRangeException>(() => Mass.FromKilograms(-1));
        Should.Throw<QuantityRangeException>(() => ThermalConductivity.FromSi(0));
        Should.Throw<QuantityRangeException>(() => Density.FromKilogramsPerCubicMetre(0));
    }

    private static MethodInfo[] FactoriesOf(Type quantity) =>
        [
            .. quantity
                .GetMethods(BindingFlags.Public | BindingFlags.Static)
                .Where(m => m.Name.StartsWith("From", StringComparison.Ordinal) && m.GetParameters()[0].ParameterType == typeof(double)),
        ];

    private static object? Make(MethodInfo factory, double number)
    {
        try
        {
            return factory.Invoke(null, [number, .. factory.GetParameters().Skip(1).Select(p => p.DefaultValue)]);
        }
        catch (TargetInvocationException e)
        {
            throw e.InnerException!;
        }
    }

    private static Exception? Catch(Func<object?> what)
    {
        try
        {
            what();
            return null;
        }
        catch (TargetInvocationException e)
        {
            return e.InnerException;
        }
        catch (QuantityRangeException e)
        {
            return e;
        }
    }
}
