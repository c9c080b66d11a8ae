/** Ends a command with one clear sentence that says what, why and what to do. */
export class Plain extends Error {}

export const say = (words: string) => process.stderr.write(`${words}\n`)
