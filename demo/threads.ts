import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import workerpool, { type Pool } from 'workerpool'

/** Inside the project, so that packages are found from there. */
const BUNDLE = fileURLToPath(new URL('../node_modules/.cache/needler/demo-worker.mjs', import.meta.url))

/**
 * As many threads as there is room for, each getting ready while the database is. What they run is bundled first: a thread
 * that reads its TypeScript file by file takes seconds to get ready, and runs it slower afterwards.
 */
export async function startThreads(): Promise<Pool> {
  await build({
    entryPoints: [fileURLToPath(new URL('./worker.ts', import.meta.url))],
    outfile: BUNDLE,
    bundle: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    logLevel: 'error',
  })
  const threads = Math.max(2, availableParallelism())
  return workerpool.pool(BUNDLE, {
    workerType: 'thread',
    minWorkers: threads,
    maxWorkers: threads,
    // A job makes much that is soon forgotten: with room for it the threads stop less often to tidy up.
    workerThreadOpts: { resourceLimits: { maxYoungGenerationSizeMb: 128 } },
  })
}
