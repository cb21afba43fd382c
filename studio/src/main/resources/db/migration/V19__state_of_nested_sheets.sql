-- What a sheet shows, other sheets in it included, at any depth: equal as long as none of them has changed. The versions of a sheet and of
-- all sheets that pictures on its shelf were drawn from, those that these show, and so on.
create function nested_state(root uuid) returns text language sql stable as $$
    with recursive shown (id) as (
        select root
        union
        select n.sheet_id from shown
            join sheet_picture p on p.sheet_id = shown.id
            join nested_sheet n on n.account_id = p.account_id and n.picture = p.sha
            join sheet inner_sheet on inner_sheet.id = n.sheet_id and inner_sheet.deleted_at is null
    )
    select encode(sha256(convert_to(string_agg(s.id || ':' || s.version, ' ' order by s.id), 'UTF8')), 'hex')
    from shown join sheet s on s.id = shown.id
$$;

-- Absent for what was painted before this was known: it is painted once more.
alter table nested_sheet add column shows text;
alter table thumbnail add column shows text;
alter table proof_picture add column shows text;
