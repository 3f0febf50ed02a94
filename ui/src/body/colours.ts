import type { Colours } from './scene'

/** How pressure is coloured, from standing off to too firm; it is hatched as well. */
export const CLASS_COLOURS = ['#b9c2ca', '#8fb3dc', '#5f8fc9', '#c98a3d', '#b4325e']

/** The colours of the view on her, those of the work room where it has them. */
export function coloursFor(theme: string): Colours {
  const of = getComputedStyle(document.documentElement)
  const room = (name: string) => of.getPropertyValue(name).trim()
  const dark = theme === 'dark'
  return {
    skin: dark ? '#8d8378' : '#e4d8cb',
    cut: dark ? '#6f675e' : '#d3c4b4',
    cloth: dark ? '#4f6075' : '#7d8fa3',
    cloth2: dark ? '#5a6c82' : '#8b9cae',
    hung: dark ? '#6f667c' : '#a89db3',
    ink: room('--ink'),
    classes: CLASS_COLOURS,
    lines: {
      bone: dark ? '#e8eef2' : '#f6f8f9',
      lace: room('--metal'),
      hole: room('--metal'),
      opening: room('--settled'),
      place: room('--takein'),
      trim: room('--metal'),
      area: room('--metal'),
      limit: room('--takein'),
      ghost: room('--takein'),
    },
  }
}
