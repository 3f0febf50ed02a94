import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  Group,
  Float32BufferAttribute,
  InstancedMesh,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  OrthographicCamera,
  Scene,
  ShaderMaterial,
  SphereGeometry,
  Vector3,
  WebGLRenderer,
} from 'three'
import { LineMaterial } from 'three/addons/lines/LineMaterial.js'
import { LineSegments2 } from 'three/addons/lines/LineSegments2.js'
import { LineSegmentsGeometry } from 'three/addons/lines/LineSegmentsGeometry.js'
import type { OnBodySeen, Patch } from '../api/types'
import { CLASSES, partOf, trianglesOf, type Part } from './seen'

// The garment on her, drawn in space: it is turned about her upright line, seen without perspective, so that what is
// as wide is drawn as wide.

export interface Colours {
  skin: string
  cut: string
  cloth: string
  cloth2: string
  hung: string
  ink: string
  lines: Record<string, string>
  classes: string[]
}
export interface View {
  turn: number
  tilt: number
  /** mm over the height of the picture, and what lies in its middle. */
  tall: number
  middle: [number, number]
}

const LOOSE = ['hanging', 'strap'] // seen from both sides
const SLOW_MS = 21 // a picture: 50 a second and no fewer
const ROUGHEST = 0.55
const WIDTHS: Record<string, number> = {
  top: 2.4,
  hem: 2.4,
  CB: 2,
  bone: 3,
  lace: 2,
  opening: 4,
  limit: 2,
  trim: 3,
  place: 4,
}

export class BodyScene {
  private renderer: WebGLRenderer
  private scene = new Scene()
  private camera = new OrthographicCamera(-1, 1, 1, -1, -4000, 4000)
  private turning = new Group()
  private parts = new Map<Part | 'garment' | 'her', Group[]>()
  private materials: LineMaterial[] = []
  private lines: { drawn: LineSegments2; quick: LineSegments }[] = []
  private pressed: Pressed[] = []
  private meshes: { mesh: Mesh; fine: BufferAttribute; coarse: BufferAttribute }[] = []

