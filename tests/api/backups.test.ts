import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { backupTonight } from '../../command/backups.ts'
import { statePath } from '../../command/place.ts'
import { database, disconnect } from '../../server/db/client.ts'
import { changeSite } from '../../server/db/site.ts'
import { fillDatabase } from './server.ts'

const DATABASE = new URL(process.env.DATABASE_URL!).pathname.slice(1)
const folder = statePath('backups')
const night = (day: number, hour = 3) => new Date(2026, 4, day, hour)
const kept = () => (existsSync(folder) ? readdirSync(folder).filter(name => name.startsWith(DATABASE)) : [])

beforeAll(async () => {
  rmSync(folder, { recursive: true, force: true })
  await fillDatabase()
})
afterAll(async () => {
  await changeSite(database(), { backupsKept: 0 })
  await disconnect()
})

it('no site has nightly backups before it asks for them', async () => {
  await changeSite(database(), { backupsKept: 0 })
  expect(await backupTonight(DATABASE, night(10))).toBeNull()
  expect(kept()).toEqual([])
})

it('one a night, at night, and the newest stay', async () => {
  await changeSite(database(), { backupsKept: 2 })
  expect(await backupTonight(DATABASE, night(10, 14))).toBeNull()
  for (const day of [10, 11, 12])
    expect(await backupTonight(DATABASE, night(day))).toMatch(new RegExp(`${DATABASE}-2026-05-\\d\\d`))
  expect(await backupTonight(DATABASE, night(12, 4))).toBeNull()
  expect(kept()).toHaveLength(2)
  expect(kept().sort().at(-1)).toMatch(/2026-05-1[12]/)
  for (const name of kept()) expect(statSync(`${folder}/${name}`).mode & 0o077).toBe(0)
})
