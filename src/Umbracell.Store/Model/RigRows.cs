using Umbracell.Core.Conditions;
using Umbracell.Core.Rigs;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Documents;
using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>How a rig was set at a job: each change is a row, the newest is what is on it. What was set stands as it was.</summary>
public sealed class RigSettingRow : IJobRow, IFigureInput
{
    public const int LongestTip = 60,
        LongestLot = 60;

    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public Guid RigId { get; set; }

    /// <summary>The how manieth of its rig: two who set it at the same moment come one after the other.</summary>
    public int Number { get; set; }

    /// <summary>The product on it.</summary>
    public required string SheetSlug { get; set; }

    public double PrimaryATempC { get; set; }

    public double PrimaryBTempC { get; set; }

    public double HoseTempC { get; set; }

    /// <summary>Of both sides while it is sprayed, Pa.</summary>
    public double PressurePa { get; set; }

    /// <summary>The tip in the gun; empty where nobody said.</summary>
    public string Tip { get; set; } = "";

    /// <summary>Lot of the A drum; empty where nobody said.</summary>
    public string LotA { get; set; } = "";

    /// <summary>Lot of the B drum; empty where nobody said.</summary>
    public string LotB { get; set; } = "";

    /// <summary>How often drums were changed up to here, so that another drum of the same lot is a change too.</summary>
    public int DrumChanges { get; set; }

    public DateTimeOffset SetAt { get; set; }

    /// <summary>When it arrived; later than it was set where there was no connection.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    public required string SetBy { get; set; }

    /// <summary>Why a shot fired before it counts no longer; null where nothing was changed.</summary>
    public ShotLoss? LossAfter(RigSettingRow before) =>
        SheetSlug != before.SheetSlug ? ShotLoss.Product
        : DrumChanges != before.DrumChanges || LotA != before.LotA || LotB != before.LotB ? ShotLoss.Drums
        : (PrimaryATempC, PrimaryBTempC, HoseTempC, PressurePa, Tip)
        != (before.PrimaryATempC, before.PrimaryBTempC, before.HoseTempC, before.PressurePa, before.Tip)
            ? ShotLoss.SetPoints
        : null;

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [JobId];
}

/// <summary>A test shot.</summary>
public sealed class TestShotRow : IJobRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    /// <summary>The surface it was fired at.</summary>
    public Guid SurfaceId { get; set; }

    public Guid RigId { get; set; }

    public required string SheetSlug { get; set; }

    /// <summary>What it was fired on.</summary>
    public SubstrateKind Substrate { get; set; }

    /// <summary>What was read and seen.</summary>
    public required ShotDocument Document { get; set; }

    /// <summary>Causes whose step was done before it, by their names, apart by spaces.</summary>
    public string Done { get; set; } = "";

    /// <summary>Causes whose step was done after it. What is done changes nothing of foam that is there: they count for the next shot, not
    /// for whether this one can be accepted.</summary>
    public string DoneSince { get; set; } = "";

    public DateTimeOffset FiredAt { get; set; }

    /// <summary>When it arrived; later than it was fired where there was no connection.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    public required string FiredBy { get; set; }

    public DateTimeOffset? AcceptedAt { get; set; }

    public string AcceptedBy { get; set; } = "";

    /// <summary>Why it counts no longer; null where nothing was changed since.</summary>
    public ShotLoss? Loss { get; set; }

    public uint Version { get; set; }

    /// <summary>Causes by their names, as <see cref="Done"/> and <see cref="DoneSince"/> hold them.</summary>
    public static IReadOnlyList<ShotCause> CausesOf(string names) =>
        [.. names.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(name => Enum.Parse<ShotCause>(name))];

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [JobId];
}
