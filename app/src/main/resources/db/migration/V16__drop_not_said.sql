-- An allowed drop that nobody typed follows the house's rule, and asks where it would stop. What every new cable and load began with was
-- nobody's word. Where something is made already the size stays; motors, which are allowed more now, and their cables keep their figure.
alter table cable alter column drop_percent set null;
update cable set drop_percent = null
    where drop_percent = (select new_drop_percent from job where job.id = cable.job_id)
    and id not in (select cable_id from step_done)
    and not exists (
        select 1 from equipment piece
        where piece.job_id = cable.job_id and piece.kind in ('MOTOR', 'STARTER')
        and (left(cable.from_point, length(piece.tag) + 1) = piece.tag || '.'
            or left(cable.to_point, length(piece.tag) + 1) = piece.tag || '.'));
update equipment set drop_percent = null
    where drop_percent = 3 and kind not in ('MOTOR', 'STARTER')
    and drop_percent = (select new_drop_percent from job where job.id = equipment.job_id);
