create table account (
    id            uuid primary key,
    name          text not null,
    password_hash text not null,
    made_at       timestamptz not null default now()
);
create unique index account_name on account (lower(name));

-- head is the revision that is shown; version grows with every change, undo and redo included.
create table sheet (
    id         uuid primary key,
    account_id uuid        not null references account,
    name       text        not null,
    head       int         not null,
    version    bigint      not null,
    made_at    timestamptz not null default now(),
    changed_at timestamptz not null default now(),
    deleted_at timestamptz
);
create index sheet_of_account on sheet (account_id, changed_at desc);

create table revision (
    sheet_id uuid        not null references sheet on delete cascade,
    number   int         not null,
    title    text        not null,
    document jsonb       not null,
    made_at  timestamptz not null default now(),
    primary key (sheet_id, number)
);

-- A picture is stored once, whoever brings it; picture_owner says who has.
create table picture (
    sha       char(64) primary key,
    file_kind text not null,
    width     int  not null,
    height    int  not null
);

create table picture_data (
    sha        char(64) not null references picture on delete cascade,
    kind       text     not null,
    media_type text     not null,
    data       bytea    not null,
    primary key (sha, kind)
);
-- The bytes are compressed already.
alter table picture_data alter column data set storage external;

create table picture_owner (
    account_id uuid        not null references account on delete cascade,
    sha        char(64)    not null references picture,
    added_at   timestamptz not null default now(),
    primary key (account_id, sha)
);
