import { mountSuspended } from '@nuxt/test-utils/runtime'
import { describe, expect, it } from 'vitest'
import { sumNamed, SUMS } from '../../../core/sums/index'
import type { Limits } from '../../../core/verdict'
import { must } from '../../../tests/must'
import { withChanges } from '../../../tests/sums'
import SumDrawing from '../gauge-room/SumDrawing.vue'
import ReadingBand from './ReadingBand.vue'

/** The drawing of a sum's own example with some figures changed, as it stands on the page. */
async function drawn(name: string, changes: Record<string, unknown> = {}) {
  const sum = sumNamed(name)!
  const props = { sum, input: { ...sum.example, ...changes }, answer: must(withChanges(name, changes)) }
  return mountSuspended(SumDrawing, { props })
}
type Drawing = Pick<Awaited<ReturnType<typeof drawn>>, 'find' | 'findAll'>

const all = (drawing: Drawing, selector: string) =>
  drawing.findAll(selector).map(one => {
    const get = (name: string) => Number(one.attributes(name))
    return {
      x: get('x'),
      y: get('y'),
      width: get('width'),
      height: get('height'),
      cx: get('cx'),
      cy: get('cy'),
      r: get('r'),
      d: one.attributes('d') ?? '',
      text: one.text(),
      style: one.attributes('style') ?? '',
      classes: one.classes(),
    }
  })
const label = (drawing: Drawing) => drawing.find('[role=img]').attributes('aria-label')
const texts = (drawing: Drawing) => drawing.findAll('text').map(one => one.text())
const numbers = (path: string) => path.match(/-?\d+(\.\d+)?/g)!.map(Number)

/** Charts come with their own library and are looked at in the browser. */
const CHARTS = ['run-record', 'stack-trial']

describe.each(SUMS.filter(sum => !CHARTS.includes(sum.name)).map(sum => sum.name))('%s', name => {
  it('draws its example: every figure finite, and said to who cannot see it', async () => {
    const html = (await drawn(name)).html()
    expect(html).not.toMatch(/NaN|Infinity|undefined|null/)
    if (html.includes('<svg')) expect(html).toMatch(/aria-label="[^"]{4,}"/)
  })
})

describe('the room of a limit', () => {
  const roomOf = async (limits: Limits) => {
    const props = { limits, value: null, verdict: 'Open' as const, decimals: 2 }
    const { x, width } = all(await mountSuspended(ReadingBand, { props }), 'rect.room')[0]!
    return { from: Math.round(x), to: Math.round(x + width) }
  }
  const RULE = { from: 14, to: 466 }
  it('ends at both of two limits, within the rule', async () => {
    const room = await roomOf({ min: 0.2, max: 0.6 })
    expect(room.from).toBeGreaterThan(RULE.from)
    expect(room.to).toBeLessThan(RULE.to)
  })
  it('goes on to the end of the rule where there is no limit, past the best end', async () => {
    expect(await roomOf({ max: 0.1, best: 0.05 })).toEqual({ from: RULE.from, to: expect.any(Number) })
    expect(await roomOf({ min: 0.1, best: 0.3 })).toEqual({ from: expect.any(Number), to: RULE.to })
    expect(await roomOf({ min: 0.1 })).toEqual({ from: expect.any(Number), to: RULE.to })
  })
  it('begins at nought under a lone maximum', async () =>
    expect((await roomOf({ max: 0.1 })).from).toBeGreaterThan(RULE.from))
})

