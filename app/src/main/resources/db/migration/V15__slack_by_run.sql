-- Slack that nobody typed follows the run; the house says its lengths. What every new cable began with was nobody's word; where something is
-- made already its cut length stays.
alter table cable alter column slack_mm set null;
update cable set slack_mm = null where slack_mm in (150, 152.4) and id not in (select cable_id from step_done);
alter table job add column slack_mm double precision default 150 not null;
alter table job add column slack_moving_mm double precision default 250 not null;
alter table shop_rules add column slack_mm double precision default 150 not null;
alter table shop_rules add column slack_moving_mm double precision default 250 not null;
