ALTER TABLE "case_plants" ADD COLUMN "height" real;--> statement-breakpoint
ALTER TABLE "clinics" ADD COLUMN "height" real;