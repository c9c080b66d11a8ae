import { sql } from 'drizzle-orm'
import type { Browser } from '@playwright/test'
import { librarySheets } from '../../server/db/library.ts'
import { connectTo } from '../../server/db/client.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { signIn } from '../api/server.ts'
import { asked } from './crowd.ts'
import { signedInPage } from './page.ts'
import { median, type Say } from './say.ts'

/** A fleet far larger than Thornmere's, made in the database: machines, their past jobs and readings; not their ledgers. */
export const FLEET = { machines: 5000, jobs: 20, readings: 24 } as const

const MOMENTS = ['as found', 'as left']

/** Makes the fleet beside whatever machines there are. */
export async function loadFleet(ownerUrl: string): Promise<void> {
  const { db, end } = connectTo(ownerUrl, 1)
  const sheets = librarySheets()
  // Twelve checks, each read twice.
  const checks = sheets.flatMap(sheet =>
    sheet.checks
      .slice(0, FLEET.readings / 2)
      .flatMap((check, nth) => MOMENTS.map(moment => ({ sheet: sheet.id, check: check.id, moment, nth }))),
  )
  const shelf = JSON.stringify(sheets.map((one, nth) => ({ nth, id: one.id, version: one.version, title: one.title })))
  try {
    await db.execute(sql`set synchronous_commit = off`)
    await db.execute(sql`
      insert into area (id, name, position) select 'hall-' || n, 'Hall ' || n, 100 + n from generate_series(1, 12) n`)
    await db.execute(sql`
      insert into equipment (tag, name, area_id, line, sheet_id, variants, hours_run, hours_per_week)
      select 'X-' || lpad(n::text, 4, '0'), shelf.title || ' ' || n, 'hall-' || (1 + n * 12 / (${FLEET.machines} + 1)),
             'Line ' || (n % 40), shelf.id, '{}', 20000 + n % 9000, 60 + n % 100
      from generate_series(1, ${FLEET.machines}::int) n
      join jsonb_to_recordset(${shelf}::jsonb) as shelf (nth int, id text, version int, title text) on shelf.nth = n % ${sheets.length}`)
    await db.execute(sql`
      insert into job (id, equipment_tag, sheet_id, sheet_version, variants, complaint, hours_at_open, opened_at, signed_at)
      select lpad(to_hex(row_number() over ()), 32, '0')::uuid, tag, sheet_id, shelf.version, '{}', 'planned',
             greatest(0, hours_run - k * 900), timestamptz '2026-10-01' - k * interval '120 days',
             timestamptz '2026-10-04' - k * interval '120 days'
      from equipment
      join jsonb_to_recordset(${shelf}::jsonb) as shelf (id text, version int) on shelf.id = sheet_id,
           generate_series(1, ${FLEET.jobs}::int) k
      where tag like 'X-%' and area_id like 'hall-%'`)
    await db.execute(sql`
      insert into reading (job_id, equipment_tag, check_id, moment, value, least, greatest, verdict, share, stands, taken_at)
      select job.id, job.equipment_tag, one.check, one.moment, 1, 0.9, 1.1, 'Holds', (job.number % 97) / 100.0,
             one.moment = 'as left', job.signed_at
      from job
      join jsonb_to_recordset(${JSON.stringify(checks)}::jsonb) as one (sheet text, "check" text, moment text) on one.sheet = job.sheet_id
      where job.equipment_tag like 'X-%' and job.last_seq = 0`)
    await db.execute(sql`
      insert into equipment_state (equipment_tag, last_overhaul_at, last_overhaul_hours, worst_check, worst_verdict, worst_share)
      select distinct on (job.equipment_tag) job.equipment_tag, job.signed_at, job.hours_at_open, reading.check_id,
             (array['Holds', 'Holds', 'Holds', 'Thin', 'Out'])[1 + job.number % 5]::verdict, (job.number % 97) / 100.0
      from job join reading on reading.job_id = job.id
      where job.equipment_tag like 'X-%' and job.last_seq = 0
      order by job.equipment_tag, job.signed_at desc
      on conflict do nothing`)
    await db.execute(sql`analyze`)
  } finally {
    await end()
  }
}

/** How long the server takes over the large fleet. */
async function serverOver(url: string, say: Say): Promise<void> {
  const fitter = await signIn(url, PEOPLE[0]!.name)
  for (const [what, path, goal] of [
    ['yard of the large fleet, server', '/api/yard', ''],
    ['plate of one of its machines, server', '/api/machines/X-2500', 'goal 100 ms'],
    ['bench list, server', '/api/jobs', 'goal 30 ms'],
  ] as const) {
    await asked(fitter, path)
    const times: number[] = []
    for (let i = 0; i < 15; i++) times.push((await asked(fitter, path)).ms)
    say(what, `${median(times).toFixed(0)} ms`, goal)
  }
}

/** Keeps, in the page, when something first was so. */
const until = (so: string) =>
  `new Promise(resolve => { const look = () => (${so}) ? resolve(performance.now()) : requestAnimationFrame(look); look() })`

/** How long a page takes over it: from asking for the page to a yard that can be used, to what is filtered, to a plate. */
async function browserOver(browser: Browser, url: string, say: Say): Promise<void> {
  const page = await signedInPage(browser, url, { viewport: { width: 1280, height: 800 } })
  const first: number[] = []
  for (let i = 0; i < 5; i++) {
    await page.goto(url)
    first.push(
      (await page.evaluate(
        until(`document.querySelector('.stand .tag') && document.querySelector('.next .tag')`),
      )) as number,
    )
  }
  say('first useful yard, browser, median of 5', `${median(first).toFixed(0)} ms`, 'goal 1000 ms')
  say(
    '  elements on the page',
    String(await page.evaluate('document.getElementsByTagName("*").length')),
    'before 125,000',
  )
  const filter = page.locator('#filter')
  const typed: number[] = []
  for (const text of ['x', 'x-', 'x-4', 'x-49', 'x-499', 'x-49', 'x-4', 'x-']) {
    const took = await filter.evaluate(async (field, value) => {
      const from = performance.now()
      const input = field as HTMLInputElement
      input.value = value
      input.dispatchEvent(new Event('input', { bubbles: true }))
      // Drawn once a frame has been begun after it.
      for (let i = 0; i < 2; i++) await new Promise(resolve => requestAnimationFrame(resolve))
      return performance.now() - from
    }, text)
    typed.push(took)
  }
  say('filter as you type, median', `${median(typed).toFixed(0)} ms`, 'goal 50 ms')
  const plates: number[] = []
  for (let i = 0; i < 5; i++) {
    const stand = page.locator('.ground .stand').nth(i)
    const tag = await stand.locator('.tag').innerText()
    plates.push(
      await stand.evaluate(async (one, name) => {
        const from = performance.now()
        ;(one as HTMLElement).click()
        // It stands there once what was read of the machine does, not its name alone.
        for (;;) {
          const plate = document.querySelector(`.plate[aria-label="Machine ${name}"]`)
          if (plate && plate.querySelectorAll('*').length > 40) return performance.now() - from
          await new Promise(resolve => requestAnimationFrame(resolve))
        }
      }, tag),
    )
  }
  say('plate of a machine, browser, median of 5', `${median(plates).toFixed(0)} ms`, 'goal 100 ms')
  await page.context().close()
}

export async function largeFleet(browser: Browser, url: string, say: Say): Promise<void> {
  await serverOver(url, say)
  await browserOver(browser, url, say)
}
