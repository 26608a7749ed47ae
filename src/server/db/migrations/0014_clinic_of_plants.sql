DROP INDEX "case_plants_by_outcome";--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "clinic_id" integer;--> statement-breakpoint
UPDATE "case_plants" p SET "clinic_id" = c.clinic_id FROM "cases" c WHERE c.id = p.case_id;--> statement-breakpoint
ALTER TABLE "case_plants" ALTER COLUMN "clinic_id" SET NOT NULL;--> statement-breakpoint
CREATE INDEX "case_plants_by_outcome_day" ON "case_plants" USING btree ("clinic_id","outcome_on" DESC NULLS FIRST,"case_id" DESC NULLS FIRST) WHERE outcome_cause is not null;--> statement-breakpoint
CREATE INDEX "case_plants_by_follow_up" ON "case_plants" USING btree ("clinic_id") WHERE follow_up is not null;--> statement-breakpoint
CREATE INDEX "case_plants_by_outcome" ON "case_plants" USING btree ("clinic_id","outcome_cause","outcome_confirmed","outcome_on") WHERE outcome_cause is not null;