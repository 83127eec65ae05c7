ALTER TABLE "setup_summary" ADD COLUMN "sums" jsonb;--> statement-breakpoint
-- What was summed up before is summed up anew, in the background.
INSERT INTO "series" ("key", "stale_since")
SELECT DISTINCT "series_key", now() FROM "setup_summary"
ON CONFLICT ("key") DO UPDATE SET "stale_since" = excluded."stale_since", "compared_revision" = NULL;
