ALTER TABLE "run_row" ADD COLUMN "mean_key" text;--> statement-breakpoint
CREATE INDEX "run_row_of_mean" ON "run_row" USING btree ("mean_key");