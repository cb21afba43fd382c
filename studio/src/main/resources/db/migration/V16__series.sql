-- A sheet stands by itself, is a template, or belongs to a series.
alter table sheet add column kind text not null default 'sheet' check (kind in ('sheet', 'template', 'series'));

-- One layout, many times. base is the template as the sheets follow it; fillings are those of sheets that are still to be made.
create table series (
    id           uuid        primary key,
    account_id   uuid        not null references account on delete cascade,
    template_id  uuid        references sheet on delete set null,
    name         text        not null,
    base         text        not null,
    base_version bigint      not null,
    fillings     text        not null,
    state        text        not null check (state in ('making', 'ready', 'following', 'failed', 'stopped')),
    progress     real        not null default 0,
    said         text        not null default '',
    made_at      timestamptz not null default now()
);
create index series_of_account on series (account_id, made_at desc);
create index series_of_template on series (template_id);

-- The sheets of a series, each with what fills it.
create table series_sheet (
    sheet_id  uuid not null primary key references sheet on delete cascade,
    series_id uuid not null references series on delete cascade,
    place     int  not null,
    filling   text not null
);
create index series_sheet_of_series on series_sheet (series_id, place);

-- What Check found on the version that the thumbnail shows, for sheets of a series.
alter table thumbnail add column faults int;
alter table thumbnail add column warnings int;
