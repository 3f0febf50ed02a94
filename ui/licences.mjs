// The licences of every font and script that ships, as the page "about" shows them and as they lie in the tree.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'

const pages = '../fuseau/app/pages/'
const text = (path) => readFileSync(path, 'utf8').replaceAll('\r\n', '\n').trim()
const packed = (name) => JSON.parse(readFileSync(`node_modules/${name}/package.json`, 'utf8'))

// What was built in, as the build itself tells it.
const built = JSON.parse(readFileSync(pages + 'licences.json', 'utf8')).map(({ name, version, identifier, text }) => ({
  name,
  version,
  kind: name.includes('fontsource') ? 'font' : 'script',
  licence: identifier,
  text: text.replaceAll('\r\n', '\n').trim(),
}))

const shown = 'swagger-ui-dist'
const described = {
  name: shown,
  version: packed(shown).version,
  kind: 'script',
  licence: packed(shown).license,
  text: ['LICENSE', 'NOTICE', 'swagger-ui-bundle.js.LICENSE.txt']
    .map((file) => text(`node_modules/${shown}/${file}`))
    .join('\n\n'),
}

const folder = '../fuseau/files/fonts/'
const fonts = readdirSync(folder).filter((file) => file.endsWith('.ttf'))
const families = { dejavu: ['DejaVu Sans', 'Bitstream Vera'], noto: ['Noto Sans', 'OFL-1.1'] }
const printed = Object.entries(families).map(([family, [name, licence]]) => ({
  name,
  version: '',
  kind: 'font',
  licence,
  text: text(`${folder}LICENSE.${family}`),
}))
const owned = (file) => Object.keys(families).some((family) => file.toLowerCase().startsWith(family))
const lost = fonts.filter((file) => !owned(file))
const bare = [...built, described, ...printed].filter((one) => !one.licence || one.text.length < 200)
if (lost.length || bare.length)
  throw new Error(`without a licence: ${[...lost, ...bare.map((one) => one.name)].join(', ')}`)

const shipped = [...printed, ...built, described].sort(
  (a, b) => a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name),
)
writeFileSync(pages + 'licences.json', JSON.stringify(shipped))
const told = shipped.map(
  ({ name, version, licence, text }) =>
    `## ${[name, version].join(' ').trim()}: ${licence}\n\n\`\`\`text\n${text}\n\`\`\`\n`,
)
writeFileSync(
  pages + 'licences.md',
  '# Licences of the fonts and scripts that ship with Fuseau\n\nWritten when the interface is built.\n\n' +
    told.join('\n'),
)
