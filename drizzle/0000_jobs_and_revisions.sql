CREATE TABLE "jobs" (
	"id" text PRIMARY KEY NOT NULL,
	"owner" text NOT NULL,
	"name" text NOT NULL,
	"place" text NOT NULL,
	"revision" integer NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "revisions" (
	"job" text NOT NULL,
	"revision" integer NOT NULL,
	"plan" jsonb NOT NULL,
	"sha256" text NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	"saved_by" text NOT NULL,
	CONSTRAINT "revisions_job_revision_pk" PRIMARY KEY("job","revision")
);
--> statement-breakpoint
ALTER TABLE "revisions" ADD CONSTRAINT "revisions_job_jobs_id_fk" FOREIGN KEY ("job") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "jobs_by_owner" ON "jobs" USING btree ("owner","updated_at");