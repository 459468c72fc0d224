// Keeps the shell and the built files, so that the bench starts while the server is away. Taps are never kept here:
// they wait in the page's own outbox.
const shell = 'ample-tally-shell-/* build */'
const files = [/* files */]

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(shell)
      .then((cache) => cache.addAll(['/', ...files]))
      .then(() => self.skipWaiting()),
  )
})

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter((name) => name !== shell).map((name) => caches.delete(name))))
      .then(() => self.clients.claim()),
  )
})

self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url)
  if (event.request.method !== 'GET' || url.origin !== location.origin || url.pathname.startsWith('/api/')) return
  if (event.request.mode === 'navigate') {
    // Every address is served by one shell, so any address can start from the one kept.
    event.respondWith(
      fetch(event.request)
        .then((answer) => {
          if (answer.ok) {
            const copy = answer.clone()
            event.waitUntil(caches.open(shell).then((cache) => cache.put('/', copy)))
          }
          return answer
        })
        .catch(() => caches.match('/')),
    )
    return
  }
  if (url.pathname.startsWith('/_nuxt/'))
    event.respondWith(caches.match(event.request).then((kept) => kept ?? fetch(event.request)))
})
