-- In which language a rider reads, as BCP 47 names it; their entries are found by that language's stems.
alter table rider add column language text not null default 'en' check (language ~ '^[a-z]{2,3}$');

-- The name of the database's stems for a language; words as they are where it has none.
create function stems_of(language text) returns text
  language sql immutable parallel safe
  as $$
    select coalesce((
      select known.stems
      from (values
        ('ar', 'arabic'), ('ca', 'catalan'), ('da', 'danish'), ('de', 'german'), ('el', 'greek'), ('en', 'english'),
        ('es', 'spanish'), ('eu', 'basque'), ('fi', 'finnish'), ('fr', 'french'), ('ga', 'irish'), ('hi', 'hindi'),
        ('hu', 'hungarian'), ('hy', 'armenian'), ('id', 'indonesian'), ('it', 'italian'), ('lt', 'lithuanian'),
        ('nb', 'norwegian'), ('ne', 'nepali'), ('nl', 'dutch'), ('nn', 'norwegian'), ('no', 'norwegian'),
        ('pt', 'portuguese'), ('ro', 'romanian'), ('ru', 'russian'), ('sr', 'serbian'), ('sv', 'swedish'),
        ('ta', 'tamil'), ('tr', 'turkish'), ('yi', 'yiddish')) as known(language, stems)
      where known.language = stems_of.language), 'simple')
  $$;

create function stems_of_rider() returns text
  language plpgsql stable parallel safe
  as $$
  begin
    return coalesce((select stems_of(language) from rider where id = current_rider()), 'english');
  end
  $$;

drop view log_current;
drop view log_head;
alter table log_entry drop column lexemes;
drop function words_of_entry(text, jsonb, text, text);

create function words_of_entry(stems text, kind text, detail jsonb, words text, note text) returns tsvector
  language plpgsql immutable parallel safe
  as $$
  begin
    return to_tsvector(stems::regconfig, words || ' ' || coalesce(note, '') || ' ' || replace(kind, '_', ' '))
        || jsonb_to_tsvector(stems::regconfig, detail - 'card' - 'track', '["string"]');
  end
  $$;

-- not of the type regconfig, which keeps a database from being moved on in place
alter table log_entry
  add column stems text not null default stems_of_rider(),
  add column lexemes tsvector not null generated always as (words_of_entry(stems, kind, detail, words, note)) stored;
create index log_entry_of_words on log_entry using gin (lexemes);

create view log_head with (security_invoker = true) as
  select e.*
  from log_entry e
  where not exists (select 1 from log_entry n where n.owner = e.owner and n.supersedes = e.id);
create view log_current with (security_invoker = true) as
  select * from log_head where not struck;
grant select on log_head, log_current to ${appRole};

-- Whoever reads another language from now on finds what is written already by its stems.
create function stem_again() returns trigger
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    update log_entry set stems = stems_of(new.language) where owner = new.id and stems <> stems_of(new.language);
    return null;
  end
  $$;
create trigger rider_reads_another_language after update of language on rider
  for each row when (old.language <> new.language) execute function stem_again();
