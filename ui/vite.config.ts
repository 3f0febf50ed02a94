import { marked } from 'marked'
import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'
import vuetify from 'vite-plugin-vuetify'

// The entry; and what one page alone needs and is large, loaded with it.
const APART = /src\/main\.ts|node_modules\/three\/|src\/body\/|HowPage|how-it-computes/

// A page that is written in Markdown is read when it is built.
const written: Plugin = {
  name: 'written-pages',
  enforce: 'pre',
  transform: (text, module) =>
    module.endsWith('.md') ? `export default ${JSON.stringify(marked.parse(text, { async: false }))}` : undefined,
}

export default defineConfig({
  plugins: [written, vue(), vuetify({ autoImport: true })],
  define: { __VUE_OPTIONS_API__: false },
  build: {
    outDir: '../fuseau/app/pages',
    emptyOutDir: true,
    license: { fileName: 'licences.json' },
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    chunkSizeWarningLimit: 900,
    cssCodeSplit: false,
    // All pages in one file, which a browser reads and compiles once; apart only what few pages need and is large.
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            {
              name: 'fuseau',
              test: (module: string) => !APART.test(module) && /\.(ts|m?js|vue|css)(\?|$)/.test(module),
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8321', '/fonts': 'http://127.0.0.1:8321' } },
})
