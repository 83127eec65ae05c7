/** What the test runners wrote down of a run: how many passed and failed, and which failed by name. */
import { existsSync, readFileSync } from 'node:fs'

const readReport = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {})

export function readPlaywright(file) {
  const { suites = [], stats: { expected = 0, unexpected = 0, flaky = 0 } = {} } = readReport(file)
  return { passed: expected + flaky, failed: unexpected, failures: suites.flatMap(failedSpecs) }
}

/** @returns the names of a Playwright suite's tests that did not do as expected */
function failedSpecs({ specs = [], suites = [] }) {
  const failed = specs.filter((spec) => !spec.ok).map((spec) => `${spec.file}:${spec.line} ${spec.title}`)
  return [...failed, ...suites.flatMap(failedSpecs)]
}

export function readVitest(file) {
  const { numPassedTests: passed = 0, numFailedTests: failed = 0, testResults = [] } = readReport(file)
  const tests = testResults.flatMap(({ assertionResults }) => assertionResults)
  return { passed, failed, failures: tests.filter((one) => one.status === 'failed').map((one) => one.fullName) }
}
