package app.chervil.server.plan;

import app.chervil.core.agenda.BookedVisit;
import app.chervil.core.agenda.Decided;
import app.chervil.core.agenda.Moved;
import app.chervil.core.agenda.PlanState;
import app.chervil.core.agenda.Told;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance.How;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Tables plan, plan_visit, plan_step, plan_decision and plan_change. */
@Mapper
interface PlanMapper {
    /** One at a time for each site: who comes second finds what the first one planned. */
    @Select("select pg_advisory_xact_lock(471120262, #{site}::int)::text")
    String lock(long site);

    /** The mark of the plan that people were told; empty before the first. */
    @Select("select fingerprint from plan where site_id = #{site}")
    Optional<String> findMark(long site);

    /** Whether the plan that people were told was made in haste. */
    @Select("select exists (select from plan where site_id = #{site} and rough)")
    boolean isRough(long site);

    /**
     * The plan that people were told; empty before the first.
     *
     * @param visitsSince the first day of visits
     * @param decisionsSince the first day of decisions
     */
    @Select("""
            select
              version,
              fingerprint as mark,
              weeks,
              rough,
              decided,
              snapshot as state,
              json_build_object(
                'visits',
                (
                  select json_agg(
                    json_build_object(
                      'id', id, 'tank_id', tank_id, 'on_day', on_day, 'account_id', account_id, 'minutes', minutes,
                      'work', work::json, 'sequence', sequence, 'changed_at', changed_at)
                    order by on_day, tank_id, id)
                  from plan_visit
                  where plan_visit.site_id = plan.site_id and on_day >= #{visitsSince}
                ),
                'decisions',
                (
                  select json_agg(plan_decision order by on_day, id)
                  from plan_decision
                  where plan_decision.site_id = plan.site_id and ended_in is null and on_day >= #{decisionsSince}
                )
              ) as hanging
            from plan
            where site_id = #{site}
            """)
    Optional<PlanRow> find(long site, LocalDate visitsSince, LocalDate decisionsSince);

    @Insert("""
            insert into plan (site_id, version, made_on, fingerprint, weeks, rough, decided, snapshot)
            values (#{site}, 1, #{plan.state.madeOn}, #{plan.mark}, #{plan.weeks}, #{plan.rough}, #{decided},
                    #{plan.state})
            on conflict on constraint plan_pk do update
            set version = plan.version + 1, made_on = excluded.made_on, fingerprint = excluded.fingerprint,
                weeks = excluded.weeks, rough = excluded.rough, decided = excluded.decided, snapshot = excluded.snapshot
            """)
    void save(long site, Told plan, Words decided);

    /** Stores visits, new or changed. */
    @Insert("""
            insert into plan_visit (id, site_id, tank_id, on_day, account_id, minutes, work, sequence, changed_at)
            select r.id, #{site}, r.tank_id, r.on_day, r.account_id, r.minutes, r.work::text, r.sequence, r.changed_at
            from json_to_recordset(#{rows}::json) as r(
              id uuid, tank_id bigint, on_day date, account_id bigint, minutes int, work json, sequence int,
              changed_at timestamptz)
            on conflict on constraint plan_visit_pk do update
            set on_day = excluded.on_day, account_id = excluded.account_id, minutes = excluded.minutes,
                work = excluded.work, sequence = excluded.sequence, changed_at = excluded.changed_at
            """)
    void saveVisits(long site, VisitRows rows);

    /** Forgets visits. */
    @Delete("""
            <script>
            delete from plan_visit
            where site_id = #{site}
              and id in
            <foreach collection="ids" item="id" open="(" separator="," close=")">#{id}</foreach>
            </script>
            """)
    void deleteVisits(long site, Collection<UUID> ids);

    @Select("""
            insert into plan_step (site_id, words, made_by, made_at, before)
            values (#{site}, #{words}, #{by}, #{now}, #{before})
            returning id
            """)
    long insertStep(long site, String words, String by, Instant now, PlanState before);

    @Select("""
            select id, words, made_by, made_at, before
            from plan_step
            where site_id = #{site} and undone_at is null and made_at > #{since}
            order by id desc
            limit 1
            """)
    Optional<StepRow> findLastStep(long site, Instant since);

    @Update("update plan_step set undone_at = #{now} where site_id = #{site} and id = #{id}")
    void updateStep(long site, long id, Instant now);

    @Insert("""
            insert into plan_decision (site_id, chain, on_day, how, made_in)
            values (#{site}, #{chain}, #{onDay}, #{how}, #{step})
            """)
    void insertDecision(long site, long chain, LocalDate onDay, How how, long step);

