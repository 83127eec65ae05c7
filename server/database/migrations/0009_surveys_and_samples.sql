CREATE TABLE "wind_survey" (
	"id" uuid PRIMARY KEY NOT NULL,
	"place_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"fan" text NOT NULL,
	"cells" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "wind_survey" ADD CONSTRAINT "wind_survey_place_id_place_id_fk" FOREIGN KEY ("place_id") REFERENCES "public"."place"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wind_survey" ADD CONSTRAINT "wind_survey_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "wind_survey_of_place" ON "wind_survey" USING btree ("place_id","created_at");--> statement-breakpoint
CREATE INDEX "trace_chunk_by_time" ON "trace_chunk" USING btree ("trace_id","last_ms");