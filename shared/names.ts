/**
 * A name as it is kept: composed letters (NFC), one blank between words, none around them. Null where it holds what no
 * name does: controls, marks that turn the direction of writing or are not seen, or no letter at all.
 */
export function tidyName(text: string): string | null {
  const name = text.normalize('NFC').trim().replace(/\s+/gu, ' ')
  return /[\p{C}\p{Zl}\p{Zp}]|\u034f|\u115f|\u1160|\u3164|\uffa0/u.test(name) || !/\p{L}/u.test(name) ? null : name
}
