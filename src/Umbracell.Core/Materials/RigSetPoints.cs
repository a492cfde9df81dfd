using Umbracell.Core.Quantities;

namespace Umbracell.Core.Materials;

/// <summary>Set points of a rig as a sheet prints them.</summary>
/// <param name="Primaries">Of the primary heaters.</param>
/// <param name="Hose">Of the hose.</param>
/// <param name="Pressure">Of both sides while it is sprayed, Pa.</param>
public readonly record struct RigSetPoints(Temperature Primaries, Temperature Hose, double Pressure);

/// <summary>How fast foam reacts at the sheet's set points and reference lift.</summary>
/// <param name="Cream">From the trigger until it creams.</param>
/// <param name="TackFree">From the trigger until it is free of tack.</param>
/// <param name="Substrate">What it was sprayed on.</param>
public readonly record struct FoamReaction(TimeSpan Cream, TimeSpan TackFree, Temperature Substrate);
