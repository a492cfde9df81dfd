using Umbracell.Server.Requests;

namespace Umbracell.Server.Access;

/// <summary>Signing in.</summary>
internal sealed class AccessPart : IPart
{
    public void Map(IEndpointRouteBuilder api)
    {
        api.MapSession();
        api.MapOwnAccess();
        api.MapSecondStep();
        api.MapPeople();
        api.MapPersonRecords();
        api.MapAccessLinks();
        api.MapOpenedLinks();
        api.MapTokens();
        api.MapSecurityBook();
    }
}
