import { mergeConfig } from 'vite'
import { defineConfig } from 'vitest/config'
import vite from './vite.config.ts'

// Pure functions by themselves; components and stores in a stand-in for a page, and so the whole application, with a
// server behind it (`python -m tests.stories`).
export default mergeConfig(
  vite,
  defineConfig({
    test: {
      css: false,
      isolate: false, // modules are read once: a test leaves nothing behind in them
      projects: [
        { extends: true, test: { name: 'functions', include: ['tests/*.test.ts'], environment: 'node' } },
        {
          extends: true,
          test: {
            name: 'components',
            include: ['tests/components/*.test.ts'],
            setupFiles: ['tests/after.ts'],
            environment: 'happy-dom',
            environmentOptions: { happyDOM: { url: 'http://fuseau.test/' } },
            server: { deps: { inline: ['vuetify'] } },
          },
        },
        {
          extends: true,
          test: {
            name: 'stories',
            include: process.env.FUSEAU_STORIES ? ['tests/stories/*.test.ts'] : [],
            environment: 'happy-dom',
            environmentOptions: { happyDOM: { url: process.env.FUSEAU_STORIES } },
            server: { deps: { inline: ['vuetify'] } },
            fileParallelism: false, // one workshop is open at a time
            testTimeout: 60_000,
            env: { NODE_ENV: 'production' }, // as it is served
          },
        },
      ],
    },
  }),
)
