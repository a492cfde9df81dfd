using Umbracell.Core.Choosing;
using Umbracell.Core.Materials;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;

namespace Umbracell.Server.Surfaces;

/// <summary>What a firm prices with.</summary>
/// <param name="Rates">What it pays and how fast it works.</param>
/// <param name="Sheets">Products on offer.</param>
/// <param name="Learning">What its finished jobs taught.</param>
/// <param name="Practice">The schools it follows, with the job's exceptions.</param>
internal sealed record PriceMeans(Rates Rates, IReadOnlyDictionary<string, ProductSheet> Sheets, CrewLearning Learning, Practice Practice);
