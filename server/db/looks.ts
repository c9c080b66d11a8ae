import unhomoglyph from 'unhomoglyph'

/** Letters that are told apart by who knows which it is, and by nobody else. */
const ALIKE: [RegExp, string][] = [
  [/[i1|!ı]/g, 'l'],
  [/0/g, 'o'],
  [/ĸ/g, 'k'],
]

/**
 * A name as the eye reads it: letters of another script that look the same are the same (Unicode TR 39, skeleton), and so
 * are small and capital ones, accents aside, and whatever stands between words.
 */
export function lookOf(name: string): string {
  const plain = unhomoglyph(unhomoglyph(name.normalize('NFKC')).toLowerCase()).toLowerCase()
  const letters = plain.normalize('NFKD').replace(/[^\p{L}\p{N}|!]/gu, '')
  return ALIKE.reduce((text, [these, one]) => text.replace(these, one), letters)
}
