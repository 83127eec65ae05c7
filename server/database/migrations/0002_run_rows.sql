CREATE TABLE "run_row" (
	"run_id" uuid PRIMARY KEY NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"line" jsonb NOT NULL,
	"core_version" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "run_row" ADD CONSTRAINT "run_row_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "run_row_by_start" ON "run_row" USING btree ("started_at");