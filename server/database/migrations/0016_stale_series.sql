DROP INDEX "run_summary_stale";--> statement-breakpoint
ALTER TABLE "series" ADD COLUMN "stale_since" timestamp with time zone;--> statement-breakpoint
INSERT INTO "series" ("key", "stale_since")
SELECT r."series_key", max(s."stale_since") FROM "run_summary" s JOIN "run" r ON r."id" = s."run_id"
WHERE s."stale_since" IS NOT NULL AND r."series_key" IS NOT NULL GROUP BY r."series_key"
ON CONFLICT ("key") DO UPDATE SET "stale_since" = excluded."stale_since";--> statement-breakpoint
CREATE INDEX "series_stale" ON "series" USING btree ("stale_since") WHERE stale_since is not null;--> statement-breakpoint
ALTER TABLE "run_summary" DROP COLUMN "stale_since";--> statement-breakpoint
-- A figure that is worked out anew moves few columns that are indexed: the new row finds room beside the old one.
ALTER TABLE "run_summary" SET (fillfactor = 45);
