// Ships the description of the HTTP API with the application, and a page that shows it: nothing comes from elsewhere.
import { copyFileSync, mkdirSync, writeFileSync } from 'node:fs'

const from = 'node_modules/swagger-ui-dist/'
const pages = '../fuseau/app/pages/'
const to = pages + 'docs/'
mkdirSync(to, { recursive: true })
copyFileSync('src/api/openapi.json', pages + 'openapi.json')
for (const file of ['swagger-ui.css', 'swagger-ui-bundle.js']) copyFileSync(from + file, to + file)
const shown = { url: '/api/openapi.json', dom_id: '#api', docExpansion: 'none', defaultModelsExpandDepth: -1 }
writeFileSync(to + 'start.js', `SwaggerUIBundle(${JSON.stringify(shown)})\n`)
writeFileSync(
  to + 'index.html',
  '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Fuseau: HTTP API</title>' +
    '<link rel="stylesheet" href="/docs/swagger-ui.css"></head><body><main id="api"></main>' +
    '<script src="/docs/swagger-ui-bundle.js"></script><script src="/docs/start.js"></script></body></html>\n',
)
