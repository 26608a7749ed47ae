CREATE TABLE "weather_days" (
	"clinic_id" integer NOT NULL,
	"day" date NOT NULL,
	"min_celsius" real NOT NULL,
	"max_celsius" real NOT NULL,
	"rain_millimetres" real NOT NULL,
	"source" text NOT NULL,
	CONSTRAINT "weather_days_clinic_id_day_pk" PRIMARY KEY("clinic_id","day")
);
--> statement-breakpoint
ALTER TABLE "weather_days" ADD CONSTRAINT "weather_days_clinic_id_clinics_id_fk" FOREIGN KEY ("clinic_id") REFERENCES "public"."clinics"("id") ON DELETE cascade ON UPDATE no action;