import { certain } from './certain'

// A drawing of the page as a picture: its styles written into a copy, drawn twice as large onto its own paper.

const KEPT = [
  'fill', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-dasharray', 'stroke-linecap', 'stroke-linejoin',
  'stroke-opacity', 'opacity', 'vector-effect', 'font-family', 'font-size', 'font-weight', 'font-style',
  'text-anchor', 'dominant-baseline', 'letter-spacing', 'visibility', 'display', 'paint-order',
] // prettier-ignore

/** The largest drawing that is shown, if there is one that is worth a picture. */
export function mainDrawing(root: ParentNode = document): SVGSVGElement | undefined {
  const area = (element: Element) => {
    const box = element.getBoundingClientRect()
    return box.width * box.height
  }
  return [...root.querySelectorAll<SVGSVGElement>('main svg')]
    .filter((one) => area(one) > 40_000)
    .sort((a, b) => area(b) - area(a))[0]
}

/** A drawing as a file of its own: every style that is seen stands in it, and nothing that only acts. */
export function standAlone(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const [from, to] = [
    [svg, ...svg.querySelectorAll('*')],
    [copy, ...copy.querySelectorAll('*')],
  ]
  from.forEach((one, i) => {
    const style = getComputedStyle(one)
    const target = to[i] as SVGElement
    target.removeAttribute('class')
    target.setAttribute('style', KEPT.map((name) => `${name}:${style.getPropertyValue(name)}`).join(';'))
  })
  const { width, height } = svg.getBoundingClientRect()
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', String(width))
  copy.setAttribute('height', String(height))
  return new XMLSerializer().serializeToString(copy)
}

/** Saves a drawing as PNG under a name; rejects where the browser can't draw it. */
export async function savePicture(svg: SVGSVGElement, name: string, times = 2): Promise<void> {
  const { width, height } = svg.getBoundingClientRect()
  const picture = new Image()
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(standAlone(svg))}`
  await picture.decode()
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(width * times)
  canvas.height = Math.round(height * times)
  const pen = certain(canvas.getContext('2d'), 'a drawing pen')
  pen.fillStyle = getComputedStyle(svg).getPropertyValue('--paper') || '#fff'
  pen.fillRect(0, 0, canvas.width, canvas.height)
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height)
  const link = document.createElement('a')
  link.href = canvas.toDataURL('image/png')
  link.download = name
  link.click()
}
