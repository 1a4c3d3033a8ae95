-- Lists are read page by page along their order.
create index vehicle_by_name on vehicle (lower(name), id);
drop index visit_by_time;
create index visit_by_time on visit (finished_at desc, id desc);
create index job_finished on job (finished_at desc) where finished_at is not null;
create index protection_of_wheel_set on protection_layer (wheel_set_id, applied_at);
