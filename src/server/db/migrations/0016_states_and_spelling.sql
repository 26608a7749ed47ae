ALTER TABLE "clinics" ADD COLUMN "state" text;--> statement-breakpoint
ALTER TABLE "clinics" ADD COLUMN "spelling" text DEFAULT 'us' NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "spelling" text;