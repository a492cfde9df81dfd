namespace Umbracell.Server.Window;

/// <summary>What is done about the weather, for hours to be told with it.</summary>
/// <param name="Tent">Whether a tent or tarpaulin goes over an open face.</param>
/// <param name="Product">Id of the product sprayed in the place of the one planned; null for that.</param>
/// <param name="On">When the heaters go on; null for none.</param>
/// <param name="HoldC">Temperature at which they hold, °C.</param>
internal sealed record HourActs(bool Tent, string? Product, DateTimeOffset? On, double HoldC)
{
    /// <summary>When dehumidifiers go on; null for none.</summary>
    public DateTimeOffset? DryFrom { get; init; }

    /// <summary>When the face is washed; null where it is not.</summary>
    public DateTimeOffset? WashedAt { get; init; }

    public bool IsNone => this == new HourActs(false, null, null, HoldC);
}
