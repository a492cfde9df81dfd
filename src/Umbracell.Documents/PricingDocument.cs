using Umbracell.Core.Conditions;

namespace Umbracell.Documents;

/// <summary>What a job's price hangs on beside its surfaces.</summary>
/// <param name="WorkDate">The day it is to be sprayed; null until it is set.</param>
/// <param name="SpaceM3">Volume that would be heated; null leaves it to a guess from the area.</param>
/// <param name="AirChanges">Air changes of that space with outdoors, an hour.</param>
/// <param name="Heater">What the firm would heat with.</param>
public sealed record PricingDocument(
    DateOnly? WorkDate = null,
    double? SpaceM3 = null,
    double AirChanges = 1,
    HeaterKind Heater = HeaterKind.Indirect
);
