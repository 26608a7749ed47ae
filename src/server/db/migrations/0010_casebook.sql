CREATE EXTENSION IF NOT EXISTS pg_trgm;
--> statement-breakpoint
CREATE TABLE "case_search" (
	"case_id" uuid PRIMARY KEY NOT NULL,
	"clinic_id" integer NOT NULL,
	"opened_at" timestamp with time zone NOT NULL,
	"status" text NOT NULL,
	"names" text NOT NULL,
	"people" uuid[] NOT NULL,
	"plants" text[] NOT NULL,
	"causes" text[] NOT NULL,
	"outcome_known" boolean NOT NULL,
	"document" "tsvector" NOT NULL
);
--> statement-breakpoint
DROP INDEX "cases_by_opening";--> statement-breakpoint
ALTER TABLE "case_search" ADD CONSTRAINT "case_search_case_id_cases_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "case_search_by_opening" ON "case_search" USING btree ("clinic_id","opened_at" DESC NULLS FIRST,"case_id" DESC NULLS FIRST);--> statement-breakpoint
CREATE INDEX "case_search_document" ON "case_search" USING gin ("document");--> statement-breakpoint
CREATE INDEX "case_search_names" ON "case_search" USING gin ("names" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "case_search_plants" ON "case_search" USING gin ("plants");--> statement-breakpoint
CREATE INDEX "case_search_causes" ON "case_search" USING gin ("causes");--> statement-breakpoint
CREATE INDEX "case_search_people" ON "case_search" USING gin ("people");--> statement-breakpoint
CREATE INDEX "cases_by_opening" ON "cases" USING btree ("clinic_id","opened_at" DESC NULLS FIRST,"id" DESC NULLS FIRST);--> statement-breakpoint
INSERT INTO "case_search"
SELECT
	c.id,
	c.clinic_id,
	c.opened_at,
	c.status,
	trim(coalesce(e.name, '') || ' ' || coalesce(e.contact, '')),
	'{}',
	coalesce((SELECT array_agg(DISTINCT p.plant) FROM case_plants p WHERE p.case_id = c.id AND p.plant IS NOT NULL), '{}'),
	coalesce((SELECT array_agg(DISTINCT p.outcome_cause) FROM case_plants p WHERE p.case_id = c.id AND p.outcome_cause IS NOT NULL), '{}'),
	EXISTS (SELECT 1 FROM case_plants p WHERE p.case_id = c.id AND p.outcome_cause IS NOT NULL),
	to_tsvector('english', regexp_replace(coalesce((SELECT string_agg(concat_ws(' ', p.words, replace(p.plant, '-', ' '), replace(p.outcome_cause, '-', ' ')), ' ') FROM case_plants p WHERE p.case_id = c.id), ''), '\mleaves\M', 'leaf', 'gi'))
FROM cases c
LEFT JOIN enquirers e ON e.id = c.enquirer_id;
