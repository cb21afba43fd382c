-- What is handed over. A delivery keeps the sheets as they were when it was asked for, so that it can be begun anew on any node.
create table delivery (
    id         uuid        primary key,
    account_id uuid        not null references account on delete cascade,
    sheet_id   uuid        not null references sheet on delete cascade,
    file       text        not null,
    title      text        not null,
    settings   jsonb       not null,
    documents  jsonb       not null,
    selected   text[]      not null,
    state      text        not null check (state in ('waiting', 'painting', 'done', 'failed', 'stopped')),
    progress   real        not null default 0,
    tries      int         not null default 0,
    said       text        not null default '',
    media_type text        not null,
    bytes      bigint      not null default 0,
    made_at    timestamptz not null default now(),
    ended_at   timestamptz
);
create index delivery_of_sheet on delivery (sheet_id, made_at desc);

-- A finished file in parts of equal size, the last one shorter.
create table delivery_file (
    delivery_id uuid  not null references delivery on delete cascade,
    part        int   not null,
    bytes       bytea not null,
    primary key (delivery_id, part)
);

-- Settings that somebody kept under a name.
create table delivery_set (
    id         uuid  primary key,
    account_id uuid  not null references account on delete cascade,
    name       text  not null,
    settings   jsonb not null
);
create unique index delivery_set_name on delivery_set (account_id, lower(name));

-- db-scheduler's own table, as it publishes it for PostgreSQL.
create table scheduled_tasks (
    task_name            text        not null,
    task_instance        text        not null,
    task_data            bytea,
    execution_time       timestamptz not null,
    picked               boolean     not null,
    picked_by            text,
    last_success         timestamptz,
    last_failure         timestamptz,
    consecutive_failures int,
    last_heartbeat       timestamptz,
    version              bigint      not null,
    priority             smallint,
    primary key (task_name, task_instance)
);
create index execution_time_idx on scheduled_tasks (execution_time);
create index last_heartbeat_idx on scheduled_tasks (last_heartbeat);
create index priority_execution_time_idx on scheduled_tasks (priority desc, execution_time asc);
