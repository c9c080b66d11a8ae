import { extend, refusalOf, sentenceOf, type Act, type AnyEntry, type Role } from '../core/job/index.ts'
import { Technician } from '../demo/technician.ts'

/** Somebody whose every act is asked of the server's rules first, one by one as they arrive. */
export class Asking extends Technician {
  override acts(acts: readonly Act[], role: Role = 'fitter'): AnyEntry[] {
    const before = this.folded
    const entries = super.acts(acts, role)
    let folded = before
    for (const entry of entries) {
      const why = refusalOf(this.opened, folded, entry)
      if (why) throw new Error(`${entry.kind} is refused: ${sentenceOf(why)}`)
      folded = extend(this.opened, folded, [entry])
    }
    return entries
  }
}
