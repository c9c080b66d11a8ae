import { ACTS, type Act, type SignedLine } from '~~/core/job'
import type { SignedInPerson } from '~~/shared/answers'

/** What came of asking for a signature: null when it is given or left, else the sentence that says why it cannot be. */
type Signed = { isSigned: boolean; why: string | null }

/** Has acts signed, by whoever may, with their PIN; what needs no PIN is done at once. */
export function useSign() {
  const job = useJob()
  const signing = useSigningStore()

  /** Asks who signs; `acts` may hang on that, as the paper does that a hold is signed on. */
  async function sign(
    title: string,
    acts: (who: SignedInPerson) => Act[],
    isFor = (who: SignedInPerson) => acts(who).every(one => ACTS[one.kind].by.includes(who.role)),
    list: SignedLine[] = [],
  ): Promise<Signed> {
    const away = job.cannotSign()
    if (away) return { isSigned: false, why: away }
    const refuses = (who: SignedInPerson) => job.refusalFor(who, acts(who))
    const isSigned = await signing.ask({
      title,
      list,
      isFor,
      refuses,
      sign: (who, pin) => job.sign(who, pin, acts(who)),
    })
    return { isSigned, why: null }
  }

  /** Does acts at once, or has a lead sign them on this device where only a lead may. */
  async function led(title: string, isLeads: boolean, ...acts: Act[]): Promise<Signed> {
    if (isLeads)
      return sign(
        title,
        () => acts,
        who => who.role === 'lead',
      )
    const why = job.act(...acts)
    return { isSigned: why === null, why }
  }

  /** Does acts, and asks for a PIN only where they correct what somebody else did. */
  const correct = (title: string, ...acts: Act[]) => led(title, job.wantsPin(acts), ...acts)
  return { sign, led, correct }
}
