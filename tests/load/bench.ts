import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { v7 as uuid } from 'uuid'
import { BROWSER } from '../browser.ts'
import { chromium, type Browser } from '@playwright/test'
import { fold, viewJob, type AnyEntry } from '../../core/job/index.ts'
import { planFor } from '../../core/sheet/index.ts'
import { examineSheet } from '../../core/sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import { loadThornmere } from '../../demo/load.ts'
import { wornFindings } from '../../demo/findings.ts'
import { Technician } from '../../demo/technician.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { database, disconnect } from '../../server/db/client.ts'
import { librarySheets } from '../../server/db/library.ts'
import { worker } from '../sheets.ts'
import { largeSheet } from '../sheets/random.ts'
import { signIn, startServer } from '../api/server.ts'
import { crowd } from './crowd.ts'
import { largeFleet, loadFleet } from './fleet.ts'
import { heavyWork } from './heavy.ts'
import { costOfAppends } from './ledger.ts'
import { median, say } from './say.ts'
import { firstLoadOf } from './first-load.ts'
import { signedInPage } from './page.ts'
import { benchWithPhotos } from './photos.ts'
import { interactionOf64, shimsOutOf40, trialInTheWorker } from './sums.ts'
import { SOUND } from '../../demo/figures.ts'

/** Speed and size, measured and printed; nothing here passes or fails. */
const line = say

function foldOfTenThousand() {
  let n = 0
  const plan = planFor(
    librarySheets().find(one => one.family === 'M14')!,
    {},
    SUMS_BY_NAME,
  )
  const worker = new Technician(
    plan,
    wornFindings({ general: 0.4 }, { fitter: 'a', lead: 'b' }, SOUND['m14-axially-split-pump']),
    {
      id: () => `e${++n}`,
      now: () => '2026-05-01T08:00:00.000Z',
    },
  )
  worker.open('P-1', '')
  worker.workUntil()
  const entries = [...worker.folded.entries]
  const readings = entries.filter(one => one.kind === 'reading.taken')
  while (entries.length < 10_000) {
    const source = readings[entries.length % readings.length]!
    const correction = {
      ...source,
      id: `x${entries.length}`,
      kind: 'entry.corrected',
      payload: { target: source.id, why: 'again', replacement: source.payload },
    } as AnyEntry
    entries.push(
      entries.length % 3
        ? ({ ...source, id: `n${entries.length}`, kind: 'note.written', payload: { text: 'x' } } as AnyEntry)
        : correction,
    )
  }
  const times = Array.from({ length: 15 }, () => {
    const from = performance.now()
    fold(plan, entries)
    return performance.now() - from
  })
  line('fold of 10,000 entries, median of 15', `${median(times).toFixed(1)} ms`, 'goal 30 ms')
}

/** As many sheets as there are families of machines. */
const FAMILIES = 20

/** Examining a sheet for every family, and the whole view of a large job half way through. */
function sheetsAndView() {
  const sheets = librarySheets()
  const from = performance.now()
  for (let i = 0; i < FAMILIES; i++) examineSheet(structuredClone(sheets[i % sheets.length]), SUMS_BY_NAME)
  line(`examining ${FAMILIES} sheets`, `${(performance.now() - from).toFixed(0)} ms`, 'goal 1000 ms')
  const one = worker(largeSheet())
  one.workUntil('again-0')
  const { parts, steps, checks } = one.plan.sheet
  const times = Array.from({ length: 40 }, () => {
    const start = performance.now()
    viewJob(one.plan, one.folded.state)
    return performance.now() - start
  })
  line(
    `viewJob, ${parts.length} parts, ${steps.length} steps, ${checks.length} checks, median of 40`,
    `${median(times).toFixed(1)} ms`,
    'goal 5 ms',
  )
}

async function appendRoundTrip(url: string) {
  const fitter = await signIn(url, PEOPLE[0]!.name)
  const jobs = (await (await fitter.get('/api/jobs')).json()) as { id: string; entries: number }[]
  const job = jobs.toSorted((a, b) => b.entries - a.entries)[0]!
  const times: number[] = []
  for (let i = 0; i < 60; i++) {
    const from = performance.now()
    await fitter.post(`/api/jobs/${job.id}/entries`, {
      id: uuid(),
      kind: 'note.written',
      payload: { text: `bench ${i}` },
      act: uuid(),
      madeAt: new Date().toISOString(),
    })
    times.push(performance.now() - from)
  }
  line(`append round trip, job of ${job.entries} entries, median of 60`, `${median(times).toFixed(1)} ms`)
  line('append round trip, slowest of 60', `${Math.max(...times).toFixed(1)} ms`)
}

async function withBrowser(act: (browser: Browser) => Promise<void>) {
  const browser = await chromium.launch(BROWSER)
  try {
    await act(browser)
  } finally {
    await browser.close()
  }
}

const firstLoad = (url: string) =>
  withBrowser(async browser => {
    for (const [name, path] of [
      ['yard', '/'],
      ['bench', '/bench'],
      ['gauge room', '/gauge-room/fits?sum=limits-and-fits'],
    ] as const) {
      const page = await signedInPage(browser, url)
      const target =
        name !== 'bench' ? path : `/bench/${(await (await page.request.get(`${url}/api/jobs`)).json())[0].id}`
      const { code, fonts, data, files, hasJoi } = await firstLoadOf(page, url + target)
      const kB = (size: number) => `${(size / 1024).toFixed(0)} kB`
      line(
        `first load of the ${name}, scripts and styles gzipped`,
        kB(code),
        `fonts ${kB(fonts)}, pages and data ${kB(data)}, ${files} files${hasJoi ? ', Joi is in it' : ', no Joi'}`,
      )
      await page.context().close()
    }
    await trialInTheWorker(browser, url, line)
  })

foldOfTenThousand()
sheetsAndView()
interactionOf64(line)
shimsOutOf40(line)
await loadThornmere(database())
await costOfAppends(line)
await disconnect()
const server = await startServer()
try {
  await appendRoundTrip(server.url)
  await firstLoad(server.url)
  await withBrowser(browser => benchWithPhotos(browser, server.url, line))
  await crowd(server.url, line)
  await heavyWork(server.url, line)
  await loadFleet(process.env.NEEDLER_OWNER_URL!)
  await withBrowser(browser => largeFleet(browser, server.url, line))
} finally {
  await server.stop()
}
const size = spawnSync('du', ['-sk', '.output'], { encoding: 'utf8' }).stdout.split('\t')[0]
line(
  'built server and pages',
  `${size} kB`,
  `Node ${process.version}, ${JSON.parse(readFileSync('package.json', 'utf8')).version}`,
)
