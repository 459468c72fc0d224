import { readdir } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { setResponseHeaders } from 'h3'

/** The built files lie beside the server; in development there is nothing to keep. */
async function builtFiles(): Promise<string[]> {
  const folder = join(dirname(process.argv[1] ?? ''), '..', 'public', '_nuxt')
  const found = await readdir(process.env.AMPLE_TALLY_ASSETS ?? folder).catch(() => [])
  return found.filter((name) => /\.(js|css|woff2)$/.test(name)).map((name) => `/_nuxt/${name}`)
}

/** The service worker that lets the bench start while the server is away. */
export default defineEventHandler(async (event) => {
  setResponseHeaders(event, { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-cache' })
  const worker = String(await useStorage('assets:server').getItemRaw('shell-cache.js'))
  const files = (await builtFiles()).filter((name) => !/(vietnamese|cyrillic|latin-ext)/.test(name))
  return worker.replace('[/* files */]', JSON.stringify(files)).replace('/* build */', String(hash(files)))
})

function hash(files: string[]): number {
  return files
    .join()
    .split('')
    .reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0, 7)
}
