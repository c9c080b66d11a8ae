import { sql } from 'drizzle-orm'
import { sentenceOf } from '../../core/refusal.ts'
import { v7 as uuid } from 'uuid'
import type { SentEntry, SignedInPerson } from '../../shared/answers.ts'
import { append } from '../../server/db/append.ts'
import { connectTo, type Database } from '../../server/db/client.ts'
import { median, timed, type Say } from './say.ts'

/** What an append costs against a bare insert of the same row in the same run, by the length of the ledger. */

const note = (): SentEntry => {
  const id = uuid()
  return { id, act: id, kind: 'note.written', payload: { text: 'bench' }, madeAt: new Date().toISOString() }
}

async function kept(db: Database, job: string, by: SignedInPerson, sent: SentEntry[]): Promise<void> {
  const answer = await append(db, job, by, sent)
  if (!answer.kept) throw new Error(sentenceOf(answer.refusal))
}

const ROUNDS = 200

async function appendAgainstInsert(db: Database, job: string, by: SignedInPerson, say: Say): Promise<void> {
  const bare: number[] = []
  const ours: number[] = []
  // In turns, so that both meet the same machine.
  for (let i = 0; i < ROUNDS; i++) {
    bare.push(
      await timed(() =>
        db.execute(sql`
          insert into entry_bare (id, job_id, seq, kind, payload, act, made_by, role, made_at)
          values (${uuid()}, ${job}, ${i + 1_000_000 + Math.floor(Math.random() * 1e8)}, 'note.written',
                  '{"text":"bench"}'::jsonb, ${uuid()}, ${by.id}, 'fitter', now())`),
      ),
    )
    ours.push(await timed(() => kept(db, job, by, [note()])))
  }
  const [row] = await db.execute<{ seq: number }>(sql`select last_seq as seq from job where id = ${job}`)
  const times = median(ours) / median(bare)
  say(
    `append at ${row!.seq} entries against a bare insert`,
    `${times.toFixed(1)} times`,
    `goal 4 times; ${median(ours).toFixed(2)} ms to ${median(bare).toFixed(2)} ms`,
  )
}

async function correctionsTogether(db: Database, job: string, by: SignedInPerson, say: Say): Promise<void> {
  const notes = await db.execute<{ id: string }>(
    sql`select id from entry where job_id = ${job} and kind = 'note.written' and made_by = ${by.id} order by seq limit 200`,
  )
  const corrections = notes.map(({ id: target }): SentEntry => {
    const payload = { target, why: 'bench', replacement: { text: 'again' } }
    return { ...note(), kind: 'entry.corrected', payload }
  })
  const took = await timed(() => kept(db, job, by, corrections))
  say(`${corrections.length} corrections at once on them`, `${took.toFixed(0)} ms`, 'goal 300 ms')
}

/** Appends at the length a job has, and at three thousand entries. */
export async function costOfAppends(say: Say): Promise<void> {
  const owner = connectTo(process.env.NEEDLER_OWNER_URL!, 1)
  await owner.sql.unsafe('drop table if exists entry_bare')
  await owner.sql.unsafe('create table entry_bare (like entry including all)')
  await owner.sql.unsafe('grant all on entry_bare to needler_app')
  const { db, end } = connectTo(process.env.DATABASE_URL!, 2)
  try {
    const [who] = await db.execute<{ id: string; name: string }>(
      sql`select id, name from person where role = 'fitter' limit 1`,
    )
    const by: SignedInPerson = { ...who!, role: 'fitter', competences: [], pinIsOwn: true }
    const [job] = await db.execute<{ id: string; seq: number }>(
      sql`select id, last_seq as seq from job where signed_at is null and last_seq < 1000 order by last_seq desc limit 1`,
    )
    await kept(db, job!.id, by, [note()])
    await appendAgainstInsert(db, job!.id, by, say)
    for (let seq = job!.seq + ROUNDS; seq < 3000; seq += 200)
      await kept(db, job!.id, by, Array.from({ length: 200 }, note))
    await appendAgainstInsert(db, job!.id, by, say)
    await correctionsTogether(db, job!.id, by, say)
  } finally {
    await end()
    await owner.sql.unsafe('drop table entry_bare')
    await owner.end()
  }
}
