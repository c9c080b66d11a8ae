export const ROLES = ['fitter', 'lead', 'planner', 'stores', 'reader'] as const
export type Role = (typeof ROLES)[number]

/** The hands at the bench. */
export const HANDS: readonly Role[] = ['fitter', 'lead']
/** Who may open a job. */
export const OPENERS: readonly Role[] = ['fitter', 'lead', 'planner']
/** Everybody who may put words on the record. */
export const WRITERS: readonly Role[] = ['fitter', 'lead', 'planner', 'stores']

/** Roles as they are said: “a fitter or a lead”. */
export const rolesWords = (roles: readonly Role[]) =>
  roles.map(role => (role === 'stores' ? 'stores' : `a ${role}`)).join(' or ')
