-- What is true stands in entry.bytes and attachment_part.bytes; every other column is a copy for look-up that
-- `verify` compares with them. Nothing here is particular to one database but the triggers in V2.

create table entry (
    machine_id  varchar(64)  not null,
    number      integer      not null,
    position    bigint       not null unique,
    stands_at   integer      not null,
    corrects    integer,
    kind        varchar(16)  not null,
    stop        varchar(64)  not null,
    verdict     varchar(16),
    fired       integer      not null,
    initials    varchar(16)  not null,
    recorded_at varchar(40)  not null,
    previous    varchar(64)  not null,
    hash        varchar(64)  not null unique,
    bytes       bytea        not null,
    primary key (machine_id, number)
);

create index entry_by_stop on entry (machine_id, stop, stands_at);
create index entry_by_kind on entry (machine_id, kind, number);
create index entry_by_correction on entry (machine_id, corrects);
create index entry_by_machine_position on entry (machine_id, position);
create index entry_by_use on entry (machine_id, fired, number);
create index entry_by_stop_position on entry (stop, position);
create index entry_by_verdict_position on entry (verdict, position);

-- One row an entry, in the order of recording: a cut-off tail or a vanished machine shows here.
create table shop_chain (
    position   bigint      not null primary key,
    machine_id varchar(64) not null,
    number     integer     not null,
    hash       varchar(64) not null,
    previous   varchar(64) not null,
    row_hash   varchar(64) not null
);

-- The newest plate's name of each machine: names are unique in the shop, case apart.
create table machine (
    id          varchar(64)  not null primary key,
    name        varchar(60)  not null,
    name_folded varchar(120) not null unique
);

create table attachment (
    hash   varchar(64) not null primary key,
    length bigint      not null
);

create table attachment_part (
    hash  varchar(64) not null,
    part  integer     not null,
    bytes bytea       not null,
    primary key (hash, part)
);

-- Half-done readings: no record, overwritten as one types.
create table draft (
    machine_id varchar(64) not null,
    stop       varchar(64) not null,
    saved_at   varchar(40) not null,
    content    text        not null,
    primary key (machine_id, stop)
);
