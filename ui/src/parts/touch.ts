import { certain } from './certain'

/** Where a drawing was touched, in its own units: through its frame, however it was scaled or shifted. */
export function touched(drawing: SVGGraphicsElement | null | undefined, event: MouseEvent): DOMPoint {
  const frame = certain(drawing?.getScreenCTM(), 'the drawing')
  return new DOMPoint(event.clientX, event.clientY).matrixTransform(frame.inverse())
}
