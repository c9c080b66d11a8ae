import { database, disconnect } from './client.ts'
import { rebuildProjections } from './ledger.ts'

console.log(`${await rebuildProjections(database())} jobs projected anew from the ledger.`)
await disconnect()
