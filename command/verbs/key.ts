import { defineCommand } from 'citty'
import { addKey, listKeys, takeKeyBack } from '../../server/db/keys.ts'
import { appUrl, databaseArg, knownDatabase, withDatabase } from '../place.ts'
import { Plain, say } from '../plain.ts'

const nameArg = { name: { type: 'positional', description: 'what it is for', required: true } } as const
const url = async (database: string) => appUrl(await knownDatabase(database))

export default defineCommand({
  meta: {
    name: 'key',
    description:
      "keys with which scripts and spreadsheets ask for sums: add, list, back; for the demo's: --database needler_demo",
  },
  subCommands: {
    add: defineCommand({
      meta: { description: 'make a key; it is printed once' },
      args: { ...databaseArg, ...nameArg },
      async run({ args }) {
        const key = await withDatabase(await url(args.database), db => addKey(db, args.name))
        if (!key)
          throw new Plain(`There is a key called ${args.name} already. Take it back first, or choose another name.`)
        say(`The key for ${args.name}; it is shown only now. Send it as: authorization: Bearer KEY`)
        console.log(key)
      },
    }),
    list: defineCommand({
      meta: { description: 'the keys there are' },
      args: databaseArg,
      async run({ args }) {
        for (const one of await withDatabase(await url(args.database), listKeys))
          console.log(`${one.name.padEnd(32)}made ${one.madeAt.slice(0, 10)}`)
      },
    }),
    back: defineCommand({
      meta: { description: 'take a key back' },
      args: { ...databaseArg, ...nameArg },
      async run({ args }) {
        const taken = await withDatabase(await url(args.database), db => takeKeyBack(db, args.name))
        if (!taken) throw new Plain(`There is no key called ${args.name}.`)
        say(`The key ${args.name} is taken back.`)
      },
    }),
  },
})
