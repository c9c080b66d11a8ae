-- Nothing in the ledger is edited, and nothing is taken out of it: not by the application, not by hand.
create function ledger_stays() returns trigger language plpgsql as $$
begin
  raise exception 'The ledger is only added to. Correct an entry by another entry.' using errcode = 'restrict_violation';
end
$$;
--> statement-breakpoint
create trigger ledger_stays before update or delete on entry for each row execute function ledger_stays();
--> statement-breakpoint
create trigger ledger_stays_whole before truncate on entry for each statement execute function ledger_stays();
--> statement-breakpoint
alter table site add constraint one_site check (id = 1);
