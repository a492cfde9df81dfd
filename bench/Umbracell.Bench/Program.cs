using BenchmarkDotNet.Running;
using Umbracell.Bench;

BenchmarkSwitcher.FromAssembly(typeof(MoistAirBench).Assembly).Run(args);
