import type { VuetifyOptions } from 'vuetify'

const paper = {
  background: '#f4f0e6',
  surface: '#fbf9f3',
  'on-background': '#1d2126',
  'on-surface': '#1d2126',
  primary: '#23594c',
  'on-primary': '#fbf9f3',
  secondary: '#5d5a53',
  error: '#a3341f',
  warning: '#8a5800',
  success: '#23594c',
  info: '#3f5f7d',
}

const bench = {
  background: '#15181b',
  surface: '#1c2024',
  'on-background': '#ece5d5',
  'on-surface': '#ece5d5',
  primary: '#8fc3a9',
  'on-primary': '#15181b',
  secondary: '#b3ac9d',
  error: '#e2836c',
  warning: '#e0b45c',
  success: '#8fc3a9',
  info: '#93b3cf',
}

/** Paper and ink: square, flat, ruled by hairlines. Every part of the kit takes these, so none is styled by itself. */
export const vuetifyOptions: VuetifyOptions = {
  theme: {
    defaultTheme: 'paper',
    themes: { paper: { dark: false, colors: paper }, bench: { dark: true, colors: bench } },
  },
  defaults: {
    global: { ripple: false, rounded: 0, elevation: 0 },
    VTextField: {
      variant: 'underlined',
      color: 'primary',
      density: 'comfortable',
      hideDetails: 'auto',
      persistentPlaceholder: true,
    },
    VTextarea: {
      variant: 'underlined',
      color: 'primary',
      density: 'comfortable',
      hideDetails: 'auto',
      rows: 2,
      autoGrow: true,
    },
    VSelect: { variant: 'underlined', color: 'primary', density: 'comfortable', hideDetails: 'auto' },
    VFileInput: {
      variant: 'underlined',
      color: 'primary',
      density: 'comfortable',
      hideDetails: 'auto',
      prependIcon: '',
      prependInnerIcon: '$file',
      clearable: false,
    },
    VCheckbox: { color: 'primary', density: 'compact', hideDetails: true },
    VCheckboxBtn: { color: 'primary', density: 'compact' },
    VBtn: { variant: 'flat', color: 'primary', class: 'press-button' },
    VDialog: { maxWidth: 560 },
  },
  icons: { defaultSet: 'mdi' },
}