  constructor(canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: false, alpha: true, preserveDrawingBuffer: true })
    this.scene.add(this.turning)
  }

  /** Puts a garment on her there: `ghost` is one that is laid over another, as its outline only. */
  put(seen: OnBodySeen, colours: Colours, ghost = false) {
    const groups = new Map<string, Group>()
    const into = (part: Part | 'garment' | 'her') => {
      let group = groups.get(part)
      if (!group) {
        group = new Group()
        groups.set(part, group)
        this.parts.set(part, [...(this.parts.get(part) ?? []), group])
        this.turning.add(group)
      }
      return group
    }
    for (const patch of ghost ? [] : seen.patches) {
      const her = patch.name === 'her'
      const loose = LOOSE.includes(patch.name)
      const cloth = (patch.panel ?? 1) % 2 ? colours.cloth : colours.cloth2
      const mesh = this.meshOf(patch, new Color(her ? colours.skin : loose ? colours.hung : cloth), her, loose)
      if (her)
        for (const row of [0, patch.rows - 1])
          into('her').add(new Mesh(capOf(patch, row), new MeshBasicMaterial({ color: colours.cut, side: DoubleSide })))
      into(her ? 'her' : loose ? 'trims' : patch.name === 'modesty panel' ? 'lacing' : 'garment').add(mesh)
    }
    const byStyle = new Map<string, number[]>()
    for (const line of seen.lines) {
      if (ghost && !['top', 'hem', 'CB', 'seam', 'CF'].includes(line.what)) continue
      const points = byStyle.get(line.what) ?? []
      for (let i = 0; i + 1 < line.points.length; i++) points.push(...line.points[i], ...line.points[i + 1])
      byStyle.set(line.what, points)
    }
    for (const [what, points] of byStyle) {
      const material = new LineMaterial({
        color: new Color(ghost ? colours.lines.ghost : (colours.lines[what] ?? colours.ink)).getHex(),
        linewidth: ghost ? 1.6 : (WIDTHS[what] ?? 1.2),
        dashed: ghost || what === 'limit',
        dashSize: 9,
        gapSize: 6,
      })
      this.materials.push(material)
      const drawn = new LineSegments2(new LineSegmentsGeometry().setPositions(points), material)
      if (material.dashed) drawn.computeLineDistances()
      into(partOf(what) ?? 'garment').add(drawn)
      // while it is turned, as thin as a line is drawn the quickest
      const thin = new BufferGeometry().setAttribute('position', new Float32BufferAttribute(points, 3))
      const quick = new LineSegments(thin, new LineBasicMaterial({ color: material.color }))
      quick.visible = false
      this.lines.push({ drawn, quick })
      into(partOf(what) ?? 'garment').add(quick)
    }
    for (const spots of ghost ? [] : seen.spots) {
      const colour = colours.lines[spots.what] ?? colours.ink
      const ball = new SphereGeometry(Math.max(1.5, spots.wide_mm / 2), 8, 6)
      const balls = new InstancedMesh(ball, new MeshBasicMaterial({ color: colour }), spots.points.length)
      spots.points.forEach((at, i) => balls.setMatrixAt(i, new Matrix4().makeTranslation(...at)))
      into(partOf(spots.what) ?? 'garment').add(balls)
    }
  }

  private meshOf(patch: Patch, plain: Color, her: boolean, loose: boolean): Mesh {
    const shape = new BufferGeometry()
    shape.setAttribute('position', new BufferAttribute(new Float32Array(patch.points), 3))
    const count = patch.points.length / 3
    shape.setAttribute(
      'share',
      new BufferAttribute(Float32Array.from(patch.share.length ? patch.share : Array(count).fill(0)), 1),
    )
    const way = outwards(patch)
    const [fine, coarse] = [1, 2].map((skip) => new BufferAttribute(new Uint16Array(way(trianglesOf(patch, skip))), 1))
    shape.setIndex(fine)
    shape.computeVertexNormals()
    if (her) closed(shape, patch)
    const pressed: Pressed = {
      shown: { value: 0 },
      dense: { value: 1 },
      classes: { value: CLASSES.map(() => new Color()) },
    }
    const material = matt(plain, her ? 3 : 1, pressed)
    if (patch.share.length) this.pressed.push(pressed)
    if (loose) material.side = DoubleSide
    const mesh = new Mesh(shape, material)
    this.meshes.push({ mesh, fine, coarse })
    return mesh
  }

  /** Shows these parts, and pressure by colour and hatching where it is among them. */
  show(parts: readonly Part[], colours: Colours) {
    for (const [part, groups] of this.parts)
      for (const group of groups) group.visible = part === 'garment' || part === 'her' || parts.includes(part)
    const pressure = parts.includes('pressure')
    for (const one of this.pressed) {
      one.shown.value = pressure ? 1 : 0
      one.classes.value = colours.classes.map((each) => new Color(each))
    }
  }

  /** Takes everything off. */
  clear() {
    this.turning.traverse((one) => {
      const mesh = one as Partial<Mesh>
      mesh.geometry?.dispose()
      if (mesh.material) for (const each of [mesh.material].flat()) each.dispose()
    })
    this.turning.clear()
    this.parts.clear()
    this.materials = []
    this.lines = []
    this.pressed = []
    this.meshes = []
  }

  private last = 0
  private slow = 0
  private rough = 1
  /** Turned where pictures come slowly, it is drawn less finely until they follow the hand. */
  private coarse() {
    const now = performance.now()
    const took = now - this.last
    this.last = now
    if (took > SLOW_MS && took < 250) this.slow++
    else this.slow = 0
    if (this.slow > 3 && this.rough > ROUGHEST) {
      this.rough = Math.max(ROUGHEST, this.rough - 0.15)
      this.slow = 0
    }
    return Math.min(devicePixelRatio, 1) * this.rough
  }

  private sized = ''
  private size(width: number, height: number, ratio: number) {
    const now = `${width} ${height} ${ratio}`
    if (this.sized === now) return
    this.sized = now
    this.renderer.setPixelRatio(ratio)
    this.renderer.setSize(width, height, false)
  }

  /** Draws it; `moving` with fewer triangles. */
  draw(view: View, width: number, height: number, moving = false) {
    // still, it is drawn twice as finely as it is shown, which smooths every edge
    const ratio = moving ? this.coarse() : Math.max(2, Math.min(devicePixelRatio, 3))
    this.size(width, height, ratio)
    for (const one of this.pressed) one.dense.value = ratio
    for (const { drawn, quick } of this.lines) {
      drawn.visible = !moving
      quick.visible = moving
    }
    for (const { mesh, fine, coarse } of this.meshes) mesh.geometry.setIndex(moving ? coarse : fine)
    for (const material of this.materials) material.resolution.set(width, height)
    const [half, wide] = [view.tall / 2, (view.tall / 2) * (width / height)]
    this.camera.left = view.middle[0] - wide
    this.camera.right = view.middle[0] + wide
    this.camera.bottom = -half
    this.camera.top = half
    this.camera.updateProjectionMatrix()
    const [turn, tilt] = [(view.turn * Math.PI) / 180, (view.tilt * Math.PI) / 180]
    this.turning.rotation.set(0, -turn, 0)
    this.camera.position.set(0, view.middle[1] + Math.sin(tilt) * 1000, Math.cos(tilt) * 1000)
    this.camera.lookAt(0, view.middle[1], 0)
    this.renderer.render(this.scene, this.camera)
  }

  /** How many triangles the last picture had. */
  get triangles() {
    return this.renderer.info.render.triangles
  }

  dispose() {
    this.clear()
    this.renderer.dispose()
  }
}

