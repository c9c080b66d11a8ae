/** What a person can cause is returned, not thrown: a value, or one sentence that says what, why and what to do. */
export type Result<T> = { ok: true; value: T } | { ok: false; why: string }

export const accept = <T>(value: T): Result<T> => ({ ok: true, value })
export const refuse = (why: string): { ok: false; why: string } => ({ ok: false, why })