describe('to scale', () => {
  it('both bands of a fit on one scale, nought where it is', async () => {
    const drawing = await drawn('limits-and-fits')
    const [hole, shaft] = [all(drawing, 'rect.blue')[0]!, all(drawing, 'rect.metal')[0]!]
    expect(hole.width / shaft.width).toBeCloseTo(30 / 19, 6)
    expect((shaft.x - hole.x) / hole.width).toBeCloseTo(2 / 30, 6)
    expect(label(drawing)).toBe('21.0 µm interference to 28.0 µm clearance')
  })
  it('measured sizes lie in their bands', async () => {
    const drawing = await drawn('measured-fit', { holeMm: [60, 60.03], shaftMm: [60.002, 60.021] })
    const [hole, shaft] = [all(drawing, 'rect.blue')[0]!, all(drawing, 'rect.metal')[0]!]
    const dots = all(drawing, 'circle.needle').map(one => one.cx)
    expect(dots[0]).toBeCloseTo(hole.x, 6)
    expect(dots[1]).toBeCloseTo(hole.x + hole.width, 6)
    expect(dots[2]).toBeCloseTo(shaft.x, 6)
    expect(dots[3]).toBeCloseTo(shaft.x + shaft.width, 6)
  })
  it('sling legs lean as they are said to', async () => {
    const placed = { known: 'where the weight sits', cgFromLeftM: 0.6, cgFromRightM: 0.9, hookHeightM: 1.2 }
    const drawing = await drawn('lifting', placed)
    const lean = (path: string) => {
      const [x1, y1, x2, y2] = numbers(path)
      return (Math.atan2(Math.abs(x2! - x1!), y2! - y1!) * 180) / Math.PI
    }
    const legs = all(drawing, 'g > path').filter(one => one.style.includes('stroke'))
    expect(legs.map(one => Math.round(lean(one.d)))).toEqual([27, 37])
    const steep = all(await drawn('lifting', { ...placed, cgFromLeftM: 2.2, cgFromRightM: 1.3 }), 'g > path')
    expect(steep[0]!.style).toContain('--out')
    expect(steep[1]!.style).toContain('--thin')
  })
  it('a shrunk hub is drawn in one state at a time', async () => {
    const drawing = await drawn('shrink-fit')
    const said = () => drawing.find('svg').attributes('aria-label')!
    const [loosest, cold] = [said(), drawing.findAll('.el-segmented__item')[0]!]
    expect(loosest).toMatch(/grip left/)
    await cold.find('input').setValue(true)
    expect(said()).not.toBe(loosest)
  })
  it('a chain of lengths ends at its gap', async () => {
    const drawing = await drawn('stack')
    const links = all(drawing, 'rect.blue, rect.metal')
    expect(links[0]!.width / links[1]!.width).toBeCloseTo(62 / 31, 6)
    expect(label(drawing)).toBe('Gap at nominal 0.500 mm')
    const ends = drawing.findAll('path.active').map(one => numbers(one.attributes('d')!))
    const wide = (path: number[]) => path[2]! - path[0]!
    expect(wide(ends[0]!) / wide(ends[1]!)).toBeCloseTo(0.41 / 0.1920937, 5)
  })
  it('shims fill the gap to the landing they name', async () => {
    const drawing = await drawn('shim-choice')
    const best = all(drawing, 'rect.brass').map(one => one.height)
    expect(best[0]! / best[1]!).toBeCloseTo(10, 6)
    expect(best.reduce((sum, one) => sum + one, 0)).toBeCloseTo((1.1 / 1.34) * 180, 6)
    expect(texts(drawing)).toContain('best: 2 pieces')
  })
  it('wrench and extension in line', async () => {
    const drawing = await drawn('wrench-extension', { wrenchMm: 300, extensionMm: 100 })
    const [extension, wrench] = [all(drawing, 'rect.brass')[0]!, all(drawing, 'rect.metal')[0]!]
    expect(wrench.width / extension.width).toBeCloseTo(3, 6)
    expect(all(await drawn('wrench-extension', { extensionMm: 0 }), 'rect.brass')).toHaveLength(0)
  })
  it('the section that carries is smaller than the bolt by its thread', async () => {
    const [whole, carries] = all(await drawn('thread'), 'circle')
    expect((carries!.r / whole!.r) ** 2).toBeCloseTo(244.794 / (Math.PI * 100), 4)
  })
  it('springs stand as long as they are', async () => {
    const drawing = await drawn('springs')
    expect(label(drawing)).toBe('Spring 4 is the odd one')
    const coils = drawing
      .findAll('g > path')
      .map(one => ({ top: numbers(one.attributes('d')!).at(-1)!, style: one.attributes('style')! }))
    expect(coils[3]!.top).toBeGreaterThan(coils[0]!.top)
    expect(coils.map(one => one.style.includes('--out'))).toEqual([false, false, false, true, false, false])
  })
})

