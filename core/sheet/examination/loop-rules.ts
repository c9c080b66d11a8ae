import { stepsBefore } from '../before.ts'
import type { Plan } from '../plan.ts'

/** What is wrong with the loops of a sheet, and with what is put on in them for a trial, as sentences. */
export const loopRules = ({ sheet, steps, checks, parts, loops, loopOf }: Plan): string[] => [
  ...(sheet.loops ?? []).flatMap(({ id, steps: own, until, changes }) => [
    ...own.filter(step => !steps.has(step)).map(step => `loop ${id} goes through an unknown step ${step}`),
    ...own
      .filter(step => steps.get(step)?.closes || steps.get(step)?.fits?.length || steps.get(step)?.removes?.length)
      .map(step => `step ${step} fits, takes off or shuts for good inside loop ${id}: a trial is put on and taken off`),
    ...(until.length ? [] : [`loop ${id} never comes out good: it has no checks`]),
    ...until
      .filter(check => !checks.get(check)?.at.some(at => own.includes(at.step)))
      .map(check => `loop ${id} goes on until ${check}, which is not read in it`),
    ...changes.flatMap(({ say, voids }) =>
      voids
        .filter(check => !checks.get(check)?.at.some(at => own.includes(at.step)))
        .map(check => `“${say}” in loop ${id} voids ${check}, which is not read in it`),
    ),
    ...until
      .filter(check => !changes.some(one => one.voids.includes(check)))
      .map(check => `nothing that may be changed in loop ${id} voids ${check}: it could never come out otherwise`),
    ...(sheet.steps.some(step => step.after?.includes(id)) ? [] : [`no step waits for loop ${id}`]),
  ]),
  ...sheet.steps.flatMap(({ id, after, trial, needs }) => [
    ...[...(after ?? []), ...(needs ?? []).flatMap(need => (need.startsWith('loop ') ? [need.slice(5)] : []))]
      .filter(loop => !loops.has(loop))
      .map(loop => `step ${id} waits for an unknown loop ${loop}`),
    ...[...(trial?.on ?? []), ...(trial?.off ?? [])]
      .filter(ref => !parts.has(ref))
      .map(ref => `step ${id} tries an unknown part ${ref}`),
    ...(trial && !loopOf.has(id) ? [`step ${id} puts on for a trial outside a loop`] : []),
    ...(trial?.on ?? [])
      .filter(
        ref =>
          !sheet.steps.some(
            one =>
              one.trial?.off?.includes(ref) &&
              loopOf.get(one.id) === loopOf.get(id) &&
              stepsBefore(steps, one.id).has(id),
          ),
      )
      .map(ref => `${ref} is put on for a trial at ${id} and never taken off again`),
  ]),
]
