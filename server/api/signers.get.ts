import { database } from '../db/client.ts'
import { signersHere } from '../db/people.ts'
import { route } from '../http/route.ts'

/** Who may sign something here, with what they may sign for, as it stands now. */
export default route('signed in', () => signersHere(database()))
