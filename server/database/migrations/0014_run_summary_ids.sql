DROP INDEX "run_summary_of_setup";--> statement-breakpoint
DROP INDEX "run_summary_of_place";--> statement-breakpoint
DROP INDEX "run_summary_of_person";--> statement-breakpoint
ALTER TABLE "run_summary" ADD COLUMN "setup_id" uuid;--> statement-breakpoint
ALTER TABLE "run_summary" ADD COLUMN "place_id" uuid;--> statement-breakpoint
ALTER TABLE "run_summary" ADD COLUMN "fuel_id" uuid;--> statement-breakpoint
ALTER TABLE "run_summary" ADD COLUMN "method_id" uuid;--> statement-breakpoint
ALTER TABLE "run_summary" ADD COLUMN "person_id" uuid;--> statement-breakpoint
UPDATE "run_summary" AS s SET "setup_id" = v."setup_id", "person_id" = r."person_id", "place_id" = p."place_id", "fuel_id" = b."fuel_id", "method_id" = m."method_id"
  FROM "run" r JOIN "setup_version" v ON v."id" = r."setup_version_id" LEFT JOIN "place_version" p ON p."id" = r."place_version_id" LEFT JOIN "fuel_batch" b ON b."id" = r."fuel_batch_id" LEFT JOIN "method_version" m ON m."id" = r."method_version_id"
  WHERE r."id" = s."run_id";--> statement-breakpoint
ALTER TABLE "run_summary" ALTER COLUMN "setup_id" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "run_summary" ALTER COLUMN "person_id" SET NOT NULL;--> statement-breakpoint
CREATE INDEX "run_summary_of_setup_id" ON "run_summary" USING btree ("setup_id","started_at","run_id");--> statement-breakpoint
CREATE INDEX "run_summary_of_place_id" ON "run_summary" USING btree ("place_id","started_at","run_id");--> statement-breakpoint
CREATE INDEX "run_summary_of_person_id" ON "run_summary" USING btree ("person_id","origin","voided","g_per_l","run_id");