import { defineCommand } from 'citty'
import { sentenceOf } from '../../core/refusal.ts'
import { ROLES, type Role } from '../../core/job/index.ts'
import type { Database } from '../../server/db/client.ts'
import { newPersonSchema } from '../../shared/schemas.ts'
import { addPerson, changePerson, everybody, NameTaken, type PersonChange } from '../../server/db/people.ts'
import { appUrl, contentsOf, contentsWords, databaseArg, knownDatabase, withDatabase } from '../place.ts'
import { Plain, say } from '../plain.ts'

const nameArg = { name: { type: 'positional', description: 'as it is shown', required: true } } as const
const roleArg = { role: { type: 'positional', description: ROLES.join(', '), required: true } } as const

const roleOf = (text: string): Role => {
  if (!ROLES.includes(text as Role)) throw new Plain(`There is no role “${text}”. Choose one of ${ROLES.join(', ')}.`)
  return text as Role
}

async function onSite<T>(database: string, act: (db: Database) => Promise<T>): Promise<T> {
  const name = await knownDatabase(database)
  say(`· ${contentsWords(name, await contentsOf(name))}`)
  return withDatabase(appUrl(name), act)
}

async function personNamed(db: Database, name: string) {
  const person = (await everybody(db)).find(one => one.name.toLowerCase() === name.toLowerCase())
  if (!person) throw new Plain(`There is nobody called ${name}. ./needler person list says who there is.`)
  return person
}

const changes = (
  description: string,
  args: object,
  change: (args: Record<string, string>) => PersonChange,
  done: string,
) =>
  defineCommand({
    meta: { description },
    args: { ...databaseArg, ...nameArg, ...args },
    run: ({ args: given }) =>
      onSite(given.database, async db => {
        const { id } = await personNamed(db, given.name)
        const answer = await changePerson(db, id, change(given as unknown as Record<string, string>))
        if (!answer.ok) throw new Plain(sentenceOf(answer.refusal))
        const { name, role } = answer.person
        say(
          `${name}, ${role}, ${done}${answer.pin ? ` ${answer.pin}. It is shown only now, and good only for choosing their own.` : '.'}`,
        )
      }),
  })

export default defineCommand({
  meta: { name: 'person', description: 'who may sign in: add, list, role, pin, out, in' },
  subCommands: {
    add: defineCommand({
      meta: { description: 'let somebody sign in; prints their PIN' },
      args: { ...databaseArg, ...nameArg, ...roleArg },
      run: ({ args }) =>
        onSite(args.database, async db => {
          const role = roleOf(args.role)
          const { error, value } = newPersonSchema.validate({ name: args.name, role })
          if (error) throw new Plain(`That does not fit: ${error.message}.`)
          const { person, pin } = await addPerson(db, value).catch((taken: Error) => {
            throw taken instanceof NameTaken ? new Plain(taken.message) : taken
          })
          say(
            `${person.name} may sign in as ${role}; the PIN is ${pin}. It is shown only now, and good only for choosing their own.`,
          )
        }),
    }),
    list: defineCommand({
      meta: { description: 'everybody, those taken out too' },
      args: databaseArg,
      run: ({ args }) =>
        onSite(args.database, async db => {
          for (const one of await everybody(db))
            console.log(`${one.name.padEnd(24)}${one.role.padEnd(10)}${one.active ? '' : 'taken out'}`)
        }),
    }),
    role: changes('give another role', roleArg, args => ({ role: roleOf(args.role!) }), 'from the next request on'),
    pin: changes('give a new PIN', {}, () => ({ pin: 'new' }), 'has a new PIN:'),
    out: changes('take out; the name stays on what it signed', {}, () => ({ active: false }), 'is taken out'),
    in: changes('let in again', {}, () => ({ active: true }), 'may sign in again'),
  },
})
