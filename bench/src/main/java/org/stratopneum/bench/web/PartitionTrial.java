package org.stratopneum.bench.web;

import java.util.Locale;

/**
 * The log in one table, and in sixteen by the hash of the rider: what it takes to fill them, to keep them in order, and to
 * find one rider's entries. The same rows and indexes, except that the sequence is unique for each rider only, which is all
 * that a table of parts can promise.
 *
 * <p>Usage: PartitionTrial ADDRESS PSQL DATABASE MANY_RIDERS_SQL RIDERS; the database as its superuser
 */
public final class PartitionTrial {

    private static final int PARTS = 16;
    private static final double GB = 1e9;

    private final Sql sql;

    private PartitionTrial(Sql sql) {
        this.sql = sql;
    }

    public static void main(String[] arguments) {
        Sql sql = new Sql(arguments[1], arguments[2]);
        new Copies(arguments[0], sql, arguments[3]).upTo(Integer.parseInt(arguments[4]));
        PartitionTrial trial = new PartitionTrial(sql);
        System.out.printf(
                Locale.ROOT,
                "%-10s %10s %10s %10s %12s %12s %10s %10s%n",
                "log",
                "fill s",
                "tables GB",
                "indexes GB",
                "vacuum s",
                "longest s",
                "page ms",
                "append ms");
        trial.tell("one", "");
        trial.tell("parts", "partition by hash (owner)");
    }

    private void tell(String name, String how) {
        sql.ask(
                "-c",
                "create table " + name
                        + " (like log_entry including defaults including generated including identity including constraints) "
                        + how);
        for (int i = 0; i < PARTS && !how.isEmpty(); i++) {
            sql.ask(
                    "-c",
                    String.format(
                            Locale.ROOT,
                            "create table %1$s_%2$d partition of %1$s for values with (modulus %3$d, remainder %2$d)",
                            name,
                            i,
                            PARTS));
        }
        for (String index : sql.ask(
                        "-c", "select pg_get_indexdef(indexrelid) from pg_index where indrelid = 'log_entry'::regclass")
                .split("\n")) {
            sql.ask(
                    "-c",
                    index.replaceFirst(" INDEX \\S+ ON public.log_entry ", " INDEX ON " + name + " ")
                            .replace("(sequence)", "(owner, sequence)"));
        }
        String columns = sql.ask(
                "-c",
                "select string_agg(quote_ident(attname), ', ' order by attnum) from pg_attribute"
                        + " where attrelid = 'log_entry'::regclass and attnum > 0 and not attisdropped and attidentity = ''"
                        + " and attgenerated = ''");
        double fill = sql.seconds(String.format(
                "insert into %s (%s) select %s from log_entry order by sequence", name, columns, columns));
        sql.ask("-c", "vacuum (analyze) " + name);
        double page = sql.number(timed("perform count(*) from " + name + " where owner = md5('rider ' || i)::uuid"
                + " and happened_at > now() - interval '120 days'"));
        double append = sql.number(timed("insert into " + name + " (" + columns + ") select "
                + columns.replaceFirst("\\bid\\b", "gen_random_uuid()") + " from (select * from " + name
                + " where owner = md5('rider ' || i)::uuid and supersedes is null limit 1) e"));
        // one row of twenty, all over the table
        sql.ask("-c", "delete from " + name + " where abs(hashtext(id::text)) % 20 = 0");
        double vacuum = 0;
        double longest = 0;
        for (String table : sql.ask("-c", leaves(name)).split("\n")) {
            double one = sql.seconds("vacuum " + table);
            vacuum += one;
            longest = Math.max(longest, one);
        }
        System.out.printf(
                Locale.ROOT,
                "%-10s %10.1f %10.2f %10.2f %12.1f %12.1f %10.2f %10.2f%n",
                name,
                fill,
                size("pg_table_size", name),
                size("pg_indexes_size", name),
                vacuum,
                longest,
                page,
                append);
    }

    /** The mean of five hundred turns, each for another rider (ms). */
    private static String timed(String work) {
        return "create or replace function pg_temp.turns() returns double precision language plpgsql as $$ declare begun timestamptz"
                + " := clock_timestamp(); begin for i in 1..500 loop " + work + "; end loop;"
                + " return extract(epoch from clock_timestamp() - begun) * 2; end $$; select pg_temp.turns()";
    }

    private double size(String what, String name) {
        return sql.number("select sum(" + what + "(relid)) from (" + leaves(name) + ") l") / GB;
    }

    /** Those that hold rows: the table itself where it has no parts. */
    private static String leaves(String name) {
        return "select relid from pg_partition_tree('" + name + "') where isleaf union select '" + name
                + "'::regclass where not exists (select from pg_partition_tree('" + name + "'))";
    }
}
