-- A tag stands for one thing in a job, cable or equipment.
update cable c set tag = substring(c.tag from 1 for 12) || '-' || c.id
where c.deleted_at is null and exists (
    select 1 from equipment e
    where e.job_id = c.job_id and e.deleted_at is null and upper(e.tag) = upper(c.tag));

-- A case has a name of its own in its job.
update load_case c set name = substring(c.name from 1 for 40) || ' (' || c.id || ')'
where c.deleted_at is null and exists (
    select 1 from load_case o
    where o.job_id = c.job_id and o.deleted_at is null and upper(o.name) = upper(c.name) and o.id < c.id);
alter table load_case add column live_name varchar(180) generated always as (case when deleted_at is null then upper(name) end);
alter table load_case add constraint one_case_a_name unique (job_id, live_name);

-- In the crib and the stock letters' case makes no difference either.
update die d set tag = substring(d.tag from 1 for 12) || '-' || d.id
where exists (select 1 from die o where upper(o.tag) = upper(d.tag) and o.id < d.id);
alter table die add column folded_tag varchar(72) generated always as (upper(tag));
alter table die add constraint one_die_a_folded_tag unique (folded_tag);
update crib_tool t set tag = substring(t.tag from 1 for 12) || '-' || t.id
where exists (select 1 from crib_tool o where upper(o.tag) = upper(t.tag) and o.id < t.id);
alter table crib_tool add column folded_tag varchar(72) generated always as (upper(tag));
alter table crib_tool add constraint one_tool_a_folded_tag unique (folded_tag);
update measured_lug l set code = substring(l.code from 1 for 40) || '-' || l.id
where exists (select 1 from measured_lug o where upper(o.code) = upper(l.code) and o.id < l.id);
alter table measured_lug add column folded_code varchar(180) generated always as (upper(code));
alter table measured_lug add constraint one_lug_a_folded_code unique (folded_code);
update own_contact c set code = substring(c.code from 1 for 40) || '-' || c.id
where exists (select 1 from own_contact o where upper(o.code) = upper(c.code) and o.id < c.id);
alter table own_contact add column folded_code varchar(180) generated always as (upper(code));
alter table own_contact add constraint one_contact_a_folded_code unique (folded_code);

-- One reading of a kind is in force for a step; the last one where several were.
update reading r set superseded = true
where not r.superseded and exists (
    select 1 from reading o
    where o.cable_id = r.cable_id and o.step = r.step and o.kind = r.kind and not o.superseded and o.id > r.id);
alter table reading add column in_force varchar(40) generated always as (case when not superseded then step || ' ' || kind end);
alter table reading add constraint one_reading_in_force unique (cable_id, in_force);

-- An upper case letter may take up to three of what a lower case one takes.
alter table cable drop constraint one_cable_a_tag;
alter table cable drop column live_tag;
alter table cable add column live_tag varchar(72) generated always as (case when deleted_at is null then upper(tag) end);
alter table cable add constraint one_cable_a_tag unique (job_id, live_tag);
alter table equipment drop constraint one_piece_a_tag;
alter table equipment drop column live_tag;
alter table equipment add column live_tag varchar(72) generated always as (case when deleted_at is null then upper(tag) end);
alter table equipment add constraint one_piece_a_tag unique (job_id, live_tag);
