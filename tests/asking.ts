import { extend, refusalOf, sentenceOf, type AnyEntry, type Folded } from '../core/job/index.ts'
import { Technician } from '../demo/technician.ts'

/** Somebody whose every act is asked of the server's rules first, one by one as they arrive. */
export class Asking extends Technician {
  protected override take(entries: readonly AnyEntry[]): Folded {
    let folded = this.folded
    for (const entry of entries) {
      const why = refusalOf(this.opened, folded, entry)
      if (why) {
        this.folded = super.take(entries)
        throw new Error(`${entry.kind} is refused: ${sentenceOf(why)}`)
      }
      folded = extend(this.opened, folded, [entry])
    }
    return folded
  }
}
