import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { vuetifyOptions } from '~/theme'

export default defineNuxtPlugin((nuxt) => {
  const cspNonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content
  nuxt.vueApp.use(
    createVuetify({
      ...vuetifyOptions,
      theme: { ...(vuetifyOptions.theme || {}), cspNonce },
      icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    }),
  )
})
