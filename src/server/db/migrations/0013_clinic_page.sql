CREATE TABLE "clinic_contacts" (
	"id" uuid PRIMARY KEY NOT NULL,
	"clinic_id" integer NOT NULL,
	"trade" text NOT NULL,
	"name" text NOT NULL,
	"reach" text NOT NULL,
	"area" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "saved_searches" (
	"id" uuid PRIMARY KEY NOT NULL,
	"clinic_id" integer NOT NULL,
	"name" text NOT NULL,
	"query" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "clinics" ADD COLUMN "address" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "clinics" ADD COLUMN "hours" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "clinics" ADD COLUMN "languages" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "clinics" ADD COLUMN "country" text;--> statement-breakpoint
ALTER TABLE "clinics" ADD COLUMN "approach" text DEFAULT 'integrated' NOT NULL;--> statement-breakpoint
ALTER TABLE "clinic_contacts" ADD CONSTRAINT "clinic_contacts_clinic_id_clinics_id_fk" FOREIGN KEY ("clinic_id") REFERENCES "public"."clinics"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "saved_searches" ADD CONSTRAINT "saved_searches_clinic_id_clinics_id_fk" FOREIGN KEY ("clinic_id") REFERENCES "public"."clinics"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "clinic_contacts_by_trade" ON "clinic_contacts" USING btree ("clinic_id","trade","name");--> statement-breakpoint
CREATE INDEX "saved_searches_by_name" ON "saved_searches" USING btree ("clinic_id","name");