ALTER TABLE "clinics" ADD COLUMN "retention_days" integer DEFAULT 400 NOT NULL;--> statement-breakpoint
ALTER TABLE "enquirers" DROP COLUMN "purge_on";