describe('bolts and teeth', () => {
  it('traces the order from bolt to bolt, the first one brass', async () => {
    const drawing = await drawn('bolt-order', { bolts: 8 })
    expect(label(drawing)).toBe('star: 1 5 3 7 2 6 4 8')
    const points = numbers(drawing.find('path.path').attributes('d')!)
    expect(points).toHaveLength(16)
    // Bolt 5 lies straight across from bolt 1.
    expect(points[2]).toBeCloseTo(points[0]!, 0)
    expect(all(drawing, 'circle.brass')).toHaveLength(1)
    expect(texts(drawing).slice(0, 8)).toEqual(['1', '5', '3', '7', '2', '6', '4', '8'])
  })
  it('draws every order that is compared', async () => {
    const drawing = await drawn('elastic-interaction', { patterns: ['star', 'round'], bolts: 6 })
    expect(label(drawing)).toBe('star: 1 4 2 5 3 6. round: 1 2 3 4 5 6')
  })
  it('gears to the size of their teeth, those that meet in brass', async () => {
    const drawing = await drawn('gear-mesh')
    const [pinion, wheel] = [all(drawing, 'circle.blue')[0]!, all(drawing, 'circle.metal')[0]!]
    expect(wheel.r / pinion.r).toBeCloseTo(5, 6)
    expect(wheel.cx - pinion.cx).toBeCloseTo(wheel.r + pinion.r, 6)
    expect(pinion.cx - pinion.r + wheel.cx + wheel.r).toBeCloseTo(720, 6)
    expect(label(drawing)).toBe('One pinion tooth meets 5 of 110 wheel teeth')
    expect(label(await drawn('gear-mesh', { pinionTeeth: 23 }))).toBe('One pinion tooth meets 110 of 110 wheel teeth')
  })
  it.each([
    ['right', 'tighten', 'the nut or head', 'Turn it clockwise'],
    ['left', 'tighten', 'the nut or head', 'Turn it anticlockwise'],
    ['left', 'tighten', 'behind it', 'Turn it clockwise'],
  ])('%s-hand, %s from %s', async (hand, act, seenFrom, says) =>
    expect(label(await drawn('turning-sense', { hand, act, seenFrom }))).toBe(says),
  )
})

describe('marks', () => {
  it('the dial is turned about by a touch, and back by another', async () => {
    const drawing = await drawn('mark-chain')
    const places = () => drawing.findAll('b').map(one => one.text())
    expect(places()).toEqual(['12:00', '3:00', '6:00'])
    await drawing.find('[data-test=flip]').trigger('click')
    expect(places()).toEqual(['12:00', '9:00', '6:00'])
    expect(label(drawing)).toMatch(/^Index dial seen from the other end: sleeve at 12:00, drive plate at 9:00/)
    await drawing.find('[data-test=flip]').trigger('click')
    expect(places()).toEqual(['12:00', '3:00', '6:00'])
  })
  it('what went astray is drawn across, what was renewed dashed', async () => {
    const placed = [
      { part: 'a', cameFrom: '1', wentTo: '1' },
      { part: 'b', cameFrom: '2', wentTo: '3' },
      { part: 'c', cameFrom: '3', wentTo: '2', renewed: true },
    ]
    const ways = all(await drawn('places', { placed }), 'g > path').map(one => one.style)
    expect(ways[0]).toContain('--holds')
    expect(ways[1]).toContain('--out')
    expect(ways[2]).toMatch(/--holds.*dasharray/s)
  })
  it('a part the wrong way round is turned over and red', async () => {
    const drawing = await drawn('facing')
    const parts = drawing.findAll('g > path').filter(one => !one.classes('metal') && !one.classes('active'))
    expect(parts.map(one => one.classes()[0])).toEqual(['bad', 'blue', 'hollow'])
    expect(parts.map(one => Boolean(one.attributes('transform')))).toEqual([true, false, false])
    expect(texts(drawing).filter(one => /yes|no|open/.test(one))).toEqual(['✕ no', '● yes', '○ open'])
  })
  it.each([
    ['clockwise side', 'clockwise'],
    ['anticlockwise side', 'anticlockwise'],
    ['both sides', 'both ways, or it hunted'],
  ])('a slot worn on its %s', async (wear, turned) => {
    const drawing = await drawn('drive-wear', { wear })
    expect(label(drawing)).toBe(`Slot worn on its ${wear}: it turned ${turned}`)
    expect(all(drawing, 'path').filter(one => one.style.includes('--out'))).toHaveLength(wear === 'both sides' ? 2 : 1)
    expect(all(drawing, 'path.brass')).toHaveLength(wear === 'both sides' ? 0 : 1)
  })
})

