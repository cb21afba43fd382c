-- What things weigh, so that a quota is a sum of numbers: bytes of a picture's file, of a step's document, of all steps and versions of a sheet.
alter table picture add column bytes bigint not null default 0;
update picture p set bytes = coalesce((select octet_length(d.data) from picture_data d where d.sha = p.sha and d.kind = 'original'), 0);
-- Memory that reading its pixels takes, once known.
alter table picture add column reading_bytes bigint;

alter table revision add column bytes int not null default 0;
update revision set bytes = octet_length(document::text);
alter table keep add column bytes int not null default 0;
update keep set bytes = octet_length(document::text);

-- What a card shows without reading the document (null: not known yet), and whether the document could not be read.
alter table sheet add column size text;
alter table sheet add column panels int;
alter table sheet add column bytes bigint not null default 0;
alter table sheet add column damaged boolean not null default false;
update sheet s set bytes = coalesce((select sum(r.bytes) from revision r where r.sheet_id = s.id), 0)
        + coalesce((select sum(k.bytes) from keep k where k.sheet_id = s.id), 0);
create index sheet_put_away on sheet (deleted_at) where deleted_at is not null;

-- A sheet painted small, once for a version; without pixels where it cannot be painted.
create table thumbnail (
    sheet_id uuid   primary key references sheet on delete cascade,
    version  bigint not null,
    png      bytea
);

-- The pictures that any step or version of a sheet has on its shelf; an account loses what none of its sheets uses.
create table sheet_picture (
    sheet_id   uuid     not null references sheet on delete cascade,
    account_id uuid     not null,
    sha        char(64) not null,
    primary key (sheet_id, sha),
    foreign key (account_id, sha) references picture_owner
);
create index sheet_picture_used on sheet_picture (account_id, sha);
create index picture_owned on picture_owner (sha);
insert into sheet_picture (sheet_id, account_id, sha)
    select distinct s.id, s.account_id, o.sha
    from sheet s
    join (select sheet_id, document from revision union all select sheet_id, document from keep) d on d.sheet_id = s.id
    cross join lateral jsonb_array_elements(case jsonb_typeof(d.document -> 'shelf') when 'array' then d.document -> 'shelf' else '[]' end) p
    join picture_owner o on o.account_id = s.account_id and o.sha = p ->> 'id';

-- Whom an account signs in as is its own; names may be alike. An erased account is emptied little by little.
alter table account add column sign_in text;
update account set sign_in = name;
alter table account alter column sign_in set not null;
create unique index account_sign_in on account (lower(sign_in));
drop index account_name;
alter table account add column erased_at timestamptz;

-- Tries that are counted, and when the count begins anew.
create table tries (
    what  text        not null,
    who   text        not null,
    count int         not null,
    until timestamptz not null,
    primary key (what, who)
);

-- Sessions hold less than before: everybody signs in once more.
delete from spring_session;

create index delivery_of_account on delivery (account_id);

-- Short jobs (thumbnails, tidying up) have a queue of their own, so that they never wait behind deliveries: db-scheduler's table once more.
create table short_tasks (like scheduled_tasks including all);

-- Bundles on their way in: the page asks any node how far one is. A node that was silent for long has stopped.
create table bundle_import (
    id         uuid        primary key,
    account_id uuid        not null references account on delete cascade,
    share      real        not null default 0,
    told       text        not null default '',
    failed     text        not null default '',
    sheet_id   uuid,
    changed_at timestamptz not null default now()
);
