CREATE TABLE "draft" (
	"id" uuid PRIMARY KEY NOT NULL,
	"body" jsonb NOT NULL,
	"revision" integer NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
