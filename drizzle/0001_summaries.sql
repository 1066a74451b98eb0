ALTER TABLE "jobs" ADD COLUMN "put_away_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "summary" jsonb;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "summary_key" text;