-- Links by which somebody without an account looks at a sheet or a series. word is the hash of a word to enter, null where none is asked.
create table proof (
    id           uuid        primary key,
    account_id   uuid        not null references account on delete cascade,
    sheet_id     uuid        references sheet on delete cascade,
    series_id    uuid        references series on delete cascade,
    token        text        not null unique,
    word         text,
    expires_at   timestamptz,
    withdrawn_at timestamptz,
    made_at      timestamptz not null default now(),
    check ((sheet_id is null) <> (series_id is null))
);
create index proof_of_sheet on proof (sheet_id);
create index proof_of_series on proof (series_id);
create index proof_of_account on proof (account_id);

-- What visitors put on a sheet; x and y are shares of its width and height.
create table proof_note (
    id       uuid             primary key,
    proof_id uuid             not null references proof on delete cascade,
    sheet_id uuid             not null references sheet on delete cascade,
    x        double precision not null,
    y        double precision not null,
    author   text             not null,
    says     text             not null,
    answer   text             not null default '',
    done     boolean          not null default false,
    made_at  timestamptz      not null default now()
);
create index proof_note_of_proof on proof_note (proof_id);
create index proof_note_of_sheet on proof_note (sheet_id, made_at);

-- What proofs show, painted once a version and size.
create table proof_picture (
    sheet_id uuid   not null references sheet on delete cascade,
    side     int    not null,
    version  bigint not null,
    data     bytea  not null,
    primary key (sheet_id, side)
);
-- The bytes are compressed already.
alter table proof_picture alter column data set storage external;
