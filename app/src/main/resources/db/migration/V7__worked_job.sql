-- What the loads ask of a cable is worked out, not kept.
alter table cable drop column load_case;
alter table cable drop column surge_a;
alter table cable drop column surge_s;

-- A tag stands once in a job among what is not deleted; letters' case makes no difference.
update cable c set tag = substring(c.tag from 1 for 12) || '-' || c.id
where c.deleted_at is null and exists (
    select 1 from cable o
    where o.job_id = c.job_id and o.deleted_at is null and upper(o.tag) = upper(c.tag) and o.id < c.id);
alter table cable add column live_tag varchar(24) generated always as (case when deleted_at is null then upper(tag) end);
alter table cable add constraint one_cable_a_tag unique (job_id, live_tag);

update equipment e set tag = substring(e.tag from 1 for 12) || '-' || e.id
where e.deleted_at is null and exists (
    select 1 from equipment o
    where o.job_id = e.job_id and o.deleted_at is null and upper(o.tag) = upper(e.tag) and o.id < e.id);
alter table equipment add column live_tag varchar(24) generated always as (case when deleted_at is null then upper(tag) end);
alter table equipment add constraint one_piece_a_tag unique (job_id, live_tag);

-- The index that dies stamp belongs to a standard or a series; that of the standard set is known.
alter table die add column series varchar(24) default '' not null;
update die set series = 'DIN 46235'
where shape = 'HEX' and case when regexp_like(stamped, '^[0-9]{1,2}$')
    then abs(across_flats_mm - 0.85 * cast(stamped as double precision)) < 0.06 else false end;

-- A reading that could not be taken says why.
alter table reading add column not_measured varchar(400);
