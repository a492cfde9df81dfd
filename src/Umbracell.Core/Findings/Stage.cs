namespace Umbracell.Core.Findings;

/// <summary>The stages of a job, in their order.</summary>
public enum Stage
{
    /// <summary>What stands there: sizes, layers, state, joints, preparation.</summary>
    Survey,

    /// <summary>Which system.</summary>
    Choose,

    /// <summary>The assembly with the system in it.</summary>
    Section,

    /// <summary>Material, yield and price.</summary>
    Sets,

    /// <summary>Whether it may be sprayed now.</summary>
    Window,

    /// <summary>Whether the machine is ready and its foam good.</summary>
    Rig,

    /// <summary>What has been sprayed, and when the next lift can go on.</summary>
    Spray,

    /// <summary>Whether the work is thick enough, tight enough and sound, and when people come back.</summary>
    Prove,
}
