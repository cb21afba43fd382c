-- Versions of a sheet that somebody kept under a name, whole.
create table keep (
    id       uuid        primary key,
    sheet_id uuid        not null references sheet on delete cascade,
    name     text        not null,
    document jsonb       not null,
    made_at  timestamptz not null default now()
);
create index keep_of_sheet on keep (sheet_id, made_at desc);
