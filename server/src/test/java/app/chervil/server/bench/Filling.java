package app.chervil.server.bench;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;

/** Fills a site by SQL from one tank with a canister that was made through the server. */
final class Filling {
    private Filling() {}

    /**
     * Copies a tank until there are so many, each with so many weekly services.
     *
     * @param services of each tank
     */
    static void tanks(Connection database, int tanks, int services) throws SQLException {
        run(database, """
                insert into tank (site_id, name, room, net_volume_l, water, established_on, stocking, feeding, bacteria_home,
                  tap_water, opening_school, sock_school, rinse_water, thoroughness)
                select site_id, 'Tank ' || n, 'Room ' || n / 10, net_volume_l, water, established_on, stocking, feeding,
                  bacteria_home, tap_water, opening_school, sock_school, rinse_water, thoroughness
                from (select * from tank order by id limit 1) t, generate_series(2, %d) n""".formatted(tanks));
        copyFilters(database);
        log(database, services);
        run(database, "analyze");
    }

    /** Every tank without a filter gets that of the first tank, with its stages, tasks and chores. */
    private static void copyFilters(Connection database) throws SQLException {
        run(database, """
                insert into filter (site_id, tank_id, name, kind, direction, rated_flow_lph, care_from, care_sureness, passport)
                select t.site_id, t.id, f.name, f.kind, f.direction, f.rated_flow_lph, f.care_from, f.care_sureness, f.passport
                from (select * from filter order by id limit 1) f, tank t
                where not exists (select 1 from filter where filter.tank_id = t.id)""");
        run(database, """
                insert into stage (site_id, filter_id, position, kind, label, quantity, mass_g, make, bagged, care_from)
                select f.site_id, f.id, s.position, s.kind, s.label, s.quantity, s.mass_g, s.make, s.bagged, s.care_from
                from stage s, filter f
                where s.filter_id = (select min(id) from filter)
                  and not exists (select 1 from stage where stage.filter_id = f.id)""");
        run(database, """
                insert into care_task (site_id, filter_id, stage_id, action, care_from, care_sureness, mode)
                select f.site_id, f.id, mine.id, k.action, k.care_from, k.care_sureness, k.mode
                from care_task k
                left join stage its on its.id = k.stage_id
                cross join filter f
                left join stage mine on mine.filter_id = f.id and mine.position = its.position
                where k.filter_id = (select min(id) from filter)
                  and not exists (select 1 from care_task where care_task.filter_id = f.id)""");
        run(database, """
                insert into chore (site_id, tank_id, kind, every_days, counted_from)
                select t.site_id, t.id, 'WATER_CHANGE', 7, current_date - 3
                from tank t
                where not exists (select 1 from chore where chore.tank_id = t.id)""");
    }

    /** Weekly rinses of the pre-filter, each tenth service an opening with what goes along. */
    private static void log(Connection database, int services) throws SQLException {
        run(database, """
                insert into service (id, site_id, tank_id, done_on, done_by, minutes, note, recorded_at)
                select gen_random_uuid(), site_id, id, current_date - 7 * n - 2, 'Ada', 10, '', now()
                from tank, generate_series(0, %d) n
                where not exists (select 1 from service where service.tank_id = tank.id)""".formatted(services - 1));
        run(database, """
                insert into service_task (service_id, task_id, site_id, finding)
                select s.id, k.id, s.site_id,
                  (array['LIGHT', 'MODERATE', 'MODERATE', 'HEAVY'])[1 + abs(hashtext(s.id::text)) %% 4]
                from service s
                join filter f on f.tank_id = s.tank_id
                join care_task k on k.filter_id = f.id
                join stage g on g.id = k.stage_id
                where not exists (select 1 from service_task where service_task.service_id = s.id)
                  and ((g.kind = 'PREFILTER_SPONGE' and k.action = 'RINSE')
                    or (g.kind = 'COARSE_FOAM' and k.action = 'RINSE' and (current_date - s.done_on) %% 70 = 2))""".replace("%%", "%"));
    }

    /** More sites, each with copies of the first site's tanks and their log. */
    static void sites(Connection database, int sites, int tanks, int services) throws SQLException {
        run(database, """
                insert into site (name, created_at)
                select 'Site ' || n, now() from generate_series(2, %d) n""".formatted(sites));
        run(database, """
                insert into account (site_id, login, name, role, created_at)
                select id, 'keeper ' || id, 'Keeper', 'KEEPER', now()
                from site where not exists (select 1 from account where account.site_id = site.id)""");
        run(database, """
                insert into tank (site_id, name, room, net_volume_l, water, established_on, stocking, feeding, bacteria_home,
                  tap_water, opening_school, sock_school, rinse_water, thoroughness)
                select site.id, 'Tank ' || n, 'Room', net_volume_l, water, established_on, stocking, feeding,
                  bacteria_home, tap_water, opening_school, sock_school, rinse_water, thoroughness
                from (select * from tank order by id limit 1) t, site, generate_series(1, %d) n
                where not exists (select 1 from tank where tank.site_id = site.id)""".formatted(tanks));
        copyFilters(database);
        log(database, services);
        run(database, "analyze");
    }

    /** More than a year of readings of so many devices at one a second, as the server thins them. */
    static void readings(Connection database, int devices) throws SQLException {
        String some = "(select site_id, id from device order by id limit " + devices + ") d";
        run(database, """
                insert into device_reading (site_id, device_id, stamp, read_at, value)
                select d.site_id, d.id, at, at, 24 + sin(extract(epoch from at) / 7000)
                from %s, generate_series(now() - interval '50 hours', now(), interval '1 second') at
                on conflict do nothing""".formatted(some));
        run(database, """
                insert into device_hour (site_id, device_id, hour, least, greatest, total, readings)
                select d.site_id, d.id, at, 23, 25, 3600 * 24.0, 3600
                from %s, generate_series(date_trunc('hour', now()) - interval '400 days', now(), interval '1 hour') at
                on conflict do nothing""".formatted(some));
        run(database, """
                insert into device_day (site_id, device_id, day, least, greatest, total, readings, moving_total, moving)
                select d.site_id, d.id, at::date, 23, 25, 86400 * 24.0, 86400, 86400 * 24.0, 86400
                from %s, generate_series(now() - interval '400 days', now(), interval '1 day') at
                on conflict do nothing""".formatted(some));
        run(database, "analyze");
    }

    static void run(Connection database, String sql) throws SQLException {
        try (Statement statement = database.createStatement()) {
            statement.execute(sql);
        }
    }
}
