import { copyName, named } from '../databases.ts'

/** Each worker's files are about its own copy; see `databases.ts`. */
const { DATABASE_URL, NEEDLER_OWNER_URL, VITEST_POOL_ID } = process.env
const own = copyName(NEEDLER_OWNER_URL!, VITEST_POOL_ID!)
process.env.DATABASE_URL = named(DATABASE_URL!, own)
process.env.NEEDLER_OWNER_URL = named(NEEDLER_OWNER_URL!, own)
