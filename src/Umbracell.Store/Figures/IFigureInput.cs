namespace Umbracell.Store.Figures;

/// <summary>A row that kept figures are made from. It says whose figures are out of date once it changes.</summary>
public interface IFigureInput
{
    /// <summary>Ids of the surfaces, the job or the firm whose figures hang on the row. What is said of a job holds for each of its
    /// surfaces, what is said of a firm for all it has.</summary>
    /// <param name="changes">Whether a field of the row changes, by its name; false for each field of a row that is added.</param>
    IEnumerable<Guid> FiguresOf(Func<string, bool> changes);
}
