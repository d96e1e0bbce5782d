CREATE TABLE "trip_conditions" (
	"trip" uuid PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"doc" jsonb NOT NULL,
	"updated_at" timestamp (3) with time zone NOT NULL
);
