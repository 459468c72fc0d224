/** Keep the shell, so that the bench starts while the server is away. Browsers offer this on localhost and over HTTPS only. */
export default defineNuxtPlugin(() => {
  if (!import.meta.dev && 'serviceWorker' in navigator)
    void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
})
