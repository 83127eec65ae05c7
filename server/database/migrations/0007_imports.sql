CREATE TABLE "import_chunk" (
	"import_id" uuid NOT NULL,
	"sheet" integer NOT NULL,
	"seq" integer NOT NULL,
	"rows" jsonb NOT NULL,
	CONSTRAINT "import_chunk_import_id_sheet_seq_pk" PRIMARY KEY("import_id","sheet","seq")
);
--> statement-breakpoint
CREATE TABLE "import" (
	"id" uuid PRIMARY KEY NOT NULL,
	"file_name" text NOT NULL,
	"file_hash" text NOT NULL,
	"bytes" bigint NOT NULL,
	"kind" text NOT NULL,
	"state" text DEFAULT 'staged' NOT NULL,
	"sheets" jsonb NOT NULL,
	"notes" text[] NOT NULL,
	"headings_hash" text NOT NULL,
	"mapping" jsonb,
	"storing_since" timestamp with time zone,
	"done" integer DEFAULT 0 NOT NULL,
	"stored" integer DEFAULT 0 NOT NULL,
	"left_out" integer DEFAULT 0 NOT NULL,
	"made" jsonb,
	"trouble" text DEFAULT '' NOT NULL,
	"person_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"stored_at" timestamp with time zone,
	"undone_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "trace" DROP CONSTRAINT "trace_run_id_channel_unique";--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "import_id" uuid;--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "given" jsonb;--> statement-breakpoint
ALTER TABLE "trace" ADD COLUMN "import_id" uuid;--> statement-breakpoint
ALTER TABLE "trace" ADD COLUMN "removed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "import_chunk" ADD CONSTRAINT "import_chunk_import_id_import_id_fk" FOREIGN KEY ("import_id") REFERENCES "public"."import"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "import" ADD CONSTRAINT "import_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "import_by_file" ON "import" USING btree ("file_hash");--> statement-breakpoint
ALTER TABLE "run" ADD CONSTRAINT "run_import_id_import_id_fk" FOREIGN KEY ("import_id") REFERENCES "public"."import"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trace" ADD CONSTRAINT "trace_import_id_import_id_fk" FOREIGN KEY ("import_id") REFERENCES "public"."import"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "run_by_import" ON "run" USING btree ("import_id");--> statement-breakpoint
CREATE UNIQUE INDEX "trace_one_a_channel" ON "trace" USING btree ("run_id","channel") WHERE removed_at is null;