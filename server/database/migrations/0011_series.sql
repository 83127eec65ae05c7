CREATE TABLE "series" (
	"key" text PRIMARY KEY NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "setup_summary" (
	"key" text PRIMARY KEY NOT NULL,
	"series_key" text NOT NULL,
	"conventions" text NOT NULL,
	"origin" text NOT NULL,
	"fuel_kind" text,
	"kind" text NOT NULL,
	"end_c" double precision,
	"setting" text,
	"volume_kg" double precision NOT NULL,
	"n" integer NOT NULL,
	"mean_g_per_l" double precision NOT NULL,
	"mean_u" double precision NOT NULL,
	"sd_g_per_l" double precision,
	"low_g_per_l" double precision,
	"high_g_per_l" double precision,
	"run_ids" uuid[] NOT NULL,
	"figures_g_per_l" double precision[] NOT NULL
);
--> statement-breakpoint
DROP INDEX "run_row_by_series";--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "series_key" text;--> statement-breakpoint
CREATE INDEX "setup_summary_of_series" ON "setup_summary" USING btree ("series_key");--> statement-breakpoint
CREATE INDEX "setup_part_of_thing" ON "setup_part" USING btree ("thing_version_id");--> statement-breakpoint
CREATE INDEX "setup_version_by_heat" ON "setup_version" USING btree ("heat_hash");--> statement-breakpoint
CREATE INDEX "fuel_batch_of_fuel" ON "fuel_batch" USING btree ("fuel_id");--> statement-breakpoint
CREATE INDEX "run_by_series" ON "run" USING btree ("series_key");--> statement-breakpoint
CREATE INDEX "run_by_setup_version" ON "run" USING btree ("setup_version_id");--> statement-breakpoint
CREATE INDEX "run_by_fuel_batch" ON "run" USING btree ("fuel_batch_id");--> statement-breakpoint
CREATE INDEX "run_by_place_version" ON "run" USING btree ("place_version_id");--> statement-breakpoint
CREATE INDEX "run_by_method_version" ON "run" USING btree ("method_version_id");--> statement-breakpoint
CREATE INDEX "run_by_container" ON "run" USING btree ("container_id");--> statement-breakpoint
ALTER TABLE "run_row" DROP COLUMN "series";