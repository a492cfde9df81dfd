namespace Umbracell.Server.Window;

/// <summary>What is done about the weather, for hours to be told with it.</summary>
/// <param name="Tent">Whether a tent or tarpaulin goes over an open face.</param>
/// <param name="Product">Id of the product sprayed in the place of the one planned; null for that.</param>
/// <param name="On">When the heaters go on; null for none.</param>
/// <param name="HoldC">Temperature at which they hold, °C.</param>
internal sealed record HourActs(bool Tent, string? Product, DateTimeOffset? On, double HoldC)
{
    public bool IsNone => !Tent && Product is null && On is null;
}
