/** Where a figure of a sum stands: its field, and in a table the place that the row is read at and the column. */
export interface At {
  field: string
  place?: string
  column?: string
}

/** One text for where a figure stands, for maps. */
export const cellKey = ({ field, place = '', column = '' }: At): string => JSON.stringify([field, place, column])

/** Where a figure stands, from the text for it. */
export function atOf(key: string): At {
  const [field, place, column] = JSON.parse(key) as [string, string, string]
  return { field, ...(place ? { place } : {}), ...(column ? { column } : {}) }
}
