ALTER TABLE "case_plants" ADD COLUMN "leading" jsonb;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "holder" jsonb;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "notes" jsonb DEFAULT '[]'::jsonb NOT NULL;