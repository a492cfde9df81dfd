using Umbracell.Server.Tests;
using Xunit;

// A server that starts costs a second, and learns everything anew: one serves all tests that do not change what it is made of.
[assembly: AssemblyFixture(typeof(Product))]
