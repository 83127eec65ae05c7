import { defineConfig } from 'vitest/config'

/** `unit` needs nothing; `start` needs the build; `db` needs DATABASE_URL, which scripts/test.mjs gives it. */
export default defineConfig({
  test: {
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'unit',
          include: [
            'test/core/**/*.test.ts',
            'test/app/**/*.test.ts',
            'test/server/**/*.test.ts',
            'test/shared/**/*.test.ts',
            'test/scripts/**/*.test.ts',
            'test/simulators/**/*.test.ts',
          ],
          testTimeout: 30_000,
        },
      },
      { test: { name: 'start', include: ['test/start/**/*.test.ts'], testTimeout: 180_000, hookTimeout: 60_000 } },
      {
        test: {
          name: 'db',
          include: ['test/database/**/*.test.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
      },
    ],
  },
})
