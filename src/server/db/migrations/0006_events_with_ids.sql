ALTER TABLE "observations" ALTER COLUMN "sure" SET DATA TYPE double precision USING round("sure"::numeric, 6)::double precision;--> statement-breakpoint
ALTER TABLE "case_events" ADD COLUMN "event_id" uuid DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "case_events" ALTER COLUMN "event_id" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "case_events" ADD COLUMN "author" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "case_events" ADD COLUMN "device" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "case_events" ADD COLUMN "base_version" integer;--> statement-breakpoint
ALTER TABLE "case_events" ADD COLUMN "conflicts" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "conflicts" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "observations" ADD COLUMN "answer_id" text;--> statement-breakpoint
UPDATE "observations" SET "answer_id" = "finding";--> statement-breakpoint
ALTER TABLE "observations" ALTER COLUMN "answer_id" SET NOT NULL;--> statement-breakpoint
CREATE INDEX "cases_by_opening" ON "cases" USING btree ("opened_at" DESC NULLS LAST,"id");--> statement-breakpoint
CREATE INDEX "cases_by_call_back" ON "cases" USING btree ("call_back_on","id") WHERE call_back_on is not null;--> statement-breakpoint
ALTER TABLE "case_events" ADD CONSTRAINT "case_events_event_id_unique" UNIQUE("event_id");