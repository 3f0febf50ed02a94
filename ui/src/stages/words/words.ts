// The trade's words, each with what it means and a small drawing (96 × 72). Classes: c cloth, l line, s stitches,
// m metal, t take in, o let out, h what is meant.

export interface TradeWord {
  word: string
  means: string
  drawn: string
}

const panel = (x: number, kind = 'c') =>
  `<path class="${kind}" d="M${x} 8h17c0 16-4 20-4 27s6 15 6 28h-21c0-13 6-21 6-28s-4-11-4-27z"/>`
const half = (meant = -1) => [3, 26, 49, 72].map((x, i) => panel(x, i === meant ? 'h' : 'c')).join('')
const body = '<path class="c" d="M28 2c0 14 7 20 7 29s-14 20-14 39h54c0-19-14-30-14-39s7-15 7-29z"/>'
const back =
  '<path class="c" d="M8 6h30c-6 12-3 18-3 28s7 18 7 32h-32c0-14 5-22 5-32s-4-16-7-28z' +
  'M88 6h-30c6 12 3 18 3 28s-7 18-7 32h32c0-14-5-22-5-32s4-16 7-28z"/>'
const holes = (xs: number[], ys: number[]) =>
  xs.flatMap((x) => ys.map((y) => `<circle class="m" cx="${x}" cy="${y}" r="2.2"/>`)).join('')
const line = (d: string, kind = 'l') => `<path class="${kind}" d="${d}"/>`
const cut = (plies: string[]) => plies.map((d, i) => line(d, i === plies.length - 1 ? 'hl' : 'l')).join('')

