import { resolve } from 'node:path'
import { ensureBuild, ensurePackages, ensurePort, serve } from './ready.mjs'

const port = process.env.PORT ?? '4600'
const host = process.env.HOST ?? '127.0.0.1'
await ensurePort(port, host)
ensurePackages()
ensureBuild()
await serve({ port, host, data: resolve(process.env.AMPLE_TALLY_DATA ?? 'data'), demo: false })
