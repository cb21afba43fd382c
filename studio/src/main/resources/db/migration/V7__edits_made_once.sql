-- Which edits of a page were made: one that is sent again, because its answer was lost, is not made twice.
create table made_edit (
    sheet_id uuid not null references sheet on delete cascade,
    edit_id uuid not null,
    made_at timestamptz not null default now(),
    primary key (sheet_id, edit_id)
);
