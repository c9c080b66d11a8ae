import { register } from 'tsx/esm/api'

// A thread reads TypeScript only once it has been told how.
register()
await import('./worker.ts')
