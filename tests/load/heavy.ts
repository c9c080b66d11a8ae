import { SUMS } from '../../core/sums/index.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { signIn, type SignedIn } from '../api/server.ts'
import { asked, askedUntil, jobsToWorkOn, note, writtenUntil } from './crowd.ts'
import { median, percentile, timed, type Say } from './say.ts'

/** Work that runs long, and how long everybody else waits meanwhile. */

/** The most work a request may ask for: lists of the sums that have a cost, each as large as its limits let it be. */
const WORST: [string, object[]][] = [
  ['stack-trial', Array(4).fill({ links: [{ sign: 'opens', nominalMm: 10 }], samples: 2_000_000 })],
  [
    'elastic-interaction',
    Array(30).fill({
      ...(SUMS.find(one => one.name === 'elastic-interaction')!.example.input as object),
      ...{ bolts: 64, passesPercent: [30, 60, 80, 100] },
    }),
  ],
]

async function worstUntil(by: SignedIn, name: string, body: object[], isOver: () => boolean): Promise<number[]> {
  const times: number[] = []
  while (!isOver())
    times.push(
      await timed(async () => {
        const answer = await by.post(`/api/sums/${name}`, body)
        if (!answer.ok && answer.status !== 429) throw new Error(`${name}: ${answer.status} ${await answer.text()}`)
        await answer.arrayBuffer()
      }),
    )
  return times
}

/** Four clients at the worst sums that are allowed, and a record of three thousand entries, while others write and read. */
export async function heavyWork(url: string, say: Say, ms = 8000): Promise<void> {
  const fitter = await signIn(url, PEOPLE[0]!.name)
  const jobs = await jobsToWorkOn(url, fitter, 2)
  const [small, large] = [jobs[0]!, jobs[1]!]
  for (let seq = large.entries; seq < 3000; seq += 100)
    await fitter.post(
      `/api/jobs/${large.id}/entries`,
      Array.from({ length: 100 }, () => note('a line of a long record')),
    )
  const meanwhile = async (what: string, work: (isOver: () => boolean) => Promise<unknown>) => {
    const until = performance.now() + ms
    const isOver = () => performance.now() > until
    const [, written, health] = await Promise.all([
      work(isOver),
      writtenUntil(fitter, small.id, isOver),
      askedUntil(fitter, () => '/api/health', 50, isOver),
    ])
    say(`  an append meanwhile, 95 of 100`, `${percentile(written, 0.95).toFixed(0)} ms`, `goal 200 ms; ${what}`)
    say(`  health meanwhile, 95 of 100`, `${percentile(health, 0.95).toFixed(0)} ms`)
  }
  say('four clients at the worst sums allowed', '')
  await meanwhile('sums', async isOver => {
    const all = await Promise.all([0, 1, 2, 3].map(i => worstUntil(fitter, ...WORST[i % WORST.length]!, isOver)))
    say('  a request of theirs, in the middle', `${median(all.flat()).toFixed(0)} ms`)
  })
  say(`record of ${large.entries > 3000 ? large.entries : 3000} entries as a PDF`, '')
  await meanwhile('PDF', async isOver => {
    const times: number[] = []
    while (!isOver()) times.push((await asked(fitter, `/api/jobs/${large.id}/record.pdf`)).ms)
    say('  the PDF itself, in the middle', `${median(times).toFixed(0)} ms`)
  })
}
