-- Tables of the job library (Quartz.NET 4.7, Apache-2.0) as it lays them out for PostgreSQL, in a schema of their own.
-- What changes them in a later version of the library is a migration of its own.
create schema schedule;

create table schedule.job_details (
  sched_name text not null,
  job_name text not null,
  job_group text not null,
  description text null,
  job_class_name text not null,
  is_durable bool not null,
  is_nonconcurrent bool not null,
  is_update_data bool not null,
  requests_recovery bool not null,
  job_data bytea null,
  primary key (sched_name,job_name,job_group)
);

create table schedule.triggers (
  sched_name text not null,
  trigger_name text not null,
  trigger_group text not null,
  job_name text not null,
  job_group text not null,
  description text null,
  next_fire_time bigint null,
  prev_fire_time bigint null,
  priority integer null,
  trigger_state text not null,
  trigger_type text not null,
  start_time bigint not null,
  end_time bigint null,
  calendar_name text null,
  misfire_instr smallint null,
  misfire_orig_fire_time bigint null,
  execution_group varchar(200) null,
  preferred_node varchar(200) null,
  preferred_node_auto bool not null default false,
  retry_policy varchar(250) null,
  retry_attempt integer null,
  continues_trigger_name text null,
  continues_trigger_group text null,
  continuation_condition integer null,
  overlap_policy integer null,
  pause_reason varchar(250) null,
  paused_by varchar(200) null,
  paused_at bigint null,
  misfire_threshold bigint null,
  fixed_delay bool null,
  job_data bytea null,
  primary key (sched_name,trigger_name,trigger_group),
  foreign key (sched_name,job_name,job_group) references schedule.job_details (sched_name,job_name,job_group)
);

create table schedule.simple_triggers (
  sched_name text not null,
  trigger_name text not null,
  trigger_group text not null,
  repeat_count bigint not null,
  repeat_interval bigint not null,
  times_triggered bigint not null,
  primary key (sched_name,trigger_name,trigger_group),
  foreign key (sched_name,trigger_name,trigger_group) references schedule.triggers (sched_name,trigger_name,trigger_group) on delete cascade
);

create table schedule.cron_triggers (
  sched_name text not null,
  trigger_name text not null,
  trigger_group text not null,
  cron_expression text not null,
  time_zone_id text,
  primary key (sched_name,trigger_name,trigger_group),
  foreign key (sched_name,trigger_name,trigger_group) references schedule.triggers (sched_name,trigger_name,trigger_group) on delete cascade
);

create table schedule.simprop_triggers (
  sched_name text not null,
  trigger_name text not null,
  trigger_group text not null,
  str_prop_1 text null,
  str_prop_2 text null,
  str_prop_3 text null,
  int_prop_1 integer null,
  int_prop_2 integer null,
  long_prop_1 bigint null,
  long_prop_2 bigint null,
  dec_prop_1 numeric null,
  dec_prop_2 numeric null,
  bool_prop_1 bool null,
  bool_prop_2 bool null,
  time_zone_id text null,
  primary key (sched_name,trigger_name,trigger_group),
  foreign key (sched_name,trigger_name,trigger_group) references schedule.triggers (sched_name,trigger_name,trigger_group) on delete cascade
);

create table schedule.blob_triggers (
  sched_name text not null,
  trigger_name text not null,
  trigger_group text not null,
  blob_data bytea null,
  primary key (sched_name,trigger_name,trigger_group),
  foreign key (sched_name,trigger_name,trigger_group) references schedule.triggers (sched_name,trigger_name,trigger_group) on delete cascade
);

create table schedule.calendars (
  sched_name text not null,
  calendar_name text not null,
  calendar bytea not null,
  primary key (sched_name,calendar_name)
);

create table schedule.paused_trigger_grps (
  sched_name text not null,
  trigger_group text not null,
  pause_reason varchar(250) null,
  paused_by varchar(200) null,
  paused_at bigint null,
  primary key (sched_name,trigger_group)
);

create table schedule.paused_job_grps (
  sched_name text not null,
  job_group text not null,
  pause_reason varchar(250) null,
  paused_by varchar(200) null,
  paused_at bigint null,
  primary key (sched_name,job_group)
);

create table schedule.fired_triggers (
  sched_name text not null,
  entry_id text not null,
  trigger_name text not null,
  trigger_group text not null,
  instance_name text not null,
  fired_time bigint not null,
  sched_time bigint not null,
  priority integer not null,
  state text not null,
  job_name text null,
  job_group text null,
  is_nonconcurrent bool not null,
  requests_recovery bool null,
  execution_group varchar(200) null,
  progress integer null,
  progress_message varchar(250) null,
  interrupt_requested_time bigint null,
  primary key (sched_name,entry_id)
);

create table schedule.scheduler_state (
  sched_name text not null,
  instance_name text not null,
  last_checkin_time bigint not null,
  checkin_interval bigint not null,
  quartz_version varchar(20) null,
  primary key (sched_name,instance_name)
);

create table schedule.locks (
  sched_name text not null,
  lock_name text not null,
  primary key (sched_name,lock_name)
);

create index idx_schedule_j_g_n on schedule.job_details (sched_name, job_group, job_name);

create index idx_schedule_t_j on schedule.triggers (sched_name, job_name, job_group);

create index idx_schedule_t_g_n on schedule.triggers (sched_name, trigger_group, trigger_name);

create index idx_schedule_t_c on schedule.triggers (sched_name, calendar_name);

create index idx_schedule_t_nft_st on schedule.triggers (sched_name, trigger_state, next_fire_time asc, priority desc, misfire_instr);

create index idx_schedule_ft_inst_job_req_rcvry on schedule.fired_triggers (sched_name, instance_name, requests_recovery);

create index idx_schedule_ft_j_g on schedule.fired_triggers (sched_name, job_name, job_group);

create index idx_schedule_ft_t_g on schedule.fired_triggers (sched_name, trigger_name, trigger_group);
