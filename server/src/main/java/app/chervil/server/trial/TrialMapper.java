package app.chervil.server.trial;

import app.chervil.core.site.Tried;
import app.chervil.core.site.Tried.Reads;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Design.Turn;
import app.chervil.core.trial.Way;
import app.chervil.core.water.Parameter;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Table trial. */
@Mapper
interface TrialMapper {
    String COLUMNS = """
            select id, tank_id, task_id, parameter, began_on, period_days, periods, ways, adopted, started_by,
                stopped_on, together, setup, switched_on
            from trial
            where site_id = #{site} and removed_at is null
            """;

    /** Trials of the site, latest first. */
    @Select(COLUMNS + "order by began_on desc, id")
    List<TrialRow> list(long site);

    @Select(COLUMNS + "and id = #{id}")
    Optional<TrialRow> find(long site, UUID id);

    /** Adds a trial unless one with that id is there. */
    @Insert("""
            insert into trial (id, site_id, tank_id, task_id, parameter, began_on, period_days, periods, ways,
                started_by, together, setup)
            values (#{trial.id}, #{site}, #{trial.tankId}, #{trial.taskId}, #{trial.parameter}, #{trial.beganOn},
                #{trial.periodDays}, #{trial.periods}, #{trial.ways, typeHandler=app.chervil.server.trial.WaysHandler}, #{trial.startedBy},
                #{trial.together}, cast(#{trial.setup} as jsonb))
            on conflict on constraint trial_pk do nothing
            """)
    void insert(long site, TrialRow trial);

    @Update("update trial set stopped_on = #{on} where site_id = #{site} and id = #{id} and stopped_on is null")
    int stop(long site, UUID id, LocalDate on);

    @Update("update trial set stopped_on = null where site_id = #{site} and id = #{id}")
    int resume(long site, UUID id);

    /** Keeps which way was adopted, or that none is. */
    @Update("update trial set adopted = #{way} where site_id = #{site} and id = #{id}")
    int adopt(long site, UUID id, @Nullable Integer way);

    /** Tanks begun together, or the one that stands alone. */
    @Select(COLUMNS + "and (id = #{id} or together = #{id}) order by id")
    List<TrialRow> listTogether(long site, UUID id);

    @Update("update trial set setup = cast(#{setup} as jsonb) where site_id = #{site} and id = #{id}")
    int set(long site, UUID id, TrialSetup setup);

    /** Keeps for which turn the thing was taken out or put back; null for none. */
    @Update("update trial set switched_on = #{turn} where site_id = #{site} and id = #{id}")
    int switched(long site, UUID id, @Nullable LocalDate turn);

    @Update("update trial set removed_at = #{now} where site_id = #{site} and id = #{id} and removed_at is null")
    int remove(long site, UUID id, Instant now);

    /** Table trial. */
    record TrialRow(
            UUID id,
            long tankId,
            long taskId,
            Parameter parameter,
            LocalDate beganOn,
            int periodDays,
            int periods,
            List<Way> ways,
            @Nullable Integer adopted,
            String startedBy,
            @Nullable LocalDate stoppedOn,
            @Nullable UUID together,
            TrialSetup setup,
            @Nullable LocalDate switchedOn) {
        Design design() {
            return new Design(beganOn, periodDays, periods, ways, setup.way());
        }

        /** The day after its last: the day it was stopped, or its planned end. */
        LocalDate until() {
            LocalDate ends = design().ends();
            return stoppedOn != null && stoppedOn.isBefore(ends) ? stoppedOn : ends;
        }

        /** How far it has come: today, or the day after its last. */
        LocalDate lived(LocalDate today) {
            return until().isBefore(today) ? until() : today;
        }

        /** What it says of its task's interval on a day; empty where it says nothing. */
        Optional<Tried> tried(LocalDate day) {
            if (runsOn(day)) {
                Turn turn = design().turnOn(day).orElseThrow();
                return Optional.of(new Tried(
                        ways.get(turn.way()).days(),
                        false,
                        Optional.of(new Reads(
                                parameter,
                                turn.from(),
                                turn.until().minusDays(1),
                                Math.min(MOST_DAYS_BETWEEN_READINGS, Math.max(1, periodDays / 2))))));
            }
            return adopted == null
                    ? Optional.empty()
                    : Optional.of(new Tried(ways.get(adopted).days(), true));
        }

        private static final int MOST_DAYS_BETWEEN_READINGS = 7;

        boolean runsOn(LocalDate day) {
            return !day.isBefore(beganOn) && day.isBefore(until());
        }
    }
}
