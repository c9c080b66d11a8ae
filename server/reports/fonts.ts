/** The files that records are set in, under `server/assets/fonts`. */
export const FONT_FILES = {
  words: 'barlow-latin-400-normal.woff',
  bold: 'barlow-latin-600-normal.woff',
  figures: 'dm-mono-latin-400-normal.woff',
}

/** Their contents, by file. */
export type Fonts = Record<string, Uint8Array>
