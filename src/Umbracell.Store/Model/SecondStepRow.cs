namespace Umbracell.Store.Model;

/// <summary>Of whom a firm asks for a code besides the password.</summary>
public enum CodesFor
{
    /// <summary>Of those who chose it themselves.</summary>
    WhoWants,

    /// <summary>Of those who see and change what the firm pays and earns.</summary>
    WhoPrices,

    Everybody,
}

/// <summary>The second step of a person's sign-in: a code from something they carry.</summary>
public sealed class SecondStepRow : IFirmRow
{
    public Guid PersonId { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>What the person's device makes its codes from, encrypted; null until a first code has shown that both have the same.</summary>
    public string? Secret { get; set; }

    /// <summary>One that was told and has not been shown to work yet, encrypted.</summary>
    public string? SecretToCome { get; set; }

    /// <summary>The half minute, counted from 1970, whose code was taken last; none is taken again, nor any before it.</summary>
    public long LastTaken { get; set; }

    /// <summary>Hashes of the spare codes that are left, for one sign-in each.</summary>
    public string[] SpareCodes { get; set; } = [];
}
