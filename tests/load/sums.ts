import type { Browser } from '@playwright/test'
import { interact, JOINT_STIFFNESS, PATTERNS } from '../../core/joints/index.ts'
import { chooseShims } from '../../core/stacks/index.ts'
import { signedInPage } from './page.ts'
import type { Say } from './say.ts'

/** The long sums: how long they take, and whether the page goes on drawing meanwhile. */
const timed = (work: () => unknown) => {
  const from = performance.now()
  work()
  return performance.now() - from
}

export function interactionOf64(say: Say) {
  for (const pattern of PATTERNS) {
    const once = () =>
      timed(() =>
        interact({
          pattern,
          bolts: 64,
          targetN: 60_000,
          passes: [0.3, 0.6, 0.8, 1],
          loss: JOINT_STIFFNESS['spiral or jacketed'],
        }),
      )
    once()
    say(`interaction, 64 bolts, 4 passes, ${pattern}`, `${once().toFixed(1)} ms`, 'goal 50 ms')
  }
}

export function shimsOutOf40(say: Say) {
  const stock = Array.from({ length: 40 }, (_, i) => ({ thicknessMm: Math.round(500 + i * 237) / 10_000, count: 6 }))
  say(
    'shim choice, 40 sizes, 8 pieces',
    `${timed(() => chooseShims(stock, { openMm: 4.2, leastMm: 0.2, greatestMm: 0.3 })).toFixed(0)} ms`,
    'in the worker',
  )
}

/** Runs in the page, as text, since a compiler's helpers do not reach there: when the worker was asked and answered, and every frame. */
const WATCH = `
  window.times = { asked: 0, answered: 0, frames: [] }
  const Plain = window.Worker
  window.Worker = class extends Plain {
    constructor(...given) { super(...given); this.addEventListener('message', () => { times.answered = performance.now() }) }
    postMessage(...message) { times.asked = performance.now(); times.frames = []; super.postMessage(...message) }
  }
  const frame = (at) => { times.frames.push(at); requestAnimationFrame(frame) }
  requestAnimationFrame(frame)
`

/** A million samples of a chain of five in the page's own worker, the page's frames counted between question and answer. */
export async function trialInTheWorker(browser: Browser, url: string, say: Say) {
  const page = await signedInPage(browser, url)
  await page.addInitScript({ content: WATCH })
  await page.goto(`${url}/gauge-room/stacks?sum=stack-trial`)
  const shown = page.locator('[data-test=value-samples]')
  await shown.waitFor()
  await page.getByRole('button', { name: 'Change these' }).click()
  for (const [samples, text] of [
    ['5000', '5 000'],
    ['1000000', '1 000 000'],
  ] as const) {
    await page.locator('[data-test=field-samples]').fill(samples)
    await shown.filter({ hasText: text }).waitFor()
  }
  const { asked, answered, frames } = await page.evaluate(
    () => (window as unknown as { times: { asked: number; answered: number; frames: number[] } }).times,
  )
  const during = frames.filter(at => at >= asked && at <= answered)
  say('trial of 1,000,000 samples, chain of five, in the worker', `${(answered - asked).toFixed(0)} ms`, 'goal 1500 ms')
  say('frames of the page meanwhile', `${((during.length / (answered - asked)) * 1000).toFixed(0)} a second`, 'goal 50')
  await page.context().close()
}
