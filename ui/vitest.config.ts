import { mergeConfig } from 'vite'
import { defineConfig } from 'vitest/config'
import vite from './vite.config.ts'

// Pure functions by themselves; components and stores in a stand-in for a page.
export default mergeConfig(
  vite,
  defineConfig({
    test: {
      css: false,
      projects: [
        { extends: true, test: { name: 'functions', include: ['tests/*.test.ts'], environment: 'node' } },
        {
          extends: true,
          test: {
            name: 'components',
            include: ['tests/components/*.test.ts'],
            environment: 'happy-dom',
            environmentOptions: { happyDOM: { url: 'http://fuseau.test/' } },
            server: { deps: { inline: ['vuetify'] } },
          },
        },
      ],
    },
  }),
)
