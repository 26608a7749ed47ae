CREATE TABLE "case_events" (
	"case_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"event" jsonb NOT NULL,
	CONSTRAINT "case_events_case_id_version_pk" PRIMARY KEY("case_id","version")
);
--> statement-breakpoint
CREATE TABLE "case_plants" (
	"case_id" uuid NOT NULL,
	"id" text NOT NULL,
	"position" integer NOT NULL,
	"words" text NOT NULL,
	"plant" text,
	"date" date NOT NULL,
	"latitude" double precision NOT NULL,
	"longitude" double precision NOT NULL,
	"approach" text NOT NULL,
	"knowledge_version" text,
	CONSTRAINT "case_plants_case_id_id_pk" PRIMARY KEY("case_id","id")
);
--> statement-breakpoint
CREATE TABLE "cases" (
	"id" uuid PRIMARY KEY NOT NULL,
	"number" serial NOT NULL,
	"clinic_id" integer NOT NULL,
	"enquirer_id" integer,
	"status" text NOT NULL,
	"channel" text NOT NULL,
	"opened_at" timestamp with time zone NOT NULL,
	"call_back_on" date,
	"version" integer NOT NULL,
	CONSTRAINT "cases_number_unique" UNIQUE("number")
);
--> statement-breakpoint
CREATE TABLE "clinics" (
	"id" serial PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"region" text NOT NULL,
	"latitude" double precision NOT NULL,
	"longitude" double precision NOT NULL
);
--> statement-breakpoint
CREATE TABLE "enquirers" (
	"id" serial PRIMARY KEY NOT NULL,
	"clinic_id" integer NOT NULL,
	"name" text NOT NULL,
	"contact" text NOT NULL,
	"purge_on" date NOT NULL
);
--> statement-breakpoint
CREATE TABLE "observations" (
	"case_id" uuid NOT NULL,
	"plant_id" text NOT NULL,
	"finding" text NOT NULL,
	"position" integer NOT NULL,
	"present" boolean,
	"choice" text,
	"sure" real NOT NULL,
	CONSTRAINT "observations_case_id_plant_id_finding_pk" PRIMARY KEY("case_id","plant_id","finding")
);
--> statement-breakpoint
ALTER TABLE "case_events" ADD CONSTRAINT "case_events_case_id_cases_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "case_plants" ADD CONSTRAINT "case_plants_case_id_cases_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_clinic_id_clinics_id_fk" FOREIGN KEY ("clinic_id") REFERENCES "public"."clinics"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_enquirer_id_enquirers_id_fk" FOREIGN KEY ("enquirer_id") REFERENCES "public"."enquirers"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "enquirers" ADD CONSTRAINT "enquirers_clinic_id_clinics_id_fk" FOREIGN KEY ("clinic_id") REFERENCES "public"."clinics"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observations" ADD CONSTRAINT "observations_case_id_cases_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;