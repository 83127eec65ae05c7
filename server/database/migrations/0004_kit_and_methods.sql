CREATE TABLE "instrument_check" (
	"id" uuid PRIMARY KEY NOT NULL,
	"thing_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"reading" double precision NOT NULL,
	"truth" double precision NOT NULL,
	"typed" text NOT NULL,
	"truth_typed" text NOT NULL,
	"withdrawn" boolean DEFAULT false NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"person_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "setup_decision" (
	"id" uuid PRIMARY KEY NOT NULL,
	"setup_version_id" uuid NOT NULL,
	"warning" text NOT NULL,
	"reason" text NOT NULL,
	"person_id" uuid,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "amendment" (
	"id" uuid PRIMARY KEY NOT NULL,
	"subject" text NOT NULL,
	"subject_id" uuid NOT NULL,
	"field" text NOT NULL,
	"was" text NOT NULL,
	"now" text NOT NULL,
	"reason" text NOT NULL,
	"person_id" uuid,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "price" (
	"id" uuid PRIMARY KEY NOT NULL,
	"thing_id" uuid,
	"fuel_batch_id" uuid,
	"from_day" date NOT NULL,
	"amount" double precision NOT NULL,
	"currency" text NOT NULL,
	"for_kg" double precision,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "price_of_one" CHECK (num_nonnulls("price"."thing_id", "price"."fuel_batch_id") = 1)
);
--> statement-breakpoint
CREATE TABLE "method" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"shipped_key" text,
	"copied_from_id" uuid,
	"revision" integer DEFAULT 1 NOT NULL,
	"retired_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "method_shipped_key_unique" UNIQUE("shipped_key")
);
--> statement-breakpoint
CREATE TABLE "method_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"method_id" uuid NOT NULL,
	"n" integer NOT NULL,
	"body" jsonb NOT NULL,
	"body_hash" text NOT NULL,
	"reason" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "method_version_method_id_n_unique" UNIQUE("method_id","n")
);
--> statement-breakpoint
CREATE TABLE "container" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"fuel_batch_id" uuid NOT NULL,
	"tare_kg" double precision,
	"full_kg" double precision,
	"typed" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"notes" text DEFAULT '' NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"retired_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "container_entry" (
	"id" uuid PRIMARY KEY NOT NULL,
	"container_id" uuid NOT NULL,
	"run_id" uuid,
	"kind" text NOT NULL,
	"mass_kg" double precision NOT NULL,
	"typed" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"person_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "observation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"scale" text NOT NULL,
	"step" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"at_ms" bigint,
	"supersedes_id" uuid,
	"person_id" uuid NOT NULL,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "observation_supersedes_id_unique" UNIQUE("supersedes_id")
);
--> statement-breakpoint
CREATE TABLE "photo" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid,
	"thing_id" uuid,
	"setup_id" uuid,
	"type" text NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	"thumbnail" "bytea" NOT NULL,
	"sent_hash" text NOT NULL,
	"caption" text DEFAULT '' NOT NULL,
	"at_ms" bigint,
	"person_id" uuid,
	"removed_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "photo_of_one" CHECK (num_nonnulls("photo"."run_id", "photo"."thing_id", "photo"."setup_id") = 1)
);
--> statement-breakpoint
CREATE TABLE "run_void" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"voided" boolean NOT NULL,
	"reason" text NOT NULL,
	"person_id" uuid NOT NULL,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "place_version" ADD COLUMN "station_pressure_pa" double precision;--> statement-breakpoint
