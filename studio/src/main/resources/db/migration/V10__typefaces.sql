-- Typefaces that members brought, by the SHA-256 of their files. Letters keep their outlines, so that no sheet needs them.
create table typeface (
    account_id uuid        not null references account on delete cascade,
    id         char(64)    not null,
    family     text        not null,
    style      text        not null,
    weight     int         not null,
    says       text        not null,
    file       bytea       not null,
    added_at   timestamptz not null default now(),
    primary key (account_id, id)
);
