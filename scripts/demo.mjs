import { join } from 'node:path'
import { ensureBuild, ensurePackages, ensurePort, freshFolder, root, serve } from './ready.mjs'

const port = process.env.PORT ?? '4700'
const host = process.env.HOST ?? '127.0.0.1'
await ensurePort(port, host)
ensurePackages()
ensureBuild()
await serve({ port, host, data: freshFolder(join(root, '.cache/demo')), demo: true })
