import dayjs from 'dayjs'

/** Times are UTC in the ledger and site time on the screen. */
export const siteTime = (iso: string) => dayjs(iso).format('D MMM YYYY, HH:mm')
export const siteDay = (iso: string) => dayjs(iso).format('D MMM YYYY')
export const siteClock = (iso: string) => dayjs(iso).format('HH:mm')
/** Long figures in threes, which stay on one line. */
export const thousands = (value: number | string) => String(value).replace(/\B(?=(\d{3})+$)/g, '\u00a0')
export const weeksWords = (weeks: number) => (weeks <= 0 ? 'due now' : weeks === 1 ? 'in 1 week' : `in ${weeks} weeks`)
export const counted = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`

/** Words that stand inside a sentence, as a sentence of their own; nothing stays nothing. */
export const asSentence = (words: string): string =>
  words && `${words[0]!.toUpperCase()}${words.slice(1).replace(/\.$/, '')}.`
