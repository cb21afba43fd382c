-- A document of letters is some hundred kilobytes: lz4 packs it in a fifth of the time. A server built without it keeps its usual way.
do $$
begin
    alter table revision alter column document set compression lz4;
    alter table keep alter column document set compression lz4;
exception when feature_not_supported then null;
end $$;
