CREATE TABLE "photo" (
	"household" uuid NOT NULL,
	"hash" text NOT NULL,
	"data" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "photo_household_hash_pk" PRIMARY KEY("household","hash")
);
