using Umbracell.Core.Choosing;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions;

namespace Umbracell.Server.Surfaces;

/// <summary>What a firm prices with.</summary>
/// <param name="Supplies">Products on offer, and what the firm pays.</param>
/// <param name="Learning">What its finished jobs taught.</param>
/// <param name="Practice">The schools it follows, with the job's exceptions.</param>
internal sealed record PriceMeans(Supplies Supplies, CrewLearning Learning, Practice Practice)
{
    /// <summary>What it pays and how fast it works.</summary>
    public Rates Rates => Supplies.Priced;
}
