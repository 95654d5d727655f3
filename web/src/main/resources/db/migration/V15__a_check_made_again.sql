-- After a mending in vain a check is made again: what was seen before and what is seen then both count.
alter table leak_search_step drop constraint leak_search_step_pkey;
alter table leak_search_step add primary key (owner, search_id, nr);
