CREATE FUNCTION refuse_entry_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'Log entries are never changed or deleted. Write an amendment instead.';
END
$$;
--> statement-breakpoint
CREATE TRIGGER entries_append_only BEFORE UPDATE OR DELETE ON "entries"
FOR EACH ROW EXECUTE FUNCTION refuse_entry_change();
