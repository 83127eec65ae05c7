CREATE TABLE "claim" (
	"id" uuid PRIMARY KEY NOT NULL,
	"setup_id" uuid NOT NULL,
	"what" text NOT NULL,
	"value" double precision NOT NULL,
	"says" text,
	"start_c" double precision,
	"air_c" double precision,
	"wind_m_s" double precision,
	"altitude_m" double precision,
	"water_kg" double precision,
	"pack_kg" double precision,
	"load_kg" double precision,
	"source" text DEFAULT '' NOT NULL,
	"typed" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"withdrawn" boolean DEFAULT false NOT NULL,
	"person_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "kept_question" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"path" text NOT NULL,
	"query" jsonb NOT NULL,
	"kept" jsonb NOT NULL,
	"now" jsonb NOT NULL,
	"fresh" jsonb,
	"kept_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "found_question" ADD COLUMN "same_as" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "found_question" ADD COLUMN "run_ids" uuid[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "found_question" ADD COLUMN "new_ids" uuid[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "found_question" ADD COLUMN "before" jsonb;--> statement-breakpoint
ALTER TABLE "claim" ADD CONSTRAINT "claim_setup_id_setup_id_fk" FOREIGN KEY ("setup_id") REFERENCES "public"."setup"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "claim" ADD CONSTRAINT "claim_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "claim_of_setup" ON "claim" USING btree ("setup_id");--> statement-breakpoint
CREATE INDEX "found_question_of_new" ON "found_question" USING gin ("new_ids");