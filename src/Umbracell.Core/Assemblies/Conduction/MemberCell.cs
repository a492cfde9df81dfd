using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>A metal member with the field beside it, from its middle to half-way to the next, reckoned in two dimensions.</summary>
public sealed record MemberCell
{
    /// <summary>Temperatures.</summary>
    public required ConductionField Field { get; init; }

    /// <summary>What was solved, between airs of 0 and 1 °C; half of the symmetric cell.</summary>
    public required ConductionCell Cell { get; init; }

    /// <summary>Of the whole with the member in it.</summary>
    public required ThermalTransmittance U { get; init; }

    /// <summary>Heat through a metre of member beyond the clear field, W/(m·K).</summary>
    public required double Psi { get; init; }

    /// <summary>Coldest spot that room air touches.</summary>
    public required Temperature Coldest { get; init; }

    /// <summary>Share by which heat in and heat out differ; a measure of the solution.</summary>
    public required double Imbalance { get; init; }

    /// <summary>Volumes of a cell at rest.</summary>
    public const int UsualVolumes = 3000;

    /// <summary>Volumes of a cell while a hand moves the foam.</summary>
    public const int FewVolumes = 500;

    // A gap that no knife enters: printed figures are rounded further than that, so what is put in counts as reaching the face.
    private const double Hair = 1e-4;

    /// <summary>Solves a section whose members are girts, purlins, ribs or steel studs of known profile; null for any other, and for one
    /// with nothing put in.</summary>
    /// <param name="section">The case.</param>
    /// <param name="volumes">About how many volumes.</param>
    public static MemberCell? Of(SectionCase section, int volumes = UsualVolumes)
    {
        if (section.Members is not { Profile: { } profile } members || section.Fill.Count == 0 || !Applies(section))
        {
            return null;
        }

        var heat = SectionHeat.ClearOf(section);
        var cell = Made(section, heat, profile);
        var field = section.Solved.FieldOf(cell, volumes).Between(section.Air.Outdoor.Celsius, section.Air.Indoor.Celsius);
        var span = (section.Air.Indoor - section.Air.Outdoor).Kelvins;
        var half = members.Spacing.Metres / 2;
        var through = Math.Max(field.HeatIn, field.HeatOut) / Math.Abs(span);
        var u = through / half;
        return new()
        {
            Field = field,
            Cell = cell,
            U = ThermalTransmittance.FromSi(u),
            Psi = 2 * (through - heat.ParallelU.WattsPerSquareMetreKelvin * half),
            Coldest = Temperature.FromCelsius(Touched(field, cell, section.Air.Indoor.Celsius)),
            Imbalance = Math.Abs(field.HeatIn - field.HeatOut) / Math.Max(field.HeatIn, 1e-12),
        };
    }

    /// <summary>Whether the model speaks of the members of a case: metal of known profile, foam from the room, no channel.</summary>
    internal static bool Applies(SectionCase section) =>
        section.Members is { Material: MemberMaterial.Girt or MemberMaterial.SteelStud, Profile: { } profile } members
        && members.Spacing.Metres > profile.Flange.Metres
        && members.Depth.Metres > 3 * profile.Web.Metres
        && section is { VentChannel.Metres: <= 0, FoamAgainst: FoamSide.Outboard }
        && Math.Abs((section.Air.Indoor - section.Air.Outdoor).Kelvins) >= 0.01;

    // From outside in: layers, then the member's depth with what is put in, its flanges on both faces, then the room or a lining.
    private static ConductionCell Made(SectionCase section, SectionHeat heat, MetalProfile profile)
    {
        var half = section.Members.Spacing.Metres / 2;
        List<Block> blocks = [];
        var y = 0.0;
        foreach (var layer in section.Outboard)
        {
            blocks.Add(new(0, half, y, y + layer.Thickness.Metres, layer.Material.Conductivity.WattsPerMetreKelvin));
            y += layer.Thickness.Metres;
        }

        var foot = y;
        foreach (var layer in section.Fill)
        {
            blocks.Add(new(0, half, y, y + layer.Thickness.Metres, layer.Thickness.Metres / layer.Resistance.SquareMetreKelvinsPerWatt));
            y += layer.Thickness.Metres;
        }

        var (depth, web) = (section.Members.Depth.Metres, profile.Web.Metres);
        var face = Math.Max(foot + depth, y);
        var inside = new EdgeAir(1, heat.InsideFilm.SquareMetreKelvinsPerWatt);
        List<RoomBlock> rooms = [];
        var lined = section.Inboard.Count > 0;
        if (y >= face - Hair)
        {
            blocks[^1] = blocks[^1] with { Top = face };
        }
        else if (lined)
        {
            blocks.Add(new(0, half, y, face, (face - y) / Math.Max(heat.FreeSpace.SquareMetreKelvinsPerWatt, 1e-3)));
        }
        else
        {
            // Under the flange the room is a pocket: its air stands at the same film. Foam that ends within the flange leaves none.
            blocks.Add(new(0, half, y, face, 1));
            rooms.AddRange([
                new(web / 2, profile.Flange.Metres / 2, y, face - web, inside),
                new(profile.Flange.Metres / 2, half, y, face, inside),
            ]);
            rooms.RemoveAll(room => room.Top - room.Bottom < Hair || room.Right - room.Left < Hair);
        }

        foreach (var layer in section.Inboard)
        {
            blocks.Add(new(0, half, face, face + layer.Thickness.Metres, layer.Material.Conductivity.WattsPerMetreKelvin));
            face += layer.Thickness.Metres;
        }

        var top = foot + depth;
        blocks.AddRange([
            new(0, web / 2, foot, top, Girts.Steel),
            new(0, profile.Flange.Metres / 2, foot, foot + web, Girts.Steel),
            new(0, profile.Flange.Metres / 2, top - web, top, Girts.Steel),
        ]);
        return new(half, face, blocks, new(0, heat.OutsideFilm.SquareMetreKelvinsPerWatt), inside) { Rooms = rooms };
    }

    // Volumes beside room air: under the top edge, and around the pockets of the room.
    private static double Touched(ConductionField field, ConductionCell cell, double indoor)
    {
        var coldest = indoor;
        for (var i = 0; i < field.Across; i++)
        {
            for (var j = 0; j < field.Through; j++)
            {
                var t = field.At(i, j);
                if (double.IsNaN(t) || t >= coldest)
                {
                    continue;
                }

                var touches =
                    (j == field.Through - 1 && cell.Inside is not null)
                    || IsRoom(i - 1, j)
                    || IsRoom(i + 1, j)
                    || IsRoom(i, j + 1)
                    || IsRoom(i, j - 1);
                coldest = touches ? t : coldest;
            }
        }

        return coldest;

        bool IsRoom(int i, int j) => i >= 0 && j >= 0 && i < field.Across && j < field.Through && double.IsNaN(field.At(i, j));
    }
}