/** Turns triangles about where their right side would look inwards: only what looks at the eye is drawn. */
function outwards(patch: Patch): (triangles: number[]) => number[] {
  const at = (i: number) => new Vector3().fromArray(patch.points, 3 * i)
  const middle = Math.floor(patch.rows / 2) * patch.columns + Math.floor(patch.columns / 2)
  const [a, b, c] = [at(middle), at(middle + 1), at(middle + patch.columns)]
  const normal = b.clone().sub(a).cross(c.clone().sub(a))
  if (normal.dot(new Vector3(a.x, 0, a.z)) > 0) return (triangles) => triangles
  return (triangles) => triangles.map((_, i) => triangles[i % 3 === 1 ? i + 1 : i % 3 === 2 ? i - 1 : i])
}

/** Where the first and the last column meet behind her no edge is seen. */
function closed(shape: BufferGeometry, patch: Patch) {
  const normals = shape.getAttribute('normal')
  for (let row = 0; row < patch.rows; row++) {
    const [a, b] = [row * patch.columns, (row + 1) * patch.columns - 1]
    const one = new Vector3().fromBufferAttribute(normals, a).add(new Vector3().fromBufferAttribute(normals, b))
    one.normalize()
    for (const at of [a, b]) normals.setXYZ(at, one.x, one.y, one.z)
  }
}

/** Where she is cut off above and below: her outline there, filled. */
function capOf(patch: Patch, row: number): BufferGeometry {
  const ring = patch.points.slice(3 * row * patch.columns, 3 * (row + 1) * patch.columns)
  const middle = [0, 1, 2].map((k) => ring.reduce((sum, one, i) => sum + (i % 3 === k ? one : 0), 0) / patch.columns)
  const shape = new BufferGeometry()
  shape.setAttribute('position', new BufferAttribute(Float32Array.from([...middle, ...ring]), 3))
  shape.setIndex(Array.from({ length: patch.columns - 1 }, (_, i) => [0, i + 1, i + 2]).flat())
  shape.computeVertexNormals()
  return shape
}

interface Pressed {
  dense: { value: number }
  shown: { value: number }
  classes: { value: Color[] }
}

const LAST = CLASSES.length - 1
const VERTEX = `
attribute float share;
varying float vShare;
varying float vLight;
void main() {
  vec3 n = normalize(normalMatrix * normal);
  vLight = 0.62 + 0.34 * max(dot(n, normalize(vec3(-0.35, 0.45, 0.82))), 0.0) + 0.06 * n.z;
  vShare = share;
  gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
}`
const FRAGMENT = `
varying float vShare;
varying float vLight;
uniform vec3 plain;
uniform float pressed;
uniform float dense;
uniform vec3 classes[${CLASSES.length}];
void main() {
  vec3 colour = plain;
  if (pressed > 0.5) {
    float apart = 0.0;
    int at = 0;
    ${CLASSES.slice(0, LAST)
      .map(
        (kind, i) =>
          `if (vShare > ${kind.to.toFixed(3)}) { at = ${i + 1}; apart = ${CLASSES[i + 1].hatch.toFixed(1)}; }`,
      )
      .join('\n    ')}
    colour = classes[at];
    float slant = apart * 1.4142 * dense;
    bool line = apart > 0.0 && mod(gl_FragCoord.x + gl_FragCoord.y, slant) < 1.3 * dense;
    bool cross = at == ${LAST} && mod(gl_FragCoord.x - gl_FragCoord.y + 8000.0, slant) < 1.3 * dense;
    if (line || cross) colour *= 0.4;
  }
  gl_FragColor = vec4(colour * vLight, 1.0);
  #include <colorspace_fragment>
}`

/** Lit from above and ahead, point by point; colour and slanted lines by how firmly it presses, closer the firmer. */
function matt(plain: Color, behind: number, uniforms: Partial<Record<keyof Pressed, { value: unknown }>>) {
  return new ShaderMaterial({
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    uniforms: {
      plain: { value: plain },
      pressed: uniforms.shown ?? { value: 0 },
      dense: uniforms.dense ?? { value: 1 },
      classes: uniforms.classes ?? { value: CLASSES.map(() => new Color()) },
    },
    polygonOffset: true,
    polygonOffsetFactor: behind,
    polygonOffsetUnits: behind,
  })
}
