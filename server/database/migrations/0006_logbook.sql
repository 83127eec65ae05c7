CREATE EXTENSION IF NOT EXISTS pg_trgm;
--> statement-breakpoint
-- A cache: every line is worked out anew by the start command, from the facts.
TRUNCATE "run_row";
--> statement-breakpoint
-- Lines stand apart from what is filtered and sorted by, so that a scan of a hundred thousand runs reads little.
ALTER TABLE "run_row" SET (toast_tuple_target = 256);
--> statement-breakpoint
CREATE TABLE "run_tag" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"name" text NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone
);
--> statement-breakpoint
DROP INDEX "run_row_by_start";--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "day" date NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "origin" text NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "voided" boolean NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "setup" text NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "place" text NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "fuel" text NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "method" text NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "person" text NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "remarks" text[] NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "tags" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "words" text NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "time_to_boil_s" double precision;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "g_per_l" double precision;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "normalised_g_per_l" double precision;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "efficiency" double precision;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "burn_rate_g_per_min" double precision;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "firepower_w" double precision;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "series" text NOT NULL;--> statement-breakpoint
ALTER TABLE "run_row" ADD COLUMN "stale_since" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "run_tag" ADD CONSTRAINT "run_tag_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_tag" ADD CONSTRAINT "run_tag_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "run_tag_by_run" ON "run_tag" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "run_row_by_series" ON "run_row" USING btree ("series");--> statement-breakpoint
CREATE INDEX "run_row_stale" ON "run_row" USING btree ("stale_since") WHERE stale_since is not null;--> statement-breakpoint
CREATE INDEX "run_row_words" ON "run_row" USING gin ("words" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "run_row_tags" ON "run_row" USING gin ("tags");--> statement-breakpoint
CREATE INDEX "run_row_by_start" ON "run_row" USING btree ("started_at","run_id");--> statement-breakpoint
-- The line alone, and the words, are kept out of the way: what is filtered and sorted by stays in the row, or each look at it costs a look elsewhere.
ALTER TABLE "run_row" ALTER "setup" SET STORAGE MAIN, ALTER "place" SET STORAGE MAIN, ALTER "fuel" SET STORAGE MAIN, ALTER "method" SET STORAGE MAIN, ALTER "person" SET STORAGE MAIN, ALTER "origin" SET STORAGE MAIN, ALTER "core_version" SET STORAGE MAIN, ALTER "series" SET STORAGE MAIN, ALTER "remarks" SET STORAGE MAIN, ALTER "tags" SET STORAGE MAIN;
