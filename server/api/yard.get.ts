import { database } from '../db/client.ts'
import { yard } from '../db/fleet.ts'
import { route } from '../http/route.ts'

export default route('signed in', () => yard(database(), new Date().toISOString()))
