-- Tables of colours that members brought, by the SHA-256 of their files. Sheets go on with one that is no longer listed.
create table colour_table (
    account_id uuid        not null references account on delete cascade,
    id         char(64)    not null,
    name       text        not null,
    file       bytea       not null,
    listed     boolean     not null default true,
    added_at   timestamptz not null default now(),
    primary key (account_id, id)
);
