ALTER TABLE "plan_event" ADD COLUMN "sealed" jsonb;--> statement-breakpoint
CREATE FUNCTION "escale_append_only"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'what is on record is not changed: %', TG_TABLE_NAME;
END $$;--> statement-breakpoint
CREATE TRIGGER "append_only" BEFORE UPDATE OR DELETE ON "plan_event" FOR EACH ROW EXECUTE FUNCTION "escale_append_only"();--> statement-breakpoint
CREATE TRIGGER "append_only" BEFORE UPDATE OR DELETE ON "plan_version" FOR EACH ROW EXECUTE FUNCTION "escale_append_only"();--> statement-breakpoint
CREATE TRIGGER "append_only" BEFORE DELETE ON "message" FOR EACH ROW EXECUTE FUNCTION "escale_append_only"();--> statement-breakpoint
CREATE TRIGGER "words_stand" BEFORE UPDATE OF "id", "plan", "contact", "to_name", "phone", "kind", "text", "made_at" ON "message" FOR EACH ROW EXECUTE FUNCTION "escale_append_only"();
