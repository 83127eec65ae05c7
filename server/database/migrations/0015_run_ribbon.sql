ALTER TABLE "run_summary" ADD COLUMN "ribbon" jsonb;--> statement-breakpoint
ALTER TABLE "run_summary" ADD COLUMN "reading_key" text;--> statement-breakpoint
ALTER TABLE "run_summary" ADD COLUMN "trace_reading" jsonb;--> statement-breakpoint
UPDATE "run_summary" SET "ribbon" = "line"->'ribbon', "line" = "line" - 'ribbon';--> statement-breakpoint
ALTER TABLE "run_summary" ALTER COLUMN "ribbon" SET NOT NULL;
