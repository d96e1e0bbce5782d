CREATE TABLE "erased" (
	"thing" uuid PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"type" text NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE OR REPLACE FUNCTION "escale_append_only"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  -- Erasing says so for its own transaction; what is left is put on record by an event of the chain.
  IF TG_OP = 'UPDATE' AND current_setting('escale.erasing', true) = 'on' THEN
    RETURN NEW;
  END IF;
  RAISE EXCEPTION 'what is on record is not changed: %', TG_TABLE_NAME;
END $$;
