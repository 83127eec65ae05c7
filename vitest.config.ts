import { defineConfig } from 'vitest/config'

/** `unit` needs nothing; `db` needs DATABASE_URL, which scripts/test.mjs gives it. */
export default defineConfig({
  test: {
    projects: [
      { test: { name: 'unit', include: ['test/core/**/*.test.ts', 'test/shared/**/*.test.ts', 'test/scripts/**/*.test.ts'], testTimeout: 30_000 } },
      { test: { name: 'db', include: ['test/database/**/*.test.ts'], testTimeout: 30_000, fileParallelism: false } },
    ],
  },
})
