using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Survey.Baseline;
using Umbracell.Server.Survey.Complaints;
using Umbracell.Server.Survey.Drive;
using Umbracell.Server.Survey.Exchange;
using Umbracell.Server.Survey.Joints;
using Umbracell.Server.Survey.State;
using Umbracell.Server.Survey.Templates;

namespace Umbracell.Server.Survey;

/// <summary>Survey: what is sprayed, and all that is known of it.</summary>
internal sealed class SurveyStage : IPart
{
    public void AddTo(IServiceCollection services) => services.AddSingleton<IStageCell, SurveyCell>();

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapSurvey();
        api.MapTemplates();
        api.MapJoints();
        api.MapComplaints();
        api.MapNotes();
        api.MapPhotos();
        api.MapLogs();
        api.MapPreparation();
        api.MapDrive();
        api.MapBuilding();
        api.MapFanTests();
        api.MapThermal();
        api.MapImports();
        api.MapExports();
        api.MapJobCopy();
    }
}
