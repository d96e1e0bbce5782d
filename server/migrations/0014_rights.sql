CREATE TABLE "entry_code" (
	"hash" text PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"opens" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"ends_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE INDEX "entry_code_by_household" ON "entry_code" USING btree ("household","created_at");--> statement-breakpoint
-- What is on record is bared by these alone: they run as who owns the tables, and can take away, never put in.
CREATE FUNCTION "escale_bare_event"(of bigint) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = pg_catalog, pg_temp AS $$
BEGIN
  PERFORM set_config('escale.erasing', 'on', true);
  UPDATE public.plan_event SET data = data - 'note' - 'position' - 'changes' WHERE seq = of;
  PERFORM set_config('escale.erasing', '', true);
END $$;--> statement-breakpoint
CREATE FUNCTION "escale_bare_versions"(of uuid, shape integer) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = pg_catalog, pg_temp AS $$
BEGIN
  PERFORM set_config('escale.erasing', 'on', true);
  UPDATE public.plan_version SET
    inputs = '{}', assessment = '{}', contacts = '[]', skipper = '', schema = shape,
    sheet = jsonb_build_object('title', 'Erased', 'filedAt', '', 'zone', (SELECT zone FROM public.plan WHERE id = of),
      'lines', '[]'::jsonb, 'expect', '[]'::jsonb, 'ifLate', '[]'::jsonb, 'read', '')
  WHERE plan = of;
  PERFORM set_config('escale.erasing', '', true);
END $$;--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION "escale_bare_event"(bigint), "escale_bare_versions"(uuid, integer) FROM PUBLIC;
