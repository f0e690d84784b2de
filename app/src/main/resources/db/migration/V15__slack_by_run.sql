-- Slack that nobody typed follows the run; the house says its lengths.
alter table cable alter column slack_mm set null;
alter table job add column slack_mm double precision default 150 not null;
alter table job add column slack_moving_mm double precision default 250 not null;
alter table shop_rules add column slack_mm double precision default 150 not null;
alter table shop_rules add column slack_moving_mm double precision default 250 not null;
