import { randomInt } from 'node:crypto'
import { ROLES, type Role } from '../../core/job/index.ts'
import { database, disconnect } from './client.ts'
import { shelveLibrary } from './library.ts'
import { migrateToNewest } from './migrate.ts'
import { addPerson, peopleWhoSign } from './people.ts'

/** Makes a database ready to be served: newest migration, the shipped sheets, and somebody who can sign in. */
const [name, role] = process.argv.slice(2)

async function add(person: { name: string; role: Role }) {
  const pin = String(randomInt(10_000)).padStart(4, '0')
  await addPerson(database(), { ...person, pin })
  console.log(`${person.name} may sign in as ${person.role}; the PIN is ${pin}. It is shown only now.`)
}

try {
  await migrateToNewest()
  await shelveLibrary(database())
  const people = await peopleWhoSign(database())
  if (name && !ROLES.includes(role as Role))
    throw new Error(`There is no role “${role}”. Choose one of ${ROLES.join(', ')}.`)
  if (name && people.some(one => one.name === name)) throw new Error(`There is a ${name} already. Choose another name.`)
  if (name) await add({ name, role: role as Role })
  else if (!people.length) await add({ name: 'First lead', role: 'lead' })
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
} finally {
  await disconnect()
}
