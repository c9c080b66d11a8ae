import { defineCommand } from 'citty'
import { addArea, areas } from '../../server/db/fleet.ts'
import { appUrl, databaseArg, knownDatabase, withDatabase } from '../place.ts'
import { Plain, say } from '../plain.ts'

const add = defineCommand({
  meta: { name: 'add', description: 'add an area of the yard' },
  args: {
    ...databaseArg,
    id: { type: 'positional', description: 'a short name for commands, such as juice', required: true },
    name: { type: 'string', description: 'as it is shown', required: true },
  },
  async run({ args }) {
    const added = await withDatabase(appUrl(await knownDatabase(args.database)), db => addArea(db, args.id, args.name))
    if (!added) throw new Plain(`There is an area ${args.id} already.`)
    say(`${args.name} is in the yard.`)
  },
})

const list = defineCommand({
  meta: { name: 'list', description: 'the areas of the yard' },
  args: databaseArg,
  async run({ args }) {
    for (const one of await withDatabase(appUrl(await knownDatabase(args.database)), areas))
      console.log(`${one.id.padEnd(16)}${one.name}`)
  },
})

export default defineCommand({
  meta: { name: 'area', description: 'areas of the yard: add, list' },
  subCommands: { add, list },
})
