// A product of one's own, which may be killed.
import { execFileSync, spawn } from 'node:child_process'
import { existsSync, readFileSync, readlinkSync } from 'node:fs'
import { pause } from './asking.mjs'

/** Processes whose command line holds all of these. */
function processes(...parts) {
  const found = execFileSync('ps', ['-eo', 'pid,args'], { encoding: 'utf8' }).split('\n')
  return found
    .filter((line) => parts.every((part) => line.includes(part)))
    .map((line) => Number(line.trim().split(' ')[0]))
}

const killAll = (pids, signal) => pids.forEach((pid) => tryTo(() => process.kill(pid, signal)))
function tryTo(act) {
  try {
    act()
  } catch {
    // Gone already.
  }
}

const partsOf = (pid, what) => readFileSync(`/proc/${pid}/${what}`, 'utf8').split('\0').filter(Boolean)

/** Starts a second server on the database of one that runs. */
export async function startBeside(pid, port) {
  const [program, ...args] = partsOf(pid, 'cmdline')
  const env = Object.fromEntries(
    partsOf(pid, 'environ').map((line) => [line.slice(0, line.indexOf('=')), line.slice(line.indexOf('=') + 1)]),
  )
  env.Serilog__WriteTo__0__Args__path += '.beside'
  const address = `http://127.0.0.1:${port}`
  args[args.indexOf('--urls') + 1] = address
  const server = spawn(program, args, { env, cwd: readlinkSync(`/proc/${pid}/cwd`), stdio: 'ignore' })
  const answers = () =>
    fetch(`${address}/healthz`).then(
      () => true,
      () => false,
    )
  for (let i = 0; !(await answers()); i += 1) {
    if (i > 240 || server.exitCode !== null) throw new Error('The second server did not start.')
    await pause(250)
  }
  return { address, stop: () => tryTo(() => server.kill('SIGTERM')) }
}

/** Starts ./run on a folder and a port of its own. */
export async function startProduct(data, port) {
  const log = []
  /** What the database wrote down about itself; nothing once it has ended in order. */
  const cluster = () => {
    const file = `${data}/postgres/postmaster.pid`
    const [pid = 'none', , , port] = existsSync(file) ? readFileSync(file, 'utf8').split('\n') : []
    return { pid: pid.trim(), port }
  }
  const run = spawn('./run', ['--data', data, '--port', String(port), '--clock', '2026-11-23T12:40:00Z'], {
    detached: true,
  })
  for (const stream of [run.stdout, run.stderr]) stream.on('data', (text) => log.push(String(text)))
  for (let i = 0; !log.join('').includes('Ctrl-C stops it'); i += 1) {
    if (i > 1200 || run.exitCode !== null) throw new Error(`The product did not start:\n${log.join('')}`)
    await pause(250)
  }
  return {
    address: `http://127.0.0.1:${port}`,
    /** The server alone, at once. */
    killServer: () => killAll(processes('Umbracell.Server.dll', `:${port}`), 'SIGKILL'),
    /** The whole database, at once: as when the plug is pulled. */
    killCluster: () => killAll(processes('postgres', `${data}/postgres`), 'SIGKILL'),
    /** One process of the database that serves the server. */
    killBackend() {
      const all = execFileSync('ps', ['--ppid', cluster().pid, '-o', 'pid=,args='], { encoding: 'utf8' }).split('\n')
      const serving = all.filter((line) => line.includes('umbracell_app'))
      killAll(
        serving.slice(0, 1).map((line) => Number(line.trim().split(' ')[0])),
        'SIGKILL',
      )
    },
    clusterStands: () => existsSync(`/proc/${cluster().pid}`),
    /** Asks the database itself, past the product; one that does not answer is no fault here. */
    inDatabase(question) {
      const env = { ...process.env, PGPASSWORD: readFileSync(`${data}/secrets/admin`, 'utf8').trim() }
      const at = ['-h', '127.0.0.1', '-p', cluster().port, '-U', 'umbracell_admin', '-d', 'umbracell']
      tryTo(() => execFileSync('psql', ['-X', ...at, '-c', question], { env, stdio: 'pipe' }))
    },
    /** The connections of the server end, and new ones have a file to write before they serve. */
    forgetConnections() {
      const own = "select pg_terminate_backend(pid) from pg_stat_activity where usename = 'umbracell_app'"
      this.inDatabase(own)
      execFileSync('sh', [
        '-c',
        `rm -f ${data}/postgres/global/pg_internal.init ${data}/postgres/base/*/pg_internal.init`,
      ])
    },
    async stop() {
      tryTo(() => process.kill(-run.pid, 'SIGINT'))
      for (let i = 0; i < 80 && run.exitCode === null && run.signalCode === null; i += 1) await pause(250)
      killAll(processes('Umbracell.Server.dll', `:${port}`), 'SIGKILL')
      if (existsSync(`${data}/postgres/postmaster.pid`)) killAll(processes('postgres', `${data}/postgres`), 'SIGQUIT')
      await pause(500)
    },
  }
}
