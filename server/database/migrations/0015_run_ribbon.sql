CREATE TABLE "run_reading" (
	"run_id" uuid PRIMARY KEY NOT NULL,
	"key" text NOT NULL,
	"reading" jsonb
);
--> statement-breakpoint
ALTER TABLE "run_summary" ADD COLUMN "ribbon" jsonb;--> statement-breakpoint
UPDATE "run_summary" SET "ribbon" = "line"->'ribbon', "line" = "line" - 'ribbon';--> statement-breakpoint
ALTER TABLE "run_summary" ALTER COLUMN "ribbon" SET NOT NULL;
