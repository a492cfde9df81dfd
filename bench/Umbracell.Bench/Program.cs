using BenchmarkDotNet.Running;
using Umbracell.Bench;

if (args is ["likelihoods", var path])
{
    LikelihoodTables.Write(path);
}
else
{
    BenchmarkSwitcher.FromAssembly(typeof(MoistAirBench).Assembly).Run(args);
}
