import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import 'vuetify/styles/core'

const chalk = { metal: '#8A6314', takein: '#B4325E', letout: '#1F5FA8', settled: '#2C7A55', caution: '#9A5C00' }

export default createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'light',
    themes: {
      light: {
        dark: false,
        colors: {
          ...chalk,
          background: '#FCFCFA',
          surface: '#FCFCFA',
          primary: '#1D2733',
          secondary: '#5A6B7B',
          error: '#B4325E',
          warning: '#9A5C00',
          success: '#2C7A55',
          info: '#1F5FA8',
        },
      },
      dark: {
        dark: true,
        colors: {
          background: '#151C24',
          surface: '#1B242E',
          primary: '#DCE4EA',
          secondary: '#9FB0BE',
          metal: '#D9AC4F',
          takein: '#F08CB0',
          letout: '#86B8F2',
          settled: '#7CCBA2',
          caution: '#F0B35A',
          error: '#F08CB0',
          warning: '#F0B35A',
          success: '#7CCBA2',
          info: '#86B8F2',
        },
      },
    },
  },
  defaults: {
    VBtn: { variant: 'flat', rounded: 'sm', density: 'comfortable', class: 'text-none' },
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VAutocomplete: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VBtnToggle: { density: 'compact', variant: 'outlined', divided: true, mandatory: true },
  },
})
