ALTER TABLE "case_plants" ADD COLUMN "name" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "leading" jsonb;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "assignee" jsonb;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "notes" jsonb DEFAULT '[]'::jsonb NOT NULL;