import { sql, type SQL } from 'drizzle-orm'

/** The reading of a run that stands for a quantity. Water by volume is in m³, of which 20 L are 0.02: no less is weighed in kg. */
export const readingOf = (runId: SQL, quantity: string): SQL => sql`(select m.value from measurement m
  where m.run_id = ${runId} and m.quantity = ${quantity}
    and not exists (select 1 from measurement later where later.supersedes_id = m.id) limit 1)`
