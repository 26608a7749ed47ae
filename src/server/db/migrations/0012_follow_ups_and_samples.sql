DROP INDEX "cases_by_call_back";--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "follow_up" jsonb;--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "samples" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "said_cause" text;--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "said_share" real;--> statement-breakpoint
ALTER TABLE "case_plants" ADD COLUMN "outcome_rank" integer;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "consent" jsonb;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "due_on" date;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "due_why" text;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "look_again_on" date;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "closed_by" uuid;--> statement-breakpoint
CREATE INDEX "case_plants_by_outcome" ON "case_plants" USING btree ("outcome_on","case_id") WHERE outcome_cause is not null;--> statement-breakpoint
CREATE INDEX "cases_by_due" ON "cases" USING btree ("clinic_id","due_on","id") WHERE due_on is not null;--> statement-breakpoint
CREATE INDEX "cases_by_look_again" ON "cases" USING btree ("clinic_id","look_again_on","id") WHERE look_again_on is not null;--> statement-breakpoint
UPDATE "cases" SET "due_on" = "call_back_on", "due_why" = 'call-back' WHERE "call_back_on" IS NOT NULL AND "status" <> 'closed';--> statement-breakpoint
UPDATE "cases" c SET "look_again_on" = (
	SELECT min((p.closing_answer -> 'advice' ->> 'lookAgain')::date) FROM "case_plants" p
	WHERE p.case_id = c.id AND p.outcome_cause IS NULL AND p.closing_answer -> 'advice' ->> 'lookAgain' ~ '^\d{4}-\d{2}-\d{2}$'
) WHERE "status" = 'closed';--> statement-breakpoint
UPDATE "cases" c SET "closed_by" = (
	SELECT e.person_id FROM "case_events" e
	WHERE e.case_id = c.id AND e.event ->> 'kind' = 'status-set' AND e.event ->> 'status' = 'closed'
	ORDER BY e.version DESC LIMIT 1
) WHERE "status" = 'closed';--> statement-breakpoint
UPDATE "case_plants" p SET
	"said_cause" = ranked.id,
	"said_share" = ranked.share,
	"outcome_rank" = (
		SELECT r.place FROM (
			SELECT s.id, row_number() OVER (ORDER BY s.share DESC) AS place FROM (
				SELECT one ->> 'id' AS id, (one ->> 'probability')::real AS share FROM jsonb_array_elements(p.closing_answer -> 'causes') AS one
				UNION ALL SELECT 'nothing-wrong', (p.closing_answer ->> 'nothingWrong')::real
				UNION ALL SELECT 'not-in-library', (p.closing_answer ->> 'unexplained')::real
			) AS s
		) AS r WHERE r.id = p.outcome_cause
	)
FROM (
	SELECT DISTINCT ON (q.case_id, q.id) q.case_id, q.id AS plant_id, s.id, s.share
	FROM "case_plants" q, LATERAL (
		SELECT one ->> 'id' AS id, (one ->> 'probability')::real AS share FROM jsonb_array_elements(q.closing_answer -> 'causes') AS one
		UNION ALL SELECT 'nothing-wrong', (q.closing_answer ->> 'nothingWrong')::real
		UNION ALL SELECT 'not-in-library', (q.closing_answer ->> 'unexplained')::real
	) AS s
	WHERE jsonb_typeof(q.closing_answer -> 'causes') = 'array'
	ORDER BY q.case_id, q.id, s.share DESC NULLS LAST
) AS ranked
WHERE ranked.case_id = p.case_id AND ranked.plant_id = p.id;
