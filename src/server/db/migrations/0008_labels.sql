CREATE TABLE "clinic_labels" (
	"id" uuid PRIMARY KEY NOT NULL,
	"clinic_id" integer NOT NULL,
	"name" text NOT NULL,
	"text" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "clinic_labels" ADD CONSTRAINT "clinic_labels_clinic_id_clinics_id_fk" FOREIGN KEY ("clinic_id") REFERENCES "public"."clinics"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "clinic_labels_by_name" ON "clinic_labels" USING btree ("clinic_id","name");