import { randomBytes } from 'node:crypto'
import { setResponseHeader } from 'h3'

/** A strict content-security policy: only our own files, and the shell's own scripts and styles by nonce. */
export default defineNitroPlugin((nitro) => {
  // Nobody need know what we are made of.
  nitro.hooks.hook('render:response', (response) => {
    delete response.headers?.['x-powered-by']
  })
  nitro.hooks.hook('render:html', (html, { event }) => {
    const nonce = randomBytes(16).toString('base64')
    const mark = (chunk: string) => chunk.replace(/<(script|style)(?=[\s>])/g, `<$1 nonce="${nonce}"`)
    html.head = [`<meta name="csp-nonce" content="${nonce}">`, ...html.head.map(mark)]
    html.bodyPrepend = html.bodyPrepend.map(mark)
    html.body = html.body.map(mark)
    html.bodyAppend = html.bodyAppend.map(mark)
    setResponseHeader(
      event,
      'content-security-policy',
      [
        `default-src 'self'`,
        `script-src 'self' 'nonce-${nonce}'`,
        `style-src 'self' 'nonce-${nonce}'`,
        `img-src 'self' data: blob:`,
        `font-src 'self'`,
        `connect-src 'self'`,
        `worker-src 'self'`,
        `object-src 'none'`,
        `base-uri 'none'`,
        `form-action 'self'`,
        `frame-ancestors 'none'`,
      ].join('; '),
    )
  })
})
