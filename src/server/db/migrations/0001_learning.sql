ALTER TABLE "case_plants" ADD COLUMN "outcome_cause" text;--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "outcome_confirmed" text;--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "outcome_on" date;--> statement-breakpoint
ALTER TABLE "clinics" ADD COLUMN "learning" boolean DEFAULT true NOT NULL;