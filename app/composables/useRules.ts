import type { FormItemRule } from 'element-plus'
import type { ObjectSchema } from 'joi'

/**
 * The rules of a form: the very schemas the wire holds its fields against, fetched when the form is. A field is judged as it
 * is left, in the schema's own sentence with the field's own name.
 * @param schema which of the shared schemas
 * @param labels what the form calls the fields
 */
export function useRules<K extends string>(
  schema: (all: typeof import('~~/shared/schemas')) => ObjectSchema,
  labels: Record<K, string>,
): Record<K, FormItemRule[]> {
  const loaded = import('~~/shared/schemas').then(schema)
  const rule = (key: string, label: string): FormItemRule => ({
    trigger: 'blur',
    asyncValidator: async (_, value: unknown) => {
      const field = (await loaded).extract(key).label(label)
      const { error } = field.validate(value, {
        errors: { wrap: { label: false } },
        messages: { 'string.empty': '{{#label}} is wanted' },
      })
      if (error) throw new Error(`${error.message}.`)
    },
  })
  return Object.fromEntries(Object.entries<string>(labels).map(([key, label]) => [key, [rule(key, label)]])) as Record<
    K,
    FormItemRule[]
  >
}
