CREATE TABLE "found_question" (
	"key" text PRIMARY KEY NOT NULL,
	"series" text[] NOT NULL,
	"kind" text NOT NULL,
	"p" double precision,
	"question" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "series" ADD COLUMN "flame" jsonb;--> statement-breakpoint
ALTER TABLE "series" ADD COLUMN "compared_revision" integer;--> statement-breakpoint
ALTER TABLE "setup_summary" ADD COLUMN "facts" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
CREATE INDEX "found_question_of_series" ON "found_question" USING gin ("series");