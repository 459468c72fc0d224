import { execFileSync, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** What the commands need before they can run: packages, a compiler, a browser, a build. Only Node itself is assumed. */
export const root = fileURLToPath(new URL('..', import.meta.url))

/** Say what to do, and stop. */
export function stop(message) {
  console.error(message)
  process.exit(1)
}

export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
  return status ?? 1
}

function has(program) {
  return spawnSync('sh', ['-c', `command -v ${program}`]).status === 0
}

/** Install Debian packages, when we may. */
function apt(packages, why) {
  const command = `apt-get update && apt-get install -y ${packages.join(' ')}`
  if (process.getuid?.() !== 0 || !has('apt-get')) stop(`${why} Run this as root, then start again:\n  ${command}`)
  console.info(`${why} Installing ${packages.join(', ')} …`)
  if (
    run('apt-get', ['update', '-qq']) !== 0 ||
    run('apt-get', ['install', '-y', '-qq', ...packages], { DEBIAN_FRONTEND: 'noninteractive' }) !== 0
  ) {
    stop(`That did not work. Run this by hand, then start again:\n  ${command}`)
  }
}

/** Node's own headers lie beside Node when it came from its archive; the database is compiled against them. */
function headers() {
  const prefix = dirname(dirname(process.execPath))
  return existsSync(join(prefix, 'include/node/node.h')) ? { npm_package_config_node_gyp_nodedir: prefix } : {}
}

/** Packages as the lock file names them, installed when they are missing or the lock file changed. */
export function ensurePackages() {
  const major = Number(process.versions.node.split('.')[0])
  if (major < 20) stop(`Ample Tally needs Node 20.19 or newer; this is ${process.versions.node}.`)
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const stamp = join(root, 'node_modules/.ample-tally-lock')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  const tools = ['python3', 'make', 'g++'].filter((tool) => !has(tool))
  if (tools.length > 0) apt(tools, 'The database is compiled once, which needs a compiler.')
  console.info('Installing packages; the database is compiled, which takes a few minutes …')
  if (run('npm', ['ci', '--no-audit', '--no-fund'], headers()) !== 0)
    stop('The packages could not be installed. Check the network and the messages above, then start again.')
  writeFileSync(stamp, lock)
}

/** The browser that drives the tests. */
export function ensureBrowser() {
  if (!existsSync('/usr/bin/chromium')) apt(['chromium'], 'The browser tests need Chromium.')
}

function filesUnder(path) {
  if (!existsSync(path)) return []
  if (statSync(path).isFile()) return [path]
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesUnder(join(path, name)))
}

function sourceHash() {
  const hash = createHash('sha256')
  const places = [
    'app',
    'core',
    'shared',
    'server',
    'demo',
    'public',
    'packages',
    'nuxt.config.ts',
    'package-lock.json',
  ]
  for (const file of places
    .flatMap((place) => filesUnder(join(root, place)))
    .filter((file) => !file.endsWith('.test.ts'))) {
    hash.update(file.slice(root.length)).update(readFileSync(file))
  }
  return hash.digest('hex')
}

/** The built application, built again when its sources changed. */
export function ensureBuild() {
  const stamp = join(root, '.output/built-from')
  const now = sourceHash()
  const server = join(root, '.output/server/index.mjs')
  if (existsSync(server) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return
  console.info('Building …')
  const log = join(root, '.cache/build.log')
  mkdirSync(dirname(log), { recursive: true })
  try {
    writeFileSync(
      log,
      execFileSync('npx', ['nuxt', 'build'], {
        cwd: root,
        encoding: 'utf8',
        stdio: ['ignore', 'pipe', 'pipe'],
        env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
      }),
    )
  } catch (error) {
    stop(`${error.stdout}\n${error.stderr}\nThe build failed; see above.`)
  }
  writeFileSync(stamp, now)
}

/** Stop, with the reason, when a port is taken: the server itself would only leave quietly. */
export async function ensurePort(port, host) {
  await new Promise((done) => {
    const probe = createServer()
    probe.once('error', (error) => {
      if (error.code === 'EADDRINUSE')
        stop(`Port ${port} is in use. Stop what uses it, or name another one: PORT=${Number(port) + 1} npm run …`)
      stop(`Port ${port} on ${host} cannot be opened: ${error.message}`)
    })
    probe.listen(Number(port), host, () => probe.close(done))
  })
}

/** Start the built server in this process. */
export async function serve({ port, host, data, demo }) {
  await ensurePort(port, host)
  Object.assign(process.env, {
    PORT: String(port),
    HOST: host,
    AMPLE_TALLY_DATA: data,
    AMPLE_TALLY_DEMO: demo ? '1' : '',
    NODE_ENV: 'production',
    AMPLE_TALLY_ASSETS: join(root, '.output/public/_nuxt'),
  })
  // Disk, pictures and secrets each keep threads busy; the database must not wait for them.
  process.env.UV_THREADPOOL_SIZE ??= '8'
  const scheme = process.env.NITRO_SSL_CERT ? 'https' : 'http'
  if (!['127.0.0.1', 'localhost', '::1'].includes(host) && scheme === 'http') {
    console.warn(
      'Beyond this machine without HTTPS anyone in the network can read PINs and taps, and browsers withhold what keeps the bench going while the server is away, and the screen awake. Start with --https instead.',
    )
  }
  await import(join(root, '.output/server/index.mjs'))
  console.info(`Ample Tally: ${scheme}://${host === '0.0.0.0' ? 'localhost' : host}:${port}/`)
}

export function freshFolder(path) {
  rmSync(path, { recursive: true, force: true })
  mkdirSync(path, { recursive: true })
  return path
}
