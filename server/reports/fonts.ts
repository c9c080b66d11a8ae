/**
 * The files that records are set in, under `server/assets/fonts`; each holds the letters of its name and no others. They are
 * kept unpacked, since every report opens them anew.
 */
export const FONT_FILES = {
  words: 'barlow-latin-400-normal.ttf',
  bold: 'barlow-latin-600-normal.ttf',
  figures: 'dm-mono-latin-400-normal.ttf',
  wordsExt: 'barlow-latin-ext-400-normal.ttf',
  boldExt: 'barlow-latin-ext-600-normal.ttf',
  figuresExt: 'dm-mono-latin-ext-400-normal.ttf',
  greek: 'noto-sans-greek-400-normal.ttf',
  cyrillic: 'noto-sans-cyrillic-400-normal.ttf',
}

/** Their contents, by file. */
export type Fonts = Record<string, Uint8Array>

const one = (file: string) => ({ normal: file, bold: file, italics: file, bolditalics: file })

/** The fonts by the name that a text asks for, as files. */
export const FONTS = {
  Barlow: { ...one(FONT_FILES.words), bold: FONT_FILES.bold, bolditalics: FONT_FILES.bold },
  BarlowExt: { ...one(FONT_FILES.wordsExt), bold: FONT_FILES.boldExt, bolditalics: FONT_FILES.boldExt },
  Figures: one(FONT_FILES.figures),
  FiguresExt: one(FONT_FILES.figuresExt),
  Greek: one(FONT_FILES.greek),
  Cyrillic: one(FONT_FILES.cyrillic),
}

/** Letters that the fonts of words and figures have elsewhere; whatever is none of these stands in the font itself. */
const ELSEWHERE: [RegExp, (font: Face) => keyof typeof FONTS][] = [
  [/[\u0100-\u0130\u0132-\u0151\u0154-\u024f\u1e00-\u1eff]/, font => `${font}Ext`],
  [/[\u0370-\u03ff]/, () => 'Greek'],
  [/[\u0400-\u045f\u0490\u0491\u04b0\u04b1]/, () => 'Cyrillic'],
]
/** Signs that none of them has, as they are written where they cannot be. */
const PLAINER: Record<string, string> = { '≥': '>=', '≤': '<=', '→': '->', '‰': ' per mille' }

type Face = 'Barlow' | 'Figures'
/** A stretch of a text that one font has every letter of. */
export interface Run {
  text: string
  font: keyof typeof FONTS
}

/** A text in stretches, each in a font that has its letters, so that none of them is left out. */
export function runsOf(text: string, font: Face = 'Barlow'): Run[] {
  // Nearly every text.
  if (!/[\u0100-\uffff]/.test(text)) return [{ text, font }]
  const runs: Run[] = []
  for (const letter of text.normalize('NFC')) {
    const own = ELSEWHERE.find(([letters]) => letters.test(letter))?.[1](font) ?? font
    const last = runs.at(-1)
    const drawn = PLAINER[letter] ?? letter
    if (last?.font === own) last.text += drawn
    else runs.push({ text: drawn, font: own })
  }
  return runs
}
