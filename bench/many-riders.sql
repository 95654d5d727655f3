-- Copies the rider :source, with all she has, as riders :first to :last, who may sign in with the password of 'Pattern'.
-- Run by a superuser on a database of its own, so that what was checked for her is not checked once more for each copy.

set session_replication_role = replica;

select set_config('bench.first', :'first', false), set_config('bench.last', :'last', false),
       set_config('bench.source', (:source)::text, false) \gset ignored_

create function pg_temp.rider(n integer) returns uuid immutable language sql as $$ select md5('rider ' || n)::uuid $$;

do $$
declare
  source constant uuid := current_setting('bench.source');
  first constant integer := current_setting('bench.first');
  last constant integer := current_setting('bench.last');
  part record;
begin
  insert into rider
  select (jsonb_populate_record(r, jsonb_build_object('id', pg_temp.rider(n), 'demo_day', null))).*
  from rider r, generate_series(first, last) n where r.id = source;
  for part in
    select c.oid::regclass as name,
           string_agg(quote_ident(attname), ', ' order by attnum) filter (where attname not in ('owner', 'sequence'))
             as columns,
           bool_or(attname = 'sequence') as grows
    from pg_class c join pg_attribute a on attrelid = c.oid and attnum > 0 and not attisdropped
    where c.relnamespace = 'public'::regnamespace and relkind = 'r'
      and attgenerated = '' and (attidentity = '' or attname = 'sequence')
      -- how somebody signs in is each rider's own
      and relname not in ('account', 'account_event', 'agenda_feed', 'api_token', 'digest', 'kept_result',
                          'recovery_code', 'second_step', 'webhook', 'webhook_delivery')
    group by c.oid having bool_or(attname = 'owner')
  loop
    execute format(
      'insert into %1$s (owner, %2$s) select pg_temp.rider(n), %2$s from generate_series($1, $2) n cross join lateral '
      || '(select * from %1$s where owner = $3 %3$s offset 0) one',
      part.name, part.columns,
      case when part.grows then 'order by sequence' end) using first, last, source;
  end loop;
end
$$;

insert into account (owner, name, name_key, password_hash, created_at)
select pg_temp.rider(n), 'Rider ' || n, 'rider ' || n, password_hash, now()
from account, generate_series(:first, :last) n where name = 'Pattern';