export const GROUPS: { title: string; words: TradeWord[] }[] = [
  {
    title: 'On the body',
    words: [
      {
        word: 'level',
        means: 'A named height where a girth is taken: underbust, waist, hip.',
        drawn: body + line('M24 14h48M20 31h56M16 62h64', 'hl'),
      },
      {
        word: 'girth',
        means: 'All the way round at a level, the tape level and snug.',
        drawn: body + line('M34 31c0 7 28 7 28 0', 'hl'),
      },
      {
        word: 'arc',
        means: 'A part of a girth, such as the front from side seam to side seam.',
        drawn: '<ellipse class="c" cx="48" cy="34" rx="38" ry="22"/>' + line('M10 34a38 22 0 0 0 76 0', 'hl'),
      },
      {
        word: 'waistline',
        means: 'Where a cord tied round her settles. Heights are counted from it; the garment’s has to lie on it.',
        drawn: body + line('M20 31h56', 'hl'),
      },
      {
        word: 'spring',
        means: 'Hip less waist: how much the hem has to widen below the waist.',
        drawn: body + line('M35 31v34M35 65h-12', 'hl'),
      },
      {
        word: 'waist to lap',
        means: 'From the waist down to the thigh, sitting: where a hem in front must end.',
        drawn: line('M34 4v38h40v26M20 4v50h38v14', 'c') + line('M34 16v26', 'hl'),
      },
    ],
  },
  {
    title: 'On paper',
    words: [
      {
        word: 'panel',
        means: 'One piece of the half, numbered from the front. Cut as a mirrored pair.',
        drawn: half(1),
      },
      {
        word: 'CF, CB',
        means: 'Centre front and centre back: the two edges of a half.',
        drawn: half() + line('M3 4v64M94 4v64', 'hl'),
      },
      {
        word: 'seam allowance',
        means: 'Cloth beyond the stitch line. The stitch line is the pattern; the allowance is not.',
        drawn:
          '<path class="c" d="M26 4h44c0 22-8 26-8 32s12 16 12 32h-52c0-16 12-26 12-32s-8-10-8-32z"/>' +
          line('M32 10h32c-1 16-8 20-8 26s11 14 12 26h-40c1-12 12-20 12-26s-7-10-8-26z', 's'),
      },
      {
        word: 'notch',
        means: 'A short mark across a stitch line, so that two edges meet where they should.',
        drawn: panel(18) + panel(58) + line('M32 35h9M57 35h9', 'hl'),
      },
      {
        word: 'grain',
        means: 'The direction of the lengthwise threads. The pull goes across, so grain runs down the panel.',
        drawn: panel(38) + line('M47 14v44M44 18l3-5l3 5M44 54l3 5l3-5', 'hl'),
      },
      {
        word: 'trueing',
        means: 'Making two edges of a seam equally long, and lines smooth over the seam.',
        drawn: panel(18) + panel(58) + line('M16 62l23 4M57 66l21-4', 't') + line('M16 63h23M57 63h21', 'hl'),
      },
      {
        word: 'ease (+), reduction (−)',
        means: 'How much bigger or smaller than the body the garment is when worn.',
        drawn:
          '<ellipse class="c" cx="48" cy="36" rx="38" ry="26"/><ellipse class="hl" cx="48" cy="36" rx="28" ry="18"/>',
      },
      {
        word: 'gusset',
        means: 'A wedge let into a slash, for room at bust or hip.',
        drawn: panel(38) + '<path class="h" d="M47 36l-7 27h15z"/>',
      },
      {
        word: 'dart',
        means: 'A fold sewn to a point: shape without a seam.',
        drawn: '<path class="c" d="M14 8h68v56h-68z"/>' + line('M42 64l6-36l6 36', 'hl'),
      },
      {
        word: 'turn of cloth',
        means: 'What an outer ply needs more than an inner one, to lie round it.',
        drawn: cut(['M12 60v-18q0-10 10-10h60', 'M6 60v-20q0-16 16-16h60']),
      },
      {
        word: 'seam take-up',
        means: 'What thickness and seams eat of a girth once it is sewn.',
        drawn: cut(['M6 48h36v-20M90 48h-36v-20', 'M42 48v-20M54 48v-20']),
      },
    ],
  },
  {
    title: 'Tried on',
    words: [
      {
        word: 'mock-up',
        means: 'A trial in firm plain cloth, boned and laced: gap and pressure exist only under tension.',
        drawn: half() + line('M11 12v48M34 12v48M57 12v48M80 12v48', 's'),
      },
      {
        word: 'closed waist',
        means: 'The garment’s own waist, its edges touching.',
        drawn: back + line('M15 34h20M61 34h20', 'hl'),
      },
      {
        word: 'worn waist',
        means: 'The waist with the garment laced: closed waist and gap, less what the cloth takes up.',
        drawn: back + line('M15 34h66', 'hl'),
      },
      {
        word: 'gap',
        means:
          'What stays open between the lacing edges. Parallel is right; a slant or a bow says where it does not fit.',
        drawn: back + '<path class="h" d="M38 6h20c-6 12-3 18-3 28s-7 18-1 32h-12c6-14-1-22-7-32s3-16 3-28z"/>',
      },
      {
        word: 'take in',
        means: 'Make smaller at a seam, by so much on each panel edge.',
        drawn: half() + line('M16 35h8M30 35h-4M22 32l3 3l-3 3', 't'),
      },
      {
        word: 'let out',
        means: 'Make bigger at a seam, by so much on each panel edge.',
        drawn: half() + line('M20 35h-7M29 35h7M16 32l-3 3l3 3M33 32l3 3l-3 3', 'o'),
      },
      {
        word: 'digs',
        means: 'It presses more than she bears there.',
        drawn: body + line('M33 31h9M63 31h-9M39 28l3 3l-3 3M57 28l-3 3l3 3', 't'),
      },
      {
        word: 'stands off',
        means: 'An edge that does not touch her.',
        drawn: body + line('M22 2c0 14 8 18 10 26M74 2c0 14-8 18-10 26', 'hl'),
      },
    ],
  },
  {
    title: 'Layers',
    words: [
      { word: 'fashion layer', means: 'What shows.', drawn: cut(['M8 58h80', 'M8 44h80', 'M8 28h80']) },
      {
        word: 'strength layer',
        means: 'The ply that carries the pull: coutil, canvas, drill.',
        drawn: cut(['M8 58h80', 'M8 24h80', 'M8 42h80']),
      },
      { word: 'lining', means: 'What lies on her.', drawn: cut(['M8 24h80', 'M8 40h80', 'M8 56h80']) },
      {
        word: 'flat-lining',
        means: 'Two plies basted together and sewn as one.',
        drawn: cut(['M8 30h80', 'M8 42h80']) + line('M14 24v24M30 24v24M46 24v24M62 24v24M78 24v24', 's'),
      },
      {
        word: 'floating lining',
        means: 'Shell and lining sewn apart, joined at the edges only.',
        drawn: line('M8 20h80', 'l') + line('M8 20q0 34 40 34t40-34', 'hl'),
      },
      {
        word: 'waist tape',
        means: 'A tape at the waistline, between plies: it carries the pull so that the cloth does not.',
        drawn: half() + '<path class="h" d="M6 32h86v6h-86z"/>',
      },
      {
        word: 'bias strip',
        means: 'Cut at 45°, so that it bends. Binding is made of it.',
        drawn: '<path class="c" d="M8 8h80v56h-80z"/><path class="h" d="M20 64l56-56h12l-56 56z"/>',
      },
      {
        word: 'binding',
        means: 'A strip folded round a raw edge.',
        drawn: line('M48 66v-44', 'l') + line('M42 40v-18q0-10 6-10t6 10v18', 'hl'),
      },
      {
        word: 'facing',
        means: 'A strip turned to the inside along an edge.',
        drawn: '<path class="c" d="M14 8h68v56h-68z"/><path class="h" d="M66 8h16v56h-16z"/>',
      },
    ],
  },
  {
    title: 'Bones',
    words: [
      {
        word: 'bone',
        means:
          'A stiffener: flat steel bends flat-wise, spiral steel every way, synthetic whalebone a little edge-wise.',
        drawn:
          '<rect class="m" x="26" y="6" width="9" height="60" rx="4.5"/>' +
          '<path class="hl" d="M62 8q8 3 0 6t0 6t0 6t0 6t0 6t0 6t0 6t0 6t0 6"/>',
      },
      {
        word: 'channel, casing',
        means: 'The tunnel a bone lies in: two stitch lines, or a tape sewn on.',
        drawn:
          panel(38) + '<rect class="m" x="44" y="14" width="6" height="44" rx="3"/>' + line('M41 8v55M53 8v55', 'hl'),
      },
      {
        word: 'tip, dip',
        means: 'The covered end of a cut steel: capped and glued, or dipped two or three times.',
        drawn:
          '<rect class="m" x="42" y="20" width="12" height="48"/><path class="h" d="M40 22q0-14 8-14t8 14v6h-16z"/>',
      },
      {
        word: 'busk',
        means: 'Two steels that open in front: loops on one, knobs on the other.',
        drawn:
          '<rect class="m" x="34" y="4" width="9" height="64" rx="3"/>' +
          '<rect class="m" x="53" y="4" width="9" height="64" rx="3"/>' +
          [14, 30, 44, 58]
            .map((y) => `<circle class="h" cx="57" cy="${y}" r="3"/><path class="hl" d="M43 ${y - 3}h7v6h-7"/>`)
            .join(''),
      },
      { word: 'underwire', means: 'A fixed curve under a cup.', drawn: line('M16 16q0 44 32 44t32-44', 'hl') },
    ],
  },
  {
    title: 'The back',
    words: [
      {
        word: 'grommet, eyelet',
        means: 'A grommet has a washer behind and holds; an eyelet is one part, and tears out.',
        drawn:
          '<circle class="m" cx="30" cy="36" r="16"/><circle class="c" cx="30" cy="36" r="8"/>' +
          '<circle class="hl" cx="70" cy="36" r="11"/><circle class="hl" cx="70" cy="36" r="8"/>',
      },
      {
        word: 'lacing',
        means: 'From the middle to both ends, crossing in between.',
        drawn:
          back + holes([32, 64], [12, 24, 46, 58]) + line('M32 12l32 12M64 12l-32 12M32 46l32 12M64 46l-32 12', 'hl'),
      },
      {
        word: 'pull loops',
        means: 'The two long loops at the waist: by them she tightens it alone.',
        drawn: back + holes([32, 64], [20, 30, 40, 50]) + line('M32 30q-30 5 0 10M64 30q30 5 0 10', 'hl'),
      },
      {
        word: 'modesty panel',
        means: 'A stiffened panel under the gap.',
        drawn: back + '<path class="h" d="M32 10h32v54h-32z"/>',
      },
      {
        word: 'flossing',
        means: 'Stitches over the end of a bone: they hold it, and are seen.',
        drawn:
          panel(38) +
          '<rect class="m" x="44" y="14" width="6" height="44" rx="3"/>' +
          line('M40 54l14 8M54 54l-14 8M40 50l14 8M54 50l-14 8', 'hl'),
      },
    ],
  },
  {
    title: 'At the machine',
    words: [
      {
        word: 'stay-stitch',
        means: 'A line just inside an edge, so that it does not stretch.',
        drawn: panel(38) + line('M40 11h13', 's') + line('M40 12h13', 'hl'),
      },
      {
        word: 'baste',
        means: 'Long stitches that hold for now.',
        drawn: cut(['M8 34h80', 'M8 40h80']) + line('M10 37h9M27 37h9M44 37h9M61 37h9M78 37h9', 'hl'),
      },
      {
        word: 'stitch in the ditch',
        means: 'In the groove of a seam, where it is not seen.',
        drawn: line('M4 30h40q4 0 4 10q0-10 4-10h40', 'l') + line('M48 40v22', 'hl'),
      },
      {
        word: 'edge stitch',
        means: 'Close beside a folded edge.',
        drawn: '<path class="c" d="M14 14h68v44h-68z"/>' + line('M14 20h68', 's'),
      },
      {
        word: 'catch stitch',
        means: 'Crossed by hand, left to right: it gives.',
        drawn: line('M6 50l14-24l4 0l14 24l4 0l14-24l4 0l14 24l4 0l10-18', 'hl'),
      },
      {
        word: 'whip stitch',
        means: 'Over the edge, by hand.',
        drawn: line('M8 36h80', 'l') + line('M14 28l8 16M28 28l8 16M42 28l8 16M56 28l8 16M70 28l8 16', 'hl'),
      },
    ],
  },
]
