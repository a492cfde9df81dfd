using Umbracell.Server.Tests;
using Xunit;

// A server that starts costs a second, and learns everything anew: one serves all tests that do not change what it is made of.
[assembly: AssemblyFixture(typeof(Product))]

namespace Umbracell.Server.Tests;

internal static class OneProduct
{
    /// <summary>Tests that count tries to sign in, and those that forget them all (a locked-out owner is let in): never beside one
    /// another.</summary>
    public const string CountsTries = "tries to sign in";
}
