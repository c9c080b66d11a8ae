// Passed and failed tests of a Vitest or Playwright JSON report.
import { readFileSync } from 'node:fs'

const report = JSON.parse(readFileSync(process.argv[2], 'utf8'))
const { expected = 0, flaky = 0, unexpected = 0 } = report.stats ?? {}
console.log(report.stats ? `${expected + flaky} ${unexpected}` : `${report.numPassedTests} ${report.numFailedTests}`)
