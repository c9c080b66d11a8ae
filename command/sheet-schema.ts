import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { format, resolveConfig } from 'prettier'
import { createGenerator } from 'ts-json-schema-generator'
import { asWritten, type Schemas } from '../core/sheet/examination/written.ts'

const at = (path: string) => fileURLToPath(new URL(`../${path}`, import.meta.url))

/** What the types of a build sheet say, as JSON Schema: a sheet settled for one machine, and the frame of one as it is written. */
function schemasOfTypes(): Schemas {
  const of = (type: string) =>
    createGenerator({
      path: at('core/sheet/types.ts'),
      type,
      skipTypeCheck: true,
      additionalProperties: false,
      discriminatorType: 'json-schema',
    }).createSchema(type).definitions as Schemas['definitions']
  return { definitions: { ...of('Sheet'), ...of('SheetFrame') } }
}

const FILES = { examined: 'core/sheet/examination/sheet.schema.json', published: 'library/sheet.schema.json' }

/** Both files that are made of the types, by their paths, as they should read. */
export async function schemaFiles(): Promise<Map<string, string>> {
  const schemas = schemasOfTypes()
  const laidOut = async (schema: object) =>
    format(JSON.stringify(schema), { ...(await resolveConfig(at('package.json'))), parser: 'json' })
  return new Map([
    [at(FILES.examined), await laidOut(schemas)],
    [at(FILES.published), await laidOut(asWritten(schemas))],
  ])
}

if (process.argv[1] === fileURLToPath(import.meta.url))
  for (const [path, text] of await schemaFiles()) writeFileSync(path, text)
