using Umbracell.Core.Quantities;

namespace Umbracell.Core.Findings;

/// <summary>How a number came about: formula, values, source, result; each value may have a working of its own.</summary>
/// <param name="Name">Key of what is computed, such as <c>wholeU</c>; the interface has the words.</param>
/// <param name="Formula">The formula in the field's notation; holds in either unit system when its values are put in as shown.</param>
/// <param name="Terms">The values put in, in the order of the formula.</param>
/// <param name="Result">The result.</param>
/// <param name="Source">Standard, sheet line or reading the formula comes from.</param>
public sealed record Working(string Name, string Formula, IReadOnlyList<WorkingTerm> Terms, Figure Result, Citation Source);

/// <summary>One value in a working.</summary>
/// <param name="Symbol">Its symbol in the formula.</param>
/// <param name="Name">Key of what it is; the interface has the words. May carry a detail after a colon, such as
/// <c>layer:plywood</c>.</param>
/// <param name="Value">The value.</param>
/// <param name="From">Where it came from, if it was computed itself.</param>
public sealed record WorkingTerm(string Symbol, string Name, Figure Value, Working? From = null);
