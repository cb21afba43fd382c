-- The edit that led to a step, to be done again elsewhere; null for steps of before, and for those that mean nothing elsewhere.
alter table revision add column edit text;

-- Steps that somebody keeps under a name.
create table steps (
    id         uuid        primary key,
    account_id uuid        not null references account on delete cascade,
    name       text        not null,
    steps      text        not null,
    made_at    timestamptz not null default now()
);
create unique index steps_name on steps (account_id, lower(name));
