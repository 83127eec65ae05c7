CREATE TABLE "arm" (
	"id" uuid PRIMARY KEY NOT NULL,
	"study_id" uuid NOT NULL,
	"letter" text NOT NULL,
	"setup_version_id" uuid NOT NULL,
	CONSTRAINT "arm_study_id_letter_unique" UNIQUE("study_id","letter")
);
--> statement-breakpoint
CREATE TABLE "block" (
	"id" uuid PRIMARY KEY NOT NULL,
	"study_id" uuid NOT NULL,
	"n" integer NOT NULL,
	CONSTRAINT "block_study_id_n_unique" UNIQUE("study_id","n")
);
--> statement-breakpoint
CREATE TABLE "planned_run" (
	"id" uuid PRIMARY KEY NOT NULL,
	"study_id" uuid NOT NULL,
	"arm_id" uuid NOT NULL,
	"block_id" uuid NOT NULL,
	"level_id" text,
	"position" integer NOT NULL,
	"station" text,
	"person_id" uuid,
	"container_id" uuid
);
--> statement-breakpoint
CREATE TABLE "study" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"state" text DEFAULT 'planned' NOT NULL,
	"held" jsonb NOT NULL,
	"levels" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"difference" double precision NOT NULL,
	"replicates" integer NOT NULL,
	"seed" integer NOT NULL,
	"days" jsonb NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"person_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "study_change" (
	"id" uuid PRIMARY KEY NOT NULL,
	"study_id" uuid NOT NULL,
	"what" text NOT NULL,
	"person_id" uuid,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "planned_run_id" uuid;--> statement-breakpoint
ALTER TABLE "arm" ADD CONSTRAINT "arm_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "arm" ADD CONSTRAINT "arm_setup_version_id_setup_version_id_fk" FOREIGN KEY ("setup_version_id") REFERENCES "public"."setup_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "block" ADD CONSTRAINT "block_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_run" ADD CONSTRAINT "planned_run_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_run" ADD CONSTRAINT "planned_run_arm_id_arm_id_fk" FOREIGN KEY ("arm_id") REFERENCES "public"."arm"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_run" ADD CONSTRAINT "planned_run_block_id_block_id_fk" FOREIGN KEY ("block_id") REFERENCES "public"."block"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_run" ADD CONSTRAINT "planned_run_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_run" ADD CONSTRAINT "planned_run_container_id_container_id_fk" FOREIGN KEY ("container_id") REFERENCES "public"."container"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "study" ADD CONSTRAINT "study_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "study_change" ADD CONSTRAINT "study_change_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "study_change" ADD CONSTRAINT "study_change_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "arm_of_setup_version" ON "arm" USING btree ("setup_version_id");--> statement-breakpoint
CREATE INDEX "planned_run_of_study" ON "planned_run" USING btree ("study_id","position");--> statement-breakpoint
CREATE INDEX "planned_run_of_arm" ON "planned_run" USING btree ("arm_id");--> statement-breakpoint
CREATE INDEX "planned_run_of_block" ON "planned_run" USING btree ("block_id");--> statement-breakpoint
CREATE INDEX "planned_run_of_person" ON "planned_run" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "planned_run_of_container" ON "planned_run" USING btree ("container_id");--> statement-breakpoint
CREATE INDEX "study_change_of_study" ON "study_change" USING btree ("study_id");--> statement-breakpoint
ALTER TABLE "run" ADD CONSTRAINT "run_planned_run_id_planned_run_id_fk" FOREIGN KEY ("planned_run_id") REFERENCES "public"."planned_run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "run_by_planned_run" ON "run" USING btree ("planned_run_id");