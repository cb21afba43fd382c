-- A document of five thousand panels is 4 MB: PostgreSQL needs 130 ms to take it apart as jsonb and 27 ms to store it as text, and nothing
-- asks for its parts.
alter table revision alter column document type text using document::text;
alter table keep alter column document type text using document::text;
do $$
begin
    alter table revision alter column document set compression lz4;
    alter table keep alter column document set compression lz4;
exception when feature_not_supported then null;
end $$;