describe('what stands wrong is seen', () => {
  it('a bearing that may run preloaded is red, one with room is not', async () => {
    const bars = (drawing: Drawing) => all(drawing, 'g rect.bad, g rect.room').map(one => one.classes[0])
    expect(bars(await drawn('clearance-after-mounting'))).toEqual(['bad', 'room', 'bad', 'bad'])
    const loose = await drawn('clearance-after-mounting', { innerLeastUm: 0, innerGreatestUm: 2, warmerK: 0 })
    expect(all(loose, 'circle.bad')).toHaveLength(0)
    expect(all(loose, 'circle.hollow')).toHaveLength(2)
  })
  it('causes stand on either side of nought', async () => {
    const drawing = await drawn('seal-cause')
    const bars = all(drawing, 'rect')
    expect(bars[0]!.classes).toContain('brass')
    expect(bars[0]!.x).toBe(430)
    const against = bars.filter(one => one.classes.includes('bad'))
    expect(against).not.toHaveLength(0)
    for (const one of against) expect(one.x + one.width).toBeCloseTo(430, 6)
    expect(Math.min(...bars.map(one => one.x))).toBeGreaterThan(300)
    expect(Math.max(...bars.map(one => one.x + one.width))).toBeLessThanOrEqual(720)
  })
  it('a ring that is not squeezed stays round', async () => {
    expect(all(await drawn('o-ring'), 'rect.needle')).toHaveLength(1)
    const loose = await drawn('o-ring', { grooveDepthMm: 3.6, eccentricityMm: 0 })
    expect(all(loose, 'rect.needle')).toHaveLength(0)
    expect(all(loose, 'circle.needle')).toHaveLength(1)
  })
  it('the high spot lies where it is said to', async () => {
    const spot = all(await drawn('runout', { readingsUm: [0, 10, 0, -10] }), 'circle.brass')[0]!
    expect([spot.cx, spot.cy].map(Math.round)).toEqual([286, 134])
    const gap = all(await drawn('gaps', { gapsMm: [0.5, 0.5, 0.4, 0.6] }), 'circle.brass')[0]!
    expect(gap.cy).toBeGreaterThan(134)
  })
  it('every division of a rule is what it says', async () => {
    const ticks = (await drawn('leak-test')).findAll('text').map(one => Number(one.text()))
    ticks.slice(1).forEach((tick, i) => expect(tick - ticks[i]!).toBeCloseTo(0.0025, 9))
    const steps = (await drawn('commutator'))
      .findAll('figure')[1]!
      .findAll('text')
      .map(one => one.text())
    expect(steps).toEqual(['0.0', '2.5', '5.0'])
  })
})

describe('alignment', () => {
  it('the moved axis stands off by the moves that close it, and says them', async () => {
    const drawing = await drawn('rim-and-face', { growFrontMm: 0, growBackMm: 0, growStandingMm: 0 })
    const [front, back] = all(drawing, 'circle.brass')
    // 0.24375 and 0.43125 mm high: so far above the centre line at 82.
    expect((82 - front!.cy) / (82 - back!.cy)).toBeCloseTo(0.24375 / 0.43125, 6)
    expect(label(drawing)).toContain('front feet − 0.24 mm, back feet − 0.43 mm')
    expect(label(drawing)).toContain('0.09 mm ← left')
  })
  it('every foot rises by its own, and the worst is marked', async () => {
    const drawing = await drawn('soft-foot')
    const rises = all(drawing, 'rect.needle').map(one => one.height)
    expect(rises).toHaveLength(2)
    expect(rises[0]! / rises[1]!).toBeCloseTo(0.13 / 0.09, 6)
    expect(all(drawing, 'circle.brass')).toHaveLength(1)
    expect(label(drawing)).toContain('front right: rises 0.13 mm, wedge 0.05 mm to 0.15 mm')
  })
  it('growth goes to the side it takes from, and both ways where it is not known', async () => {
    const hot = async (heldBy: string) => {
      const rows = all(await drawn('magnetic-centre', { heldBy }), 'rect.metal')
      return { from: rows[1]!.x - rows[0]!.x, width: rows[1]!.width - rows[0]!.width }
    }
    expect((await hot('the driven machine')).from).toBeLessThan(0)
    expect((await hot('its own non-drive end')).from).toBeGreaterThan(0)
    expect((await hot('not known')).width).toBeGreaterThan(0)
  })
  it('the end that warms more rises more', async () => {
    const [front, back] = all(await drawn('thermal-growth'), 'circle.brass')
    expect((96 - front!.cy) / (96 - back!.cy)).toBeCloseTo(35 / 22, 6)
  })
  it('the mass goes where it is said, seen clockwise from nought', async () => {
    const drawing = await drawn('trial-weight', {
      asIs: 4,
      asIsDeg: 0,
      withTrial: 2,
      withTrialDeg: 0,
      trialG: 10,
      trialDeg: 90,
    })
    const [mass] = all(drawing, 'circle.brass')
    expect(mass!.cx).toBeCloseTo(170 + 112, 6)
    expect(mass!.cy).toBeCloseTo(136, 6)
    expect(label(drawing)).toBe('Put on 20.0 g at 90°')
  })
})

it('a bearing larger than the tables is drawn without what is not known', async () => {
  const html = (
    await drawn('internal-clearance', {
      kind: 'spherical roller',
      boreMm: 260,
      measuredUm: 190,
      minUm: 170,
      maxUm: 230,
    })
  ).html()
  expect(html).not.toMatch(/NaN|undefined|null/)
})