ALTER TABLE "place_version" ADD COLUMN "sea_level_pressure_pa" double precision;--> statement-breakpoint
ALTER TABLE "place_version" ADD COLUMN "typed" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "setup" ADD COLUMN "description" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "setup" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "setup" ADD COLUMN "retired_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "setup_version" ADD COLUMN "gap_typed" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "setup_version" ADD COLUMN "reason" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "thing" ADD COLUMN "made_from_id" uuid;--> statement-breakpoint
ALTER TABLE "thing" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "thing" ADD COLUMN "retired_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "thing_version" ADD COLUMN "typed" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "thing_version" ADD COLUMN "reason" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "fuel_batch" ADD COLUMN "storage" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "fuel_batch" ADD COLUMN "composition" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "fuel_batch" ADD COLUMN "source" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "fuel_batch" ADD COLUMN "typed" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "fuel_batch" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "fuel_batch" ADD COLUMN "retired_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "measurement" ADD COLUMN "instrument_version_id" uuid;--> statement-breakpoint
ALTER TABLE "measurement" ADD COLUMN "correction" double precision;--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "method_version_id" uuid;--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "container_id" uuid;--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "setting" text;--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "break_in" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "instrument_check" ADD CONSTRAINT "instrument_check_thing_id_thing_id_fk" FOREIGN KEY ("thing_id") REFERENCES "public"."thing"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "instrument_check" ADD CONSTRAINT "instrument_check_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "setup_decision" ADD CONSTRAINT "setup_decision_setup_version_id_setup_version_id_fk" FOREIGN KEY ("setup_version_id") REFERENCES "public"."setup_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "setup_decision" ADD CONSTRAINT "setup_decision_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "amendment" ADD CONSTRAINT "amendment_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "price" ADD CONSTRAINT "price_thing_id_thing_id_fk" FOREIGN KEY ("thing_id") REFERENCES "public"."thing"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "price" ADD CONSTRAINT "price_fuel_batch_id_fuel_batch_id_fk" FOREIGN KEY ("fuel_batch_id") REFERENCES "public"."fuel_batch"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "method" ADD CONSTRAINT "method_copied_from_id_method_id_fk" FOREIGN KEY ("copied_from_id") REFERENCES "public"."method"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "method_version" ADD CONSTRAINT "method_version_method_id_method_id_fk" FOREIGN KEY ("method_id") REFERENCES "public"."method"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "container" ADD CONSTRAINT "container_fuel_batch_id_fuel_batch_id_fk" FOREIGN KEY ("fuel_batch_id") REFERENCES "public"."fuel_batch"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "container_entry" ADD CONSTRAINT "container_entry_container_id_container_id_fk" FOREIGN KEY ("container_id") REFERENCES "public"."container"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "container_entry" ADD CONSTRAINT "container_entry_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "container_entry" ADD CONSTRAINT "container_entry_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_supersedes_id_observation_id_fk" FOREIGN KEY ("supersedes_id") REFERENCES "public"."observation"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_thing_id_thing_id_fk" FOREIGN KEY ("thing_id") REFERENCES "public"."thing"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_setup_id_setup_id_fk" FOREIGN KEY ("setup_id") REFERENCES "public"."setup"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_void" ADD CONSTRAINT "run_void_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_void" ADD CONSTRAINT "run_void_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "instrument_check_by_thing" ON "instrument_check" USING btree ("thing_id");--> statement-breakpoint
CREATE INDEX "setup_decision_by_version" ON "setup_decision" USING btree ("setup_version_id");--> statement-breakpoint
CREATE INDEX "amendment_by_subject" ON "amendment" USING btree ("subject_id");--> statement-breakpoint
CREATE INDEX "container_entry_by_container" ON "container_entry" USING btree ("container_id");--> statement-breakpoint
CREATE INDEX "observation_by_run" ON "observation" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "photo_by_run" ON "photo" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "run_void_by_run" ON "run_void" USING btree ("run_id");--> statement-breakpoint
ALTER TABLE "thing" ADD CONSTRAINT "thing_made_from_id_thing_id_fk" FOREIGN KEY ("made_from_id") REFERENCES "public"."thing"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "measurement" ADD CONSTRAINT "measurement_instrument_version_id_thing_version_id_fk" FOREIGN KEY ("instrument_version_id") REFERENCES "public"."thing_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run" ADD CONSTRAINT "run_method_version_id_method_version_id_fk" FOREIGN KEY ("method_version_id") REFERENCES "public"."method_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run" ADD CONSTRAINT "run_container_id_container_id_fk" FOREIGN KEY ("container_id") REFERENCES "public"."container"("id") ON DELETE no action ON UPDATE no action;