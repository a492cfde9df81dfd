using System.Collections.Concurrent;
using System.Net;
using System.Net.Sockets;
using System.Text;

namespace Umbracell.Server.Tests;

/// <summary>A line to the database that can be cut: as when it is started anew, or a cable is pulled at the worst moment.</summary>
internal sealed class CutLine : IDisposable
{
    private readonly TcpListener _listener = new(IPAddress.Loopback, 0);
    private readonly int _database;
    private readonly ConcurrentDictionary<Socket, bool> _open = new();
    private volatile bool _cut;
    private volatile string? _last;

    public CutLine(int database)
    {
        _database = database;
        _listener.Start();
        _ = AcceptAsync();
    }

    public int Port => ((IPEndPoint)_listener.LocalEndpoint).Port;

    /// <summary>Nothing goes through any more.</summary>
    public void Cut()
    {
        _cut = true;
        Close(_open.Keys);
    }

    /// <summary>Cuts once the database was sent this, before anybody hears what it says to it.</summary>
    public void CutAfter(string sent) => _last = sent;

    public void Mend() => (_cut, _last) = (false, null);

    private static void Close(IEnumerable<Socket> sockets)
    {
        foreach (var socket in sockets)
        {
            socket.Dispose();
        }
    }

    private async Task AcceptAsync()
    {
        while (true)
        {
            Socket near;
            try
            {
                near = await _listener.AcceptSocketAsync();
            }
            catch (Exception e) when (e is ObjectDisposedException or SocketException)
            {
                return;
            }

            if (_cut)
            {
                near.Dispose();
                continue;
            }

            var far = new Socket(SocketType.Stream, ProtocolType.Tcp) { NoDelay = true };
            near.NoDelay = true;
            await far.ConnectAsync(IPAddress.Loopback, _database);
            (_open[near], _open[far]) = (true, true);
            _ = PassAsync(near, far, isAsking: true);
            _ = PassAsync(far, near, isAsking: false);
        }
    }

    private async Task PassAsync(Socket from, Socket to, bool isAsking)
    {
        var bytes = new byte[64 * 1024];
        try
        {
            while (await from.ReceiveAsync(bytes) is var count and > 0)
            {
                // The answer to the last word is never passed on.
                if (!isAsking && _cut)
                {
                    break;
                }

                var isLast = isAsking && _last is { } last && bytes.AsSpan(0, count).IndexOf(Encoding.ASCII.GetBytes(last)) >= 0;
                _cut |= isLast;
                await to.SendAsync(bytes.AsMemory(0, count));
                if (isLast)
                {
                    // The database has heard it, and ends it before it finds that nobody listens.
                    var open = _open.Keys;
                    await Task.Delay(300);
                    Close(open);
                }
            }
        }
        catch (Exception e) when (e is SocketException or ObjectDisposedException)
        {
            // Cut.
        }

        from.Dispose();
        to.Dispose();
    }

    public void Dispose()
    {
        Cut();
        _listener.Dispose();
    }
}
