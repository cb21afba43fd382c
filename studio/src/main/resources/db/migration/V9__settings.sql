-- What is said of a delivery's edges, packing and parts has an object of its own each.
create function regrouped(settings jsonb) returns jsonb language sql immutable as $$
    select case when settings ? 'quality' then
        (settings - '{paper,bleed,marks,quality,chroma,atMost,live,linked}'::text[]) || jsonb_build_object(
            'edges', jsonb_build_object('paper', settings -> 'paper', 'bleed', settings -> 'bleed', 'marks', settings -> 'marks'),
            'packing', jsonb_build_object('quality', settings -> 'quality', 'chroma', settings -> 'chroma', 'atMost', settings -> 'atMost'),
            'parts', jsonb_build_object('live', settings -> 'live', 'linked', settings -> 'linked'))
        else settings end
$$;
update delivery set settings = regrouped(settings);
update delivery_set set settings = regrouped(settings);
drop function regrouped(jsonb);