    @Update("update plan_decision set ended_in = #{step} where site_id = #{site} and id = #{id}")
    void endDecision(long site, long id, long step);

    @Delete("delete from plan_decision where site_id = #{site} and made_in = #{step}")
    void deleteDecisions(long site, long step);

    @Update("update plan_decision set ended_in = null where site_id = #{site} and ended_in = #{step}")
    void reviveDecisions(long site, long step);

    @Insert(
            "insert into plan_change (site_id, changed_at, causes, moves) values (#{site}, #{now}, #{causes}, #{moves})")
    void insertChange(long site, Instant now, Words causes, Moves moves);

    /** How the plan moved lately, latest first, and the last decision that can be undone. */
    @Select("""
            select json_build_object(
              'changes',
              (
                select json_agg(
                  json_build_object('changed_at', changed_at, 'causes', causes::json, 'moves', moves::json) order by id desc)
                from (select * from plan_change where site_id = #{site} order by id desc limit #{most}) as latest
              ),
              'undo',
              (
                select words
                from plan_step
                where site_id = #{site} and undone_at is null and made_at > #{undoSince}
                order by id desc
                limit 1
              )
            )
            """)
    Lately findLately(long site, Instant undoSince, int most);

    /** What happened to the plan. */
    record Lately(
            @Nullable List<ChangeRow> changes, @Nullable String undo) {
        List<Moved> moved() {
            return changes == null
                    ? List.of()
                    : changes.stream().map(ChangeRow::moved).toList();
        }
    }

    /** Some sentences. */
    record Words(@JsonValue List<String> all) {
        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        public Words {}
    }

    /** Occurrences that moved. */
    record Moves(@JsonValue List<MoveRow> all) {
        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        public Moves {}
    }

    /** One occurrence that moved; to is null if it left the plan. */
    record MoveRow(
            String tank,
            String name,
            LocalDate from,
            @Nullable LocalDate to) {
        static MoveRow of(Moved.Move move) {
            return new MoveRow(move.tank(), move.name(), move.from(), move.to().orElse(null));
        }

        Moved.Move move() {
            return new Moved.Move(tank, name, from, Optional.ofNullable(to));
        }
    }

    /** Table plan, with its visits and what keepers decided. */
    record PlanRow(
            int version, String mark, int weeks, boolean rough, Words decided, PlanState state, Hanging hanging) {
        Told told() {
            return new Told(mark, weeks, state, hanging.booked(), rough, decided.all());
        }
    }

    /** Tables plan_visit and plan_decision of a site; null where there is nothing. */
    record Hanging(
            @Nullable List<VisitRow> visits, @Nullable List<DecisionRow> decisions) {
        List<BookedVisit> booked() {
            return visits == null
                    ? List.of()
                    : visits.stream().map(VisitRow::visit).toList();
        }

        List<Decided> decided() {
            return decisions == null
                    ? List.of()
                    : decisions.stream().map(DecisionRow::decided).toList();
        }
    }

    /** Visits to be stored. */
    record VisitRows(@JsonValue List<VisitRow> all) {}

    /** Table plan_visit. */
    record VisitRow(
            UUID id,
            long tankId,
            LocalDate onDay,
            @Nullable Long accountId,
            int minutes,
            List<String> work,
            int sequence,
            Instant changedAt) {
        static VisitRow of(BookedVisit visit) {
            return new VisitRow(
                    visit.id(),
                    visit.tank(),
                    visit.on(),
                    visit.account().orElse(null),
                    visit.minutes(),
                    visit.work(),
                    visit.sequence(),
                    visit.changedAt());
        }

        BookedVisit visit() {
            return new BookedVisit(
                    id, tankId, onDay, Optional.ofNullable(accountId), minutes, work, sequence, changedAt);
        }
    }

    /** Table plan_step: something a keeper decided in one go. */
    record StepRow(long id, String words, String madeBy, Instant madeAt, PlanState before) {}

    /** Table plan_decision. */
    record DecisionRow(long id, long chain, LocalDate onDay, How how) {
        Decided decided() {
            return new Decided(id, new ChainId(chain), onDay, how);
        }
    }

    /** Table plan_change. */
    record ChangeRow(Instant changedAt, Words causes, Moves moves) {
        Moved moved() {
            return new Moved(
                    changedAt,
                    causes.all(),
                    moves.all().stream().map(MoveRow::move).toList());
        }
    }
}
