-- Pictures that were drawn from sheets of the same account, each with the version of the sheet that it shows.
create table nested_sheet (
    account_id uuid        not null references account on delete cascade,
    picture    char(64)    not null,
    sheet_id   uuid        not null references sheet on delete cascade,
    version    bigint      not null,
    primary key (account_id, picture)
);
create index nested_sheet_by_sheet on nested_sheet (account_id, sheet_id, version);
