using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Typing;

/// <summary>The unit system named in an address.</summary>
internal static class UnitsWord
{
    /// <summary>Reads <c>us</c> or <c>metric</c>, in any case.</summary>
    /// <exception cref="FieldFaultsException">Any other word.</exception>
    public static UnitSystem Read(string units) =>
        Enum.TryParse<UnitSystem>(units, ignoreCase: true, out var system) && Enum.IsDefined(system)
            ? system
            : throw FieldFaultsException.Of("units", FaultCode.Unknown, units);
}
