CREATE TABLE "audit_log" (
	"seq" integer PRIMARY KEY NOT NULL,
	"clinic_id" integer,
	"at" timestamp (3) with time zone NOT NULL,
	"person_id" uuid,
	"action" text NOT NULL,
	"subject" text NOT NULL,
	"hash" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "links" (
	"hash" text PRIMARY KEY NOT NULL,
	"purpose" text NOT NULL,
	"person_id" uuid,
	"until" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "passkeys" (
	"id" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"name" text NOT NULL,
	"public_key" text NOT NULL,
	"counter" bigint NOT NULL,
	"transports" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" uuid PRIMARY KEY NOT NULL,
	"clinic_id" integer NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"role" text NOT NULL,
	"password" text,
	"active" boolean DEFAULT true NOT NULL,
	"demo" boolean DEFAULT false NOT NULL,
	"epoch" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "people_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"sid" text PRIMARY KEY NOT NULL,
	"sess" json NOT NULL,
	"expire" timestamp (6) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sign_in_tries" (
	"key" text PRIMARY KEY NOT NULL,
	"points" integer DEFAULT 0 NOT NULL,
	"expire" bigint
);
--> statement-breakpoint
DROP INDEX "cases_by_opening";--> statement-breakpoint
DROP INDEX "cases_by_call_back";--> statement-breakpoint
ALTER TABLE "case_events" ADD COLUMN "person_id" uuid;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "release" jsonb;--> statement-breakpoint
ALTER TABLE "links" ADD CONSTRAINT "links_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "passkeys" ADD CONSTRAINT "passkeys_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_clinic_id_clinics_id_fk" FOREIGN KEY ("clinic_id") REFERENCES "public"."clinics"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "audit_by_clinic" ON "audit_log" USING btree ("clinic_id","seq");--> statement-breakpoint
CREATE INDEX "passkeys_by_person" ON "passkeys" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "sessions_by_end" ON "sessions" USING btree ("expire");--> statement-breakpoint
CREATE INDEX "cases_by_opening" ON "cases" USING btree ("clinic_id","opened_at" DESC NULLS LAST,"id");--> statement-breakpoint
CREATE INDEX "cases_by_call_back" ON "cases" USING btree ("clinic_id","call_back_on","id") WHERE call_back_on is not null;--> statement-breakpoint
CREATE FUNCTION "refuse_change"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'the audit log is only added to';
END
$$;
--> statement-breakpoint
CREATE TRIGGER "audit_log_is_added_to" BEFORE UPDATE OR DELETE OR TRUNCATE ON "audit_log"
	FOR EACH STATEMENT EXECUTE FUNCTION "refuse_change"();
