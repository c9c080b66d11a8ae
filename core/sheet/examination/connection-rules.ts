import type { Plan } from '../plan.ts'

/** What is wrong with the wires, hoses, pipes and sensors of a sheet, as sentences. */
export const connectionRules = ({ parts }: Plan): string[] =>
  [...parts.values()].flatMap(({ ref, part }) => {
    const { joins, capped, kind, keep, renewal, ifSwapped } = part
    if (!joins)
      return kind === 'connection' || capped ? [`${ref} is a connection and does not say where its ends go`] : []
    return [
      ...(kind === 'connection' ? [] : [`${ref} says where its ends go, which only a connection does`]),
      ...joins.filter(({ to }) => !parts.has(to)).map(({ to }) => `${ref} goes to an unknown part ${to}`),
      ...(keep === 'lay' ? [] : [`${ref} is a connection, which is told by its labels: lay it out`]),
      ...(renewal === 'on condition' ? [] : [`${ref} is a connection, which nobody decides: on condition`]),
      ...(ifSwapped ? [] : [`${ref} does not say what comes of it when it is crossed`]),
    ]
  })
